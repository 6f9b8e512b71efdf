package dev.tavik.association;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.CategoryCounts;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.Deviance;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic.Kind;

/**
 * The tests of whether counts follow claimed shares. None of them has a direction.
 *
 * <p>Statistics are right to 10⁻¹² relative, p-values to 10⁻¹⁰ at any distance; below 10⁻³⁰⁰ read
 * {@link TestResult#log10PValue}.
 */
public enum SharesTest implements Method {
  /** X² = Σ (O - E)²/E, referred to chi-square with one degree of freedom fewer than categories. */
  PEARSON(
      "pearson",
      "X² = Σ (O - E)²/E, chi-square with one degree of freedom fewer than categories",
      Exactness.APPROXIMATE,
      "Pearson 1900, Philosophical Magazine 50, 157-175"),
  /** G² = 2 Σ O ln(O/E), referred to the same distribution. */
  LIKELIHOOD_RATIO(
      "likelihood-ratio",
      "G² = 2 Σ O ln(O/E)",
      Exactness.APPROXIMATE,
      "Wilks 1938, Annals of Mathematical Statistics 9, 60-62"),
  /**
   * The probability, under the claimed shares, of all outcomes no more probable than the observed
   * one, with a relative tolerance of 10⁻⁷ on ties. With two categories the binomial test. Declines
   * beyond a budget, which its message names.
   */
  EXACT_MULTINOMIAL(
      "exact-multinomial",
      "all outcomes no more probable than the observed one",
      Exactness.EXACT,
      "Freeman and Halton 1951, Biometrika 38, 141-149");

  private final MethodInfo info;

  SharesTest(String id, String description, Exactness exactness, String reference) {
    this.info = MethodInfo.of(id, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests whether counts follow claimed shares.
   *
   * @param counts the counts
   * @param shares one share a category
   * @return the result
   * @throws IllegalArgumentException if there isn't one share a category
   * @throws NotApplicableException if the exact test would take too long
   */
  public TestResult of(CategoryCounts counts, Shares shares) {
    requireOneEach(counts, shares);
    return switch (this) {
      case PEARSON -> chiSquare(Kind.X2, pearson(counts, shares), counts.size());
      case LIKELIHOOD_RATIO -> chiSquare(Kind.G2, likelihoodRatio(counts, shares), counts.size());
      case EXACT_MULTINOMIAL ->
          TestResult.of(this, null, new MultinomialTest(counts, shares).logPValue());
    };
  }

  static void requireOneEach(CategoryCounts counts, Shares shares) {
    require(
        shares.size() == counts.size(),
        "there must be one share for each category (%d: %s), got %d",
        counts.size(),
        String.join(", ", counts.levels()),
        shares.size());
  }

  private TestResult chiSquare(Kind kind, double statistic, int categories) {
    double df = categories - 1.0;
    return TestResult.of(
            this, new TestResult.Statistic(kind, statistic), ChiSquare.logUpper(statistic, df))
        .withDf(df);
  }

  static double pearson(CategoryCounts counts, Shares shares) {
    double sum = 0;
    for (int i = 0; i < counts.size(); i++) {
      double excess = shares.excess(i, counts.counts().get(i), counts.total());
      sum += excess * (excess / shares.expected(i, counts.total()));
    }
    return sum;
  }

  private static double likelihoodRatio(CategoryCounts counts, Shares shares) {
    double half = 0;
    for (int i = 0; i < counts.size(); i++) {
      long count = counts.counts().get(i);
      double expected = shares.expected(i, counts.total());
      double excess = shares.excess(i, count, counts.total());
      half += count == 0 ? expected : Deviance.half((double) count, expected, excess);
    }
    return 2 * half;
  }
}
