package dev.tavik.association;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.Deviance;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic.Kind;
import java.util.function.DoubleBinaryOperator;

/**
 * Names the tests of whether two classifications are associated. Those of independence have no
 * direction; all but Fisher's are referred to chi-square with (rows - 1)(columns - 1) degrees of
 * freedom. Those of ordered levels are referred to the normal distribution ({@link #TREND}) or to
 * chi-square with one degree of freedom ({@link #LINEAR}).
 *
 * <p>Statistics are right to 10⁻¹² relative, p-values to 10⁻¹⁰ at any distance; below 10⁻³⁰⁰ read
 * {@link TestResult#log10PValue}.
 */
public enum TableTest implements Method {
  /** X² = Σ (O - E)²/E. */
  PEARSON(
      "pearson",
      "X² = Σ (O - E)²/E, chi-square with (r - 1)(c - 1) degrees of freedom",
      Exactness.APPROXIMATE,
      "Pearson 1900, Philosophical Magazine 50, 157-175"),
  /** G² = 2 Σ O ln(O/E). */
  LIKELIHOOD_RATIO(
      "likelihood-ratio",
      "G² = 2 Σ O ln(O/E)",
      Exactness.APPROXIMATE,
      "Wilks 1938, Annals of Mathematical Statistics 9, 60-62"),
  /** 9/5 Σ O((O/E)^⅔ - 1), between the two above and good for small counts. */
  CRESSIE_READ(
      "cressie-read",
      "the power divergence with λ = ⅔",
      Exactness.APPROXIMATE,
      "Cressie and Read 1984, Journal of the Royal Statistical Society B 46, 440-464"),
  /** Two by two only: Pearson's X² times (N - 1)/N. */
  N_MINUS_1(
      "n-1",
      "two by two only: X²(N - 1)/N",
      Exactness.APPROXIMATE,
      "Campbell 2007, Statistics in Medicine 26, 3661-3675"),
  /**
   * Two by two only: Pearson's X² with |O - E| reduced by ½, never past 0; as cautious as Fisher's
   * test.
   */
  YATES(
      "yates",
      "two by two only: |O - E| reduced by ½, never past 0",
      Exactness.APPROXIMATE,
      "Yates 1934, Supplement to the Journal of the Royal Statistical Society 1, 217-235"),
  /**
   * Fisher's exact test: both margins held, all tables no more probable than the observed one, with
   * a relative tolerance of 10⁻⁷ on ties. Beyond two by two it declines more than 200,000 units,
   * work beyond its budget, and p-values below 10⁻²⁹⁰.
   */
  FISHER(
      "fisher",
      "both margins held, all tables no more probable than the observed one",
      Exactness.EXACT,
      "Freeman and Halton 1951, Biometrika 38, 141-149"),
  /**
   * Two rows or two columns: does the share of the first of the two rise or fall with the scores of
   * the other classification? z with N, not N - 1, in its variance; positive where it rises.
   */
  TREND(
      "trend",
      "two levels against ordered ones: z, with N in its variance",
      Exactness.APPROXIMATE,
      "Cochran 1954, Biometrics 10, 417-451; Armitage 1955, Biometrics 11, 375-386"),
  /** Both ordered: do the scores of rows and columns go together? (N - 1)r² with one df. */
  LINEAR(
      "linear",
      "both ordered: (N - 1)r² of the scores",
      Exactness.APPROXIMATE,
      "Mantel 1963, Journal of the American Statistical Association 58, 690-700");

  private static final double LAMBDA_PLUS_1 = 5.0 / 3;
  private static final double SERIES_WITHIN = 0.05;

  private final MethodInfo info;

  TableTest(String id, String description, Exactness exactness, String reference) {
    this.info = MethodInfo.of(id, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests whether rows and columns are associated, with the usual options.
   *
   * @param table the counts
   * @return the result
   * @throws NotApplicableException if the test is not for such a table, or would take too long
   */
  public TestResult of(CrossTable table) {
    return of(table, TestOptions.usual());
  }

  /**
   * Tests whether rows and columns are associated.
   *
   * @param table the counts
   * @param options the budget of an exact test, and the scores of ordered levels
   * @return the result
   * @throws NotApplicableException if the test is not for such a table, or would take too long
   * @throws IllegalArgumentException if there isn't one score a level
   */
  public TestResult of(CrossTable table, TestOptions options) {
    if ((this == N_MINUS_1 || this == YATES) && !table.twoByTwo()) {
      throw new NotApplicableException(NotApplicableReason.NOT_TWO_BY_TWO);
    }
    return switch (this) {
      case PEARSON -> chiSquare(Kind.X2, table, TableTest::squared);
      case LIKELIHOOD_RATIO -> chiSquare(Kind.G2, table, TableTest::deviance);
      case CRESSIE_READ -> chiSquare(Kind.CR, table, TableTest::power);
      case N_MINUS_1 -> {
        double n = table.total();
        yield chiSquare(
            Kind.X2, table, (expected, excess) -> squared(expected, excess) * ((n - 1) / n));
      }
      case YATES ->
          chiSquare(
              Kind.X2,
              table,
              (expected, excess) -> squared(expected, Math.max(0, Math.abs(excess) - 0.5)));
      case TREND -> trend(table, options);
      case LINEAR -> {
        double statistic = new ScoreTests(table, options).linear();
        yield TestResult.of(
                this,
                new TestResult.Statistic(Kind.M2, statistic),
                ChiSquare.logUpper(statistic, 1))
            .withDf(1);
      }
      case FISHER -> fisher(table, options.budget());
    };
  }

  private TestResult trend(CrossTable table, TestOptions options) {
    if (table.rows().size() > 2 && table.columns().size() > 2) {
      throw new NotApplicableException(NotApplicableReason.NEITHER_TWO_ROWS_NOR_COLUMNS);
    }
    double z = new ScoreTests(table, options).trend();
    return TestResult.of(
        this, new TestResult.Statistic(Kind.Z, z), Math.log(2) + Normal.logUpper(Math.abs(z)));
  }

  /** Two by two is the test of two proportions, which has its digits at any distance. */
  private TestResult fisher(CrossTable table, double budget) {
    if (!table.twoByTwo()) {
      return TestResult.of(this, null, Math.log(ExactTable.pValue(table, budget)));
    }
    TestResult same =
        TwoProportionTest.FISHER.of(
            Tally.of(table.count(0, 0), table.rowTotal(0)),
            Tally.of(table.count(1, 0), table.rowTotal(1)),
            Hypothesis.noDifference());
    return new TestResult(this, null, null, same.pValue(), same.log10PValue(), null, null);
  }

  private TestResult chiSquare(Kind kind, CrossTable table, DoubleBinaryOperator part) {
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
            this, new TestResult.Statistic(kind, statistic), ChiSquare.logUpper(statistic, df))
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
      // An empty cell has δ = -1, which may be rounded to a little below.
      value = Math.pow(Math.max(0, 1 + delta), LAMBDA_PLUS_1) - 1 - LAMBDA_PLUS_1 * delta;
    }
    return 1.8 * expected * value;
  }

  /**
   * Whether the levels must be ordered.
   *
   * @return whether the test is against a rise with scores
   */
  public boolean ofOrder() {
    return this == TREND || this == LINEAR;
  }
}
