package dev.tavik.association;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.Deviance;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import java.util.function.DoubleBinaryOperator;

/**
 * The tests of whether two classifications are associated. None of them has a direction. All but
 * Fisher's are referred to chi-square with (rows - 1)(columns - 1) degrees of freedom.
 *
 * <p>Statistics are right to 10⁻¹² relative, p-values to 10⁻¹⁰ at any distance; below 10⁻³⁰⁰ read
 * {@link TestResult#log10PValue}.
 */
public enum TableTest {
  /** X² = Σ (O - E)²/E. */
  PEARSON("pearson", "Pearson 1900, Philosophical Magazine 50, 157-175"),
  /** G² = 2 Σ O ln(O/E). */
  LIKELIHOOD_RATIO("likelihood-ratio", "Wilks 1938, Annals of Mathematical Statistics 9, 60-62"),
  /** 9/5 Σ O((O/E)^⅔ - 1), between the two above and good for small counts. */
  CRESSIE_READ(
      "cressie-read",
      "Cressie and Read 1984, Journal of the Royal Statistical Society B 46, 440-464"),
  /** Two by two only: Pearson's X² times (N - 1)/N. */
  N_MINUS_1("n-1", "Campbell 2007, Statistics in Medicine 26, 3661-3675"),
  /**
   * Two by two only: Pearson's X² with |O - E| reduced by ½, never past 0; as cautious as Fisher's
   * test.
   */
  YATES(
      "yates", "Yates 1934, Supplement to the Journal of the Royal Statistical Society 1, 217-235"),
  /**
   * Fisher's exact test: both margins held, all tables no more probable than the observed one, with
   * a relative tolerance of 10⁻⁷ on ties. Beyond two by two it declines more than 200,000 units,
   * work beyond its budget, and p-values below 10⁻²⁹⁰.
   */
  FISHER("fisher", "Freeman and Halton 1951, Biometrika 38, 141-149");

  /** How long an exact test may take unless more is given, in seconds. */
  public static final double USUAL_BUDGET = 5;

  private static final double LAMBDA_PLUS_1 = 5.0 / 3;
  private static final double SERIES_WITHIN = 0.05;

  private final String id;
  private final String reference;

  TableTest(String id, String reference) {
    this.id = id;
    this.reference = reference;
  }

  /**
   * Tests whether rows and columns are associated, with the usual budget.
   *
   * @param table the counts
   * @return the result
   * @throws DeclinedException if the test is not for such a table, or would take too long
   */
  public TestResult of(CrossTable table) {
    return of(table, USUAL_BUDGET);
  }

  /**
   * Tests whether rows and columns are associated.
   *
   * @param table the counts
   * @param budget how long an exact test may take, in seconds of a usual machine, above 0; work is
   *     estimated and then counted, so that a table is answered or declined alike every time
   * @return the result
   * @throws DeclinedException if the test is not for such a table, or would take too long
   * @throws IllegalArgumentException if not budget &gt; 0
   */
  public TestResult of(CrossTable table, double budget) {
    if (!(budget > 0)) {
      throw new IllegalArgumentException("budget must be above 0 seconds, got " + budget);
    }
    if ((this == N_MINUS_1 || this == YATES) && !table.twoByTwo()) {
      throw new DeclinedException("is for tables of two rows and two columns only; use pearson");
    }
    return switch (this) {
      case PEARSON -> chiSquare("X2", table, TableTest::squared);
      case LIKELIHOOD_RATIO -> chiSquare("G2", table, TableTest::deviance);
      case CRESSIE_READ -> chiSquare("CR", table, TableTest::power);
      case N_MINUS_1 -> {
        double n = table.total();
        yield chiSquare(
            "X2", table, (expected, excess) -> squared(expected, excess) * ((n - 1) / n));
      }
      case YATES ->
          chiSquare(
              "X2",
              table,
              (expected, excess) -> squared(expected, Math.max(0, Math.abs(excess) - 0.5)));
      case FISHER -> fisher(table, budget);
    };
  }

  /** Two by two is the test of two proportions, which has its digits at any distance. */
  private TestResult fisher(CrossTable table, double budget) {
    if (!table.twoByTwo()) {
      return TestResult.of(id, null, Math.log(ExactTable.pValue(table, budget)));
    }
    TestResult same =
        TwoProportionTest.FISHER.of(
            Tally.of(table.count(0, 0), table.rowTotal(0)),
            Tally.of(table.count(1, 0), table.rowTotal(1)),
            Hypothesis.noDifference());
    return new TestResult(id, null, null, same.pValue(), same.log10PValue(), null, null);
  }

  private TestResult chiSquare(String name, CrossTable table, DoubleBinaryOperator part) {
    double statistic = 0;
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = 0; j < table.columns().size(); j++) {
        statistic +=
            part.applyAsDouble(
                Independence.expected(table, i, j), Independence.excess(table, i, j));
      }
    }
    double df = Independence.df(table);
    return TestResult.of(
            id, new TestResult.Statistic(name, statistic), ChiSquare.logUpper(statistic, df))
        .withDf(df);
  }

  private static double squared(double expected, double excess) {
    return excess * (excess / expected);
  }

  private static double deviance(double expected, double excess) {
    double observed = expected + excess;
    return 2 * (observed < 0.5 ? expected : Deviance.half(Math.rint(observed), expected, excess));
  }

  /**
   * With δ = (O - E)/E and ΣEδ = 0, O((O/E)^⅔ - 1) sums to E((1 + δ)^{5/3} - 1 - 5δ/3), which
   * doesn't cancel; for small δ by its binomial series.
   */
  private static double power(double expected, double excess) {
    double delta = excess / expected;
    double value;
    if (Math.abs(delta) < SERIES_WITHIN) {
      double term = LAMBDA_PLUS_1 * (LAMBDA_PLUS_1 - 1) / 2 * delta * delta;
      value = 0;
      for (int k = 2; value + term != value; k++) {
        value += term;
        term *= (LAMBDA_PLUS_1 - k) / (k + 1) * delta;
      }
    } else {
      value = Math.pow(1 + delta, LAMBDA_PLUS_1) - 1 - LAMBDA_PLUS_1 * delta;
    }
    return 1.8 * expected * value;
  }

  /**
   * The public id.
   *
   * @return such as {@code pearson}
   */
  public String id() {
    return id;
  }

  /**
   * Where the test was published.
   *
   * @return author, year, journal, volume, pages
   */
  public String reference() {
    return reference;
  }
}
