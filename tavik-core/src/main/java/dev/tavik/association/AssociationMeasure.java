package dev.tavik.association;

import dev.tavik.count.CrossTable;
import dev.tavik.numeric.NoncentralChiSquare;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;
import java.util.Objects;
import java.util.Optional;

/**
 * Measures how strong an association is, as one number. Values are right to 10⁻¹², those near 0
 * absolutely.
 */
public enum AssociationMeasure {
  /**
   * (ad - bc)/√(margins) of two by two; its sign says which diagonal is fuller. NaN for other
   * tables.
   */
  PHI(Estimand.PHI, Direction.NONE, "phi"),
  /** √(X²/(N·min(r - 1, c - 1))), 0 to 1 (Cramér 1946, Mathematical Methods of Statistics). */
  CRAMERS_V(Estimand.CRAMERS_V, Direction.NONE, "Cramer's V"),
  /**
   * Cramér's V corrected for its bias, which makes it 0 on average where there is no association
   * (Bergsma 2013, Journal of the Korean Statistical Society 42, 323-328).
   */
  CRAMERS_V_CORRECTED(
      Estimand.CRAMERS_V_CORRECTED, Direction.NONE, "Cramer's V, corrected for bias"),
  /** Pearson's contingency coefficient √(X²/(X² + N)); its largest value is below 1. */
  CONTINGENCY(Estimand.CONTINGENCY, Direction.NONE, "contingency coefficient"),
  /** √(X²/N) (Cohen 1988, Statistical Power Analysis for the Behavioral Sciences, chapter 7). */
  COHENS_W(Estimand.COHENS_W, Direction.NONE, "Cohen's w"),
  /** The share of wrong guesses of the column that knowing the row avoids. */
  LAMBDA_COLUMNS(Estimand.LAMBDA, Direction.COLUMNS_FROM_ROWS, "lambda"),
  /** The share of wrong guesses of the row that knowing the column avoids. */
  LAMBDA_ROWS(Estimand.LAMBDA, Direction.ROWS_FROM_COLUMNS, "lambda"),
  /** The share of the columns' entropy that the rows explain. */
  THEILS_U_COLUMNS(Estimand.THEILS_U, Direction.COLUMNS_FROM_ROWS, "Theil's U"),
  /** The share of the rows' entropy that the columns explain. */
  THEILS_U_ROWS(Estimand.THEILS_U, Direction.ROWS_FROM_COLUMNS, "Theil's U"),
  /** Goodman and Kruskal's γ of ordered rows and columns: ties left out. */
  GAMMA(Estimand.GAMMA, Direction.NONE, "gamma"),
  /** Kendall's τ_b of ordered rows and columns: corrected for ties. */
  KENDALLS_TAU_B(Estimand.KENDALLS_TAU_B, Direction.NONE, "Kendall's tau-b"),
  /** Somers' d of ordered columns, depending on ordered rows. */
  SOMERS_D_COLUMNS(Estimand.SOMERS_D, Direction.COLUMNS_FROM_ROWS, "Somers' d"),
  /** Somers' d of ordered rows, depending on ordered columns. */
  SOMERS_D_ROWS(Estimand.SOMERS_D, Direction.ROWS_FROM_COLUMNS, "Somers' d");

  private final Estimand quantity;
  private final Direction direction;
  private final String title;

  AssociationMeasure(Estimand quantity, Direction direction, String title) {
    this.quantity = quantity;
    this.direction = direction;
    this.title = title;
  }

  /**
   * The measure.
   *
   * @param table the counts; for the measures of order, with rows and columns in their order
   * @return its value and asymptotic standard error, NaN where there is none; labelled {@code
   *     columns from rows} or {@code rows from columns} where that makes a difference
   */
  public Estimate of(CrossTable table) {
    Measured measured = measured(table).within(quantity);
    return new Estimate(quantity, direction.label(), measured.value(), measured.standardError());
  }

  private Measured measured(CrossTable table) {
    return switch (this) {
      case PHI -> table.twoByTwo() ? phi(table) : Measured.alone(Double.NaN);
      case CRAMERS_V -> Measured.alone(cramersV(square(table), table));
      case CRAMERS_V_CORRECTED -> Measured.alone(corrected(table));
      case CONTINGENCY -> Measured.alone(Math.sqrt(square(table) / (1 + square(table))));
      case COHENS_W -> Measured.alone(Math.sqrt(square(table)));
      case LAMBDA_COLUMNS, LAMBDA_ROWS -> PredictionMeasures.lambda(given(table));
      case THEILS_U_COLUMNS, THEILS_U_ROWS -> PredictionMeasures.theilsU(given(table));
      case GAMMA -> new OrderMeasures(given(table)).gamma();
      case KENDALLS_TAU_B -> new OrderMeasures(given(table)).tauB();
      case SOMERS_D_COLUMNS, SOMERS_D_ROWS -> new OrderMeasures(given(table)).somersD();
    };
  }

  private Margins given(CrossTable table) {
    return new Margins(direction.given(table));
  }

  /**
   * A two-sided interval: for V, the contingency coefficient and w from the limits of chi-square's
   * noncentrality λ (Smithson 2003, Confidence Intervals, chapter 4), v = √(λ/(N·min(r - 1, c -
   * 1))); for the others the value ± z standard errors, no further than the measure goes.
   *
   * @param table the counts
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval; none for the corrected V, or where the standard error is 0 or missing
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Optional<Interval> interval(CrossTable table, double level) {
    Proportion.require("level", level);
    if (this == CRAMERS_V || this == CONTINGENCY || this == COHENS_W) {
      return Optional.of(noncentral(table, level));
    }
    return asymptotic(quantity, measured(table), level);
  }

  /** The value and so many standard errors to both sides, within the quantity's range. */
  static Optional<Interval> asymptotic(Estimand quantity, Measured measured, double level) {
    double error = measured.standardError();
    if (!(error > 0)) {
      return Optional.empty();
    }
    double value = measured.within(quantity).value();
    double reach = Normal.upperQuantile((1 - level) / 2) * error;
    return Optional.of(
        new Interval(
            quantity,
            StrengthInterval.ASYMPTOTIC,
            level,
            Side.TWO_SIDED,
            Math.max(quantity.least(), value - reach),
            Math.min(quantity.greatest(), value + reach)));
  }

  private Interval noncentral(CrossTable table, double level) {
    double n = table.total();
    double x = square(table) * n;
    double df = Independence.df(table);
    double tail = (1 - level) / 2;
    double lower =
        fromNoncentrality(NoncentralChiSquare.noncentrality(x, df, tail, true) / n, table);
    double upper =
        fromNoncentrality(NoncentralChiSquare.noncentrality(x, df, tail, false) / n, table);
    // At a level near 0 both searches end at the same place, up to their last digit.
    return new Interval(
        quantity,
        StrengthInterval.NONCENTRAL,
        level,
        Side.TWO_SIDED,
        Math.min(lower, upper),
        upper);
  }

  private double fromNoncentrality(double square, CrossTable table) {
    return switch (this) {
      case CRAMERS_V -> Math.min(1, cramersV(square, table));
      case CONTINGENCY -> Math.sqrt(square / (1 + square));
      case COHENS_W -> Math.sqrt(square);
      default -> throw new IllegalStateException(this + " has no noncentral interval");
    };
  }

  /** X²/N. */
  private static double square(CrossTable table) {
    return Objects.requireNonNull(TableTest.PEARSON.of(table).statistic(), "statistic").value()
        / table.total();
  }

  private static double cramersV(double square, CrossTable table) {
    return cramersV(square, table.rows().size(), table.columns().size());
  }

  /**
   * Cramér's V of a chi-square statistic (1946): √(X²/N / min(r - 1, c - 1)).
   *
   * @param square the statistic divided by the number of units, at least 0
   * @param rows how many rows there are, at least 2
   * @param columns how many columns, at least 2
   * @return V, from 0 to 1
   */
  public static double cramersV(double square, int rows, int columns) {
    return Math.sqrt(square / (Math.min(rows, columns) - 1));
  }

  /** With the standard error of the delta method under multinomial sampling. */
  private static Measured phi(CrossTable table) {
    double phi = Math.copySign(Math.sqrt(square(table)), Independence.excess(table, 0, 0));
    Margins margins = new Margins(Direction.NONE.given(table));
    double n = margins.total();
    double root =
        Math.sqrt(margins.row(0))
            * Math.sqrt(margins.row(1))
            * Math.sqrt(margins.column(0))
            * Math.sqrt(margins.column(1));
    // The gradient by each cell's share.
    Margins.Cell gradient =
        (i, j) ->
            (i == j ? 1 : -1) * n * margins.count(1 - i, 1 - j) / root
                - phi / 2 * (n / margins.row(i) + n / margins.column(j));
    double mean = margins.sum(gradient) / n;
    double square =
        margins.sum(
                (i, j) -> {
                  double beyond = gradient.at(i, j) - mean;
                  return beyond * beyond;
                })
            / n;
    return new Measured(phi, Math.sqrt(square / n));
  }

  private static double corrected(CrossTable table) {
    double n = table.total();
    if (n <= 1) {
      return 0;
    }
    double r = table.rows().size();
    double c = table.columns().size();
    double left = Math.max(0, square(table) - Independence.df(table) / (n - 1));
    double rows = r - (r - 1) * (r - 1) / (n - 1);
    double columns = c - (c - 1) * (c - 1) / (n - 1);
    double shorter = Math.min(rows, columns) - 1;
    return left == 0 || shorter <= 0 ? 0 : Math.sqrt(left / shorter);
  }

  /**
   * What is measured.
   *
   * @return the quantity
   */
  public Estimand quantity() {
    return quantity;
  }

  /**
   * The name for readers.
   *
   * @return such as {@code Cramer's V}, with the direction where there is one
   */
  public String title() {
    return direction == Direction.NONE ? title : title + ", " + direction.label();
  }

  /**
   * Whether rows and columns must be ordered.
   *
   * @return whether the order of the levels makes a difference
   */
  public boolean ofOrder() {
    return quantity == Estimand.GAMMA
        || quantity == Estimand.KENDALLS_TAU_B
        || quantity == Estimand.SOMERS_D;
  }
}
