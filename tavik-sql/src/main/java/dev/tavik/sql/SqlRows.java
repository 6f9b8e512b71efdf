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
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Hands over rows of a database: the names of its columns, then what is needed of those wanted. */
record SqlRows(Connection connection, Database database, RowHandler rows) {
  private static final int FETCHED = 1_000;
  private static final int MOST_GROUPS = 1_000_000;

  /** Hands over everything; returns the statement that it took. */
  String read(Selection selection) throws SQLException {
    List<String> names = names(selection);
    List<Integer> wanted = headed(names);
    List<String> columns = wanted.stream().map(names::get).toList();
    boolean counted = rows.need() == RowHandler.Need.COUNTS;
    String sql =
        switch (rows.need()) {
          case COUNTS -> selection.counts(columns);
          case SUMS -> throw new IllegalStateException("summed above");
          case ORDER ->
              database.order().isPresent()
                  ? selection.ordered(columns, order(names))
                  : selection.rows(columns);
          case ROWS -> selection.rows(columns);
        };
    run(sql, results -> hand(results, names.size(), wanted, counted));
    return sql;
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
    ResultSetMetaData columns = results.getMetaData();
    int[] types = new int[wanted.size()];
    for (int i = 0; i < types.length; i++) {
      types[i] = columns.getColumnType(i + 1);
    }
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
