package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;

/**
 * Names the tests of one proportion against a null value.
 *
 * <p>The null value is read as the decimal that was written: 0.05 is 1/20. Statistics are right to
 * 10⁻¹² relative, p-values to 10⁻¹⁰, for up to 10⁹ trials and at any distance; below 10⁻³⁰⁰ read
 * {@link TestResult#log10PValue}.
 */
public enum ProportionTest implements Method {
  /**
   * z = (x - np₀) / √(np₀(1 - p₀)), referred to the normal distribution: the standard error is that
   * of the null value. A normal approximation, good where the null expects ten successes and ten
   * failures or more.
   */
  SCORE(
      "score",
      Exactness.APPROXIMATE,
      "z test with the null's standard error",
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212",
      ScoreTest::of),
  /**
   * The score test with x moved by ½ for continuity: two-sided towards the null and never past it,
   * one-sided always against the alternative. Near the exact test, and as cautious.
   */
  SCORE_CC(
      "score-cc",
      Exactness.APPROXIMATE,
      "z test with the null's standard error, corrected for continuity",
      "Yates 1934, Supplement to the Journal of the Royal Statistical Society 1, 217-235",
      ScoreTest::corrected),
  /**
   * z = (x - np₀) / √(np(1 - p)): the standard error is that of the estimate. Rejects too often for
   * small counts. At x = 0 and x = n it has no statistic, and p = 1.
   */
  WALD(
      "wald",
      Exactness.APPROXIMATE,
      "z test with the estimate's standard error",
      "Wald 1943, Transactions of the American Mathematical Society 54, 426-482",
      WaldTest::of),
  /**
   * The binomial test. Its p-value sums the probabilities, under the null, of all outcomes in the
   * direction of the alternative; two-sided, of all outcomes no more probable than the observed
   * one, with a relative tolerance of 10⁻⁷ on ties. It never rejects more often than it should, and
   * usually less often.
   */
  EXACT(
      "exact",
      Exactness.EXACT,
      "binomial test, ordered by probability",
      "Sterne 1954, Biometrika 41, 275-278",
      BinomialTest::byProbability),
  /** The binomial test; two-sided, twice the smaller tail, at most 1. */
  EXACT_DOUBLED(
      "exact-doubled",
      Exactness.EXACT,
      "binomial test, twice the smaller tail",
      "Clopper and Pearson 1934, Biometrika 26, 404-413",
      BinomialTest::doubled),
  /**
   * The binomial test; two-sided, the smaller tail and the largest opposite tail that is no larger,
   * with a relative tolerance of 10⁻⁷ on ties. Never larger than the doubled one.
   */
  EXACT_BLAKER(
      "exact-blaker",
      Exactness.EXACT,
      "binomial test, ordered by the smaller tail",
      "Blaker 2000, Canadian Journal of Statistics 28, 783-798",
      BinomialTest::blaker),
  /**
   * The binomial test with half of the observed count's probability; two-sided, twice the smaller
   * value, at most 1. Not exact: its size is near alpha and may pass it a little.
   */
  MID_P(
      "mid-p",
      Exactness.NEARLY_EXACT,
      "binomial test with half of the observed count's probability",
      "Lancaster 1961, Journal of the American Statistical Association 56, 223-234",
      BinomialTest::midP),
  /** G², chi-square with one degree of freedom; with a direction its signed root, normal. */
  LIKELIHOOD_RATIO(
      "likelihood-ratio",
      Exactness.APPROXIMATE,
      "likelihood-ratio test",
      "Wilks 1938, Annals of Mathematical Statistics 9, 60-62",
      LikelihoodRatioTest::of);

  private final MethodInfo info;
  private final Algorithm algorithm;

  ProportionTest(
      String id, Exactness exactness, String description, String reference, Algorithm algorithm) {
    this.info = MethodInfo.of(id, description, reference, exactness);
    this.algorithm = algorithm;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** Carries out the test; its arguments have been checked. */
  @FunctionalInterface
  interface Algorithm {
    TestResult test(Method method, Tally tally, Hypothesis hypothesis);
  }

  /**
   * Tests a proportion.
   *
   * @param tally the successes and trials
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @return the result
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1
   */
  public TestResult of(Tally tally, Hypothesis hypothesis) {
    Proportion.require("against", hypothesis.against());
    return algorithm.test(this, tally, hypothesis);
  }

  /**
   * The counts that this test would reject, and how often they occur under the null: "how many
   * would have been too many?"
   *
   * @param trials the number of trials, 1 to 10¹²
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @return the rejection region
   * @throws IllegalArgumentException if the null value or alpha is not strictly between 0 and 1
   */
  public CriticalCounts criticalCounts(long trials, Hypothesis hypothesis, double alpha) {
    return region(trials, hypothesis, alpha)
        .find(this, trials, x -> of(Tally.of(x, trials), hypothesis).rejects(alpha));
  }

  /**
   * Finds the counts starting from those of a similar number of trials, which is faster.
   *
   * @param trials the number of trials, 1 to 10¹²
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @param near the rejection region of about as many trials, under the same hypothesis
   * @return the rejection region
   * @throws IllegalArgumentException if the null value or alpha is not strictly between 0 and 1
   */
  public CriticalCounts criticalCounts(
      long trials, Hypothesis hypothesis, double alpha, CriticalCounts near) {
    return region(trials, hypothesis, alpha)
        .findNear(near, this, trials, x -> of(Tally.of(x, trials), hypothesis).rejects(alpha));
  }

  private RejectionRegion region(long trials, Hypothesis hypothesis, double alpha) {
    Proportion.require("against", hypothesis.against());
    Proportion.require("alpha", alpha);
    Binomial underNull = new Binomial(trials, DecimalFraction.of(hypothesis.against()));
    // Without variance Wald's test has no statistic and never rejects.
    int ends = this == WALD ? 1 : 0;
    return new RejectionRegion(underNull, ends, trials - ends, hypothesis.alternative());
  }
}
