package dev.tavik.association;

import dev.tavik.count.StratifiedTables;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;
import java.math.BigInteger;
import java.util.List;

/**
 * Names the tests over several strata of two by two. Strata without successes or failures say
 * nothing.
 */
public enum StratifiedTest implements Method {
  /**
   * Is there an association within strata? (Σ(a - E))²/ΣV, without a continuity correction, V the
   * hypergeometric variance; one degree of freedom.
   */
  MANTEL_HAENSZEL(
      "mantel-haenszel",
      "association within strata, one degree of freedom, uncorrected",
      Exactness.APPROXIMATE,
      "Mantel and Haenszel 1959, Journal of the National Cancer Institute 22, 719-748"),
  /**
   * Do the strata have one odds ratio? Σ(a - A)²/V with A the count that the common odds ratio of
   * Mantel and Haenszel expects, less Tarone's correction; one degree of freedom a stratum, less
   * one.
   */
  BRESLOW_DAY(
      "breslow-day",
      "the same odds ratio in all strata, with Tarone's correction",
      Exactness.APPROXIMATE,
      "Breslow and Day 1980, Statistical Methods in Cancer Research I, 4.4; Tarone 1985, Biometrika"
          + " 72, 91-95");

  private final MethodInfo info;

  StratifiedTest(String id, String description, Exactness exactness, String reference) {
    this.info = MethodInfo.of(id, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Makes the test.
   *
   * @param tables the strata
   * @return the result
   * @throws NotApplicableException if too few strata say anything, or the common odds ratio is 0 or
   *     infinite where a finite one is needed
   */
  public TestResult of(StratifiedTables tables) {
    List<Stratum> strata = tables.informative();
    if (strata.isEmpty()) {
      throw new NotApplicableException(NotApplicableReason.NO_INFORMATIVE_STRATUM);
    }
    return this == MANTEL_HAENSZEL ? association(strata) : homogeneity(tables, strata);
  }

  private TestResult association(List<Stratum> strata) {
    double surplus = 0;
    double variance = 0;
    for (Stratum stratum : strata) {
      double n = stratum.first().trials() + (double) stratum.second().trials();
      double successes = stratum.first().successes() + (double) stratum.second().successes();
      surplus += surplus(stratum);
      if (n > 1) {
        variance +=
            stratum.first().trials()
                / n
                * (stratum.second().trials() / n)
                * successes
                * ((n - successes) / (n - 1));
      }
    }
    double statistic = surplus * (surplus / variance);
    return result(statistic, 1);
  }

  /** a - E, as (ad - bc)/n. */
  private static double surplus(Stratum stratum) {
    BigInteger cross =
        product(stratum.first().successes(), stratum.second().failures())
            .subtract(product(stratum.first().failures(), stratum.second().successes()));
    return cross.doubleValue() / (stratum.first().trials() + stratum.second().trials());
  }

  private static BigInteger product(long a, long b) {
    return BigInteger.valueOf(a).multiply(BigInteger.valueOf(b));
  }

  private TestResult homogeneity(StratifiedTables tables, List<Stratum> strata) {
    if (strata.size() < 2) {
      throw new NotApplicableException(NotApplicableReason.ONE_INFORMATIVE_STRATUM);
    }
    double ratio = CommonOddsRatio.of(tables).value();
    if (!(ratio > 0 && ratio < Double.POSITIVE_INFINITY)) {
      throw new NotApplicableException(NotApplicableReason.NO_COMMON_ODDS_RATIO);
    }
    double statistic = 0;
    double surplus = 0;
    double variances = 0;
    for (Stratum stratum : strata) {
      double expected = expected(stratum, ratio);
      double first = stratum.first().trials();
      double second = stratum.second().trials();
      double successes = stratum.first().successes() + (double) stratum.second().successes();
      double variance =
          1
              / (1 / expected
                  + 1 / (first - expected)
                  + 1 / (successes - expected)
                  + 1 / (second - successes + expected));
      double beyond = stratum.first().successes() - expected;
      statistic += beyond * (beyond / variance);
      surplus += beyond;
      variances += variance;
    }
    return result(Math.max(0, statistic - surplus * (surplus / variances)), strata.size() - 1.0);
  }

  /**
   * The first group's successes A with A(d + A)/((n₁ - A)(s - A)) = ψ, d = n₂ - s, the root of (ψ -
   * 1)A² - bA + ψ n₁ s between both ends, taken in the form that doesn't cancel.
   */
  private static double expected(Stratum stratum, double ratio) {
    double first = stratum.first().trials();
    double second = stratum.second().trials();
    double successes = stratum.first().successes() + (double) stratum.second().successes();
    double b = ratio * (first + successes) + second - successes;
    double root = Math.sqrt(Math.max(0, b * b - 4 * (ratio - 1) * ratio * first * successes));
    return b < 0 ? (root - b) / (2 * (1 - ratio)) : 2 * ratio * first * successes / (b + root);
  }

  private TestResult result(double statistic, double df) {
    return TestResult.of(
            this,
            new TestResult.Statistic(TestResult.Statistic.Kind.X2, statistic),
            ChiSquare.logUpper(statistic, df))
        .withDf(df);
  }
}
