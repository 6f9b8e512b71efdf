package dev.tavik.association;

/**
 * Whether columns rise with rows, both ordered: pairs of units that are ordered alike (concordant)
 * against those ordered the other way (discordant). Standard errors: Goodman and Kruskal 1963 and
 * 1972, Journal of the American Statistical Association 58, 310-364 and 67, 415-421; Brown and
 * Benedetti 1977, "Sampling behavior of tests for correlation in two-way contingency tables",
 * Journal of the American Statistical Association 72, 309-315.
 */
final class OrderMeasures {
  private final Margins table;

  /** By cell, the units ordered alike with it and the other way. */
  private final double[][] alike;

  private final double[][] otherwise;

  /** Twice the concordant and the discordant pairs. */
  private final double concordant;

  private final double discordant;

  OrderMeasures(Margins table) {
    this.table = table;
    int height = table.height();
    int width = table.width();
    // Cumulative counts of all rows above and columns left of a corner.
    double[][] corner = new double[height + 1][width + 1];
    for (int i = 0; i < height; i++) {
      for (int j = 0; j < width; j++) {
        corner[i + 1][j + 1] =
            corner[i][j + 1] + corner[i + 1][j] - corner[i][j] + table.count(i, j);
      }
    }
    alike = new double[height][width];
    otherwise = new double[height][width];
    for (int i = 0; i < height; i++) {
      for (int j = 0; j < width; j++) {
        alike[i][j] =
            corner[i][j]
                + corner[height][width]
                - corner[i + 1][width]
                - corner[height][j + 1]
                + corner[i + 1][j + 1];
        otherwise[i][j] =
            corner[i][width] - corner[i][j + 1] + (corner[height][j] - corner[i + 1][j]);
      }
    }
    concordant = table.sum((i, j) -> alike[i][j]);
    discordant = table.sum((i, j) -> otherwise[i][j]);
  }

  /** γ = (P - Q)/(P + Q), NaN where no two units differ in both. */
  Measured gamma() {
    double pairs = concordant + discordant;
    double square =
        table.sum(
            (i, j) -> {
              double term = discordant * alike[i][j] - concordant * otherwise[i][j];
              return term * term;
            });
    return new Measured((concordant - discordant) / pairs, 4 / pairs / pairs * Math.sqrt(square));
  }

  /** τ_b = (P - Q)/√((N² - Σnᵢ₊²)(N² - Σn₊ⱼ²)). */
  Measured tauB() {
    double n = table.total();
    double rows = untiedRows();
    double columns = n * n;
    for (int j = 0; j < table.width(); j++) {
      columns -= table.column(j) * table.column(j);
    }
    double w = Math.sqrt(rows) * Math.sqrt(columns);
    double tau = (concordant - discordant) / w;
    double byRow = columns / w;
    double byColumn = rows / w;
    double square =
        table.sum(
            (i, j) -> {
              double term =
                  2 * (alike[i][j] - otherwise[i][j])
                      + tau * (table.row(i) * byRow + table.column(j) * byColumn);
              return term * term;
            });
    double mean = n * tau * (byRow + byColumn);
    return new Measured(tau, Math.sqrt(Math.max(0, square - n * mean * mean)) / w);
  }

  /** d = (P - Q)/(N² - Σnᵢ₊²), the columns depending on the rows. */
  Measured somersD() {
    double n = table.total();
    double rows = untiedRows();
    double d = (concordant - discordant) / rows;
    double square =
        table.sum(
            (i, j) -> {
              double term = alike[i][j] - otherwise[i][j] - d * (n - table.row(i));
              return term * term;
            });
    return new Measured(d, 2 / rows * Math.sqrt(square));
  }

  private double untiedRows() {
    double n = table.total();
    double untied = n * n;
    for (int i = 0; i < table.height(); i++) {
      untied -= table.row(i) * table.row(i);
    }
    return untied;
  }
}
