package dev.tavik.association;

import dev.tavik.count.SquareTable;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import java.util.Optional;

/**
 * Measures how far two classifications of the same units agree beyond what chance would bring: κ =
 * (pₒ - pₑ)/(1 - pₑ) (Cohen 1960, Educational and Psychological Measurement 20, 37-46; weighted
 * 1968, Psychological Bulletin 70, 213-220), with the standard error of Fleiss, Cohen and Everitt
 * (1969, Psychological Bulletin 72, 323-327). With two levels all three are the same.
 */
public enum Agreement {
  /** Every disagreement counts alike. */
  KAPPA(Estimand.KAPPA, "kappa"),
  /** Ordered levels: an agreement of 1 - distance/(k - 1). */
  LINEAR(Estimand.KAPPA_LINEAR, "kappa, linear weights"),
  /** Ordered levels: an agreement of 1 - distance²/(k - 1)². */
  QUADRATIC(Estimand.KAPPA_QUADRATIC, "kappa, quadratic weights");

  private final Estimand quantity;
  private final String inWords;

  Agreement(Estimand quantity, String inWords) {
    this.quantity = quantity;
    this.inWords = inWords;
  }

  /** {@return what it is called in a table} */
  public String inWords() {
    return inWords;
  }

  /**
   * The agreement.
   *
   * @param square the counts
   * @return κ and its asymptotic standard error; NaN where chance alone agrees always
   */
  public Estimate of(SquareTable square) {
    Measured measured = measured(square).within(quantity);
    return new Estimate(quantity, "", measured.value(), measured.standardError());
  }

  /**
   * A two-sided interval: κ ± z standard errors, within -1 to 1.
   *
   * @param square the counts
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval; none where the standard error is 0 or missing
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Optional<Interval> interval(SquareTable square, double level) {
    Proportion.require("level", level);
    return AssociationMeasure.asymptotic(quantity, measured(square), level);
  }

  private double weight(int i, int j, int levels) {
    double distance = Math.abs(i - j) / (levels - 1.0);
    return switch (this) {
      case KAPPA -> i == j ? 1 : 0;
      case LINEAR -> 1 - distance;
      case QUADRATIC -> 1 - distance * distance;
    };
  }

  private Measured measured(SquareTable square) {
    Margins table = new Margins(square.doubles());
    int k = table.height();
    double n = table.total();
    double observed = table.sum((i, j) -> weight(i, j, k)) / n;
    double[] byRow = new double[k];
    double[] byColumn = new double[k];
    double expected = 0;
    for (int i = 0; i < k; i++) {
      for (int j = 0; j < k; j++) {
        double weight = weight(i, j, k);
        byRow[i] += weight * table.column(j) / n;
        byColumn[j] += weight * table.row(i) / n;
        expected += weight * (table.row(i) / n) * (table.column(j) / n);
      }
    }
    double chance = expected;
    double kappa = (observed - chance) / (1 - chance);
    double meanSquare =
        table.sum(
                (i, j) -> {
                  double term = weight(i, j, k) - (byRow[i] + byColumn[j]) * (1 - kappa);
                  return term * term;
                })
            / n;
    double mean = kappa - chance * (1 - kappa);
    return new Measured(kappa, Math.sqrt(Math.max(0, meanSquare - mean * mean) / n) / (1 - chance));
  }

  /**
   * What is measured.
   *
   * @return the quantity
   */
  public Estimand quantity() {
    return quantity;
  }
}
