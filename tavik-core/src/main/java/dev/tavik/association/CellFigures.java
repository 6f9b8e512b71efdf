package dev.tavik.association;

import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;

/**
 * What one count says beside its expectation.
 *
 * @param observed the count, O
 * @param expected what the null expects, E
 * @param pearsonResidual (O - E)/√E
 * @param adjustedResidual the residual divided by its own standard error, standard normal under the
 *     null; for a share (O - E)/√(E(1 - p))
 * @param contribution the square of the Pearson residual, this count's part of chi-square
 */
public record CellFigures(
    long observed,
    double expected,
    double pearsonResidual,
    double adjustedResidual,
    double contribution) {

  /**
   * The figures of one cell of a table, expected to be independent.
   *
   * @param table the counts
   * @param row the position of the row, from 0
   * @param column the position of the column, from 0
   * @return its figures; the adjusted residual is (O - E)/√(E(1 - R/N)(1 - C/N))
   */
  public static CellFigures of(CrossTable table, int row, int column) {
    double n = table.total();
    double expected = Independence.expected(table, row, column);
    double residual = Independence.excess(table, row, column) / Math.sqrt(expected);
    double others = (n - table.rowTotal(row)) / n * ((n - table.columnTotal(column)) / n);
    return new CellFigures(
        table.count(row, column),
        expected,
        residual,
        residual / Math.sqrt(others),
        residual * residual);
  }

  /**
   * The figures of one category.
   *
   * @param counts the counts
   * @param shares one share a category
   * @param category its position, from 0
   * @return its figures
   * @throws IllegalArgumentException if there isn't one share a category
   */
  public static CellFigures of(CategoryCounts counts, Shares shares, int category) {
    SharesTest.requireOneEach(counts, shares);
    long observed = counts.counts().get(category);
    double expected = shares.expected(category, counts.total());
    double excess = shares.excess(category, observed, counts.total());
    double others = (counts.total() - expected) / counts.total();
    double residual = excess / Math.sqrt(expected);
    return new CellFigures(
        observed, expected, residual, residual / Math.sqrt(others), residual * residual);
  }
}
