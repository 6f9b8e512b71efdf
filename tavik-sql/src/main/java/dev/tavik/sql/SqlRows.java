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
import org.jspecify.annotations.Nullable;

/** Hands over rows of a database: the names of its columns, then what is needed of those wanted. */
record SqlRows(Connection connection, Database database, RowHandler rows) {
  private static final int FETCHED = 1_000;

  /** Hands over everything; returns the statement that it took. */
  String read(Selection selection) throws SQLException {
    List<String> names = names(selection);
    rows.unit("row");
    rows.begin(0);
    for (int column = 0; column < names.size(); column++) {
      rows.field(column, names.get(column), true);
    }
    rows.end(names.size());
    List<Integer> wanted = new ArrayList<>();
    for (int column = 0; column < names.size(); column++) {
      if (rows.wants(column)) {
        wanted.add(column);
      }
    }
    List<String> columns = wanted.stream().map(names::get).toList();
    boolean counted = rows.need() == RowHandler.Need.COUNTS;
    String sql =
        switch (rows.need()) {
          case COUNTS -> selection.counts(columns);
          case ORDER ->
              database.order().isPresent()
                  ? selection.ordered(columns, order(names))
                  : selection.rows(columns);
          case ROWS -> selection.rows(columns);
        };
    run(sql, results -> hand(results, names.size(), wanted, counted));
    return sql;
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
