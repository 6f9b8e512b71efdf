package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.RateBayesFactor;
import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;

/**
 * The Bayes factor of one rate is to reach a threshold for the alternative, or, where the null
 * value itself is expected, for the null. The effect is the rate; power the chance to get there,
 * size the chance to be misled as strongly for the alternative where the null is true.
 *
 * <p>Exact: the Bayes factor falls with the count up to one place and rises from there, so that the
 * counts that reach the threshold are two tails (for the null, what is between two counts), found
 * by bisection, asking {@link RateBayesFactor}.
 *
 * @param hypothesis the null value, strictly between 0 and 1, and the direction
 * @param prior what is believed of the rate under the alternative
 * @param threshold how many times likelier one hypothesis is to be made, above 1
 */
public record EvidenceDesign(Hypothesis hypothesis, BetaPrior prior, double threshold)
    implements BayesFactorDesign {
  private static final long MOST_OBSERVATIONS = 10_000_000;
  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

  /** Sample size beyond which an exact search for n takes more than a few seconds. */
  private static final long MOST_SEARCHED = 65_536;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   */
  public EvidenceDesign {
    Proportion.require("against", hypothesis.against());
    require(
        threshold > 1 && threshold < Double.POSITIVE_INFINITY,
        "threshold must be above 1, such as 20: how many times likelier, got %s",
        threshold);
  }

  @Override
  public Alternative alternative() {
    return hypothesis.alternative();
  }

  @Override
  public double statedFrom() {
    return hypothesis.against();
  }

  @Override
  public EffectRange effects() {
    return EffectRange.ofRate(hypothesis.against());
  }

  @Override
  public long searchedTo() {
    return MOST_SEARCHED;
  }

  @Override
  public long swing() {
    double rarer = Math.min(hypothesis.against(), 1 - hypothesis.against());
    return Math.max(50, (long) (3 / rarer));
  }

  @Override
  public Power at(Sizes sizes) {
    if (sizes.first() > MOST_OBSERVATIONS) {
      throw new NotApplicableException(
          NotApplicableReason.TOO_MANY_OBSERVATIONS, MOST_OBSERVATIONS, sizes.first());
    }
    return new Reached(sizes.first());
  }

  private final class Reached implements Power {
    private final long n;
    private final long low;
    private final long high;
    private final long nullFrom;
    private final long nullTo;

    Reached(long n) {
      this.n = n;
      double wanted = Math.log(threshold);
      long bottom = bottom(n);
      low = Bisection.last(-1, bottom, x -> log(x) >= wanted);
      high = Bisection.first(Math.max(bottom, low + 1), n + 1, x -> log(x) >= wanted);
      // If even the minimum isn't low enough, no count is.
      boolean any = log(bottom) <= -wanted;
      nullFrom = any ? Bisection.first(0, bottom, x -> log(x) <= -wanted) : 1;
      nullTo = any ? Bisection.last(bottom, n, x -> log(x) <= -wanted) : 0;
    }

    private double log(long x) {
      return RateBayesFactor.log(Tally.of(x, n), hypothesis, prior);
    }

    /** The count at which the Bayes factor is least, by golden sections. */
    private long bottom(long trials) {
      long from = 0;
      long to = trials;
      while (to - from > 3) {
        long left = to - (long) (GOLDEN * (to - from));
        long right = from + (long) (GOLDEN * (to - from));
        if (left >= right) {
          right = left + 1;
        }
        if (log(left) <= log(right)) {
          to = right;
        } else {
          from = left;
        }
      }
      long best = from;
      for (long x = from; x <= to; x++) {
        best = log(x) < log(best) ? x : best;
      }
      return best;
    }

    @Override
    public double at(double effect) {
      if (effect != hypothesis.against()) {
        return forAlternative(effect);
      }
      Binomial counts = new Binomial(n, DecimalFraction.of(effect));
      double outside =
          Math.exp(counts.logLower(nullFrom - 1)) + Math.exp(counts.logUpper(nullTo + 1));
      return nullFrom > nullTo ? 0 : Math.max(0, 1 - outside);
    }

    private double forAlternative(double rate) {
      Binomial counts = new Binomial(n, DecimalFraction.of(rate));
      return Math.min(1, Math.exp(counts.logLower(low)) + Math.exp(counts.logUpper(high)));
    }

    @Override
    public double size() {
      return forAlternative(hypothesis.against());
    }
  }
}
