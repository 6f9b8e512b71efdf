package dev.tavik.survey;

import dev.tavik.result.Interval;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Holds a weighted two-way table of a designed sample.
 *
 * @param rows the names of its rows
 * @param columns the names of its columns
 * @param cells its cells, row by row
 * @param deviation how far the table is from independence
 * @param cramersV Cramér's V of the weighted table
 * @param cramersError its standard error; NaN without replicates, of which alone it is known
 */
public record DesignedTable(
    List<String> rows,
    List<String> columns,
    List<List<Cell>> cells,
    DesignedDeviation deviation,
    double cramersV,
    double cramersError) {
  /**
   * A cell.
   *
   * @param count how many rows of the data are in it, weights left aside
   * @param share its weighted share in the whole
   * @param residual how far it is from independence, in its own standard error by the design; NaN
   *     where that is 0
   * @param ofColumn its proportion in its column
   */
  public record Cell(long count, double share, double residual, DesignedProportion ofColumn) {}

  /** Copies the parts. */
  public DesignedTable {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    cells = List.copyOf(cells);
  }

  /**
   * {@return a cell}
   *
   * @param row its row, from 0
   * @param column its column, from 0
   */
  public Cell cell(int row, int column) {
    return cells.get(row).get(column);
  }

  /**
   * {@return the interval of Cramér's V, from replicates; null without them}
   *
   * @param level the confidence level, strictly between 0 and 1
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public @Nullable Interval ofStrength(double level) {
    return Double.isNaN(cramersError)
        ? null
        : SurveyComparisonInterval.replicated(cramersV, cramersError, deviation.df(), level);
  }
}
