package dev.tavik.association;

import dev.tavik.count.CrossTable;
import dev.tavik.numeric.LogFactorials;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.apache.commons.numbers.gamma.LogGamma;

/**
 * Fisher's exact test of a table of any shape (Freeman and Halton 1951, "Note on an exact treatment
 * of contingency, goodness of fit and other problems of significance", Biometrika 38, 141-149): the
 * probability, both margins held, of all tables no more probable than the observed one.
 *
 * <p>A table's length is Σ ln x! over its cells, kept as a whole number for which equal products
 * are equal; a table counts where its length is at least the observed one's, less the tolerance for
 * ties. With up to four free cells the tables that don't count are walked around, see {@link
 * FewFreeCells}; larger shapes are cut in two, see {@link TwoHalves}. Neither forms a complement,
 * so that small p-values have their digits.
 */
final class ExactTable {
  /** Limit beyond which sums of whole-number logarithms could overflow or be mistaken for ties. */
  private static final int MOST_UNITS = 200_000;

  private static final int FEW_FREE_CELLS = 4;
  private static final double LN_TIE = Math.log1p(1e-7);

  /** Limit below which the probabilities of single tables lose their last digits. */
  private static final double LEAST = 1e-290;

  private final int[] rows;
  private final int[] columns;
  private final long threshold;
  private final LogFactorials factorials;

  private ExactTable(int[] rows, int[] columns, long threshold, LogFactorials factorials) {
    this.rows = rows;
    this.columns = columns;
    this.threshold = threshold;
    this.factorials = factorials;
  }

  /** The totals of the shorter side, ascending. */
  int[] rows() {
    return rows;
  }

  /** The totals of the longer side, ascending. */
  int[] columns() {
    return columns;
  }

  /** Length from which a table counts as at least as extreme. */
  long threshold() {
    return threshold;
  }

  /** The lengths of all counts that can occur. */
  LogFactorials factorials() {
    return factorials;
  }

  static double pValue(CrossTable table, double seconds) {
    if (table.total() > MOST_UNITS) {
      throw new NotApplicableException(NotApplicableReason.TOO_MANY_UNITS);
    }
    ExactTable exact = of(table);
    return exact.pValue(ComputeBudget.of(seconds, exact.logTables()));
  }

  /** Computes the p-value within a budget that counts steps. */
  static double pValue(CrossTable table, ComputeBudget work) {
    return of(table).pValue(work);
  }

  private double pValue(ComputeBudget work) {
    ExactTable exact = this;
    int free = (exact.rows.length - 1) * (exact.columns.length - 1);
    double p =
        free <= FEW_FREE_CELLS
            ? new FewFreeCells(exact, work).pValue()
            : new TwoHalves(exact, work).pValue();
    if (!(p >= LEAST)) {
      throw new NotApplicableException(NotApplicableReason.TOO_SMALL_A_P);
    }
    return Math.min(1, p);
  }

  /**
   * About the logarithm of the number of tables with these margins (Good 1976, "On the application
   * of symmetric Dirichlet distributions and their mixtures to contingency tables", Annals of
   * Statistics 4, 1159-1189).
   */
  private double logTables() {
    int units = IntStream.of(rows).sum();
    double log = -logWays(units, rows.length * columns.length);
    for (int row : rows) {
      log += logWays(row, columns.length);
    }
    for (int column : columns) {
      log += logWays(column, rows.length);
    }
    return log;
  }

  /** ln of the number of ways to distribute units over places. */
  private static double logWays(int units, int places) {
    return LogGamma.value(units + (double) places)
        - LogGamma.value(places)
        - LogGamma.value(units + 1.0);
  }

  private static ExactTable of(CrossTable table) {
    int[] down =
        IntStream.range(0, table.rows().size()).map(i -> (int) table.rowTotal(i)).toArray();
    int[] across =
        IntStream.range(0, table.columns().size()).map(j -> (int) table.columnTotal(j)).toArray();
    Arrays.sort(down);
    Arrays.sort(across);
    LogFactorials factorials = new LogFactorials((int) table.total());
    long length =
        table.cells().stream()
            .flatMap(row -> row.stream())
            .mapToLong(count -> factorials.exact(count.intValue()))
            .sum();
    long threshold = length - (long) (LN_TIE * LogFactorials.UNIT);
    boolean turned = down.length > across.length;
    return new ExactTable(turned ? across : down, turned ? down : across, threshold, factorials);
  }
}
