package dev.tavik.numeric;

/**
 * The logarithms of the factorials up to a number: as doubles, summed with the rounding errors
 * carried along, and as whole numbers Σ eₚ(k!)·round(2⁴⁰ ln p) over the primes, for which equal
 * products of factorials are equal, whatever their order.
 */
public final class LogFactorials {
  /** One unit of the natural logarithm in the whole numbers. */
  public static final double UNIT = 0x1p40;

  private final double[] logs;
  private final long[] exact;

  /**
   * Tables for all numbers up to one.
   *
   * @param most the largest number, at least 0
   */
  public LogFactorials(int most) {
    logs = new double[most + 1];
    exact = new long[most + 1];
    int[] smallestFactor = smallestFactors(most);
    long[] byNumber = new long[most + 1];
    double carried = 0;
    for (int k = 2; k <= most; k++) {
      int prime = smallestFactor[k];
      byNumber[k] =
          k == prime ? Math.round(UNIT * Math.log(k)) : byNumber[prime] + byNumber[k / prime];
      exact[k] = exact[k - 1] + byNumber[k];
      double term = Math.log(k) - carried;
      double sum = logs[k - 1] + term;
      carried = sum - logs[k - 1] - term;
      logs[k] = sum;
    }
  }

  private static int[] smallestFactors(int most) {
    int[] smallest = new int[most + 1];
    for (int p = 2; p <= most; p++) {
      if (smallest[p] == 0) {
        for (int k = p; k <= most; k += p) {
          smallest[k] = smallest[k] == 0 ? p : smallest[k];
        }
      }
    }
    return smallest;
  }

  /**
   * The natural logarithm of a factorial.
   *
   * @param k the number
   * @return ln k!
   */
  public double log(int k) {
    return logs[k];
  }

  /**
   * The same as a whole number, in units of 2⁻⁴⁰.
   *
   * @param k the number
   * @return the whole number
   */
  public long exact(int k) {
    return exact[k];
  }
}
