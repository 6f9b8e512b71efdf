package dev.tavik.data;

import dev.tavik.count.DataOverview;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Profiles every column, or one, while rows are read, and stores at most a thousand levels of each.
 */
final class OverviewHandler extends RowHandler {
  private static final int ALL = -1;

  private final int only;
  private final List<ColumnProfile> profiles = new ArrayList<>();

  private final List<String> uncounted = new ArrayList<>();

  OverviewHandler(String source) {
    this(source, ALL);
  }

  OverviewHandler(String source, int only) {
    super(source);
    this.only = only;
  }

  /** Of one column equal rows may come as one. */
  @Override
  public Need need() {
    return only == ALL ? Need.ROWS : Need.COUNTS;
  }

  @Override
  public boolean overviews() {
    return true;
  }

  @Override
  boolean[] header(Header header) {
    profiles.clear();
    header.names().forEach(name -> profiles.add(new ColumnProfile(name)));
    boolean[] wanted = new boolean[profiles.size()];
    if (only == ALL) {
      Arrays.fill(wanted, true);
    } else {
      wanted[only] = true;
    }
    return wanted;
  }

  @Override
  public int mostValues(int column) {
    return ColumnProfile.MOST_KEPT;
  }

  @Override
  public void tooMany(int column) {
    profiles.get(column).tooMany();
  }

  @Override
  public void notSingle(int column, String type) {
    profiles.get(column).tooMany();
    uncounted.add(profiles.get(column).name() + " is of type " + type + ", which is " + NOT_SINGLE);
  }

  /** A value of a single row is used at once, because an incomplete row ends the reading anyway. */
  @Override
  boolean taken(int column, char[] buffer, int offset, int length, boolean quoted) {
    if (only != ALL) {
      return false;
    }
    int end = offset + length;
    int from = quoted ? offset : behindBlanks(buffer, offset, end);
    int to = quoted ? end : beforeBlanks(buffer, from, end);
    value(column, buffer, from, to - from, quoted);
    return true;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    long rows = only == ALL ? 1 : times();
    if (length == 0 || (!quoted && Missing.isMissing(buffer, offset, length))) {
      profiles.get(column).missing(rows);
    } else {
      profiles.get(column).value(buffer, offset, length, rows);
    }
  }

  @Override
  void row() {
    // Every value was already used when it was read.
  }

  DataOverview overview(String layout, List<String> remarks) {
    return overview(List.of(this), layout, remarks);
  }

  /** The overview of one for all columns, or of one for each. */
  static DataOverview overview(List<OverviewHandler> each, String layout, List<String> remarks) {
    OverviewHandler first = each.get(0);
    first.requireHeader();
    List<ColumnProfile> columns =
        first.only == ALL
            ? first.profiles
            : each.stream().map(handler -> handler.profiles.get(handler.only)).toList();
    List<String> all = new ArrayList<>(remarks);
    each.forEach(handler -> all.addAll(handler.uncounted));
    columns.stream()
        .filter(ColumnProfile::decimalComma)
        .forEach(column -> all.add("numbers of " + column.name() + " have a decimal comma"));
    long rows = each.stream().mapToLong(RowHandler::rows).max().orElse(0);
    return new DataOverview(
        first.source(), layout, rows, columns.stream().map(ColumnProfile::column).toList(), all);
  }
}
