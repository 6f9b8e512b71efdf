package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;

/**
 * The Bayes factor of two rates against one common rate is to reach a threshold for a difference,
 * or, where the base rate is expected in both groups, for equality. The effect is the rate of the
 * second group; size is the chance to be misled for a difference where both have the base rate.
 *
 * <p>Exact: for each count of the first group the Bayes factor falls with the second's up to one
 * place and rises from there, and all four ends only move up with the first count, so that one walk
 * finds them, asking {@link ComparedRates#logBayesFactor}.
 *
 * @param base the rate of the first group, strictly between 0 and 1
 * @param prior what is believed of each rate, and of the common one
 * @param threshold how many times likelier one hypothesis is to be made, above 1
 * @param allocation the second group's size over the first's, above 0
 */
public record ComparedEvidenceDesign(
    double base, BetaPrior prior, double threshold, double allocation)
    implements BayesFactorDesign {
  private static final long MOST_UNITS = 20_000;

  /** Sample size beyond which an exact search for n takes more than a few seconds. */
  private static final long MOST_SEARCHED = 1024;

  /** Counts less likely than this, below the most likely, are left out. */
  private static final double NEVER = -37;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   */
  public ComparedEvidenceDesign {
    Proportion.require("base", base);
    require(
        threshold > 1 && threshold < Double.POSITIVE_INFINITY,
        "threshold must be above 1, such as 20: how many times likelier, got %s",
        threshold);
    Sizes.requireAllocation(allocation);
  }

  @Override
  public Alternative alternative() {
    return Alternative.TWO_SIDED;
  }

  @Override
  public double statedFrom() {
    return base;
  }

  @Override
  public EffectRange effects() {
    return EffectRange.ofRate(base);
  }

  @Override
  public Sizes sizes(double first) {
    return Sizes.allocated(first, allocation);
  }

  @Override
  public long swing() {
    return Math.max(20, (long) (1 / Math.min(base, 1 - base)));
  }

  @Override
  public long searchedTo() {
    return MOST_SEARCHED;
  }

  @Override
  public Power at(Sizes sizes) {
    if (sizes.total() > MOST_UNITS) {
      throw new NotApplicableException(
          NotApplicableReason.TOO_MANY_PAIRS_OF_COUNTS, MOST_UNITS, sizes.total());
    }
    return new Reached(sizes.groups().get(0).intValue(), sizes.groups().get(1).intValue());
  }

  /** Where the counts of the second group begin and end to matter, for each of the first. */
  private final class Reached implements Power {
    private final int first;
    private final int second;
    private final int[] low;
    private final int[] high;
    private final int[] nullFrom;
    private final int[] nullTo;

    Reached(int first, int second) {
      this.first = first;
      this.second = second;
      this.low = new int[first + 1];
      this.high = new int[first + 1];
      this.nullFrom = new int[first + 1];
      this.nullTo = new int[first + 1];
      double wanted = Math.log(threshold);
      int below = -1;
      int above = 0;
      int from = 0;
      int to = -1;
      for (int x = 0; x <= first; x++) {
        int middle = (int) Math.min(second, Math.round((double) x * second / first));
        while (below + 1 < middle && log(x, below + 1) >= wanted) {
          below++;
        }
        above = Math.max(above, middle + 1);
        while (above <= second && log(x, above) < wanted) {
          above++;
        }
        while (from < middle && log(x, from) > -wanted) {
          from++;
        }
        to = Math.max(to, from - 1);
        while (to < second && log(x, to + 1) <= -wanted) {
          to++;
        }
        low[x] = below;
        high[x] = above;
        nullFrom[x] = from;
        nullTo[x] = log(x, from) <= -wanted ? to : from - 1;
      }
    }

    private double log(int x, int y) {
      return ComparedRates.logBayesFactor(
          Tally.of(x, first), Tally.of(y, second), Alternative.TWO_SIDED, prior);
    }

    @Override
    public double at(double effect) {
      return effect == base ? sum(base, true) : sum(effect, false);
    }

    @Override
    public double size() {
      return sum(base, false);
    }

    private double sum(double effect, boolean forNull) {
      Binomial ones = new Binomial(first, DecimalFraction.of(base));
      Binomial twos = new Binomial(second, DecimalFraction.of(effect));
      double top = ones.logMass(ones.mode()) + NEVER;
      int greatest = (int) ones.firstAboveModeAtMost(top) - 1;
      double sum = 0;
      for (int x = (int) ones.lastBelowModeAtMost(top) + 1; x <= greatest; x++) {
        sum += Math.exp(ones.logMass(x)) * chance(twos, x, forNull);
      }
      return Math.min(1, sum);
    }

    private double chance(Binomial twos, int x, boolean forNull) {
      if (forNull) {
        return nullFrom[x] > nullTo[x]
            ? 0
            : Math.max(
                0,
                1
                    - Math.exp(twos.logLower(nullFrom[x] - 1))
                    - Math.exp(twos.logUpper(nullTo[x] + 1)));
      }
      return Math.exp(twos.logLower(low[x])) + Math.exp(twos.logUpper(high[x]));
    }
  }
}
