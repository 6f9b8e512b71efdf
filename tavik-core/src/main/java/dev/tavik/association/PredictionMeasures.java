package dev.tavik.association;

import dev.tavik.numeric.Deviance;
import java.util.stream.IntStream;

/**
 * How much better columns are predicted once the row is known.
 *
 * <p>λ: Goodman and Kruskal 1954, "Measures of association for cross classifications", Journal of
 * the American Statistical Association 49, 732-764; its standard error 1963, 58, 310-364. The
 * uncertainty coefficient: Theil 1970, "On the estimation of relationships involving qualitative
 * variables", American Journal of Sociology 76, 103-154; its standard error Brown 1975, Applied
 * Statistics 24, 223-236.
 */
final class PredictionMeasures {
  private PredictionMeasures() {}

  /**
   * λ = (Σ maxⱼ nᵢⱼ - maxⱼ n₊ⱼ)/(N - maxⱼ n₊ⱼ): the share of wrong guesses that is avoided. Of
   * columns that tie for the largest, the first counts.
   */
  static Measured lambda(Margins table) {
    int likeliest = largest(table, -1);
    double most = table.column(likeliest);
    double best = 0;
    double alike = 0;
    for (int i = 0; i < table.height(); i++) {
      int j = largest(table, i);
      best += table.count(i, j);
      alike += j == likeliest ? table.count(i, j) : 0;
    }
    double n = table.total();
    double wrong = n - most;
    double variance = (n - best) * (best + most - 2 * alike) / (wrong * wrong * wrong);
    return new Measured((best - most) / wrong, Math.sqrt(Math.max(0, variance)));
  }

  /** The largest of a row, or of the column totals for row -1. */
  private static int largest(Margins table, int row) {
    return IntStream.range(0, table.width())
        .reduce(0, (best, j) -> value(table, row, j) > value(table, row, best) ? j : best);
  }

  private static double value(Margins table, int row, int column) {
    return row < 0 ? table.column(column) : table.count(row, column);
  }

  /**
   * U = (H(rows) + H(columns) - H(both))/H(columns): the share of the columns' entropy that the
   * rows explain.
   */
  static Measured theilsU(Margins table) {
    double n = table.total();
    double rows =
        -IntStream.range(0, table.height())
                .mapToDouble(i -> table.row(i) * Math.log(table.row(i) / n))
                .sum()
            / n;
    double columns =
        -IntStream.range(0, table.width())
                .mapToDouble(j -> table.column(j) * Math.log(table.column(j) / n))
                .sum()
            / n;
    double both = -table.sum((i, j) -> Math.log(table.count(i, j) / n)) / n;
    double shared = information(table) / n;
    double square =
        table.sum(
            (i, j) -> {
              double term =
                  columns * Math.log(table.count(i, j) / table.row(i))
                      + (rows - both) * Math.log(table.column(j) / n);
              return term * term;
            });
    return new Measured(shared / columns, Math.sqrt(square) / (n * columns * columns));
  }

  /**
   * N times the mutual information, half of G²: the half deviances of all counts from what
   * independence expects, which keep their digits near independence, where H + H - H has none left.
   */
  private static double information(Margins table) {
    double sum = 0;
    for (int i = 0; i < table.height(); i++) {
      for (int j = 0; j < table.width(); j++) {
        double expected = table.row(i) * (table.column(j) / table.total());
        sum +=
            table.count(i, j) == 0
                ? expected
                : Deviance.half(table.count(i, j), expected, excess(table, i, j));
      }
    }
    return sum;
  }

  /** O - E, as (O·N - R·C)/N with what the rounded products lack. */
  private static double excess(Margins table, int i, int j) {
    double observed = table.count(i, j) * table.total();
    double expected = table.row(i) * table.column(j);
    double lacking =
        Math.fma(table.count(i, j), table.total(), -observed)
            - Math.fma(table.row(i), table.column(j), -expected);
    return (observed - expected + lacking) / table.total();
  }
}
