package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The confidence intervals for one proportion. All stay within 0 and 1. One-sided bounds put all of
 * 1 - level beyond their one limit.
 */
public enum ProportionInterval {
  /**
   * p ± z√(p(1 - p)/n), clipped to 0 and 1. Covers too seldom for small counts and degenerates to a
   * point at x = 0 and x = n; here for comparison.
   */
  WALD(
      "wald",
      "Wald",
      ProportionTest.WALD,
      "Laplace 1812, Théorie analytique des probabilités, book 2, chapter 4",
      WaldInterval::of),
  /** Wald's interval with 1/2n added on both sides, clipped to 0 and 1. */
  WALD_CC(
      "wald-cc",
      "continuity-corrected Wald",
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
      ProportionTest.SCORE,
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212",
      WilsonInterval::of),
  /** The values that the corrected score test doesn't reject. Closed form. */
  WILSON_CC(
      "wilson-cc",
      "continuity-corrected Wilson",
      ProportionTest.SCORE_CC,
      "Newcombe 1998, Statistics in Medicine 17, 857-872, method 4",
      WilsonInterval::corrected),
  /** Wald's interval after adding z²/2 successes and z²/2 failures, clipped to 0 and 1. */
  AGRESTI_COULL(
      "agresti-coull",
      "Agresti-Coull",
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
      ProportionTest.EXACT_DOUBLED,
      "Clopper and Pearson 1934, Biometrika 26, 404-413",
      ClopperPearsonInterval::of),
  /** The values that the mid-p test doesn't reject. Central; limits found by search. */
  MID_P(
      "mid-p",
      "mid-p",
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
      ProportionTest.EXACT_BLAKER,
      "Blaker 2000, Canadian Journal of Statistics 28, 783-798",
      BlakerInterval::of),
  /** The values that the likelihood-ratio test doesn't reject. Limits found by search. */
  LIKELIHOOD(
      "likelihood",
      "likelihood",
      ProportionTest.LIKELIHOOD_RATIO,
      "Wilks 1938, Annals of Mathematical Statistics 9, 60-62",
      LikelihoodInterval::of);

  private final String id;
  private final String title;
  private final @Nullable ProportionTest inverts;
  private final String reference;
  private final Algorithm algorithm;

  ProportionInterval(
      String id,
      String title,
      @Nullable ProportionTest inverts,
      String reference,
      Algorithm algorithm) {
    this.id = id;
    this.title = title;
    this.inverts = inverts;
    this.reference = reference;
    this.algorithm = algorithm;
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
    return fitting.limits(tally, tail).interval(Quantity.PROPORTION, id, level, side);
  }

  /**
   * The public id.
   *
   * @return such as {@code wilson}
   */
  public String id() {
    return id;
  }

  /**
   * The name for a sentence.
   *
   * @return such as {@code Wilson}
   */
  public String title() {
    return title;
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

  /**
   * Where the interval was published.
   *
   * @return author, year, journal, volume, pages
   */
  public String reference() {
    return reference;
  }
}
