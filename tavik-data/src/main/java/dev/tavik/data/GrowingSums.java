package dev.tavik.data;

import dev.tavik.count.SparseRows;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * A growing matrix of sums. With few columns a row is contiguous in memory; with more only non-zero
 * sums are stored.
 */
final class GrowingSums {
  /** Number of columns up to which rows are contiguous. */
  private static final int FEW = 16;

  /** Initial capacity of the sparse form. */
  private static final int ROOM = 128;

  private static final int COLUMN_BITS = 24;

  private double[] sums = new double[64];
  private int width = 4;
  private int rows;

  /** Index of each sum in the sparse form; null in the dense form. */
  private @Nullable KnownKeys places;

  /** Adds to a sum; returns whether the limit of stored sums is exceeded. */
  boolean add(int row, int column, double amount, long most) {
    int before = sums.length;
    add(row, column, amount);
    return sums.length != before && held() > most;
  }

  private void add(int row, int column, double amount) {
    rows = Math.max(rows, row + 1);
    if (places == null && column >= width) {
      widen(column + 1);
    }
    if (places != null) {
      add(places, key(row, column), amount);
      return;
    }
    int at = row * width + column;
    if (at >= sums.length) {
      sums = Arrays.copyOf(sums, Math.max(2 * sums.length, (row + 1) * width));
    }
    sums[at] += amount;
  }

  /** Number of stored sums, including zeros in the dense form. */
  private int held() {
    return places != null ? places.size() : sums.length;
  }

  private void widen(int wanted) {
    double[] narrow = sums;
    int before = width;
    if (wanted > FEW) {
      places = new KnownKeys(2 * ROOM, Integer.MAX_VALUE);
      sums = new double[ROOM];
      for (int at = 0; at < narrow.length; at++) {
        if (narrow[at] != 0) {
          add(places, key(at / before, at % before), narrow[at]);
        }
      }
      return;
    }
    width = Math.min(FEW, Math.max(wanted, 2 * before));
    int held = (narrow.length + before - 1) / before;
    sums = new double[held * width];
    for (int row = 0; row < held; row++) {
      int from = row * before;
      System.arraycopy(narrow, from, sums, row * width, Math.min(before, narrow.length - from));
    }
  }

  /** A place as a number above 0. */
  private static long key(int row, int column) {
    return ((long) row << COLUMN_BITS) + column + 1;
  }

  private void add(KnownKeys to, long key, double amount) {
    int place = to.of(key);
    if (place < 0) {
      place = to.size();
      to.keep(key, place);
      if (place == sums.length) {
        sums = Arrays.copyOf(sums, 2 * place);
      }
    }
    sums[place] += amount;
  }

  /** A row with zeros where it has no sum, of few rows. */
  double[] whole(int row, int length) {
    double[] whole = new double[length];
    for (int column = 0; column < length; column++) {
      whole[column] = sum(row, column);
    }
    return whole;
  }

  private double sum(int row, int column) {
    if (places != null) {
      int place = places.of(key(row, column));
      return place < 0 ? 0 : sums[place];
    }
    int at = row * width + column;
    return column < width && at < sums.length ? sums[at] : 0;
  }

  /**
   * All sums that are not 0.
   *
   * @param goesTo where each row goes, from 0; below 0 for nowhere
   * @param count how many rows there are then
   */
  SparseRows sparse(int[] goesTo, int count) {
    int[] begins = new int[count + 1];
    each((row, column, sum) -> begins[at(goesTo, row) + 1]++, goesTo);
    for (int row = 0; row < count; row++) {
      begins[row + 1] += begins[row];
    }
    int[] next = Arrays.copyOf(begins, count);
    int[] columns = new int[begins[count]];
    double[] values = new double[columns.length];
    each(
        (row, column, sum) -> {
          int at = next[at(goesTo, row)]++;
          columns[at] = column;
          values[at] = sum;
        },
        goesTo);
    return SparseRows.of(begins, columns, values);
  }

  private static int at(int[] goesTo, int row) {
    return row < goesTo.length ? goesTo[row] : -1;
  }

  /** Takes a sum. */
  private interface Taker {
    void take(int row, int column, double sum);
  }

  private void each(Taker taker, int[] goesTo) {
    if (places != null) {
      places.each(
          (key, at) ->
              take(
                  (int) ((key - 1) >> COLUMN_BITS),
                  (int) ((key - 1) & ((1 << COLUMN_BITS) - 1)),
                  sums[at],
                  taker,
                  goesTo));
      return;
    }
    for (int at = 0; at < sums.length; at++) {
      take(at / width, at % width, sums[at], taker, goesTo);
    }
  }

  private void take(int row, int column, double sum, Taker taker, int[] goesTo) {
    if (sum != 0 && row < rows && at(goesTo, row) >= 0) {
      taker.take(row, column, sum);
    }
  }
}
