package dev.tavik.association;

import dev.tavik.count.SquareTable;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.List;

/**
 * The tests of a square table, in which the same units were classified twice by the same levels:
 * are moves from one level to another as frequent as moves back?
 */
public enum SquareTest implements Method {
  /**
   * Σ (nᵢⱼ - nⱼᵢ)²/(nᵢⱼ + nⱼᵢ) over the pairs of levels with observations, whose number is the
   * degrees of freedom.
   */
  BOWKER(
      "bowker",
      "moves from level to level balance those back",
      Exactness.APPROXIMATE,
      "Bowker 1948, Journal of the American Statistical Association 43, 572-574"),
  /**
   * The tables no more probable than the observed one, given how many units each pair of levels
   * exchanged; of two levels McNemar's exact test.
   */
  EXACT_SYMMETRY(
      "exact-symmetry",
      "the same, exactly, given how many units each pair of levels exchanged",
      Exactness.EXACT,
      "Bowker 1948, the same null, by its exact chances");

  private final MethodInfo info;

  SquareTest(String id, String description, Exactness exactness, String reference) {
    this.info = MethodInfo.of(id, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests whether the table is symmetric.
   *
   * @param square the counts
   * @return the result; without a statistic, and with p = 1, where no unit changed its level
   * @throws dev.tavik.result.NotApplicableException if the exact test would list too many tables
   */
  public TestResult of(SquareTable square) {
    return this == BOWKER ? bowker(square) : exact(square);
  }

  private TestResult exact(SquareTable square) {
    List<Long> one = new ArrayList<>();
    List<Long> moved = new ArrayList<>();
    for (int i = 0; i < square.levels().size(); i++) {
      for (int j = 0; j < i; j++) {
        if (square.count(i, j) + square.count(j, i) > 0) {
          one.add(square.count(i, j));
          moved.add(square.count(i, j) + square.count(j, i));
        }
      }
    }
    return TestResult.of(this, null, moved.isEmpty() ? 0 : ExactSymmetry.logP(one, moved));
  }

  private TestResult bowker(SquareTable square) {
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
                new TestResult.Statistic(TestResult.Statistic.Kind.X2, statistic),
                ChiSquare.logUpper(statistic, pairs))
            .withDf(pairs);
  }
}
