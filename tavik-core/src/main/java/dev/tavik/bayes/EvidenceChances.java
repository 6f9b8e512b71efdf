package dev.tavik.bayes;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Beta;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;

/**
 * The chance, before there are data, that a Bayes factor will pass a threshold on either side,
 * summed over all outcomes.
 *
 * @param forAlternative the chance that it will reach the threshold for the alternative
 * @param forNull the chance that it will reach it for the null
 * @param neither the chance that it will stay between
 */
public record EvidenceChances(double forAlternative, double forNull, double neither) {
  /** Largest number of observations summed over. */
  public static final int MOST_OBSERVATIONS = 100_000;

  /**
   * The chances where the null is true, where the alternative is, and at a value of one's own.
   *
   * <p>The logarithm of the Bayes factor is convex in the successes, as that of a mixture of
   * exponentials is. So the outcomes that favour the null are one stretch, those that favour the
   * alternative one or two tails, whose ends are found by bisection.
   */
  public static final class Planned {
    /**
     * Number of standard deviations from the null beyond which a posterior lies wholly on one side.
     */
    private static final double WHOLLY = 40;

    private final long observations;
    private final Hypothesis hypothesis;
    private final BetaPrior prior;
    private final DecimalFraction against;

    /** The ends of what favours the alternative, from outside, and of what favours the null. */
    private final long low;

    private final long high;
    private final long from;
    private final long to;

    private Planned(
        long observations, Hypothesis hypothesis, BetaPrior prior, double logThreshold) {
      this.observations = observations;
      this.hypothesis = hypothesis;
      this.prior = prior;
      this.against = DecimalFraction.of(hypothesis.against());
      long least = Bisection.first(0, observations, x -> log(x + 1) >= log(x));
      this.low = Bisection.last(-1, least, x -> log(x) >= logThreshold);
      this.high =
          Bisection.first(Math.max(least, low + 1), observations + 1, x -> log(x) >= logThreshold);
      boolean any = log(least) <= -logThreshold;
      this.from = any ? Bisection.first(low + 1, least, x -> log(x) <= -logThreshold) : 0;
      this.to = any ? Bisection.last(least, high - 1, x -> log(x) <= -logThreshold) : -1;
    }

    private double log(long x) {
      return RateBayesFactor.log(Tally.of(x, observations), hypothesis, prior);
    }

    /**
     * Where the null is true.
     *
     * @return the chances
     */
    public EvidenceChances underNull() {
      return under(against);
    }

    /**
     * Where the rate has a value.
     *
     * @param rate the value, strictly between 0 and 1
     * @return the chances
     */
    public EvidenceChances under(double rate) {
      return under(DecimalFraction.of(rate));
    }

    private EvidenceChances under(DecimalFraction rate) {
      Binomial outcomes = new Binomial(observations, rate);
      double forAlternative =
          Math.exp(LogSpace.add(outcomes.logLower(low), outcomes.logUpper(high)));
      return from > to
          ? new EvidenceChances(forAlternative, 0, between(outcomes, low + 1, high - 1))
          : new EvidenceChances(
              forAlternative,
              between(outcomes, from, to),
              between(outcomes, low + 1, from - 1) + between(outcomes, to + 1, high - 1));
    }

    /** Of two tails on one side the difference, else what both leave. */
    private static double between(Binomial outcomes, long first, long last) {
      if (first > last) {
        return 0;
      }
      if (first > outcomes.mode()) {
        return Math.exp(outcomes.logUpper(first)) - Math.exp(outcomes.logUpper(last + 1));
      }
      if (last < outcomes.mode()) {
        return Math.exp(outcomes.logLower(last)) - Math.exp(outcomes.logLower(first - 1));
      }
      return -Math.expm1(LogSpace.add(outcomes.logLower(first - 1), outcomes.logUpper(last + 1)));
    }

    /**
     * Where the alternative is true, the rate drawn from the prior: the beta-binomial chances, for
     * a direction times the share of each posterior that lies there.
     *
     * @return the chances
     */
    public EvidenceChances underAlternative() {
      double a = prior.a();
      double b = prior.b();
      long start = Math.round(observations * (a / (a + b)));
      double[] sums = new double[3];
      double chance = Math.exp(logMarginal(start));
      add(sums, start, chance);
      double up = chance;
      for (long x = start; x < observations; x++) {
        up *= (observations - x) / (x + 1.0) * ((a + x) / (b + observations - x - 1));
        add(sums, x + 1, up);
      }
      double down = chance;
      for (long x = start; x > 0; x--) {
        down *= x / (observations - x + 1.0) * ((b + observations - x) / (a + x - 1));
        add(sums, x - 1, down);
      }
      // What rounding leaves of the sum of all chances, which is 1.
      double all = sums[0] + sums[1] + sums[2];
      return new EvidenceChances(sums[0] / all, sums[1] / all, sums[2] / all);
    }

    /**
     * The chance of a count with the whole prior, as its Bayes factor times that under the null.
     */
    private double logMarginal(long x) {
      return RateBayesFactor.log(x, observations - x, prior.a(), prior.b(), against)
          + new Binomial(observations, against).logMass(x);
    }

    private void add(double[] sums, long x, double chance) {
      int category = x <= low || x >= high ? 0 : x >= from && x <= to ? 1 : 2;
      sums[category] += chance == 0 ? 0 : chance * share(x);
    }

    /** The posterior's share on the alternative's side over the prior's. */
    private double share(long x) {
      Alternative alternative = hypothesis.alternative();
      if (alternative == Alternative.TWO_SIDED) {
        return 1;
      }
      double a = prior.a() + x;
      double b = prior.b() + observations - x;
      double away = a / (a + b) - against.value();
      double deviation = Math.sqrt(against.value() * against.complement() / (a + b));
      boolean less = alternative == Alternative.LESS;
      Beta before = new Beta(prior.a(), prior.b());
      double whole = Math.exp(less ? before.logLower(against) : before.logUpper(against));
      if (Math.abs(away) > WHOLLY * deviation + WHOLLY / (a + b)) {
        return (away < 0) == less ? 1 / whole : 0;
      }
      Beta after = new Beta(a, b);
      return Math.exp(less ? after.logLower(against) : after.logUpper(against)) / whole;
    }
  }

  /**
   * The Bayes factors of all outcomes that are possible.
   *
   * @param observations how many are planned, 1 to {@value #MOST_OBSERVATIONS}
   * @param hypothesis the null value and the alternative
   * @param prior what is believed of the proportion under the alternative
   * @param threshold how many times likelier one hypothesis is to be made, above 1
   * @return what gives the chances
   * @throws IllegalArgumentException if a number is out of its range
   */
  public static Planned planned(
      long observations, Hypothesis hypothesis, BetaPrior prior, double threshold) {
    require(
        observations >= 1 && observations <= MOST_OBSERVATIONS,
        "planned observations must be from 1 to %s, got %s",
        MOST_OBSERVATIONS,
        observations);
    require(
        threshold > 1 && threshold < Double.POSITIVE_INFINITY,
        "threshold must be above 1, such as 20: how many times likelier, got %s",
        threshold);
    return new Planned(observations, hypothesis, prior, Math.log(threshold));
  }
}
