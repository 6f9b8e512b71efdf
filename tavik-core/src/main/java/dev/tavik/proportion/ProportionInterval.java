package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Names the confidence intervals for one proportion. All stay within 0 and 1. One-sided bounds put
 * all of 1 - level beyond their one limit.
 */
public enum ProportionInterval implements Method {
  /**
   * p ± z√(p(1 - p)/n), clipped to 0 and 1. Covers too seldom for small counts and degenerates to a
   * point at x = 0 and x = n; here for comparison.
   */
  WALD(
      "wald",
      "Wald",
      "p ± z√(p(1 - p)/n), clipped to 0 and 1; covers too seldom for small counts",
      Exactness.APPROXIMATE,
      ProportionTest.WALD,
      "Laplace 1812, Théorie analytique des probabilités, book 2, chapter 4",
      WaldInterval::of),
  /** Wald's interval with 1/2n added on both sides, clipped to 0 and 1. */
  WALD_CC(
      "wald-cc",
      "continuity-corrected Wald",
      "wald with 1/2n added on both sides",
      Exactness.APPROXIMATE,
      null,
      "Newcombe 1998, Statistics in Medicine 17, 857-872, method 2",
      WaldInterval::corrected),
  /**
   * The values that the score test doesn't reject. Closed form, right to 10⁻¹² relative. Its true
   * coverage is near the level on average, a little below for some proportions. At x = 0 its lower
   * limit is exactly 0, at x = n its upper limit exactly 1.
   */
  WILSON(
      "wilson",
      "Wilson",
      "the null values that the score test keeps, in closed form",
      Exactness.APPROXIMATE,
      ProportionTest.SCORE,
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212",
      WilsonInterval::of),
  /** The values that the corrected score test doesn't reject. Closed form. */
  WILSON_CC(
      "wilson-cc",
      "continuity-corrected Wilson",
      "the null values that the continuity-corrected score test keeps, in closed form",
      Exactness.APPROXIMATE,
      ProportionTest.SCORE_CC,
      "Newcombe 1998, Statistics in Medicine 17, 857-872, method 4",
      WilsonInterval::corrected),
  /** Wald's interval after adding z²/2 successes and z²/2 failures, clipped to 0 and 1. */
  AGRESTI_COULL(
      "agresti-coull",
      "Agresti-Coull",
      "wald after adding z²/2 successes and failures, clipped",
      Exactness.APPROXIMATE,
      null,
      "Agresti and Coull 1998, The American Statistician 52, 119-126",
      WaldInterval::agrestiCoull),
  /**
   * The values that neither one-sided binomial test rejects at half of 1 - level. Central; its true
   * coverage is never below the level, and usually above. Limits found by search, right to 10⁻⁹
   * relative. At x = 0 its lower limit is exactly 0, at x = n its upper limit exactly 1.
   */
  CLOPPER_PEARSON(
      "clopper-pearson",
      "Clopper-Pearson",
      "covers at least as often as its level says",
      Exactness.EXACT,
      ProportionTest.EXACT_DOUBLED,
      "Clopper and Pearson 1934, Biometrika 26, 404-413",
      ClopperPearsonInterval::of),
  /** The values that the mid-p test doesn't reject. Central; limits found by search. */
  MID_P(
      "mid-p",
      "mid-p",
      "covers about as often as its level says",
      Exactness.NEARLY_EXACT,
      ProportionTest.MID_P,
      "Berry and Armitage 1995, The Statistician 44, 417-423",
      MidPInterval::of),
  /**
   * The equal-tailed posterior interval under the prior Beta(½, ½), with lower limit 0 at x = 0 and
   * upper limit 1 at x = n. Limits found by search.
   */
  JEFFREYS(
      "jeffreys",
      "Jeffreys",
      "posterior under Beta(½, ½), 0 at x = 0 and 1 at x = n",
      Exactness.APPROXIMATE,
      null,
      "Brown, Cai and DasGupta 2001, Statistical Science 16, 101-133",
      JeffreysInterval::of),
  /**
   * The outermost values that Blaker's test doesn't reject; never wider than Clopper and Pearson's,
   * and its true coverage never below the level. A one-sided bound is that of Clopper and Pearson.
   */
  BLAKER(
      "blaker",
      "Blaker",
      "never wider than clopper-pearson; its one-sided bound is that one's",
      Exactness.EXACT,
      ProportionTest.EXACT_BLAKER,
      "Blaker 2000, Canadian Journal of Statistics 28, 783-798",
      BlakerInterval::of),
  /** The values that the likelihood-ratio test doesn't reject. Limits found by search. */
  LIKELIHOOD(
      "likelihood",
      "likelihood",
      "the null values that the likelihood-ratio test keeps",
      Exactness.APPROXIMATE,
      ProportionTest.LIKELIHOOD_RATIO,
      "Wilks 1938, Annals of Mathematical Statistics 9, 60-62",
      LikelihoodInterval::of);

  private final MethodInfo info;
  private final @Nullable ProportionTest inverts;
  private final Algorithm algorithm;

  ProportionInterval(
      String id,
      String title,
      String description,
      Exactness exactness,
      @Nullable ProportionTest inverts,
      String reference,
      Algorithm algorithm) {
    this.info = new MethodInfo(id, title, description, reference, exactness);
    this.inverts = inverts;
    this.algorithm = algorithm;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** Both limits with the given probability beyond each. */
  @FunctionalInterface
  interface Algorithm {
    Limits limits(Tally tally, double tail);
  }

  /**
   * A two-sided interval.
   *
   * @param tally the successes and trials
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(Tally tally, double level) {
    return of(tally, level, Side.TWO_SIDED);
  }

  /**
   * A two-sided interval or a one-sided bound.
   *
   * @param tally the successes and trials
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is 0 or 1
   * @return the interval
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(Tally tally, double level, Side side) {
    Proportion.require("level", level);
    // The one method that orders outcomes over both tails at once has no tails of its own.
    Algorithm fitting =
        this == BLAKER && side != Side.TWO_SIDED ? CLOPPER_PEARSON.algorithm : algorithm;
    double tail = side.tail(DecimalFraction.complement(level));
    return fitting.limits(tally, tail).interval(Estimand.PROPORTION, this, level, side);
  }

  /**
   * The closed form of this interval, unclipped, at any number of successes: for plans, where
   * successes are expected and not whole, and for working by hand.
   *
   * @param successes from 0 to trials
   * @param trials above 0
   * @param level the confidence level, strictly between 0 and 1
   * @return centre and half-width; of corrected intervals those without correction; empty where the
   *     interval has no such form
   */
  public Optional<CentreHalfWidth> centred(double successes, double trials, double level) {
    Proportion.require("level", level);
    double z = Normal.upperQuantile(DecimalFraction.complement(level) / 2);
    return switch (this) {
      case WALD, WALD_CC -> Optional.of(WaldInterval.centred(successes, trials, z));
      case AGRESTI_COULL -> Optional.of(WaldInterval.agrestiCoull(successes, trials, z));
      case WILSON, WILSON_CC -> Optional.of(WilsonInterval.centred(successes, trials, z));
      default -> Optional.empty();
    };
  }

  /**
   * The test that this interval inverts: at level 1 - alpha it holds exactly the values that the
   * test doesn't reject at alpha (for {@link #BLAKER} and tests with gaps, up to the gaps).
   *
   * @return the test; empty where the interval inverts none
   */
  public Optional<ProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }
}
