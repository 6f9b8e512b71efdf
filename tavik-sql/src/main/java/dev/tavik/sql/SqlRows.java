package dev.tavik.sql;

import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.RowHandler;
import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Hands over rows of a database: the names of its columns, then what is needed of those wanted. */
record SqlRows(Connection connection, Database database, RowHandler rows) {
  private static final int FETCHED = 1_000;
  private static final int MOST_GROUPS = 1_000_000;
  private static final Set<Integer> NUMBERS =
      Set.of(
          Types.TINYINT,
          Types.SMALLINT,
          Types.INTEGER,
          Types.BIGINT,
          Types.NUMERIC,
          Types.DECIMAL,
          Types.REAL,
          Types.FLOAT,
          Types.DOUBLE);

  /** Hands over everything; returns the statement that it took. */
  String read(Selection selection) throws SQLException {
    List<String> names = names(selection);
    List<Integer> wanted = headed(names);
    if (rows.need() == RowHandler.Need.NAMES) {
      return "";
    }
    List<String> columns = wanted.stream().map(names::get).toList();
    if (rows.need() == RowHandler.Need.SUMS) {
      return summed(names, wanted, selection);
    }
    boolean counted = rows.need() == RowHandler.Need.COUNTS;
    String sql =
        switch (rows.need()) {
          case COUNTS -> selection.counts(columns);
          case NAMES, SUMS -> throw new IllegalStateException("they are dealt with above");
          case ORDER ->
              database.order().isPresent()
                  ? selection.ordered(columns, order(names))
                  : selection.rows(columns);
          case ROWS -> selection.rows(columns);
        };
    run(sql, results -> hand(results, names.size(), wanted, counted));
    return sql;
  }

  /**
   * Sums of weights by all other columns; where weights are text, which can't be summed, they are
   * one more column to group by.
   */
  private String summed(List<String> names, List<Integer> wanted, Selection selection)
      throws SQLException {
    List<Integer> sums = rows.summed();
    List<String> columns = wanted.stream().map(names::get).toList();
    if (sums.isEmpty() || !numbers(selection, sums)) {
      String sql = selection.counts(columns);
      run(sql, results -> hand(results, names.size(), wanted, true));
      return sql;
    }
    List<Integer> grouped = wanted.stream().filter(each -> !sums.contains(each)).toList();
    String sql =
        selection.sums(
            grouped.stream().map(names::get).toList(), sums.stream().map(names::get).toList());
    run(sql, results -> handSums(results, names, grouped, sums));
    return sql;
  }

  private boolean numbers(Selection selection, List<Integer> columns) throws SQLException {
    boolean[] all = {true};
    run(
        selection.nothing(),
        results -> {
          for (int column : columns) {
            all[0] &= NUMBERS.contains(results.getMetaData().getColumnType(column + 1));
          }
        });
    return all[0];
  }

  private void handSums(
      ResultSet results, List<String> names, List<Integer> grouped, List<Integer> sums)
      throws SQLException {
    int[] types = types(results, grouped.size());
    // Behind the columns stand the sign of the weight and the number of rows.
    int from = grouped.size() + 3;
    long number = 0;
    while (results.next()) {
      rows.begin(++number);
      for (int i = 0; i < types.length; i++) {
        rows.field(grouped.get(i), text(results, i + 1, types[i]), true);
      }
      @Nullable Double[] each = new Double[sums.size()];
      for (int i = 0; i < each.length; i++) {
        each[i] = number(results, from + 3 + i, names.get(sums.get(i)));
      }
      String weight = names.get(sums.get(0));
      Double least = number(results, from + 1, weight);
      Double greatest = number(results, from + 2, weight);
      Double squares = number(results, from, weight);
      rows.sums(
          each,
          squares == null ? 0 : squares,
          least == null ? Double.NaN : least,
          greatest == null ? Double.NaN : greatest);
      rows.times(results.getLong(from - 1));
      rows.end(names.size());
    }
  }

  /** A number; text that a column of numbers holds all the same is refused. */
  private @Nullable Double number(ResultSet results, int column, String name) throws SQLException {
    String written = results.getString(column);
    if (written == null) {
      return null;
    }
    if (!written.matches("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?")) {
      throw new DataException(
          DataException.Code.COUNT,
          "column %s has '%s', which is no number; a weight is a number from 0, such as 1.25",
          name,
          written);
    }
    return Double.valueOf(written);
  }

  private static int[] types(ResultSet results, int count) throws SQLException {
    ResultSetMetaData columns = results.getMetaData();
    int[] types = new int[count];
    for (int i = 0; i < count; i++) {
      types[i] = columns.getColumnType(i + 1);
    }
    return types;
  }

  /** Hands over the names; returns the positions of the columns that are wanted. */
  private List<Integer> headed(List<String> names) {
    rows.unit("row");
    rows.begin(0);
    for (int column = 0; column < names.size(); column++) {
      rows.field(column, names.get(column), true);
    }
    rows.end(names.size());
    return IntStream.range(0, names.size()).filter(rows::wants).boxed().toList();
  }

  /**
   * Counts text of these columns, if none of its values has blanks at its ends: whether they stood
   * in quotes, and so belong to it, isn't known here.
   */
  boolean readAlike(List<String> names, Selection selection) throws SQLException {
    List<Integer> wanted = headed(names);
    List<List<String>> groups = new ArrayList<>();
    List<Long> counts = new ArrayList<>();
    boolean[] alike = {true};
    run(
        selection.counts(wanted.stream().map(Selection::column).toList()),
        results -> {
          while (alike[0] && results.next()) {
            List<String> group = new ArrayList<>();
            for (int i = 1; i <= wanted.size(); i++) {
              group.add(Objects.requireNonNullElse(results.getString(i), ""));
            }
            groups.add(group);
            counts.add(results.getLong(wanted.size() + 1));
            alike[0] =
                groups.size() < MOST_GROUPS && group.stream().noneMatch(SqlRows::blankAtEnds);
          }
        });
    for (int group = 0; alike[0] && group < groups.size(); group++) {
      rows.begin(group + 1L);
      for (int i = 0; i < wanted.size(); i++) {
        rows.field(wanted.get(i), groups.get(group).get(i), true);
      }
      rows.times(counts.get(group));
      rows.end(names.size());
    }
    return alike[0];
  }

  private static boolean blankAtEnds(String value) {
    return !value.isEmpty()
        && (" \t".indexOf(value.charAt(0)) >= 0
            || " \t".indexOf(value.charAt(value.length() - 1)) >= 0);
  }

  private String order(List<String> names) {
    String wanted = database.order().orElseThrow();
    List<String> matching = Names.matching(wanted, names);
    if (matching.size() != 1) {
      throw new DataException(
          DataException.Code.COLUMN,
          "the relation has no column '%s' to order by%s",
          wanted,
          Names.hint(wanted, names));
    }
    return matching.get(0);
  }

  private List<String> names(Selection selection) throws SQLException {
    List<String> names = new ArrayList<>();
    run(
        selection.nothing(),
        results -> {
          ResultSetMetaData columns = results.getMetaData();
          for (int i = 1; i <= columns.getColumnCount(); i++) {
            names.add(columns.getColumnLabel(i));
          }
        });
    return names;
  }

  /** Work with what a statement selects. */
  private interface Work {
    void with(ResultSet results) throws SQLException;
  }

  /** Runs a statement; an interrupt of the program cancels it. */
  private void run(String sql, Work work) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.setQueryTimeout(database.timeout());
      statement.setFetchSize(FETCHED);
      Thread cancelling = new Thread(() -> cancel(statement));
      Runtime.getRuntime().addShutdownHook(cancelling);
      try (ResultSet results = statement.executeQuery(sql)) {
        work.with(results);
      } finally {
        withdraw(cancelling);
      }
    }
  }

  private static void cancel(Statement statement) {
    try {
      statement.cancel();
    } catch (SQLException e) {
      // It has ended, or can't be cancelled: the program ends all the same.
    }
  }

  private static void withdraw(Thread cancelling) {
    try {
      Runtime.getRuntime().removeShutdownHook(cancelling);
    } catch (IllegalStateException e) {
      // The program is ending.
    }
  }

  private void hand(ResultSet results, int width, List<Integer> wanted, boolean counted)
      throws SQLException {
    int[] types = types(results, wanted.size());
    long number = 0;
    while (results.next()) {
      rows.begin(++number);
      for (int i = 0; i < types.length; i++) {
        rows.field(wanted.get(i), text(results, i + 1, types[i]), true);
      }
      if (counted) {
        rows.times(results.getLong(types.length + 1));
      }
      rows.end(width);
    }
  }

  /** A value as a file would write it. */
  private static @Nullable String text(ResultSet results, int column, int type)
      throws SQLException {
    String written = results.getString(column);
    if (written == null) {
      return null;
    }
    return switch (type) {
      case Types.BOOLEAN, Types.BIT -> String.valueOf(results.getBoolean(column));
      case Types.DOUBLE, Types.FLOAT, Types.REAL -> plain(written);
      case Types.CHAR -> written.stripTrailing();
      default -> written;
    };
  }

  /** Whole numbers without a point. */
  private static String plain(String written) {
    if (!written.matches("[-+]?\\d+(\\.\\d+)?([eE][-+]?\\d+)?")) {
      return written;
    }
    BigDecimal number = new BigDecimal(written).stripTrailingZeros();
    return number.signum() == 0 ? "0" : number.toPlainString();
  }
}
