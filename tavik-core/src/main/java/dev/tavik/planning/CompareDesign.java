package dev.tavik.planning;

import static dev.tavik.result.Figures.say;

import dev.tavik.proportion.CriticalPairs;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Plans a test of two rates; the effect is the rate expected in the second group, the difference
 * that minus the base rate of the first.
 *
 * <p>By the normal distribution (z-pooled, z-pooled-cc, z-separate, score), with the standard error
 * that the test would have if the rates expected were observed, and each rate's own for the
 * estimate. Exactly, over all pairs of counts; the size is then that at the base rate (and, against
 * a margin, at the margin from it).
 *
 * @param twoProportionTest the test
 * @param theory how power is computed
 * @param base the rate of the first group, strictly between 0 and 1
 * @param hypothesis the null difference of second minus first, and the direction
 * @param equivalence the margin that both one-sided tests are made against; null for one test
 * @param alpha the significance level, of each test
 * @param allocation the second group's size over the first's, above 0
 */
public record CompareDesign(
    TwoProportionTest twoProportionTest,
    PowerMethod theory,
    double base,
    Hypothesis hypothesis,
    @Nullable Double equivalence,
    double alpha,
    double allocation)
    implements PowerDesign {
  /** Largest number of units in both groups for an exact plan, for tests that take long. */
  private static final long MOST_BOSCHLOO = 3000;

  /** Sample size beyond which an exact search for n takes more than a few seconds. */
  private static final long MOST_BOSCHLOO_SEARCHED = 1024;

  private static final long MOST_SEARCHED = 8192;

  /** Measured seconds for one pair of counts, if all pairs are enumerated. */
  private static final double OF_A_PAIR = 1e-7;

  /** Measured seconds for one pair of counts, if the sizes are searched as well. */
  private static final double OF_A_BOSCHLOO_PAIR = 6e-8;

  /**
   * Measured seconds for one unit in a group, by a closed form or by Fisher's sums for a variance
   * of 1.
   */
  private static final double OF_A_ROW = 5e-7;

  private static final double OF_A_UNIT_OF_VARIANCE = 2e-6;

  /**
   * Measured seconds for one unit whose tails are summed at each count, per square root of the
   * units.
   */
  private static final double OF_A_SUMMED_ROW = 5e-8;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if the test has no power by this theory, or doesn't know the
   *     null
   */
  public CompareDesign {
    Proportion.require("base", base);
    Proportion.require("alpha", alpha);
    Sizes.requireAllocation(allocation);
    if (theory == PowerMethod.NORMAL && !hasNormal(twoProportionTest)) {
      throw new NotApplicableException(NotApplicableReason.NO_NORMAL_POWER, twoProportionTest.id());
    }
    if (!twoProportionTest.knows(equivalence == null ? hypothesis.against() : equivalence)) {
      throw new NotApplicableException(NotApplicableReason.NO_MARGIN, twoProportionTest.id());
    }
    double none = base + hypothesis.against();
    if (!(none > 0 && none < 1)) {
      throw new IllegalArgumentException(
          say(
              "a base rate of %s and a margin of %s leave no room between 0 and 1",
              Figures.exactPercent(base), Figures.shortPoints(Math.abs(hypothesis.against()))));
    }
  }

  /**
   * A design with two groups of one size that are tested for any difference at alpha 0.05.
   *
   * @param test the test
   * @param base the rate of the first group, strictly between 0 and 1
   * @return the design
   * @throws IllegalArgumentException if not 0 &lt; base &lt; 1
   */
  public static CompareDesign of(TwoProportionTest test, double base) {
    return of(test, base, Hypothesis.twoSided(0), 0.05);
  }

  /**
   * A design with two groups of one size, by the normal distribution where the test has one.
   *
   * @param test the test
   * @param base the rate of the first group, strictly between 0 and 1
   * @param hypothesis the null difference of second minus first, and the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @return the design
   * @throws IllegalArgumentException if a number is out of its range
   */
  public static CompareDesign of(
      TwoProportionTest test, double base, Hypothesis hypothesis, double alpha) {
    return new CompareDesign(
        test,
        hasNormal(test) ? PowerMethod.NORMAL : PowerMethod.EXACT,
        base,
        hypothesis,
        null,
        alpha,
        1);
  }

  /**
   * Whether a test has power by the normal distribution.
   *
   * @param test the test
   * @return whether it divides a difference by a standard error
   */
  public static boolean hasNormal(TwoProportionTest test) {
    return switch (test) {
      case Z_POOLED, Z_POOLED_CC, Z_SEPARATE, SCORE -> true;
      default -> false;
    };
  }

  /**
   * This design by another theory.
   *
   * @param other the theory
   * @return the design
   * @throws NotApplicableException if the test has no power by it
   */
  public CompareDesign withTheory(PowerMethod other) {
    return new CompareDesign(
        twoProportionTest, other, base, hypothesis, equivalence, alpha, allocation);
  }

  /**
   * This design with another base rate.
   *
   * @param other the base rate, strictly between 0 and 1
   * @return the design
   * @throws IllegalArgumentException if it is out of its range
   */
  public CompareDesign withBase(double other) {
    return new CompareDesign(
        twoProportionTest, theory, other, hypothesis, equivalence, alpha, allocation);
  }

  @Override
  public String test() {
    return twoProportionTest.id();
  }

  @Override
  public Alternative alternative() {
    return hypothesis.alternative();
  }

  /** The null's effect is the base rate, or the margin from it. */
  @Override
  public double statedFrom() {
    return base;
  }

  @Override
  public EffectRange effects() {
    Double margin = equivalence;
    return margin == null
        ? EffectRange.ofRate(base + hypothesis.against())
        : new EffectRange(Double.NaN, Math.max(0, base - margin), Math.min(1, base + margin));
  }

  @Override
  public boolean hasEffect() {
    return equivalence == null;
  }

  @Override
  public Sizes sizes(double first) {
    return Sizes.allocated(first, allocation);
  }

  @Override
  public long most() {
    return (long) (MOST / Math.max(1, allocation));
  }

  @Override
  public long searchedTo() {
    return twoProportionTest == TwoProportionTest.BOSCHLOO ? MOST_BOSCHLOO_SEARCHED : MOST_SEARCHED;
  }

  @Override
  public long swing() {
    double rarer = Math.min(base, 1 - base);
    return theory == PowerMethod.NORMAL ? 0 : Math.max(20, (long) (1 / rarer));
  }

  @Override
  public double seconds(Sizes sizes) {
    double first = (double) sizes.groups().get(0);
    double second = (double) sizes.groups().get(1);
    double units = first + second;
    return 1e-5
        + switch (twoProportionTest) {
          case BOSCHLOO -> first * second * OF_A_BOSCHLOO_PAIR;
          // Number of totals times counts for each; both grow with the standard deviation.
          case FISHER -> base * (1 - base) * units * OF_A_UNIT_OF_VARIANCE;
          case FISHER_DOUBLED, FISHER_MID_P -> units * Math.sqrt(units) * OF_A_SUMMED_ROW;
          case Z_SEPARATE ->
              hypothesis.against() == 0 ? units * OF_A_ROW : first * second * OF_A_PAIR;
          default -> units * OF_A_ROW;
        };
  }

  @Override
  public double smooth(double first, double effect) {
    return normal(first, allocation * first, effect);
  }

  private double normal(double first, double second, double effect) {
    double error = error(first, second, effect);
    Double margin = equivalence;
    if (margin == null) {
      return NormalPower.of(
          effect - base - hypothesis.against(),
          twoProportionTest == TwoProportionTest.Z_POOLED_CC ? 0.5 / first + 0.5 / second : 0,
          errorAt(first, second, effect, hypothesis.against()),
          error,
          hypothesis.alternative(),
          alpha);
    }
    double missedAbove =
        1
            - NormalPower.of(
                effect - base - margin,
                0,
                errorAt(first, second, effect, margin),
                error,
                Alternative.LESS,
                alpha);
    double missedBelow =
        1
            - NormalPower.of(
                effect - base + margin,
                0,
                errorAt(first, second, effect, -margin),
                error,
                Alternative.GREATER,
                alpha);
    return Math.max(0, 1 - missedAbove - missedBelow);
  }

  @Override
  public Optional<Errors> errors(Sizes sizes, double effect) {
    if (theory == PowerMethod.EXACT
        || equivalence != null
        || twoProportionTest == TwoProportionTest.Z_POOLED_CC) {
      return Optional.empty();
    }
    double first = sizes.groups().get(0);
    double second = sizes.groups().get(1);
    double none = hypothesis.against();
    return Optional.of(
        NormalPower.errors(
            "observed difference",
            none,
            effect - base - none,
            errorAt(first, second, effect, none),
            error(first, second, effect),
            hypothesis.alternative(),
            alpha));
  }

  private double error(double first, double second, double effect) {
    return TwoProportionTest.Z_SEPARATE.expectedError(first, base, second, effect, 0);
  }

  private double errorAt(double first, double second, double effect, double against) {
    return twoProportionTest.expectedError(second, effect, first, base, against);
  }

  @Override
  public Power at(Sizes sizes) {
    long ofBase = sizes.groups().get(0);
    long ofOther = sizes.groups().get(1);
    if (theory == PowerMethod.NORMAL) {
      return new Normally(ofBase, ofOther);
    }
    if (twoProportionTest == TwoProportionTest.BOSCHLOO && ofBase + ofOther > MOST_BOSCHLOO) {
      throw new NotApplicableException(
          NotApplicableReason.TOO_MANY_TO_PLAN, MOST_BOSCHLOO, ofBase + ofOther);
    }
    if (equivalence != null) {
      return new Equivalently(ofBase, ofOther, equivalence);
    }
    return new Exactly(twoProportionTest.criticalPairs(ofOther, ofBase, hypothesis, alpha));
  }

  private final class Normally implements Power {
    private final long ofBase;
    private final long ofOther;

    Normally(long ofBase, long ofOther) {
      this.ofBase = ofBase;
      this.ofOther = ofOther;
    }

    @Override
    public double at(double effect) {
      return normal((double) ofBase, (double) ofOther, effect);
    }

    @Override
    public double size() {
      return alpha;
    }
  }

  private final class Exactly implements Power {
    private final CriticalPairs rejected;

    Exactly(CriticalPairs rejected) {
      this.rejected = rejected;
    }

    @Override
    public double at(double effect) {
      return rejected.chance(effect, base);
    }

    @Override
    public double size() {
      return rejected.chance(base + hypothesis.against(), base);
    }
  }

  private final class Equivalently implements Power {
    private final long ofBase;
    private final long ofOther;
    private final double margin;

    Equivalently(long ofBase, long ofOther, double margin) {
      this.ofBase = ofBase;
      this.ofOther = ofOther;
      this.margin = margin;
    }

    @Override
    public double at(double effect) {
      return twoProportionTest.equivalenceChance(ofOther, ofBase, margin, alpha, effect, base);
    }

    @Override
    public double size() {
      double below = base - margin > 0 ? at(base - margin) : 0;
      double above = base + margin < 1 ? at(base + margin) : 0;
      return Math.max(below, above);
    }
  }
}
