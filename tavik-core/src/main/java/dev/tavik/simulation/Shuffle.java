package dev.tavik.simulation;

import java.util.Arrays;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/**
 * Tables with given margins by shuffling (Fisher and Yates): every unit of every row but the
 * largest gets one of the columns that are left. Half a random number picks it (Lemire 2019, "Fast
 * random integer generation in an interval", ACM Transactions on Modeling and Computer Simulation
 * 29).
 */
final class Shuffle implements Consumer<int[]> {
  private static final long HALF = 0xFFFFFFFFL;

  private final XoShiRo256PlusPlus random;
  private final int[] rows;
  private final int[] columns;
  private final int[] byUnit;
  private final int largest;
  private long spare;
  private boolean hasSpare;

  Shuffle(XoShiRo256PlusPlus random, int[] rows, int... columns) {
    this.random = random;
    this.rows = rows.clone();
    this.columns = columns.clone();
    this.byUnit = new int[Arrays.stream(columns).sum()];
    int unit = 0;
    for (int j = 0; j < columns.length; j++) {
      Arrays.fill(byUnit, unit, unit + columns[j], j);
      unit += columns[j];
    }
    this.largest = IntStream.range(1, rows.length).reduce(0, (a, b) -> rows[a] >= rows[b] ? a : b);
  }

  /** Fills the cells, row by row. */
  @Override
  public void accept(int[] cells) {
    Arrays.fill(cells, 0);
    int rest = largest * columns.length;
    System.arraycopy(columns, 0, cells, rest, columns.length);
    int unit = 0;
    for (int i = 0; i < rows.length; i++) {
      if (i == largest) {
        continue;
      }
      int row = i * columns.length;
      for (int end = unit + rows[i]; unit < end; unit++) {
        int other = unit + below(byUnit.length - unit);
        int column = byUnit[other];
        byUnit[other] = byUnit[unit];
        byUnit[unit] = column;
        cells[row + column]++;
      }
      for (int j = 0; j < columns.length; j++) {
        cells[rest + j] -= cells[row + j];
      }
    }
  }

  /** Draws a whole number from 0 to below a bound, all equally likely. */
  private int below(int bound) {
    long product = half() * bound;
    if ((product & HALF) < bound) {
      long uneven = (1L << 32) % bound;
      while ((product & HALF) < uneven) {
        product = half() * bound;
      }
    }
    return (int) (product >>> 32);
  }

  private long half() {
    if (hasSpare) {
      hasSpare = false;
      return spare;
    }
    long number = random.nextLong();
    spare = number >>> 32;
    hasSpare = true;
    return number & HALF;
  }
}
