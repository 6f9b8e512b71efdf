package dev.tavik.data;

import dev.tavik.count.SparseRows;
import java.util.Arrays;

/**
 * Sums in rows and columns whose numbers grow. Of few columns they stand side by side in memory, so
 * that a row, of a cluster say, is one place to go to; of more only those that are not 0 are held,
 * found by open addressing with linear steps, at most half full.
 */
final class GrowingSums {
  /** So many columns stand side by side. */
  private static final int FEW = 16;

  private static final int COLUMN_BITS = 24;

  private double[] sums = new double[64];
  private int width = 4;
  private int rows;
  private long[] keys = {};
  private int size;

  /** Adds to a sum; returns whether more sums than so many are held now. */
  boolean add(int row, int column, double amount, long most) {
    int before = sums.length;
    add(row, column, amount);
    return sums.length != before && held() > most;
  }

  private void add(int row, int column, double amount) {
    rows = Math.max(rows, row + 1);
    if (keys.length == 0 && column >= width) {
      widen(column + 1);
    }
    if (keys.length > 0) {
      addByKey(key(row, column), amount);
      return;
    }
    int at = row * width + column;
    if (at >= sums.length) {
      sums = Arrays.copyOf(sums, Math.max(2 * sums.length, (row + 1) * width));
    }
    sums[at] += amount;
  }

  /** How many sums are held, those that are 0 among them where they stand side by side. */
  private int held() {
    return keys.length > 0 ? size : sums.length;
  }

  private void widen(int wanted) {
    double[] narrow = sums;
    int before = width;
    if (wanted > FEW) {
      keys = new long[256];
      sums = new double[256];
      for (int at = 0; at < narrow.length; at++) {
        if (narrow[at] != 0) {
          addByKey(key(at / before, at % before), narrow[at]);
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

  private void addByKey(long key, double amount) {
    int slot = slot(key);
    if (keys[slot] == 0) {
      keys[slot] = key;
      size++;
      sums[slot] = amount;
      if (2 * size > keys.length) {
        grow();
      }
    } else {
      sums[slot] += amount;
    }
  }

  private int slot(long key) {
    int mask = keys.length - 1;
    int slot = (int) ((key * 0x9E3779B97F4A7C15L) >>> 32) & mask;
    while (keys[slot] != key && keys[slot] != 0) {
      slot = (slot + 1) & mask;
    }
    return slot;
  }

  private void grow() {
    long[] oldKeys = keys;
    double[] oldSums = sums;
    keys = new long[2 * oldKeys.length];
    sums = new double[keys.length];
    for (int i = 0; i < oldKeys.length; i++) {
      if (oldKeys[i] != 0) {
        int slot = slot(oldKeys[i]);
        keys[slot] = oldKeys[i];
        sums[slot] = oldSums[i];
      }
    }
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
    if (keys.length > 0) {
      return sums[slot(key(row, column))];
    }
    int at = row * width + column;
    return column < width && at < sums.length ? sums[at] : 0;
  }

  /**
   * All sums that are not 0.
   *
   * @param places where each row goes, from 0; below 0 for nowhere
   * @param count how many rows there are then
   */
  SparseRows sparse(int[] places, int count) {
    int[] begins = new int[count + 1];
    each((row, column, sum) -> begins[at(places, row) + 1]++, places);
    for (int row = 0; row < count; row++) {
      begins[row + 1] += begins[row];
    }
    int[] next = Arrays.copyOf(begins, count);
    int[] columns = new int[begins[count]];
    double[] values = new double[columns.length];
    each(
        (row, column, sum) -> {
          int at = next[at(places, row)]++;
          columns[at] = column;
          values[at] = sum;
        },
        places);
    return SparseRows.of(begins, columns, values);
  }

  private static int at(int[] places, int row) {
    return row < places.length ? places[row] : -1;
  }

  /** Takes a sum. */
  private interface Taker {
    void take(int row, int column, double sum);
  }

  private void each(Taker taker, int[] places) {
    for (int i = 0; i < sums.length; i++) {
      boolean byKey = keys.length > 0;
      int row = byKey ? (int) ((keys[i] - 1) >> COLUMN_BITS) : i / width;
      int column = byKey ? (int) ((keys[i] - 1) & ((1 << COLUMN_BITS) - 1)) : i % width;
      if (sums[i] != 0 && row < rows && at(places, row) >= 0) {
        taker.take(row, column, sums[i]);
      }
    }
  }
}
