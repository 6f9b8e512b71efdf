package dev.tavik.planning;

import dev.tavik.count.PairedTally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import java.util.HashMap;
import java.util.Map;

/**
 * Plans a test of the same units judged twice; the effect is the rate of pairs with a success the
 * first time only, against the rate of those with one the second time only.
 *
 * <p>By the normal distribution for mcnemar (Connor 1987, "Sample size for testing differences in
 * proportions for the paired-sample design", Biometrics 43, 207-211): with ψ the sum of both rates
 * and δ their difference, the null's variance is ψ/n, the estimate's (ψ - δ²)/n. Exactly, for every
 * test, over the number of discordant pairs and the split of them.
 *
 * @param pairedTest the test
 * @param theory how power is computed
 * @param secondOnly the rate of pairs with a success the second time only, above 0 and below 1
 * @param alternative the direction, of the first time against the second
 * @param alpha the significance level, strictly between 0 and 1
 */
public record PairedDesign(
    PairedTest pairedTest,
    PowerMethod theory,
    double secondOnly,
    Alternative alternative,
    double alpha)
    implements PowerDesign {
  private static final long MOST_EXACT = 1_000_000;

  /** Numbers of discordant pairs less likely than this, below the most likely, are left out. */
  private static final double NEVER = -37;

  /** Sample size beyond which an exact search for n takes more than a few seconds. */
  private static final long MOST_SEARCHED = 16_384;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if the test has no power by this theory
   */
  public PairedDesign {
    Proportion.require("second-only", secondOnly);
    Proportion.require("alpha", alpha);
    if (theory == PowerMethod.NORMAL && pairedTest != PairedTest.MCNEMAR) {
      throw new NotApplicableException(NotApplicableReason.NO_NORMAL_POWER, pairedTest.id());
    }
  }

  /**
   * This design by another theory.
   *
   * @param other the theory
   * @return the design
   * @throws NotApplicableException if the test has no power by it
   */
  public PairedDesign withTheory(PowerMethod other) {
    return new PairedDesign(pairedTest, other, secondOnly, alternative, alpha);
  }

  @Override
  public String test() {
    return pairedTest.id();
  }

  @Override
  public double statedFrom() {
    return secondOnly;
  }

  @Override
  public EffectRange effects() {
    return new EffectRange(secondOnly, 0, 1 - secondOnly);
  }

  @Override
  public long searchedTo() {
    return MOST_SEARCHED;
  }

  @Override
  public long swing() {
    return theory == PowerMethod.NORMAL ? 0 : Math.max(30, (long) (2 / secondOnly));
  }

  @Override
  public double smooth(double first, double effect) {
    double discordant = effect + secondOnly;
    double difference = effect - secondOnly;
    return NormalPower.of(
        difference,
        0,
        Math.sqrt(discordant / first),
        Math.sqrt((discordant - difference * difference) / first),
        alternative,
        alpha);
  }

  @Override
  public Power at(Sizes sizes) {
    long n = sizes.first();
    if (theory == PowerMethod.EXACT && n > MOST_EXACT) {
      throw new NotApplicableException(NotApplicableReason.TOO_MANY_PAIRS, n);
    }
    return theory == PowerMethod.NORMAL
        ? new SmoothPower(this, (double) n)
        : new Exactly(n, new HashMap<>());
  }

  @Override
  public Power at(Sizes sizes, Power near) {
    return near instanceof Exactly before && sizes.first() <= MOST_EXACT
        ? new Exactly(sizes.first(), before.ends)
        : at(sizes);
  }

  /** Which splits of so many discordant pairs are rejected. */
  private record Ends(long to, long from) {}

  private final class Exactly implements Power {
    private final long n;

    /** The regions depend only on the number of discordant pairs, so all sizes share them. */
    private final Map<Long, Ends> ends;

    Exactly(long n, Map<Long, Ends> ends) {
      this.n = n;
      this.ends = ends;
    }

    @Override
    public double at(double effect) {
      double discordant = effect + secondOnly;
      Binomial pairs = new Binomial(n, DecimalFraction.of(discordant));
      double top = pairs.logMass(pairs.mode()) + NEVER;
      long least = Math.max(1, pairs.lastBelowModeAtMost(top) + 1);
      long greatest = pairs.firstAboveModeAtMost(top) - 1;
      double sum = 0;
      for (long d = least; d <= greatest; d++) {
        sum += Math.exp(pairs.logMass(d)) * rejects(d, effect / discordant);
      }
      return Math.min(1, sum);
    }

    /** The chance to reject, of so many discordant pairs. */
    private double rejects(long d, double share) {
      Binomial split = new Binomial(d, DecimalFraction.of(share));
      Ends rejected = ends.computeIfAbsent(d, this::ends);
      return Math.exp(split.logUpper(rejected.from)) + Math.exp(split.logLower(rejected.to));
    }

    private Ends ends(long d) {
      long to =
          alternative == Alternative.GREATER
              ? -1
              : Bisection.last(-1, (d + 1) / 2 - 1, b -> rejected(b, d));
      long from =
          alternative == Alternative.LESS
              ? d + 1
              : Bisection.first(d / 2 + 1, d + 1, b -> rejected(b, d));
      return new Ends(to, from);
    }

    private boolean rejected(long b, long d) {
      return pairedTest.of(new PairedTally(0, b, d - b, 0), alternative).rejects(alpha);
    }

    /** The null: both rates equal the second one. */
    @Override
    public double size() {
      return secondOnly < 0.5 ? at(secondOnly) : Double.NaN;
    }
  }
}
