package dev.tavik.simulation;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;
import java.util.HashMap;
import java.util.Map;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;
import org.jspecify.annotations.Nullable;

/**
 * How methods behave over all outcomes of a sample of given size: the true coverage of an interval
 * and the true chance that a test rejects, each outcome weighted by its binomial probability
 * (Brown, Cai and DasGupta 2001, "Interval estimation for a binomial proportion", Statistical
 * Science 16, 101-133). Only of two large groups pairs of outcomes are drawn. Outcomes are computed
 * once and kept, so that many proportions are looked at for little more than one.
 */
public final class Performance {
  /** Largest number of pairs of outcomes that are enumerated; of more a sample is drawn. */
  public static final long MOST_PAIRS = 400_000;

  /** Number of pairs that are drawn if there are more. */
  public static final int DRAWN = 100_000;

  /** The seed of these draws. */
  public static final long SEED = 1;

  /** Largest number of trials of one group that is enumerated. */
  public static final long MOST_TRIALS = 20_000;

  /**
   * Number of standard deviations beyond which outcomes are left out; together they have a
   * probability below 10⁻¹³.
   */
  private static final double NEVER = -37;

  private final long first;
  private final long second;
  private final Map<String, Interval> intervals = new HashMap<>();
  private final Map<String, Boolean> rejections = new HashMap<>();

  private Performance(long first, long second) {
    this.first = first;
    this.second = second;
  }

  /**
   * Of one rate.
   *
   * @param trials the size of the sample, 1 to {@value #MOST_TRIALS}
   * @return what tells how methods behave
   * @throws IllegalArgumentException if the size is out of its range
   */
  public static Performance ofRate(long trials) {
    return new Performance(requireTrials(trials), 0);
  }

  /**
   * Of two groups.
   *
   * @param first the size of the first, 1 to {@value #MOST_TRIALS}
   * @param second the size of the second
   * @return what tells how methods behave
   * @throws IllegalArgumentException if a size is out of its range
   */
  public static Performance ofComparison(long first, long second) {
    return new Performance(requireTrials(first), requireTrials(second));
  }

  private static long requireTrials(long trials) {
    require(
        trials >= 1 && trials <= MOST_TRIALS,
        "n must be from 1 to %s, whose outcomes can all be enumerated, got %s",
        MOST_TRIALS,
        trials);
    return trials;
  }

  /**
   * How an interval behaves.
   *
   * @param coverage the chance that it holds the true value
   * @param below the chance that it lies wholly below
   * @param above the chance that it lies wholly above
   * @param length its mean length; infinite where it may be unbounded
   */
  public record Coverage(double coverage, double below, double above, double length) {}

  private static long[] span(Binomial outcomes) {
    double top = outcomes.logMass(outcomes.mode()) + NEVER;
    return new long[] {
      outcomes.lastBelowModeAtMost(top) + 1, outcomes.firstAboveModeAtMost(top) - 1
    };
  }

  private static Binomial outcomes(long trials, double p) {
    Proportion.require("p", p);
    return new Binomial(trials, DecimalFraction.of(p));
  }

  /**
   * An interval of one rate.
   *
   * @param method the interval
   * @param level its confidence level, strictly between 0 and 1
   * @param p the true rate, strictly between 0 and 1
   * @return how it behaves
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Coverage of(ProportionInterval method, double level, double p) {
    Binomial outcomes = outcomes(first, p);
    long[] span = span(outcomes);
    Sum sum = new Sum();
    for (long x = span[0]; x <= span[1]; x++) {
      Tally tally = Tally.of(x, first);
      Interval interval =
          intervals.computeIfAbsent(method.id() + level + " " + x, key -> method.of(tally, level));
      sum.add(interval, p, Math.exp(outcomes.logMass(x)));
    }
    return sum.coverage();
  }

  /**
   * A test of one rate: its size, where the true rate is the null value, else its power.
   *
   * @param method the test
   * @param hypothesis the null value and the alternative
   * @param alpha the significance level
   * @param p the true rate, strictly between 0 and 1
   * @return the chance that it rejects
   * @throws IllegalArgumentException if a value is out of its range
   */
  public double rejects(ProportionTest method, Hypothesis hypothesis, double alpha, double p) {
    Binomial outcomes = outcomes(first, p);
    long[] span = span(outcomes);
    double sum = 0;
    for (long x = span[0]; x <= span[1]; x++) {
      Tally tally = Tally.of(x, first);
      boolean rejects =
          rejections.computeIfAbsent(
              method.id() + hypothesis + alpha + " " + x,
              key -> method.of(tally, hypothesis).rejects(alpha));
      sum += rejects ? Math.exp(outcomes.logMass(x)) : 0;
    }
    return sum;
  }

  private static final class Sum {
    private double within;
    private double below;
    private double above;
    private double length;

    void add(Interval interval, double truth, double chance) {
      if (interval.upper() < truth) {
        below += chance;
      } else if (interval.lower() > truth) {
        above += chance;
      } else {
        within += chance;
      }
      length += chance * (interval.upper() - interval.lower());
    }

    Coverage coverage() {
      return new Coverage(within, below, above, length);
    }
  }

  private interface Each {
    void take(Tally one, Tally two, double chance);
  }

  private static long pairs(long[] spanOne, long[] spanTwo) {
    return (spanOne[1] - spanOne[0] + 1) * (spanTwo[1] - spanTwo[0] + 1);
  }

  /**
   * Whether two groups at these rates have too many pairs of outcomes to enumerate, so that a
   * sample is drawn.
   *
   * @param p1 the true first rate, strictly between 0 and 1
   * @param p2 the true second rate
   * @return whether {@value #DRAWN} pairs are drawn, from seed {@value #SEED}
   */
  public boolean draws(double p1, double p2) {
    return pairs(span(outcomes(first, p1)), span(outcomes(second, p2))) > MOST_PAIRS;
  }

  private void drawn(double p1, double p2, Each each) {
    XoShiRo256PlusPlus random = Engine.generator(SEED);
    for (int i = 0; i < DRAWN; i++) {
      each.take(
          Tally.of(CountDraws.binomial(random, first, p1), first),
          Tally.of(CountDraws.binomial(random, second, p2), second),
          1.0 / DRAWN);
    }
  }

  private void pairs(double p1, double p2, Each each) {
    Binomial ones = outcomes(first, p1);
    Binomial twos = outcomes(second, p2);
    long[] spanOne = span(ones);
    long[] spanTwo = span(twos);
    if (pairs(spanOne, spanTwo) > MOST_PAIRS) {
      drawn(p1, p2, each);
      return;
    }
    for (long x = spanOne[0]; x <= spanOne[1]; x++) {
      double chance = Math.exp(ones.logMass(x));
      Tally one = Tally.of(x, first);
      for (long y = spanTwo[0]; y <= spanTwo[1]; y++) {
        each.take(one, Tally.of(y, second), chance * Math.exp(twos.logMass(y)));
      }
    }
  }

  /**
   * An interval of two rates.
   *
   * @param method the interval
   * @param level its confidence level, strictly between 0 and 1
   * @param p1 the true first rate, strictly between 0 and 1
   * @param p2 the true second rate
   * @return how it behaves
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Coverage of(ComparisonInterval method, double level, double p1, double p2) {
    double truth =
        switch (method.quantity()) {
          case DIFFERENCE -> p1 - p2;
          case RATIO -> p1 / p2;
          default -> p1 * (1 - p2) / (p2 * (1 - p1));
        };
    Sum sum = new Sum();
    pairs(p1, p2, (one, two, chance) -> sum.add(method.of(one, two, level), truth, chance));
    return sum.coverage();
  }

  /**
   * A test of two rates: its size where both are equal, else its power.
   *
   * @param method the test
   * @param hypothesis the null difference and the alternative
   * @param alpha the significance level
   * @param p1 the true first rate, strictly between 0 and 1
   * @param p2 the true second rate
   * @return the chance that it rejects
   * @throws IllegalArgumentException if a value is out of its range
   */
  public double rejects(
      TwoProportionTest method, Hypothesis hypothesis, double alpha, double p1, double p2) {
    double[] sum = {0};
    Decision decision =
        switch (method) {
          case BARNARD, BOSCHLOO -> new OrderedDecision(method, hypothesis, alpha);
          default -> (one, two) -> method.of(one, two, hypothesis).rejects(alpha);
        };
    pairs(p1, p2, (one, two, chance) -> sum[0] += decision.rejects(one, two) ? chance : 0);
    return sum[0];
  }

  private interface Decision {
    boolean rejects(Tally one, Tally two);
  }

  /**
   * The decision of a test whose p-value takes long, but falls with a statistic that doesn't: only
   * outcomes between those known to be rejected and those known not to be are asked about.
   */
  private static final class OrderedDecision implements Decision {
    private final TwoProportionTest method;
    private final Hypothesis hypothesis;
    private final double alpha;
    private double rejected = Double.POSITIVE_INFINITY;
    private double kept = Double.NEGATIVE_INFINITY;

    OrderedDecision(TwoProportionTest method, Hypothesis hypothesis, double alpha) {
      this.method = method;
      this.hypothesis = hypothesis;
      this.alpha = alpha;
    }

    @Override
    public boolean rejects(Tally one, Tally two) {
      double extreme = extreme(one, two);
      if (extreme >= rejected) {
        return true;
      }
      if (extreme <= kept) {
        return false;
      }
      boolean rejects = method.of(one, two, hypothesis).rejects(alpha);
      if (rejects) {
        rejected = extreme;
      } else {
        kept = extreme;
      }
      return rejects;
    }

    /** Barnard's test orders by the pooled z, Boschloo's by Fisher's p-value. */
    private double extreme(Tally one, Tally two) {
      if (method == TwoProportionTest.BOSCHLOO) {
        return -TwoProportionTest.FISHER.of(one, two, hypothesis).log10PValue();
      }
      TestResult.@Nullable Statistic z =
          TwoProportionTest.Z_POOLED.of(one, two, hypothesis).statistic();
      double value = z == null ? 0 : z.value();
      return switch (hypothesis.alternative()) {
        case TWO_SIDED -> Math.abs(value);
        case LESS -> -value;
        case GREATER -> value;
      };
    }
  }
}
