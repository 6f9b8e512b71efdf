package dev.tavik.sql;

import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.Moments;
import dev.tavik.data.RowHandler;
import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.SQLTimeoutException;
import java.sql.Statement;
import java.sql.Types;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Hands over rows of a database: the names of its columns, then what is needed of those wanted. */
record SqlRows(Connection connection, Database database, RowHandler rows) {
  private static final int FETCHED = 1_000;
  private static final int MOST_GROUPS = 1_000_000;

  /** Passes on all rows; returns the statement that was run. */
  String read(SelectedRows selection) throws SQLException {
    List<Column> all = columns(selection);
    List<Integer> wanted = headed(all.stream().map(Column::name).toList());
    if (rows.need() == RowHandler.Need.NAMES) {
      return "";
    }
    List<Column> columns = wanted.stream().map(all::get).toList();
    if (rows.need() == RowHandler.Need.SUMS) {
      return summed(all, wanted, selection);
    }
    boolean counted = rows.need() == RowHandler.Need.COUNTS;
    String sql =
        switch (rows.need()) {
          case COUNTS -> selection.counts(columns);
          case NAMES, SUMS -> throw new IllegalStateException("they are dealt with above");
          case ORDER ->
              database.order().isPresent()
                  ? selection.ordered(columns, order(all))
                  : selection.rows(columns);
          case ROWS -> selection.rows(columns);
        };
    run(sql, results -> hand(results, all, wanted, counted));
    return sql;
  }

  /**
   * Sums of weights by all other columns; where weights are text, which can't be summed, they are
   * one more column to group by.
   */
  private String summed(List<Column> all, List<Integer> wanted, SelectedRows selection)
      throws SQLException {
    List<Integer> sums = rows.summed();
    if (sums.isEmpty() || !sums.stream().allMatch(each -> all.get(each).number())) {
      String sql = selection.counts(wanted.stream().map(all::get).toList());
      run(sql, results -> hand(results, all, wanted, true));
      return sql;
    }
    List<Integer> grouped = wanted.stream().filter(each -> !sums.contains(each)).toList();
    String sql =
        selection.sums(
            grouped.stream().map(all::get).toList(), sums.stream().map(all::get).toList());
    run(sql, results -> handSums(results, all, grouped, sums));
    return sql;
  }

  private void handSums(
      Results results, List<Column> all, List<Integer> grouped, List<Integer> sums)
      throws SQLException {
    // Behind the columns stand the sign of the weight and the number of rows.
    int from = grouped.size() + 3;
    long number = 0;
    while (results.next()) {
      rows.begin(++number);
      for (int i = 0; i < grouped.size(); i++) {
        rows.field(grouped.get(i), text(results.row(), i + 1, all.get(grouped.get(i))), true);
      }
      @Nullable Double[] each = new Double[sums.size()];
      for (int i = 0; i < each.length; i++) {
        each[i] = number(results.row(), from + 3 + i, all.get(sums.get(i)).name());
      }
      String weight = all.get(sums.get(0)).name();
      Double least = number(results.row(), from + 1, weight);
      Double greatest = number(results.row(), from + 2, weight);
      Double squares = number(results.row(), from, weight);
      rows.sums(
          each,
          squares == null ? 0 : squares,
          least == null ? Double.NaN : least,
          greatest == null ? Double.NaN : greatest);
      rows.times(results.row().getLong(from - 1));
      rows.end(all.size());
    }
  }

  /** Reads a number; text in a column of numbers is refused. */
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
  boolean readAlike(List<String> names, SelectedRows selection) throws SQLException {
    List<Integer> wanted = headed(names);
    List<Column> columns =
        wanted.stream()
            .map(each -> new Column(SelectedRows.column(each), Types.VARCHAR, ""))
            .toList();
    List<List<String>> groups = new ArrayList<>();
    List<Long> counts = new ArrayList<>();
    boolean[] alike = {true};
    run(
        selection.counts(columns),
        results -> {
          while (alike[0] && results.next()) {
            List<String> group = new ArrayList<>();
            for (int i = 1; i <= wanted.size(); i++) {
              group.add(Objects.requireNonNullElse(results.row().getString(i), ""));
            }
            groups.add(group);
            counts.add(results.row().getLong(wanted.size() + 1));
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

  private Column order(List<Column> all) {
    String wanted = database.order().orElseThrow();
    List<String> names = all.stream().map(Column::name).toList();
    List<String> matching = Names.matching(wanted, names);
    if (matching.size() != 1) {
      throw new DataException(
          DataException.Code.COLUMN,
          "the relation has no column '%s' to order by%s",
          wanted,
          Names.hint(wanted, names));
    }
    return all.get(names.indexOf(matching.get(0)));
  }

  private List<Column> columns(SelectedRows selection) throws SQLException {
    List<Column> all = new ArrayList<>();
    run(
        selection.nothing(),
        results -> {
          ResultSetMetaData found = results.row().getMetaData();
          for (int i = 1; i <= found.getColumnCount(); i++) {
            all.add(
                new Column(
                    found.getColumnLabel(i),
                    found.getColumnType(i),
                    String.valueOf(found.getColumnTypeName(i)).toLowerCase(Locale.ROOT)));
          }
        });
    return all;
  }

  /** An action with the result of a statement. */
  private interface Work {
    void with(Results results) throws SQLException;
  }

  /** Runs an action with the result of a statement, within its time limit. */
  private record Results(ResultSet row, AtomicBoolean over) {
    boolean next() throws SQLException {
      if (over.get()) {
        throw new SQLTimeoutException();
      }
      return row.next();
    }
  }

  /**
   * Runs a statement. When its time is over, or the program is interrupted, it is cancelled from
   * another thread: not every driver ends a statement by itself, and none ends the reading of rows.
   */
  private void run(String sql, Work work) throws SQLException {
    AtomicBoolean over = new AtomicBoolean();
    try (Statement statement = connection.createStatement()) {
      statement.setEscapeProcessing(false);
      // The driver's own time limit is used only if cancelling fails.
      statement.setQueryTimeout(database.timeout() + 1);
      statement.setFetchSize(FETCHED);
      Thread ending = new Thread(() -> endInTime(statement, over), "ending a statement in time");
      ending.setDaemon(true);
      ending.start();
      Thread cancelling = new Thread(() -> cancel(statement));
      Runtime.getRuntime().addShutdownHook(cancelling);
      try (ResultSet results = statement.executeQuery(sql)) {
        work.with(new Results(results, over));
      } finally {
        ending.interrupt();
        withdraw(cancelling);
      }
    } catch (SQLException e) {
      if (over.get()) {
        throw (SQLException) new SQLTimeoutException().initCause(e);
      }
      throw e;
    }
  }

  private void endInTime(Statement statement, AtomicBoolean over) {
    try {
      Thread.sleep(1_000L * database.timeout());
      over.set(true);
      cancel(statement);
    } catch (InterruptedException e) {
      // The statement has ended.
    }
  }

  private static void cancel(Statement statement) {
    try {
      statement.cancel();
    } catch (SQLException e) {
      // The statement has ended or can't be cancelled; the program ends anyway.
    }
  }

  private static void withdraw(Thread cancelling) {
    try {
      Runtime.getRuntime().removeShutdownHook(cancelling);
    } catch (IllegalStateException e) {
      // The program is ending.
    }
  }

  private void hand(Results results, List<Column> all, List<Integer> wanted, boolean counted)
      throws SQLException {
    long number = 0;
    while (results.next()) {
      rows.begin(++number);
      for (int i = 0; i < wanted.size(); i++) {
        rows.field(wanted.get(i), text(results.row(), i + 1, all.get(wanted.get(i))), true);
      }
      if (counted) {
        rows.times(results.row().getLong(wanted.size() + 1));
      }
      rows.end(all.size());
    }
  }

  /**
   * A value as a file would write it. What a column may hold isn't what a value is: in SQLite a
   * column of numbers may hold text.
   */
  private static @Nullable String text(ResultSet results, int column, Column of)
      throws SQLException {
    String written = results.getString(column);
    if (written == null) {
      return null;
    }
    if (of.truth()) {
      return String.valueOf(results.getBoolean(column));
    }
    if (of.moment()) {
      return Moments.plain(written);
    }
    if (of.number() || results.getObject(column) instanceof Number) {
      return plain(written);
    }
    return of.type() == Types.CHAR ? written.stripTrailing() : written;
  }

  /** A number without an exponent and without zeros at its end; none if it is no number. */
  private static @Nullable String plain(String written) {
    if (written.equalsIgnoreCase("nan")) {
      return null;
    }
    if (!written.matches("[-+]?\\d+(\\.\\d*)?([eE][-+]?\\d+)?")) {
      return written;
    }
    BigDecimal number = new BigDecimal(written).stripTrailingZeros();
    return number.signum() == 0 ? "0" : number.toPlainString();
  }
}
