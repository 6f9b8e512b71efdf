package dev.tavik.proportion;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;

/**
 * Names the tests of two independent proportions: of no difference or, some of them, of any
 * difference δ of the first minus the second. "Less" means that the first is below the second (plus
 * δ).
 *
 * <p>Statistics are right to 10⁻¹² relative, p-values to 10⁻¹⁰ at any distance; below 10⁻³⁰⁰ read
 * {@link TestResult#log10PValue}.
 */
public enum TwoProportionTest implements Method {
  /**
   * z = d / √(p(1 - p)(1/n₁ + 1/n₂)) with p the proportion of both groups together: the standard
   * error if the null of no difference is true. Its square is Pearson's chi-square of the table.
   */
  Z_POOLED(
      "z-pooled",
      Exactness.APPROXIMATE,
      Nulls.NO_DIFFERENCE,
      "z test with the pooled standard error",
      "Pearson 1900, Philosophical Magazine 50, 157-175",
      TwoProportionZ::pooled),
  /**
   * The same with d moved by 1/2n₁ + 1/2n₂ for continuity: two-sided towards the null and never
   * past it, one-sided always against the alternative. Near Fisher's test, and as cautious.
   */
  Z_POOLED_CC(
      "z-pooled-cc",
      Exactness.APPROXIMATE,
      Nulls.NO_DIFFERENCE,
      "z test with the pooled standard error, corrected for continuity",
      "Yates 1934, Supplement to the Journal of the Royal Statistical Society 1, 217-235",
      TwoProportionZ::corrected),
  /**
   * z = (d - δ) / √(p₁(1 - p₁)/n₁ + p₂(1 - p₂)/n₂): each estimate's own variance. Rejects too often
   * for small counts; no statistic where both proportions are 0 or 1.
   */
  Z_SEPARATE(
      "z-separate",
      Exactness.APPROXIMATE,
      Nulls.ANY_DIFFERENCE,
      "z test with separate standard errors",
      "Wald 1943, Transactions of the American Mathematical Society 54, 426-482",
      TwoProportionZ::separate),
  /**
   * z = (d - δ) / SE, the standard error from the likeliest two proportions that differ by δ. With
   * no difference it is z-pooled.
   */
  SCORE(
      "score",
      Exactness.APPROXIMATE,
      Nulls.ANY_DIFFERENCE,
      "score test of a difference",
      "Farrington and Manning 1990, Statistics in Medicine 9, 1447-1454",
      TwoProportionZ::score),
  /** G², chi-square with one degree of freedom; with a direction its signed root, normal. */
  LIKELIHOOD_RATIO(
      "likelihood-ratio",
      Exactness.APPROXIMATE,
      Nulls.NO_DIFFERENCE,
      "likelihood-ratio test",
      "Wilks 1938, Annals of Mathematical Statistics 9, 60-62",
      TwoProportionZ::likelihoodRatio),
  /**
   * Fisher's exact test; two-sided, all tables with these margins no more probable than the
   * observed one, with a relative tolerance of 10⁻⁷ on ties.
   */
  FISHER(
      "fisher",
      Exactness.EXACT,
      Nulls.NO_DIFFERENCE,
      "Fisher's exact test, ordered by probability",
      "Fisher 1935, Journal of the Royal Statistical Society 98, 39-54",
      HypergeometricTails::byProbability),
  /** Fisher's exact test; two-sided, twice the smaller tail, at most 1. */
  FISHER_DOUBLED(
      "fisher-doubled",
      Exactness.EXACT,
      Nulls.NO_DIFFERENCE,
      "Fisher's exact test, twice the smaller tail",
      "Fisher 1935, Journal of the Royal Statistical Society 98, 39-54",
      HypergeometricTails::doubled),
  /**
   * Fisher's test with half of the observed table's probability; two-sided, twice the smaller
   * value. Not exact: its size is near alpha and may pass it a little.
   */
  FISHER_MID_P(
      "fisher-mid-p",
      Exactness.NEARLY_EXACT,
      Nulls.NO_DIFFERENCE,
      "Fisher's test with half of the observed table's probability",
      "Lancaster 1961, Journal of the American Statistical Association 56, 223-234",
      HypergeometricTails::midP),
  /**
   * Unconditional exact test, tables ordered by |z-pooled| (with a direction, by z): the largest
   * p-value over all common proportions, to a relative 4·10⁻¹⁰. Up to 100,000 trials in all.
   */
  BARNARD(
      "barnard",
      Exactness.EXACT,
      Nulls.NO_DIFFERENCE,
      "unconditional exact test, ordered by the pooled z",
      "Suissa and Shuster 1985, Journal of the Royal Statistical Society A 148, 317-327",
      UnconditionalTest::barnard),
  /**
   * Unconditional exact test, tables ordered by Fisher's p-value of the same alternative; never
   * less powerful than Fisher's test. Up to 100,000 trials in all.
   */
  BOSCHLOO(
      "boschloo",
      Exactness.EXACT,
      Nulls.NO_DIFFERENCE,
      "unconditional exact test, ordered by Fisher's p",
      "Boschloo 1970, Statistica Neerlandica 24, 1-35",
      UnconditionalTest::boschloo);

  private enum Nulls {
    NO_DIFFERENCE,
    ANY_DIFFERENCE
  }

  private final MethodInfo info;
  private final Nulls nulls;
  private final Algorithm algorithm;

  TwoProportionTest(
      String id,
      Exactness exactness,
      Nulls nulls,
      String description,
      String reference,
      Algorithm algorithm) {
    this.info = MethodInfo.of(id, description, reference, exactness);
    this.nulls = nulls;
    this.algorithm = algorithm;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** Carries out the test; its arguments have been checked. */
  @FunctionalInterface
  interface Algorithm {
    TestResult test(Method method, TwoTallies data, Hypothesis hypothesis);
  }

  /**
   * Tests the null of no difference.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param alternative the direction, of the first against the second
   * @return the result
   * @throws NotApplicableException if the work would pass its budget
   */
  public TestResult of(Tally first, Tally second, Alternative alternative) {
    return of(first, second, new Hypothesis(0, alternative));
  }

  /**
   * Tests the first proportion against the second.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param hypothesis the null difference, strictly between -1 and 1, and the direction
   * @return the result
   * @throws IllegalArgumentException if not -1 &lt; against &lt; 1
   * @throws NotApplicableException if the null difference isn't 0 and the test knows no other, or
   *     the work would pass its budget
   */
  public TestResult of(Tally first, Tally second, Hypothesis hypothesis) {
    double against = hypothesis.against();
    if (!(against > -1 && against < 1)) {
      throw new IllegalArgumentException(
          say("a null difference must lie strictly between -1 and 1, got %s", against));
    }
    if (!knows(against)) {
      throw new NotApplicableException(NotApplicableReason.ONLY_NO_DIFFERENCE);
    }
    return algorithm.test(this, new TwoTallies(first, second), hypothesis);
  }

  /**
   * The pairs of counts that this test would reject.
   *
   * @param first the size of the first group, from 1
   * @param second the size of the second group, from 1
   * @param hypothesis the null difference, strictly between -1 and 1, and the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @return the rejection region
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if the test doesn't know the null difference, or the groups have
   *     more than {@value CriticalPairs#MOST_TRIALS} units together
   */
  public CriticalPairs criticalPairs(long first, long second, Hypothesis hypothesis, double alpha) {
    Proportion.require("alpha", alpha);
    // Refuses invalid arguments.
    of(Tally.of(0, first), Tally.of(0, second), hypothesis);
    if (first + second > CriticalPairs.MOST_TRIALS) {
      throw new NotApplicableException(
          NotApplicableReason.TOO_MANY_PAIRS_OF_COUNTS, CriticalPairs.MOST_TRIALS, first + second);
    }
    return switch (this) {
      case FISHER -> TotalwiseRegion.fisher(first, second, hypothesis.alternative(), alpha);
      case BOSCHLOO -> TotalwiseRegion.boschloo(first, second, hypothesis.alternative(), alpha);
      case BARNARD -> throw new NotApplicableException(NotApplicableReason.ONLY_WITH_DATA);
      case Z_SEPARATE ->
          hypothesis.against() == 0
              ? RowwiseRegion.of(this, first, second, hypothesis, alpha)
              : CellwiseRegion.separate(first, second, hypothesis, alpha);
      case Z_POOLED, Z_POOLED_CC, SCORE, LIKELIHOOD_RATIO, FISHER_DOUBLED, FISHER_MID_P ->
          RowwiseRegion.of(this, first, second, hypothesis, alpha);
    };
  }

  /**
   * The standard error that this test would divide by, if the proportions expected were observed:
   * what its power by the normal distribution follows from.
   *
   * @param n1 the size of the first group, above 0; not necessarily whole
   * @param p1 the proportion expected in it, strictly between 0 and 1
   * @param n2 the size of the second group
   * @param p2 the proportion expected in it
   * @param against the null difference
   * @return the standard error
   * @throws NotApplicableException if the test has none
   */
  public double expectedError(double n1, double p1, double n2, double p2, double against) {
    return switch (this) {
      case Z_SEPARATE -> Math.sqrt(p1 * (1 - p1) / n1 + p2 * (1 - p2) / n2);
      case Z_POOLED, Z_POOLED_CC -> pooledError(n1, p1, n2, p2);
      case SCORE ->
          against == 0
              ? pooledError(n1, p1, n2, p2)
              : RestrictedDifference.of(n1, p1, n2, p2, against).error(n1, n2);
      default -> throw new NotApplicableException(NotApplicableReason.NO_STANDARD_ERROR);
    };
  }

  private static double pooledError(double n1, double p1, double n2, double p2) {
    double pooled = (n1 * p1 + n2 * p2) / (n1 + n2);
    return Math.sqrt(pooled * (1 - pooled) * (1 / n1 + 1 / n2));
  }

  /**
   * The chance that the difference is found to lie within a margin on both sides, each of two
   * one-sided tests rejecting at alpha.
   *
   * @param first the size of the first group, from 1
   * @param second the size of the second group, from 1
   * @param margin the margin, strictly between 0 and 1
   * @param alpha the significance level of each test, strictly between 0 and 1
   * @param p1 the true proportion of the first group
   * @param p2 that of the second
   * @return the chance, right to 10⁻¹²
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException as {@link #criticalPairs} does
   */
  public double equivalenceChance(
      long first, long second, double margin, double alpha, double p1, double p2) {
    CriticalPairs small = criticalPairs(first, second, Hypothesis.less(margin), alpha);
    CriticalPairs large = criticalPairs(first, second, Hypothesis.greater(-margin), alpha);
    if (small instanceof CellwiseRegion below && large instanceof CellwiseRegion above) {
      return below.chanceOfBoth(above, p1, p2);
    }
    return ((RowwiseRegion) small).chanceOfBoth((RowwiseRegion) large, p1, p2);
  }

  /**
   * Whether the test can be asked about a null difference.
   *
   * @param against the null difference
   * @return whether it is 0, or the test takes any
   */
  public boolean knows(double against) {
    return against == 0 || nulls == Nulls.ANY_DIFFERENCE;
  }
}
