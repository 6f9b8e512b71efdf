package dev.tavik.study.cross;

import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.result.Significance;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.stream.Stream;

/**
 * Whether a test of a table could have rejected: Pearson's at the largest statistic that so many
 * units can have, N (min(r, c) - 1), Fisher's of two rows and columns at both ends of its margins.
 * Any other test is assumed to be able to.
 */
record CrossReach(CrossTable table, TestResult test, CrossSettings settings) {
  boolean possible() {
    if (test.method() == TableTest.PEARSON) {
      int rows = table.rows().size();
      int columns = table.columns().size();
      double largest = (double) table.total() * (Math.min(rows, columns) - 1);
      double logP = ChiSquare.logUpper(largest, (rows - 1) * (columns - 1));
      return Significance.reached(Math.exp(logP), settings.alpha());
    }
    return test.method() != TableTest.FISHER || !table.twoByTwo() || atTheEnds();
  }

  private boolean atTheEnds() {
    List<List<Long>> cells = table.cells();
    long row = cells.get(0).get(0) + cells.get(0).get(1);
    long other = cells.get(1).get(0) + cells.get(1).get(1);
    long column = cells.get(0).get(0) + cells.get(1).get(0);
    return Stream.of(Math.max(0, column - other), Math.min(row, column))
        .map(
            first ->
                CrossTable.of(
                    new long[][] {{first, row - first}, {column - first, other - column + first}}))
        .anyMatch(each -> TableTest.FISHER.of(each).rejects(settings.alpha()));
  }
}
