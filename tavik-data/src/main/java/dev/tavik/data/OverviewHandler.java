package dev.tavik.data;

import dev.tavik.count.DataOverview;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Looks at every column as the rows come, and keeps at most a thousand levels of each. */
final class OverviewHandler extends RowHandler {
  private final List<ColumnProfile> profiles = new ArrayList<>();

  OverviewHandler(String source) {
    super(source);
  }

  @Override
  public Need need() {
    return Need.ROWS;
  }

  @Override
  boolean[] header(Header header) {
    header.names().forEach(name -> profiles.add(new ColumnProfile(name)));
    boolean[] wanted = new boolean[profiles.size()];
    Arrays.fill(wanted, true);
    return wanted;
  }

  /** A value is taken as it comes: one of a row that isn't whole ends the reading anyway. */
  @Override
  boolean taken(int column, char[] buffer, int offset, int length, boolean quoted) {
    int end = offset + length;
    int from = quoted ? offset : behindBlanks(buffer, offset, end);
    int to = quoted ? end : beforeBlanks(buffer, from, end);
    value(column, buffer, from, to - from, quoted);
    return true;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    if (length == 0 || (!quoted && Missing.isMissing(buffer, offset, length))) {
      profiles.get(column).missing();
    } else {
      profiles.get(column).value(buffer, offset, length);
    }
  }

  @Override
  void row() {
    // Every value was taken as it came.
  }

  DataOverview overview(String layout, List<String> remarks) {
    if (knownHeader() == null) {
      throw new DataException(
          DataException.Code.EMPTY,
          source() + " is empty; a header line and rows of data are needed");
    }
    List<String> all = new ArrayList<>(remarks);
    profiles.stream()
        .filter(ColumnProfile::decimalComma)
        .forEach(column -> all.add("numbers of " + column.name() + " have a decimal comma"));
    return new DataOverview(
        source(), layout, rows(), profiles.stream().map(ColumnProfile::column).toList(), all);
  }
}
