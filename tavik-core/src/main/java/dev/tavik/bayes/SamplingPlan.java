package dev.tavik.bayes;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.CrossTable;
import dev.tavik.numeric.Dirichlet;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;

/**
 * How the counts of a two-way table were collected, which changes the Bayes factor for an
 * association (Gunel and Dickey 1974, "Bayes factors for independence in contingency tables",
 * Biometrika 61, 545-557).
 *
 * <p>Under association every cell has the same prior parameter {@code a}: shares have a Dirichlet
 * prior, free counts gamma priors. Under independence the prior is what this leaves on the
 * independent shares: parameter {@code C·a - (C - 1)} for each row, {@code R·a - (R - 1)} for each
 * column.
 */
public enum SamplingPlan {
  /**
   * Nothing was fixed: counts are Poisson, with a gamma prior so wide that the expected total is
   * the observed one.
   */
  FREE("free", "nothing fixed, counts as they came in"),
  /** The number of units was fixed, and each was classified both ways. */
  TOTAL("total", "the total fixed"),
  /** The row totals were fixed. */
  ROWS("rows", "the row totals fixed"),
  /** The column totals were fixed. */
  COLUMNS("columns", "the column totals fixed"),
  /** Both margins were fixed, as in an experiment that sorts known lots. */
  BOTH("both", "row and column totals fixed");

  private static final double MOST = 1e9;

  private final String id;
  private final String words;

  SamplingPlan(String id, String words) {
    this.id = id;
    this.words = words;
  }

  /**
   * The plan with an id.
   *
   * @param id such as {@code total}
   * @return the plan
   * @throws IllegalArgumentException if there is none
   */
  public static SamplingPlan of(String id) {
    for (SamplingPlan plan : values()) {
      if (plan.id.equals(id)) {
        return plan;
      }
    }
    throw new IllegalArgumentException(
        "sampling must be free, total, rows, columns or both, got '" + id + "'");
  }

  /**
   * The public name.
   *
   * @return such as {@code total}
   */
  public String id() {
    return id;
  }

  /**
   * What was fixed.
   *
   * @return such as {@code the total fixed}
   */
  public String words() {
    return words;
  }

  /**
   * Checks the prior parameter of a cell.
   *
   * @param prior the parameter
   * @return the same
   * @throws IllegalArgumentException if not 10⁻⁶ ≤ prior ≤ 10⁹
   */
  public static double requirePrior(double prior) {
    require(
        prior >= 1e-6 && prior <= MOST,
        "prior of a cell must be one number from 0.000001 to 1e9, such as 1, got %s",
        prior);
    return prior;
  }

  /**
   * The natural logarithm of the Bayes factor, association over independence.
   *
   * @param table the counts
   * @param prior the parameter of every cell, {@code a} above
   * @return ln BF, to 10⁻¹¹ relatively or 10⁻¹² absolutely
   * @throws NotApplicableException if the prior leaves none on independent shares (with {@code a}
   *     up to (C - 1)/C or (R - 1)/R), or, where both margins are fixed, the tables with these
   *     margins are too many to be summed
   * @throws IllegalArgumentException if the prior is out of its range
   */
  public double logBayesFactor(CrossTable table, double prior) {
    requirePrior(prior);
    double[][] counts = counts(table);
    return switch (this) {
      case FREE -> total(counts, prior) - ofTotal(counts, prior);
      case TOTAL -> total(counts, prior);
      case ROWS -> rows(counts, prior);
      case COLUMNS -> rows(turned(counts), prior);
      case BOTH -> new FixedMargins(counts, prior).logBayesFactor();
    };
  }

  private static double[][] counts(CrossTable table) {
    double[][] counts = new double[table.rows().size()][table.columns().size()];
    for (int i = 0; i < counts.length; i++) {
      for (int j = 0; j < counts[i].length; j++) {
        counts[i][j] = table.count(i, j);
      }
    }
    return counts;
  }

  static double[][] turned(double[][] counts) {
    double[][] turned = new double[counts[0].length][counts.length];
    for (int i = 0; i < counts.length; i++) {
      for (int j = 0; j < turned.length; j++) {
        turned[j][i] = counts[i][j];
      }
    }
    return turned;
  }

  static double[] rowSums(double[][] counts) {
    double[] sums = new double[counts.length];
    for (int i = 0; i < sums.length; i++) {
      for (double count : counts[i]) {
        sums[i] += count;
      }
    }
    return sums;
  }

  /** What a prior on cells leaves on independent rows, or on columns. */
  private static double margin(double prior, int others) {
    double left = others * prior - (others - 1);
    if (!(left > 0)) {
      throw new NotApplicableException(
          NotApplicableReason.PRIOR_TOO_SMALL, (others - 1.0) / others);
    }
    return left;
  }

  private static double[] plus(double[] counts, double parameter) {
    double[] parameters = counts.clone();
    for (int i = 0; i < parameters.length; i++) {
      parameters[i] += parameter;
    }
    return parameters;
  }

  private static double[] shares(double[] parameters) {
    double all = 0;
    for (double each : parameters) {
      all += each;
    }
    double[] shares = new double[parameters.length];
    for (int i = 0; i < shares.length; i++) {
      shares[i] = parameters[i] / all;
    }
    return shares;
  }

  /** ln of how far data raise a Dirichlet density at given shares: posterior over prior. */
  private static double raised(double[] counts, double parameter, double[] shares) {
    return Dirichlet.logDensity(plus(counts, parameter), shares)
        - Dirichlet.logDensity(plus(new double[counts.length], parameter), shares);
  }

  /**
   * Marginal likelihoods are prior over posterior density at any shares, times the likelihood
   * there; at independent shares the likelihoods cancel, and with them all that grows with n.
   */
  private static double total(double[][] counts, double prior) {
    double[] rows = rowSums(counts);
    double[] columns = rowSums(turned(counts));
    double ofRow = margin(prior, columns.length);
    double ofColumn = margin(prior, rows.length);
    double[] rowShares = shares(plus(rows, ofRow));
    double[] columnShares = shares(plus(columns, ofColumn));
    double[] cells = new double[rows.length * columns.length];
    double[] shares = new double[cells.length];
    for (int i = 0; i < rows.length; i++) {
      for (int j = 0; j < columns.length; j++) {
        cells[i * columns.length + j] = counts[i][j];
        shares[i * columns.length + j] = rowShares[i] * columnShares[j];
      }
    }
    return raised(rows, ofRow, rowShares)
        + raised(columns, ofColumn, columnShares)
        - raised(cells, prior, shares);
  }

  private static double rows(double[][] counts, double prior) {
    double[] columns = rowSums(turned(counts));
    double ofColumn = margin(prior, counts.length);
    double[] shares = shares(plus(columns, ofColumn));
    double log = raised(columns, ofColumn, shares);
    for (double[] row : counts) {
      log -= raised(row, prior, shares);
    }
    return log;
  }

  /** ln of what the free total says for independence, which has fewer parameters to spend on it. */
  private static double ofTotal(double[][] counts, double prior) {
    double n = 0;
    for (double row : rowSums(counts)) {
      n += row;
    }
    int free = (counts.length - 1) * (counts[0].length - 1);
    double all = counts.length * counts[0].length * prior;
    double log = 0;
    for (int k = 0; k < free; k++) {
      double left = all - free + k;
      log += Math.log1p(n / all) - Math.log1p(n / left);
    }
    return log;
  }
}
