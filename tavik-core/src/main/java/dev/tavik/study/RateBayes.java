package dev.tavik.study;

import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.RateBayesFactor;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The Bayesian view of one rate.
 *
 * @param prior what was believed before the data
 * @param logBayesFactor ln of the Bayes factor, alternative over null
 * @param posteriors what is believed after the data: the whole, then for a directional alternative
 *     what is left of it on that side
 * @param probabilityAbove the posterior probability that the rate is above the null value
 * @param region the region of practical equivalence; null for none
 * @param probabilityInside its posterior probability; null for none
 * @param sensitivity the Bayes factor with other priors
 * @param followed the Bayes factor after each observation; null where no order was given
 * @param conclusion in words what the Bayes factor favours
 */
public record RateBayes(
    BetaPrior prior,
    double logBayesFactor,
    List<Posterior> posteriors,
    double probabilityAbove,
    BayesSettings.@Nullable Region region,
    @Nullable Double probabilityInside,
    List<Sensitivity> sensitivity,
    @Nullable FollowedRate followed,
    String conclusion) {
  private static final double ROUNDING = -Math.log10(0.9995);
  private static final double MOST_PLAIN = Math.log(999_500);
  private static final double[] EVEN = {0.5, 1, 2, 5, 20};
  private static final double[] AT_NULL = {2, 10, 50, 200};

  /** Copies the lists. */
  public RateBayes {
    posteriors = List.copyOf(posteriors);
    sensitivity = List.copyOf(sensitivity);
  }

  /**
   * What is believed after the data.
   *
   * @param truncated whether it is only what the alternative allows, renormalised
   * @param mean its mean
   * @param median its median
   * @param mode its most probable value; NaN where there is no single one
   * @param credible its intervals
   */
  public record Posterior(
      boolean truncated, double mean, double median, double mode, List<Credible> credible) {
    /** Copies the list. */
    public Posterior {
      credible = List.copyOf(credible);
    }

    private static Posterior of(BetaPosterior posterior, double level, Extent extent) {
      List<Credible> credible = new ArrayList<>(List.of(posterior.equalTailed(level)));
      if (extent == Extent.WHOLE) {
        posterior.highestDensity(level).ifPresent(credible::add);
      }
      return new Posterior(
          posterior.truncated(), posterior.mean(), posterior.median(), posterior.mode(), credible);
    }
  }

  /**
   * The Bayes factor with another prior.
   *
   * @param prior the prior
   * @param logBayesFactor its natural logarithm, alternative over null
   */
  public record Sensitivity(BetaPrior prior, double logBayesFactor) {}

  static RateBayes of(RateQuestion question, BayesSettings bayes, Extent extent) {
    Tally tally = question.tally();
    RateSettings settings = question.settings();
    OutcomeSequence sequence = question.sequence();
    Hypothesis hypothesis = settings.hypothesis();
    double against = hypothesis.against();
    double log = RateBayesFactor.log(tally, hypothesis, bayes.prior());
    BetaPosterior whole = bayes.prior().posterior(tally);
    List<Posterior> posteriors =
        new ArrayList<>(List.of(Posterior.of(whole, settings.level(), extent)));
    if (hypothesis.alternative() != Alternative.TWO_SIDED) {
      posteriors.add(
          Posterior.of(whole.within(hypothesis.alternative(), against), settings.level(), extent));
    }
    BayesSettings.Region region = bayes.region();
    return new RateBayes(
        bayes.prior(),
        log,
        posteriors,
        whole.above(against),
        region,
        region == null ? null : whole.inside(region.low(), region.high()),
        priors(against).stream()
            .distinct()
            .limit(extent == Extent.BRIEF ? 0 : Long.MAX_VALUE)
            .map(prior -> new Sensitivity(prior, RateBayesFactor.log(tally, hypothesis, prior)))
            .toList(),
        sequence == null
            ? null
            : FollowedRate.of(sequence, BayesFactorPath.of(sequence, hypothesis, bayes.prior())),
        words(log, hypothesis));
  }

  /** From wide to strong, around one half and around the null value. */
  private static List<BetaPrior> priors(double against) {
    List<BetaPrior> priors = new ArrayList<>();
    for (double each : EVEN) {
      priors.add(new BetaPrior(each, each));
    }
    for (double strength : AT_NULL) {
      double a = times(strength, against);
      double b = times(strength, DecimalFraction.complement(against));
      // Around a null value next to 0 or 1 a weak prior is next to none.
      if (Math.min(a, b) >= BetaPrior.LEAST_PARAMETER) {
        priors.add(new BetaPrior(a, b));
      }
    }
    return priors;
  }

  private static String words(double log, Hypothesis hypothesis) {
    String value = Figures.exactPercent(hypothesis.against());
    String alternative =
        switch (hypothesis.alternative()) {
          case TWO_SIDED -> "a rate other than " + value;
          case LESS -> "a rate below " + value;
          case GREATER -> "a rate above " + value;
        };
    return Likelier.words(log, alternative, "a rate of " + value);
  }

  /** In decimal, so that 10 times 0.92 is 9.2. */
  private static double times(double strength, double share) {
    return BigDecimal.valueOf(strength).multiply(BigDecimal.valueOf(share)).doubleValue();
  }

  /**
   * A Bayes factor as the number of times that one hypothesis makes the data likelier, above 1.
   *
   * @param logBayesFactor its natural logarithm, of either sign
   * @return such as {@code 6.30}, {@code 3.25e9} or {@code 4.13e403}
   */
  public static String times(double logBayesFactor) {
    double size = Math.abs(logBayesFactor);
    if (size < MOST_PLAIN) {
      return Figures.significant(Math.exp(size), 3);
    }
    double log10 = size / Math.log(10);
    // Half a unit of the last digit shown may carry over into the next power of ten.
    long power = (long) Math.floor(log10 + ROUNDING);
    return Figures.significant(Math.max(1, Math.pow(10, log10 - power)), 3) + "e" + power;
  }

  /**
   * Which hypothesis the Bayes factor favours.
   *
   * @return {@code null} or {@code alternative}
   */
  public String favours() {
    return logBayesFactor < 0 ? "null" : "alternative";
  }
}
