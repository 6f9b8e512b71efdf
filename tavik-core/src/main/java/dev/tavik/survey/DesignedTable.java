package dev.tavik.survey;

import dev.tavik.result.Interval;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Holds a weighted two-way table of a designed sample.
 *
 * @param rows the names of its rows
 * @param columns the names of its columns
 * @param counts how many rows of the data are in each cell, weights left aside
 * @param shares the weighted share of each cell in the whole
 * @param residuals how far each cell is from independence, in its own standard errors by the
 *     design; NaN where that is 0
 * @param ofColumn the proportion of each cell in its column
 * @param deviation how far the table is from independence
 * @param cramersV Cramér's V of the weighted table
 * @param strength its standard error; NaN without replicates, of which alone it is known
 */
public record DesignedTable(
    List<String> rows,
    List<String> columns,
    List<List<Long>> counts,
    List<List<Double>> shares,
    List<List<Double>> residuals,
    List<List<DesignedProportion>> ofColumn,
    DesignedDeviation deviation,
    double cramersV,
    double strength) {
  /**
   * Copies the parts.
   *
   * @param rows the names of its rows
   * @param columns the names of its columns
   * @param counts how many rows of the data are in each cell, weights left aside
   * @param shares the weighted share of each cell in the whole
   * @param residuals how far each cell is from independence, in its own standard errors by the
   *     design
   * @param ofColumn the proportion of each cell in its column
   * @param deviation how far the table is from independence
   * @param cramersV Cramér's V of the weighted table
   * @param strength its standard error
   */
  public DesignedTable {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    counts = List.copyOf(counts);
    shares = List.copyOf(shares);
    residuals = List.copyOf(residuals);
    ofColumn = List.copyOf(ofColumn);
  }

  /**
   * {@return the interval of Cramér's V, from replicates; null without them}
   *
   * @param level the confidence level, strictly between 0 and 1
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public @Nullable Interval ofStrength(double level) {
    return Double.isNaN(strength)
        ? null
        : SurveyComparisonInterval.replicated(cramersV, strength, deviation.df(), level);
  }
}
