package dev.tavik.data;

import dev.tavik.count.Tabulation;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Counts the combinations of columns, or each column by itself, in one pass. */
final class CountHandler extends RowHandler {
  private final CountRequest request;
  private final What what;
  private RowCounter[] counters = {};

  /** Of each column of the data, the counters that need it. */
  private RowCounter[][] countersOf = {};

  /** What is counted. */
  private enum What {
    COMBINATIONS,
    COMBINATIONS_IN_ORDER,
    EACH_COLUMN
  }

  private CountHandler(String source, CountRequest request, What what) {
    super(source);
    this.request = request;
    this.what = what;
  }

  /** Counts the combinations of the columns. */
  CountHandler(String source, CountRequest request) {
    this(source, request, What.COMBINATIONS);
  }

  /** Also records the order of the first column's levels. */
  static CountHandler inOrder(String source, CountRequest request) {
    return new CountHandler(source, request, What.COMBINATIONS_IN_ORDER);
  }

  /** Counts each column by itself. */
  static CountHandler ofEach(String source, CountRequest request) {
    return new CountHandler(source, request, What.EACH_COLUMN);
  }

  @Override
  public Need need() {
    return what == What.COMBINATIONS_IN_ORDER ? Need.ORDER : Need.COUNTS;
  }

  @Override
  boolean[] header(Header header) {
    boolean ordered = what == What.COMBINATIONS_IN_ORDER;
    List<CountRequest> requests =
        what == What.EACH_COLUMN
            ? header.columns(request.columns()).stream()
                .map(column -> request.columns(List.of(column)))
                .toList()
            : List.of(request);
    counters =
        requests.stream()
            .map(each -> new RowCounter(this, header, each, ordered))
            .toArray(RowCounter[]::new);
    countersOf = new RowCounter[header.names().size()][];
    boolean[] wanted = new boolean[countersOf.length];
    for (int place = 0; place < wanted.length; place++) {
      int column = place;
      countersOf[column] =
          Arrays.stream(counters).filter(each -> each.wants(column)).toArray(RowCounter[]::new);
      wanted[column] = countersOf[column].length > 0;
    }
    return wanted;
  }

  @Override
  boolean keyed(int column, long key) {
    // The names of the columns are kept as they stand, also when another reader begins anew.
    if (knownHeader() == null) {
      return false;
    }
    boolean all = key != 0;
    for (RowCounter each : countersOf[column]) {
      all &= each.keyed(column, key);
    }
    return all;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    for (RowCounter each : countersOf[column]) {
      each.value(column, buffer, offset, length, quoted);
    }
  }

  @Override
  public int mostValues(int column) {
    return Arrays.stream(countersOf[column])
        .mapToInt(each -> each.mostValues(column))
        .min()
        .orElse(Integer.MAX_VALUE);
  }

  @Override
  public void tooMany(int column) {
    throw countersOf[column][0].tooMany(column);
  }

  @Override
  public Optional<Recoding> classes(int column) {
    RowCounter[] counting = countersOf[column];
    return counting.length == 1 ? counting[0].classes(column) : Optional.empty();
  }

  @Override
  void row() {
    for (RowCounter each : counters) {
      each.row();
    }
  }

  /** What was counted. */
  Tabulation tabulation(List<String> remarks) {
    return tabulations(remarks).get(0);
  }

  /** What was counted, one for each column that was counted by itself. */
  List<Tabulation> tabulations(List<String> remarks) {
    requireHeader();
    return Arrays.stream(counters).map(each -> each.tabulation(remarks)).toList();
  }

  /** The counts, and the first column's levels in the order of the rows. */
  RowsInOrder rowsInOrder(List<String> remarks) {
    requireHeader();
    return counters[0].rowsInOrder(remarks);
  }
}
