package dev.tavik.simulation;

import dev.tavik.count.CrossTable;
import dev.tavik.numeric.LogFactorials;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/**
 * Tables with given margins: cell by cell, each count hypergeometric given those before it, or,
 * where there are few units to a cell, by shuffling the units' columns.
 */
final class TableWorld implements World {
  private static final long MOST_UNITS = 10_000_000;
  private static final double TIE = 1e-7;

  /** Measured nanoseconds of a hypergeometric draw and of moving one unit. */
  private static final double OF_A_CELL = 75;

  private static final double OF_A_UNIT = 4.5;

  private final int total;
  private final int[] rows;
  private final int[] columns;
  private final LogFactorials logs;
  private final double[] timesLog;
  private final double[] weights;
  private final double squares;
  private final double information;
  private final double factorials;
  private final Bins bins;

  TableWorld(CrossTable table) {
    if (table.total() > MOST_UNITS) {
      throw new NotApplicableException(NotApplicableReason.TOO_LARGE_TO_DRAW, MOST_UNITS);
    }
    this.total = (int) table.total();
    this.rows = IntStream.range(0, table.rows().size()).map(i -> (int) table.rowTotal(i)).toArray();
    this.columns =
        IntStream.range(0, table.columns().size()).map(j -> (int) table.columnTotal(j)).toArray();
    this.logs = new LogFactorials(total);
    this.timesLog = new double[total + 1];
    for (int y = 2; y <= total; y++) {
      timesLog[y] = y * Math.log(y);
    }
    this.weights = new double[rows.length * columns.length];
    double squared = 0;
    double informed = 0;
    double factored = 0;
    for (int i = 0; i < rows.length; i++) {
      for (int j = 0; j < columns.length; j++) {
        int y = (int) table.count(i, j);
        double weight = 1.0 / rows[i] / columns[j];
        weights[i * columns.length + j] = weight;
        squared += weight * y * y;
        informed += timesLog[y];
        factored += logs.log(y);
      }
    }
    this.squares = squared;
    this.information = informed;
    this.factorials = factored;
    this.bins = Bins.upwards((rows.length - 1.0) * (columns.length - 1.0), observed());
  }

  double observed() {
    return Math.max(0, total * (squares - 1));
  }

  Bins bins() {
    return bins;
  }

  @Override
  public Counts counts() {
    return new Counts(bins.number(), 3);
  }

  @Override
  public int stretch() {
    return STRETCH_OF_TABLES;
  }

  @Override
  public void draw(XoShiRo256PlusPlus random, int draws, Counts into) {
    double squaresLeast = 1 + (squares - 1) * (1 - TIE) - 1e-14;
    double informationLeast = information - TIE;
    double factorialsLeast = factorials - TIE;
    int[] cells = new int[rows.length * columns.length];
    Consumer<int[]> drawn =
        shuffled() ? new Shuffle(random, rows, columns) : table -> byCell(random, table);
    for (int draw = 0; draw < draws; draw++) {
      drawn.accept(cells);
      double squared = 0;
      double informed = 0;
      double factored = 0;
      for (int cell = 0; cell < cells.length; cell++) {
        int y = cells[cell];
        squared += weights[cell] * y * y;
        informed += timesLog[y];
        factored += logs.log(y);
      }
      into.upper[0] += squared >= squaresLeast ? 1 : 0;
      into.upper[1] += informed >= informationLeast ? 1 : 0;
      into.upper[2] += factored >= factorialsLeast ? 1 : 0;
      double bin = Math.max(0, total * (squared - 1) / bins.width());
      into.bins[(int) Math.min(bins.number() - 1, bin)]++;
    }
  }

  /** Whether to move every unit is quicker than to draw every free cell. */
  private boolean shuffled() {
    return (rows.length - 1.0) * (columns.length - 1.0) * OF_A_CELL > OF_A_UNIT * total;
  }

  private void byCell(XoShiRo256PlusPlus random, int... cells) {
    int lastColumn = columns.length - 1;
    int[] left = columns.clone();
    int units = total;
    int cell = 0;
    for (int i = 0; i < rows.length; i++) {
      boolean lastRow = i == rows.length - 1;
      int wanted = rows[i];
      int pool = units;
      for (int j = 0; j <= lastColumn; j++) {
        int y =
            lastRow
                ? left[j]
                : j == lastColumn
                    ? wanted
                    : CountDraws.hypergeometric(random, logs, pool, left[j], wanted);
        pool -= left[j];
        wanted -= y;
        left[j] -= y;
        cells[cell++] = y;
      }
      units -= rows[i];
    }
  }
}
