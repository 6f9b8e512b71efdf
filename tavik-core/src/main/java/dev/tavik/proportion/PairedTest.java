package dev.tavik.proportion;

import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.TestResult;

/**
 * Names the tests of no difference between two proportions of the same units. Only the discordant
 * pairs count: if there is no difference, each is as likely to fall one way as the other (McNemar
 * 1947, "Note on the sampling error of the difference between correlated proportions or
 * percentages", Psychometrika 12, 153-157). Without discordant pairs there is no statistic, and p =
 * 1.
 */
public enum PairedTest implements Method {
  /** z = (b - c) / √(b + c); its square is McNemar's chi-square. */
  MCNEMAR(
      "mcnemar",
      "z = (b - c)/√(b + c) of the discordant pairs",
      Exactness.APPROXIMATE,
      "McNemar 1947, Psychometrika 12, 153-157"),
  /** The same with b - c moved by 1 for continuity; two-sided never past 0. */
  MCNEMAR_CC(
      "mcnemar-cc",
      "mcnemar with b - c moved by 1 against the alternative",
      Exactness.APPROXIMATE,
      "Edwards 1948, Psychometrika 13, 185-187"),
  /** The binomial test of b out of b + c against one half. */
  MCNEMAR_EXACT(
      "mcnemar-exact",
      "binomial test of the discordant pairs",
      Exactness.EXACT,
      "McNemar 1947, Psychometrika 12, 153-157"),
  /** The same with the observed count taken half. */
  MCNEMAR_MID_P(
      "mcnemar-mid-p",
      "binomial test of the discordant pairs, half of the observed probability",
      Exactness.NEARLY_EXACT,
      "Fagerland, Lydersen and Laake 2013, BMC Medical Research Methodology 13, 91");

  private static final double HALF = 0.5;

  private final MethodInfo info;

  PairedTest(String id, String description, Exactness exactness, String reference) {
    this.info = MethodInfo.of(id, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests whether both proportions are equal.
   *
   * @param tally the paired counts
   * @param alternative the direction, of the first against the second
   * @return the result
   */
  public TestResult of(PairedTally tally, Alternative alternative) {
    if (tally.discordant() == 0) {
      boolean half = this == MCNEMAR_MID_P && alternative != Alternative.TWO_SIDED;
      return TestResult.of(this, null, half ? Math.log(0.5) : 0);
    }
    double away = tally.firstOnly() - tally.secondOnly();
    double error = Math.sqrt((double) tally.discordant());
    return switch (this) {
      case MCNEMAR -> TwoProportionZ.result(this, away, error, alternative);
      case MCNEMAR_CC -> TwoProportionZ.result(this, moved(away, alternative), error, alternative);
      case MCNEMAR_EXACT -> binomial(ProportionTest.EXACT, tally, alternative);
      case MCNEMAR_MID_P -> binomial(ProportionTest.MID_P, tally, alternative);
    };
  }

  private static double moved(double away, Alternative alternative) {
    return switch (alternative) {
      case TWO_SIDED -> Math.copySign(Math.max(0, Math.abs(away) - 1), away);
      case LESS -> away + 1;
      case GREATER -> away - 1;
    };
  }

  private TestResult binomial(ProportionTest test, PairedTally tally, Alternative alternative) {
    TestResult result =
        test.of(Tally.of(tally.firstOnly(), tally.discordant()), new Hypothesis(HALF, alternative));
    return new TestResult(
        this, result.statistic(), null, result.pValue(), result.log10PValue(), null, null);
  }
}
