package dev.tavik.proportion;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Tally;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.Deviance;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic.Kind;
import java.util.List;

/**
 * Names the tests of one common proportion in several groups. Both are referred to chi-square with
 * one degree of freedom fewer than there are groups; without any successes, or any failures, there
 * is no statistic and p = 1.
 */
public enum HomogeneityTest implements Method {
  /**
   * Pearson's chi-square of the groups-by-outcome table (1900, Philosophical Magazine 50, 157-175).
   */
  PEARSON("pearson", "X² of all groups together", Exactness.APPROXIMATE, Kind.X2),
  /**
   * Twice the logarithm of the likelihood ratio (Wilks 1938, Annals of Mathematical Statistics 9,
   * 60-62).
   */
  LIKELIHOOD_RATIO("likelihood-ratio", "G² of all groups together", Exactness.APPROXIMATE, Kind.G2);

  private final MethodInfo info;
  private final Kind statistic;

  HomogeneityTest(String id, String description, Exactness exactness, Kind statistic) {
    this.info =
        MethodInfo.of(
            id, description, "Pearson 1900, Philosophical Magazine 50, 157-175", exactness);
    this.statistic = statistic;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests whether all groups can have the same proportion.
   *
   * @param groups the groups, at least two
   * @return the result
   * @throws IllegalArgumentException if there are fewer than two groups
   */
  public TestResult of(List<Tally> groups) {
    require(groups.size() >= 2, "groups must be at least two, got %s", groups.size());
    double successes = groups.stream().mapToLong(Tally::successes).sum();
    double total = groups.stream().mapToLong(Tally::trials).sum();
    double failures = total - successes;
    if (successes == 0 || failures == 0) {
      return TestResult.of(this, null, 0);
    }
    double sum = 0;
    for (Tally group : groups) {
      double away = group.successes() * (failures / total) - group.failures() * (successes / total);
      double expected = group.trials() * (successes / total);
      double others = group.trials() * (failures / total);
      sum +=
          this == PEARSON
              ? away * away * (1 / expected + 1 / others)
              : 2
                  * (cell(group.successes(), expected, away)
                      + cell(group.failures(), others, -away));
    }
    double df = groups.size() - 1.0;
    return TestResult.of(
            this, new TestResult.Statistic(statistic, sum), ChiSquare.logUpper(sum, df))
        .withDf(df);
  }

  private static double cell(long observed, double expected, double away) {
    return observed == 0 ? expected : Deviance.half((double) observed, expected, away);
  }
}
