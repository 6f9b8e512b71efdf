package dev.tavik.result;

import static dev.tavik.result.Figures.say;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What one test says.
 *
 * @param method the public id of the method, such as {@code score}
 * @param statistic what the test looked at; null where it can't be computed
 * @param df degrees of freedom; null where the test has none
 * @param pValue the p-value, 0 to 1; it underflows to 0 below about 10⁻³²³
 * @param log10PValue its decimal logarithm, at most 0, right where {@code pValue} has underflowed
 * @param adjusted the p-value adjusted for several tests; null where this test stands alone
 * @param nuisance the common proportion at which an unconditional test has its largest p-value;
 *     null for tests without one
 */
public record TestResult(
    Method method,
    @Nullable Statistic statistic,
    @Nullable Double df,
    double pValue,
    double log10PValue,
    @Nullable AdjustedP adjusted,
    @Nullable Double nuisance) {

  private static final double LN_10 = Math.log(10);

  /** A subnormal double has lost digits, so its logarithm is only approximate. */
  private static final double LOG10_SMALLEST = -307;

  private static final double AGREEMENT = 1e-6;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if not 0 ≤ pValue ≤ 1, or log10PValue isn't its logarithm
   */
  public TestResult {
    Objects.requireNonNull(method, "method");
    if (!(pValue >= 0 && pValue <= 1)) {
      throw new IllegalArgumentException(say("pValue must be between 0 and 1, got %s", pValue));
    }
    boolean agree =
        pValue < Double.MIN_NORMAL
            ? log10PValue <= LOG10_SMALLEST
            : log10PValue <= 0 && Math.abs(Math.log(pValue) / LN_10 - log10PValue) <= AGREEMENT;
    if (!agree) {
      throw new IllegalArgumentException(
          say(
              "log10PValue must be the decimal logarithm of pValue (%s), got %s",
              pValue, log10PValue));
    }
  }

  /**
   * The value that a test is based on.
   *
   * @param kind which statistic it is
   * @param value its value
   */
  public record Statistic(Kind kind, double value) {
    /** What is computed of the counts, and compared with its distribution under the null. */
    public enum Kind {
      /** A difference in standard errors, standard normal under the null. */
      Z("z"),
      /** A difference in standard errors, with Student's distribution under the null. */
      T("t"),
      /** Pearson's chi-square statistic. */
      X2("X2"),
      /** The likelihood-ratio statistic. */
      G2("G2"),
      /** The power divergence of Cressie and Read. */
      CR("CR"),
      /** The square root of the likelihood-ratio statistic, with the sign of the difference. */
      SIGNED_ROOT("signed root of G2"),
      /** The chi-square statistic of a correlation. */
      M2("M2"),
      /** Cochran's statistic of repeated judgements. */
      Q("Q"),
      /** An F statistic. */
      F("F"),
      /** A statistic of a designed sample whose distribution is approximated by chi-square. */
      CHI_SQUARE("chi-square"),
      /** The number of successes, of an exact test. */
      SUCCESSES("successes"),
      /** The number of trials that tell as much as a designed sample. */
      EFFECTIVE_N("effective n"),
      /** Fisher's p-value, by which Boschloo's test orders tables. */
      FISHERS_P("Fisher's p"),
      /** Its decimal logarithm. */
      LOG_FISHERS_P("log10 of Fisher's p");

      private final String id;

      Kind(String id) {
        this.id = id;
      }
    }

    /** {@return how it is written, such as {@code z} or {@code X2}} */
    public String name() {
      return kind.id;
    }

    /** {@return whether it is a count of successes, whose tails are sums} */
    public boolean isCount() {
      return kind == Kind.SUCCESSES;
    }
  }

  /**
   * A p-value adjusted for several tests, and its decimal logarithm.
   *
   * @param pValue the p-value, from 0 to 1
   * @param log10PValue its decimal logarithm, also where the p-value is too small for a number
   */
  public record AdjustedP(double pValue, double log10PValue) {
    /**
     * A p-value by its logarithm.
     *
     * @param lnPValue its natural logarithm; above 0 only by rounding
     * @return the p-value
     */
    public static AdjustedP ofLog(double lnPValue) {
      double ln = Math.min(0, lnPValue);
      return new AdjustedP(Math.exp(ln), ln / LN_10);
    }

    /**
     * Whether the null hypothesis is rejected, all tests together.
     *
     * @param alpha the significance level, strictly between 0 and 1
     * @return whether the p-value is at most alpha, as {@link Significance} says
     */
    public boolean rejects(double alpha) {
      return Significance.reached(pValue, alpha);
    }
  }

  /**
   * A test without degrees of freedom, from the natural logarithm of its p-value. A sum of tails
   * may pass 1 by rounding; it is taken as 1.
   *
   * @param method the public id of the method
   * @param statistic what the test looked at; null where it can't be computed
   * @param lnPValue the natural logarithm of the p-value
   * @return the result
   */
  public static TestResult of(Method method, @Nullable Statistic statistic, double lnPValue) {
    double ln = Math.min(0, lnPValue);
    return new TestResult(method, statistic, null, Math.exp(ln), ln / LN_10, null, null);
  }

  /**
   * This result with degrees of freedom.
   *
   * @param value the degrees of freedom
   * @return the result
   */
  public TestResult withDf(double value) {
    return new TestResult(method, statistic, value, pValue, log10PValue, adjusted, nuisance);
  }

  /**
   * This result with the nuisance parameter behind it.
   *
   * @param value the common proportion at which the p-value is largest
   * @return the result
   */
  public TestResult withNuisance(double value) {
    return new TestResult(method, statistic, df, pValue, log10PValue, adjusted, value);
  }

  /**
   * Whether the null hypothesis is rejected: the p-value is at most alpha, as {@link Significance}
   * says.
   *
   * @param alpha the significance level, strictly between 0 and 1
   * @return whether the test rejects
   */
  public boolean rejects(double alpha) {
    return Significance.reached(pValue, alpha);
  }

  /**
   * Whether the null hypothesis is rejected with regard to all tests made together: by the adjusted
   * p-value where there is one.
   *
   * @param alpha the significance level, strictly between 0 and 1
   * @return whether the test rejects after adjustment
   */
  public boolean rejectsAdjusted(double alpha) {
    return Significance.reached(adjusted == null ? pValue : adjusted.pValue(), alpha);
  }

  /**
   * This result with an adjusted p-value beside the raw one.
   *
   * @param value the adjusted p-value
   * @return the result
   */
  public TestResult withAdjusted(AdjustedP value) {
    return new TestResult(method, statistic, df, pValue, log10PValue, value, nuisance);
  }
}
