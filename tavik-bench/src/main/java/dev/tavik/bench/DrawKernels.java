package dev.tavik.bench;

import dev.tavik.count.CrossTable;

/** Plain draws: a generator in a few local numbers and a table of aliases. */
final class DrawKernels {
  private long s0;
  private long s1 = 0x9E3779B97F4A7C15L;
  private long s2 = 0xBF58476D1CE4E5B9L;
  private long s3 = 0x94D049BB133111EBL;

  DrawKernels(long seed) {
    s0 = seed + 1;
  }

  private static final class Alias {
    final int least;
    final long[] thresholds;
    final int[] aliases;

    Alias(int n, double p) {
      double odds = p / (1 - p);
      double[] all = new double[n + 1];
      int mode = (int) ((n + 1) * p);
      all[mode] = 1;
      double sum = 1;
      int low = mode;
      while (low > 0 && all[low] > 1e-18) {
        all[low - 1] = all[low] * low / (odds * (n - low + 1));
        sum += all[--low];
      }
      int high = mode;
      while (high < n && all[high] > 1e-18) {
        all[high + 1] = all[high] * odds * (n - high) / (high + 1);
        sum += all[++high];
      }
      least = low;
      int size = high - low + 1;
      thresholds = new long[size];
      aliases = new int[size];
      double[] shares = new double[size];
      int[] few = new int[size];
      int[] many = new int[size];
      int fews = 0;
      int manys = 0;
      for (int i = 0; i < size; i++) {
        shares[i] = all[low + i] / sum * size;
        thresholds[i] = Long.MAX_VALUE;
        aliases[i] = i;
        if (shares[i] < 1) {
          few[fews++] = i;
        } else {
          many[manys++] = i;
        }
      }
      while (fews > 0 && manys > 0) {
        int one = few[--fews];
        int other = many[manys - 1];
        thresholds[one] = (long) (shares[one] * 0x1p63);
        aliases[one] = other;
        shares[other] += shares[one] - 1;
        if (shares[other] < 1) {
          manys--;
          few[fews++] = other;
        }
      }
    }
  }

  private long next() {
    long result = Long.rotateLeft(s0 + s3, 23) + s0;
    long t = s1 << 17;
    s2 ^= s0;
    s3 ^= s1;
    s1 ^= s2;
    s0 ^= s3;
    s2 ^= t;
    s3 = Long.rotateLeft(s3, 45);
    return result;
  }

  private int draw(Alias alias) {
    long number = next() >>> 1;
    long places = (long) alias.thresholds.length << 1;
    int place = (int) Math.multiplyHigh(number, places);
    long side = (number * places) >>> 1;
    return alias.least + (side < alias.thresholds[place] ? place : alias.aliases[place]);
  }

  double rates(int n, double p, int draws) {
    Alias alias = new Alias(n, p);
    long[] bins = new long[n + 1];
    for (int i = 0; i < draws; i++) {
      bins[draw(alias)]++;
    }
    return bins[(int) (n * p)];
  }

  double shares(int n, double[] claimed, int draws) {
    Alias[][] tables = new Alias[claimed.length - 1][n + 1];
    double[] inverse = new double[claimed.length];
    for (int j = 0; j < claimed.length; j++) {
      inverse[j] = 1 / (n * claimed[j]);
    }
    long[] bins = new long[1000];
    for (int i = 0; i < draws; i++) {
      int left = n;
      double rest = 1;
      double x2 = 0;
      for (int j = 0; j < claimed.length; j++) {
        int count = left;
        if (j < claimed.length - 1 && left > 0) {
          Alias table = tables[j][left];
          if (table == null) {
            table = new Alias(left, claimed[j] / rest);
            tables[j][left] = table;
          }
          count = draw(table);
        }
        rest -= claimed[j];
        left -= count;
        x2 += (double) count * count * inverse[j];
      }
      bins[(int) Math.min(999, 10 * (x2 - n))]++;
    }
    return bins[30];
  }

  double tables(CrossTable table, int draws) {
    int n = (int) table.total();
    int rows = table.rows().size();
    int columns = table.columns().size();
    int[] byUnit = new int[n];
    int unit = 0;
    for (int j = 0; j < columns; j++) {
      for (int k = 0; k < table.columnTotal(j); k++) {
        byUnit[unit++] = j;
      }
    }
    double[] weights = new double[rows * columns];
    for (int i = 0; i < rows; i++) {
      for (int j = 0; j < columns; j++) {
        weights[i * columns + j] = (double) n / table.rowTotal(i) / table.columnTotal(j);
      }
    }
    int[] totals = new int[rows];
    for (int i = 0; i < rows; i++) {
      totals[i] = (int) table.rowTotal(i);
    }
    long[] bins = new long[1000];
    for (int draw = 0; draw < draws; draw++) {
      int[] cells = new int[rows * columns];
      int at = 0;
      for (int i = 0; i < rows; i++) {
        for (int k = 0; k < totals[i]; k++) {
          int other = at + (int) (((next() >>> 32) * (n - at)) >>> 32);
          int column = byUnit[other];
          byUnit[other] = byUnit[at];
          byUnit[at++] = column;
          cells[i * columns + column]++;
        }
      }
      double x2 = -n;
      for (int cell = 0; cell < cells.length; cell++) {
        x2 += weights[cell] * cells[cell] * cells[cell];
      }
      bins[(int) Math.min(999, 5 * x2)]++;
    }
    return bins[300];
  }
}
