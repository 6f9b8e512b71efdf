package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Plans a test of one rate against a value; the effect is the rate that is expected.
 *
 * <p>By the normal distribution (score, score-cc, wald), with the null's standard error or that of
 * the expected rate for the test, and that of the expected rate for the estimate; both shrink by
 * √((N - n)/(N - 1)) in a lot of N. Exactly, for every test, the binomial (in a lot hypergeometric)
 * probability of the counts that it rejects.
 *
 * @param proportionTest the test
 * @param theory how power is computed
 * @param hypothesis the null value, strictly between 0 and 1, and the direction
 * @param alpha the significance level, strictly between 0 and 1
 * @param lot how many units there are in all; null where there is no end
 */
public record RateDesign(
    ProportionTest proportionTest,
    PowerMethod theory,
    Hypothesis hypothesis,
    double alpha,
    @Nullable Long lot)
    implements PowerDesign {
  /** Largest number of trials that is enumerated exactly. */
  private static final long MOST_EXACT = 10_000_000;

  /** Sample size beyond which an exact search for n takes more than a few seconds. */
  private static final long MOST_SEARCHED = 65_536;

  private static final double SETTLED = 1e-3;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if the test has no power by this theory
   */
  public RateDesign {
    Proportion.require("against", hypothesis.against());
    Proportion.require("alpha", alpha);
    if (theory == PowerMethod.NORMAL && !hasNormal(proportionTest)) {
      throw new NotApplicableException(NotApplicableReason.NO_NORMAL_POWER, proportionTest.id());
    }
    if (lot != null) {
      FinitePopulationTest.inLot(proportionTest);
      require(lot >= 2 && lot <= MOST, "lot must be from 2 to 10^12, got %s", lot);
    }
  }

  /**
   * A design without a finite lot, by the normal distribution where the test has one.
   *
   * @param test the test
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @return the design
   * @throws IllegalArgumentException if a number is out of its range
   */
  public static RateDesign of(ProportionTest test, Hypothesis hypothesis, double alpha) {
    return new RateDesign(
        test, hasNormal(test) ? PowerMethod.NORMAL : PowerMethod.EXACT, hypothesis, alpha, null);
  }

  /**
   * Whether a test has power by the normal distribution.
   *
   * @param test the test
   * @return whether it refers a distance to the normal distribution
   */
  public static boolean hasNormal(ProportionTest test) {
    return switch (test) {
      case SCORE, SCORE_CC, WALD -> true;
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
  public RateDesign withTheory(PowerMethod other) {
    return new RateDesign(proportionTest, other, hypothesis, alpha, lot);
  }

  @Override
  public String test() {
    return proportionTest.id();
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
  public long most() {
    return lot == null ? MOST : lot - 1;
  }

  @Override
  public long searchedTo() {
    return MOST_SEARCHED;
  }

  @Override
  public long swing() {
    double rarer = Math.min(hypothesis.against(), 1 - hypothesis.against());
    return theory == PowerMethod.NORMAL ? 0 : Math.max(50, (long) (3 / rarer));
  }

  @Override
  public boolean settles(double effect) {
    return effect > hypothesis.against();
  }

  /**
   * Against rare successes power falls only where the critical count rises by one, by the chance of
   * that count; it is at most n times the odds as likely as the one before, which belongs to what
   * is missing.
   */
  @Override
  public boolean settled(long n, double power, double effect, double wanted) {
    double growth = 1 + n * effect / (1 - effect);
    return settles(effect) && (1 - power) * growth * growth < SETTLED * (1 - wanted);
  }

  @Override
  public double smooth(double first, double effect) {
    double error = error(first, effect);
    return NormalPower.of(
        effect - hypothesis.against(),
        proportionTest == ProportionTest.SCORE_CC ? 0.5 / first : 0,
        proportionTest == ProportionTest.WALD ? error : error(first, hypothesis.against()),
        error,
        hypothesis.alternative(),
        alpha);
  }

  /** The standard error of an observed rate, where this is the true one. */
  private double error(double n, double rate) {
    double left = lot == null ? 1 : Math.max(0, (lot - n) / (lot - 1.0));
    return Math.sqrt(rate * (1 - rate) * left / n);
  }

  @Override
  public Optional<Errors> errors(Sizes sizes, double effect) {
    if (theory == PowerMethod.EXACT || proportionTest != ProportionTest.SCORE) {
      return Optional.empty();
    }
    double against = hypothesis.against();
    return Optional.of(
        NormalPower.errors(
            "observed rate",
            against,
            effect - against,
            error((double) sizes.first(), against),
            error((double) sizes.first(), effect),
            hypothesis.alternative(),
            alpha));
  }

  @Override
  public Power at(Sizes sizes) {
    long n = requireFit(sizes.first());
    if (theory == PowerMethod.NORMAL) {
      return new SmoothPower(this, (double) n);
    }
    return new Exactly(
        lot == null
            ? proportionTest.criticalCounts(n, hypothesis, alpha)
            : FinitePopulationTest.inLot(proportionTest).criticalCounts(n, lot, hypothesis, alpha));
  }

  @Override
  public Power at(Sizes sizes, Power near) {
    return near instanceof Exactly before && lot == null
        ? new Exactly(
            proportionTest.criticalCounts(
                requireFit(sizes.first()), hypothesis, alpha, before.rejected))
        : at(sizes);
  }

  private long requireFit(long n) {
    require(
        n <= most(), "n must be below the lot, %s, got %s; the whole lot needs no test", lot, n);
    if (theory == PowerMethod.EXACT && n > MOST_EXACT) {
      throw new NotApplicableException(NotApplicableReason.TOO_MANY_TRIALS, n);
    }
    return n;
  }

  private final class Exactly implements Power {
    private final CriticalCounts rejected;

    Exactly(CriticalCounts rejected) {
      this.rejected = rejected;
    }

    @Override
    public double at(double effect) {
      long n = rejected.trials();
      CountDistribution counts =
          lot == null
              ? new Binomial(n, DecimalFraction.of(effect))
              : new Hypergeometric(lot, Math.round(lot * effect), n);
      Long atMost = rejected.atMost();
      Long atLeast = rejected.atLeast();
      double power =
          (atMost == null ? 0 : Math.exp(counts.logLower(atMost)))
              + (atLeast == null ? 0 : Math.exp(counts.logUpper(atLeast)));
      if (proportionTest == ProportionTest.WALD) {
        // Without variance Wald's test never rejects.
        power -= atMost == null ? 0 : Math.exp(counts.logMass(0));
        power -= atLeast == null ? 0 : Math.exp(counts.logMass(n));
      }
      return Math.min(1, Math.max(0, power));
    }

    @Override
    public double size() {
      return rejected.size();
    }
  }
}
