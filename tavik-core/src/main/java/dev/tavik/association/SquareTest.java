package dev.tavik.association;

import dev.tavik.count.SquareTable;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.result.TestResult;

/**
 * Tests of a square table, in which the same units were classified twice by the same levels: do
 * moves from one level to another balance those back?
 */
public enum SquareTest {
  /**
   * Σ (nᵢⱼ - nⱼᵢ)²/(nᵢⱼ + nⱼᵢ) over the pairs of levels with observations, whose number is the
   * degrees of freedom.
   */
  BOWKER("bowker", "Bowker 1948, Journal of the American Statistical Association 43, 572-574");

  private final String id;
  private final String reference;

  SquareTest(String id, String reference) {
    this.id = id;
    this.reference = reference;
  }

  /**
   * Tests whether the table is symmetric.
   *
   * @param square the counts
   * @return the result; without a statistic, and with p = 1, where no unit changed its level
   */
  public TestResult of(SquareTable square) {
    double statistic = 0;
    int pairs = 0;
    for (int i = 0; i < square.levels().size(); i++) {
      for (int j = 0; j < i; j++) {
        double moved = square.count(i, j) + square.count(j, i);
        if (moved > 0) {
          double surplus = square.count(i, j) - square.count(j, i);
          statistic += surplus * surplus / moved;
          pairs++;
        }
      }
    }
    return pairs == 0
        ? TestResult.of(id, null, 0)
        : TestResult.of(
                id, new TestResult.Statistic("X2", statistic), ChiSquare.logUpper(statistic, pairs))
            .withDf(pairs);
  }

  /**
   * The public id.
   *
   * @return such as {@code bowker}
   */
  public String id() {
    return id;
  }

  /**
   * Where the test was published.
   *
   * @return author, year, journal, volume, pages
   */
  public String reference() {
    return reference;
  }
}
