package dev.tavik.bayes;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Hypothesis;

/**
 * How much likelier the data are under the alternative than under the null value of a proportion
 * (Jeffreys 1961, Theory of Probability, 5.1).
 *
 * <p>The ratio is that of the prior's and the posterior's height at the null value (Dickey and
 * Lientz 1970, Annals of Mathematical Statistics 41, 214-226), taken as a difference of logarithms
 * that don't grow with n; a directional alternative cuts the prior at the null value, which
 * multiplies by the ratio of the posterior's and the prior's probability on its side.
 */
public final class RateBayesFactor {
  private RateBayesFactor() {}

  /**
   * The natural logarithm of the Bayes factor, alternative over null.
   *
   * @param tally the data
   * @param hypothesis the null value and the alternative
   * @param prior what is believed of the proportion under the alternative
   * @return ln BF, to 10⁻¹¹ relatively or 10⁻¹³ absolutely
   */
  public static double log(Tally tally, Hypothesis hypothesis, BetaPrior prior) {
    DecimalFraction against = DecimalFraction.of(hypothesis.against());
    Beta before = new Beta(prior.a(), prior.b());
    Beta after = new Beta(prior.a() + tally.successes(), prior.b() + tally.failures());
    double start = before.logDensity(against);
    return switch (hypothesis.alternative()) {
      case TWO_SIDED -> start - after.logDensity(against);
      case LESS -> start + overDensity(after, against, true) - before.logLower(against);
      case GREATER -> start + overDensity(after, against, false) - before.logUpper(against);
    };
  }

  /**
   * ln of a tail over the density: of the smaller tail as a ratio, so that no large ones cancel.
   */
  private static double overDensity(Beta after, DecimalFraction against, boolean lower) {
    if (after.lowerIsSmaller(against) == lower) {
      return Math.log(after.smallerTailRatio(against))
          + Math.log(against.value())
          + Math.log(against.complement());
    }
    return (lower ? after.logLower(against) : after.logUpper(against)) - after.logDensity(against);
  }

  /** The two-sided one of successes and failures, the prior's parameters, and the null value. */
  static double log(long successes, long failures, double a, double b, DecimalFraction against) {
    return new Beta(a, b).logDensity(against)
        - new Beta(a + successes, b + failures).logDensity(against);
  }
}
