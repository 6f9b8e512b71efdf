package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import java.util.function.ToDoubleBiFunction;

/**
 * The binomial test in its variants. One-sided, all are the tail that includes the observed count,
 * but for mid-p, which counts that one half. Two-sided:
 *
 * <ul>
 *   <li>by probability (Sterne 1954, "Some remarks on confidence or fiducial limits", Biometrika
 *       41, 275-278): all outcomes no more probable than the observed one;
 *   <li>doubled: twice the smaller tail, at most 1;
 *   <li>Blaker (2000, "Confidence curves and improved exact confidence intervals for discrete
 *       distributions", Canadian Journal of Statistics 28, 783-798): the smaller tail and the
 *       largest opposite tail that is no larger;
 *   <li>mid-p (Lancaster 1961, "Significance tests in discrete distributions", Journal of the
 *       American Statistical Association 56, 223-234): twice the smaller one-sided value, at most
 *       1.
 * </ul>
 *
 * <p>Both tails are summed; neither is one minus the rest. Their ends are found by bisection.
 */
final class BinomialTest {
  /** Probabilities that differ by less, relatively, are tied: rounding must not decide. */
  private static final double LN_TIE = Math.log1p(1e-7);

  private static final double LN_2 = Math.log(2);

  private BinomialTest() {}

  static TestResult byProbability(Method method, Tally tally, Hypothesis hypothesis) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    long x = tally.successes();
    return result(method, x, logPValue(underNull, x, hypothesis.alternative()));
  }

  static TestResult doubled(Method method, Tally tally, Hypothesis hypothesis) {
    return result(
        method,
        tally,
        hypothesis,
        (underNull, x) -> LN_2 + Math.min(underNull.logLower(x), underNull.logUpper(x)));
  }

  static TestResult blaker(Method method, Tally tally, Hypothesis hypothesis) {
    return result(method, tally, hypothesis, BinomialTest::logAcceptability);
  }

  static TestResult midP(Method method, Tally tally, Hypothesis hypothesis) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    long x = tally.successes();
    double logPValue =
        logDoubled(logMidLower(underNull, x), logMidUpper(underNull, x), hypothesis.alternative());
    return result(method, x, logPValue);
  }

  /** The tail of the alternative; two-sided, twice the smaller one. */
  static double logDoubled(double lower, double upper, Alternative alternative) {
    return switch (alternative) {
      case LESS -> lower;
      case GREATER -> upper;
      case TWO_SIDED -> LN_2 + Math.min(lower, upper);
    };
  }

  /** ln(P(X &lt; x) + ½P(X = x)). */
  static double logMidLower(CountDistribution binomial, long x) {
    return LogSpace.add(binomial.logLower(x - 1), binomial.logMass(x) - LN_2);
  }

  /** ln(P(X &gt; x) + ½P(X = x)). */
  static double logMidUpper(CountDistribution binomial, long x) {
    return LogSpace.add(binomial.logUpper(x + 1), binomial.logMass(x) - LN_2);
  }

  private static TestResult result(
      Method method,
      Tally tally,
      Hypothesis hypothesis,
      ToDoubleBiFunction<Binomial, Long> twoSided) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    long x = tally.successes();
    Alternative alternative = hypothesis.alternative();
    double logPValue =
        switch (alternative) {
          case LESS -> underNull.logLower(x);
          case GREATER -> underNull.logUpper(x);
          case TWO_SIDED -> twoSided.applyAsDouble(underNull, x);
        };
    return result(method, x, logPValue);
  }

  private static TestResult result(Method method, long x, double logPValue) {
    return TestResult.of(
        method, new TestResult.Statistic(TestResult.Statistic.Kind.SUCCESSES, x), logPValue);
  }

  /** The counts at which the two tails of a p-value end; outside the support for an empty one. */
  record Ends(long lower, long upper) {}

  /** The tails that the test by probability adds up; where they meet, all counts are in one. */
  static Ends ends(CountDistribution underNull, long x, Alternative alternative) {
    long none = underNull.greatest() + 1;
    if (alternative != Alternative.TWO_SIDED) {
      return alternative == Alternative.LESS
          ? new Ends(x, none)
          : new Ends(underNull.least() - 1, x);
    }
    double limit = underNull.logMass(x) + LN_TIE;
    return underNull.logMass(underNull.mode()) <= limit
        ? new Ends(underNull.greatest(), none)
        : new Ends(underNull.lastBelowModeAtMost(limit), underNull.firstAboveModeAtMost(limit));
  }

  /** The p-value of the test by probability, under any distribution of counts. */
  static double logPValue(CountDistribution underNull, long x, Alternative alternative) {
    return switch (alternative) {
      case LESS -> underNull.logLower(x);
      case GREATER -> underNull.logUpper(x);
      case TWO_SIDED -> underNull.logNoMoreProbable(x, LN_TIE);
    };
  }

  private static double logAcceptability(Binomial underNull, long x) {
    double lower = underNull.logLower(x);
    double upper = underNull.logUpper(x);
    return lower <= upper
        ? LogSpace.add(lower, underNull.logUpper(underNull.firstUpperAtMost(lower + LN_TIE)))
        : LogSpace.add(upper, underNull.logLower(underNull.lastLowerAtMost(upper + LN_TIE)));
  }
}
