package dev.tavik.association;

import dev.tavik.count.SquareTable;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.result.Basis;
import dev.tavik.result.Card;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * Names the tests of a square table, in which the same units were classified twice by the same
 * levels: do moves from one level to another balance those back?
 */
public enum SquareTest implements Method {
  /**
   * Σ (nᵢⱼ - nⱼᵢ)²/(nᵢⱼ + nⱼᵢ) over the pairs of levels with observations, whose number is the
   * degrees of freedom.
   */
  BOWKER(
      "bowker",
      "moves from level to level balance those back",
      Basis.APPROXIMATE,
      "Bowker 1948, Journal of the American Statistical Association 43, 572-574");

  private final Card card;

  SquareTest(String id, String description, Basis basis, String reference) {
    this.card = Card.of(id, description, reference, basis);
  }

  @Override
  public Card card() {
    return card;
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
        ? TestResult.of(this, null, 0)
        : TestResult.of(
                this,
                new TestResult.Statistic("X2", statistic),
                ChiSquare.logUpper(statistic, pairs))
            .withDf(pairs);
  }
}
