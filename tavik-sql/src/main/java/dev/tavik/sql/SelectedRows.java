package dev.tavik.sql;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Rows to select from.
 *
 * @param from what stands behind FROM
 * @param place an expression for where a row stands; empty where rows have no place
 * @param dialect whose expressions these are
 * @param quoting how identifiers are written
 */
record SelectedRows(String from, String place, Dialect dialect, Quoting quoting) {
  /** The rows of a query that the database has not yet checked. */
  static SelectedRows ofQuery(String sql, Dialect dialect, Quoting quoting) {
    // A comment at the end of the query would hide what follows on the same line.
    return new SelectedRows("(" + sql + "\n) AS asked", "", dialect, quoting);
  }

  /** A query without the mark at its end. */
  static String query(String sql) {
    String query = sql.strip().replaceFirst(";\\s*$", "");
    require(!query.isEmpty(), "query must be a SELECT statement, got nothing");
    return query;
  }

  /** The alias of a file's column in a statement. */
  static String column(int position) {
    return "c" + position;
  }

  /** Rows that have no place of their own and are numbered as they come. */
  static SelectedRows numbered(String table) {
    Quoting quoting = new Quoting("\"");
    String number = quoting.quoted("row");
    return new SelectedRows(
        "(SELECT *, ROW_NUMBER() OVER () AS " + number + " FROM " + table + ")",
        number,
        Dialect.DUCKDB,
        quoting);
  }

  /** Selects no row, for the names of the columns. */
  String nothing() {
    return "SELECT * FROM " + from + " WHERE 1 = 0";
  }

  /** How often each combination occurs, in the order of first appearance or of the values. */
  String counts(List<Column> columns) {
    if (columns.isEmpty()) {
      return "SELECT COUNT(*) FROM " + from;
    }
    String list = list(columns);
    return "SELECT "
        + list
        + ", COUNT(*) FROM "
        + from
        + " GROUP BY "
        + list
        + " ORDER BY "
        + order(columns.size());
  }

  private String order(int columns) {
    return place.isEmpty()
        ? IntStream.rangeClosed(1, columns)
            .mapToObj(String::valueOf)
            .collect(Collectors.joining(", "))
        : "MIN(" + place + ")";
  }

  /**
   * Sums by combination and by the sign of the first summed column, a weight: the sign, how many
   * rows, the sum of its squares, its least and greatest, then the sum of each summed column.
   */
  String sums(List<Column> columns, List<Column> summed) {
    String weight = quoting.quoted(summed.get(0).name());
    String sign =
        say(
            "CASE WHEN %s > 0 THEN 1 WHEN %s = 0 THEN 0 WHEN %s < 0 THEN -1 END",
            weight, weight, weight);
    String groups = columns.isEmpty() ? sign : list(columns) + ", " + sign;
    return say(
        "SELECT %s, COUNT(*), SUM(1.0 * %s * %s), MIN(%s), MAX(%s), %s FROM %s GROUP BY %s ORDER BY"
            + " %s",
        groups,
        weight,
        weight,
        weight,
        weight,
        summed.stream()
            .map(each -> "SUM(" + quoting.quoted(each.name()) + ")")
            .collect(Collectors.joining(", ")),
        from,
        groups,
        order(columns.size() + 1));
  }

  /** Every row. */
  String rows(List<Column> columns) {
    return "SELECT "
        + list(columns)
        + " FROM "
        + from
        + (place.isEmpty() ? "" : " ORDER BY " + place);
  }

  /** Every row in order. */
  String ordered(List<Column> columns, Column by) {
    return "SELECT " + list(columns) + " FROM " + from + " ORDER BY " + quoting.quoted(by.name());
  }

  private String list(List<Column> columns) {
    return columns.stream()
        .map(each -> dialect.exact(quoting.quoted(each.name()), each))
        .collect(Collectors.joining(", "));
  }
}
