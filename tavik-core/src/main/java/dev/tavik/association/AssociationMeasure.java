package dev.tavik.association;

import dev.tavik.count.CrossTable;
import dev.tavik.result.Estimate;
import dev.tavik.result.Quantity;
import java.util.Objects;

/** How strong an association is, as one number. */
public enum AssociationMeasure {
  /**
   * (ad - bc)/√(margins) of two by two; its sign says which diagonal is fuller. NaN for other
   * tables.
   */
  PHI(Quantity.PHI),
  /** √(X²/(N·min(r - 1, c - 1))), 0 to 1 (Cramér 1946, Mathematical Methods of Statistics). */
  CRAMERS_V(Quantity.CRAMERS_V),
  /**
   * Cramér's V corrected for its bias, which makes it 0 on average where there is no association
   * (Bergsma 2013, Journal of the Korean Statistical Society 42, 323-328).
   */
  CRAMERS_V_CORRECTED(Quantity.CRAMERS_V_CORRECTED),
  /** Pearson's contingency coefficient √(X²/(X² + N)); its largest value is below 1. */
  CONTINGENCY(Quantity.CONTINGENCY),
  /** √(X²/N) (Cohen 1988, Statistical Power Analysis for the Behavioral Sciences, chapter 7). */
  COHENS_W(Quantity.COHENS_W);

  private final Quantity quantity;

  AssociationMeasure(Quantity quantity) {
    this.quantity = quantity;
  }

  /**
   * The measure.
   *
   * @param table the counts
   * @return its value; the standard error is NaN
   */
  public Estimate of(CrossTable table) {
    double n = table.total();
    double square =
        Objects.requireNonNull(TableTest.PEARSON.of(table).statistic(), "statistic").value() / n;
    double shorter = Math.min(table.rows().size(), table.columns().size()) - 1.0;
    double value =
        switch (this) {
          case PHI -> table.twoByTwo() ? phi(table, square) : Double.NaN;
          case CRAMERS_V -> Math.sqrt(square / shorter);
          case CRAMERS_V_CORRECTED -> corrected(table, square);
          case CONTINGENCY -> Math.sqrt(square / (1 + square));
          case COHENS_W -> Math.sqrt(square);
        };
    return new Estimate(quantity, "", value, Double.NaN);
  }

  private static double phi(CrossTable table, double square) {
    return Math.copySign(Math.sqrt(square), Independence.excess(table, 0, 0));
  }

  private static double corrected(CrossTable table, double square) {
    double n = table.total();
    if (n <= 1) {
      return 0;
    }
    double r = table.rows().size();
    double c = table.columns().size();
    double left = Math.max(0, square - Independence.df(table) / (n - 1));
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
  public Quantity quantity() {
    return quantity;
  }
}
