package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What is to be counted: the combinations of levels of some columns.
 *
 * @param columns the columns, at least one; matched exactly, then without regard to case
 * @param filters columns and the level that each must have for a row to count; matched exactly, and
 *     where that level never occurs, without regard to case
 * @param frequency the column that says how often a row counts; null for once
 * @param missing what becomes of rows that lack a value
 * @param recodings columns whose values are read as something else: labels of codes, classes of
 *     numbers
 */
public record CountRequest(
    List<String> columns,
    Map<String, String> filters,
    @Nullable String frequency,
    Missing missing,
    Map<String, Recoding> recodings) {

  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there is no column
   */
  public CountRequest {
    columns = List.copyOf(columns);
    filters = Collections.unmodifiableMap(new LinkedHashMap<>(filters));
    recodings = Collections.unmodifiableMap(new LinkedHashMap<>(recodings));
    require(!columns.isEmpty(), "columns must name at least one column, got none");
  }

  /**
   * A request for all combinations of these columns, rows with missing values left out.
   *
   * @param columns the columns, at least one
   * @return the request
   * @throws IllegalArgumentException if there is none
   */
  public static CountRequest of(String... columns) {
    return new CountRequest(List.of(columns), Map.of(), null, Missing.DROP, Map.of());
  }

  /**
   * Returns a copy that counts only rows in which a column has a level.
   *
   * @param column the column
   * @param level its level
   * @return the request
   * @throws IllegalArgumentException if the column has a filter already: no row has two levels of
   *     it
   */
  public CountRequest where(String column, String level) {
    Map<String, String> more = new LinkedHashMap<>(filters);
    if (more.put(column, level) != null) {
      throw new IllegalArgumentException(
          "column " + column + " must be filtered once, got it twice");
    }
    return new CountRequest(columns, more, frequency, missing, recodings);
  }

  /**
   * Returns a copy in which a column says how often each row counts.
   *
   * @param column the frequency column; null for once
   * @return the request
   */
  public CountRequest frequency(@Nullable String column) {
    return new CountRequest(columns, filters, column, missing, recodings);
  }

  /**
   * Returns a copy with another policy for missing values.
   *
   * @param policy the policy
   * @return the request
   */
  public CountRequest missing(Missing policy) {
    return new CountRequest(columns, filters, frequency, policy, recodings);
  }

  /**
   * Returns a copy for other columns.
   *
   * @param others the columns, at least one
   * @return the request
   */
  CountRequest columns(List<String> others) {
    return new CountRequest(others, filters, frequency, missing, recodings);
  }

  /**
   * Returns a copy that recodes the values of a column.
   *
   * @param column the column, counted or filtered
   * @param recoding what its values are read as
   * @return the request
   */
  public CountRequest recode(String column, Recoding recoding) {
    Map<String, Recoding> more = new LinkedHashMap<>(recodings);
    more.merge(column, recoding, Recoding::then);
    return new CountRequest(columns, filters, frequency, missing, more);
  }

  /**
   * Returns a copy that recodes the columns that a codebook describes.
   *
   * @param codebook the codebook
   * @return the request
   */
  public CountRequest recode(Codebook codebook) {
    CountRequest recoded = this;
    for (Map.Entry<String, Recoding> column : codebook.recodings().entrySet()) {
      recoded = recoded.recode(column.getKey(), column.getValue());
    }
    return recoded;
  }
}
