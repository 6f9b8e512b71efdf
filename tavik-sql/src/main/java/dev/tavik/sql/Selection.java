package dev.tavik.sql;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Rows to select from.
 *
 * @param from what stands behind FROM
 * @param place an expression for where a row stands; empty where rows have no place
 * @param quoting how identifiers are written
 */
record Selection(String from, String place, Quoting quoting) {
  /** Texts, names and comments, in which a semicolon is only that. */
  private static final Pattern NO_STATEMENT =
      Pattern.compile("'[^']*'|\"[^\"]*\"|--[^\\n]*|/\\*.*?\\*/", Pattern.DOTALL);

  /** A query, which must be one: nothing stands behind its end. */
  static Selection ofQuery(String sql, Quoting quoting) {
    String query = sql.strip().replaceFirst(";\\s*$", "");
    require(!query.isEmpty(), "query must be a SELECT statement, got nothing");
    require(
        !NO_STATEMENT.matcher(query).replaceAll("").contains(";"),
        "query must be one statement, without a semicolon");
    // A comment at the query's end would hide what stands behind it on the same line.
    return new Selection("(" + query + "\n) AS asked", "", quoting);
  }

  /** What a column of a file is called while it is counted. */
  static String column(int position) {
    return "c" + position;
  }

  /** Rows that have no place of their own and are numbered as they come. */
  static Selection numbered(String table) {
    Quoting quoting = new Quoting("\"");
    String number = quoting.quoted("row");
    return new Selection(
        "(SELECT *, ROW_NUMBER() OVER () AS " + number + " FROM " + table + ")", number, quoting);
  }

  /** No row, for the names of the columns. */
  String nothing() {
    return "SELECT * FROM " + from + " WHERE 1 = 0";
  }

  /** How often each combination occurs, in the order of first appearance or of the values. */
  String counts(List<String> columns) {
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
  String sums(List<String> columns, List<String> summed) {
    String weight = quoting.quoted(summed.get(0));
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
            .map(each -> "SUM(" + quoting.quoted(each) + ")")
            .collect(Collectors.joining(", ")),
        from,
        groups,
        order(columns.size() + 1));
  }

  /** Every row. */
  String rows(List<String> columns) {
    return "SELECT "
        + list(columns)
        + " FROM "
        + from
        + (place.isEmpty() ? "" : " ORDER BY " + place);
  }

  /** Every row in order. */
  String ordered(List<String> columns, String by) {
    return "SELECT " + list(columns) + " FROM " + from + " ORDER BY " + quoting.quoted(by);
  }

  private String list(List<String> columns) {
    return columns.stream().map(quoting::quoted).collect(Collectors.joining(", "));
  }
}
