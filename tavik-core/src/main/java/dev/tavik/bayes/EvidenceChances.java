package dev.tavik.bayes;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Hypothesis;

/**
 * Before any data: the chance that a Bayes factor will pass a threshold on either side, summed over
 * all outcomes.
 *
 * @param forAlternative the chance that it will reach the threshold for the alternative
 * @param forNull the chance that it will reach it for the null
 * @param neither the chance that it will stay between
 */
public record EvidenceChances(double forAlternative, double forNull, double neither) {
  /** So many observations are summed over at most. */
  public static final int MOST_OBSERVATIONS = 100_000;

  /** The chances where the null is true, where the alternative is, and at a value of one's own. */
  public static final class Planned {
    private final double[] logBayesFactors;
    private final DecimalFraction against;
    private final double logThreshold;

    private Planned(double[] logBayesFactors, DecimalFraction against, double logThreshold) {
      this.logBayesFactors = logBayesFactors;
      this.against = against;
      this.logThreshold = logThreshold;
    }

    /**
     * Where the null is true.
     *
     * @return the chances
     */
    public EvidenceChances underNull() {
      return under(against, false);
    }

    /**
     * Where the alternative is true, the rate drawn from the prior.
     *
     * @return the chances
     */
    public EvidenceChances underAlternative() {
      // The Bayes factor of an outcome is its chance under the alternative over that under the
      // null.
      return under(against, true);
    }

    /**
     * Where the rate has a value.
     *
     * @param rate the value, strictly between 0 and 1
     * @return the chances
     */
    public EvidenceChances under(double rate) {
      return under(DecimalFraction.of(rate), false);
    }

    private EvidenceChances under(DecimalFraction rate, boolean weighted) {
      Binomial outcomes = new Binomial(logBayesFactors.length - 1L, rate);
      double forAlternative = 0;
      double forNull = 0;
      double neither = 0;
      for (int x = 0; x < logBayesFactors.length; x++) {
        double log = logBayesFactors[x];
        double chance = Math.exp(outcomes.logMass(x) + (weighted ? log : 0));
        if (log >= logThreshold) {
          forAlternative += chance;
        } else if (log <= -logThreshold) {
          forNull += chance;
        } else {
          neither += chance;
        }
      }
      return new EvidenceChances(forAlternative, forNull, neither);
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
    if (observations < 1 || observations > MOST_OBSERVATIONS) {
      throw new IllegalArgumentException(
          "planned observations must be from 1 to " + MOST_OBSERVATIONS + ", got " + observations);
    }
    if (!(threshold > 1 && threshold < Double.POSITIVE_INFINITY)) {
      throw new IllegalArgumentException(
          "threshold must be above 1, such as 20: how many times likelier, got " + threshold);
    }
    double[] logs = new double[(int) observations + 1];
    for (int x = 0; x < logs.length; x++) {
      logs[x] = RateBayesFactor.log(Tally.of(x, observations), hypothesis, prior);
    }
    return new Planned(logs, DecimalFraction.of(hypothesis.against()), Math.log(threshold));
  }
}
