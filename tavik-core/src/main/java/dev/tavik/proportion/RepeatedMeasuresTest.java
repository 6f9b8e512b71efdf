package dev.tavik.proportion;

import dev.tavik.count.MatchedTallies;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.TestResult;
import java.util.List;

/** Tests of whether the same units had successes equally often in several judgements. */
public enum RepeatedMeasuresTest implements Method {
  /**
   * Q = (k - 1)(k ΣG² - (ΣG)²)/(k ΣL - ΣL²) with G the successes of each judgement and L those of
   * each unit; chi-square with k - 1 degrees of freedom. With two judgements it is McNemar's test.
   */
  COCHRAN_Q(
      "cochran-q",
      "several judgements of the same units have the same rate",
      Exactness.APPROXIMATE,
      "Cochran 1950, Biometrika 37, 256-266");

  private final MethodInfo info;

  RepeatedMeasuresTest(String id, String description, Exactness exactness, String reference) {
    this.info = MethodInfo.of(id, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Makes the test.
   *
   * @param tallies the judgements
   * @return the result; without a statistic, and with p = 1, where all judgements of every unit are
   *     alike
   */
  public TestResult of(MatchedTallies tallies) {
    int k = tallies.names().size();
    List<Long> bySuccesses = tallies.bySuccesses();
    double room = 0;
    double successes = 0;
    for (int l = 0; l <= k; l++) {
      room += (double) l * (k - l) * bySuccesses.get(l);
      successes += (double) l * bySuccesses.get(l);
    }
    if (room == 0) {
      return TestResult.of(this, null, 0);
    }
    double spread = 0;
    for (int j = 0; j < k; j++) {
      double beyond = tallies.tally(j).successes() - successes / k;
      spread += beyond * beyond;
    }
    double statistic = (k - 1.0) * k * (spread / room);
    return TestResult.of(
            this,
            new TestResult.Statistic(TestResult.Statistic.Kind.Q, statistic),
            ChiSquare.logUpper(statistic, k - 1.0))
        .withDf(k - 1.0);
  }
}
