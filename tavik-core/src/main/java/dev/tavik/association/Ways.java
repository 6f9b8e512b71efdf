package dev.tavik.association;

import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * In how many ways units are chosen, each count of ways multiplied by the same power of a share and
 * of its complement, which makes it a binomial probability: in the quotients that are wanted these
 * powers cancel, and nothing overflows.
 */
final class Ways {
  private final DecimalFraction share;
  private final ComputeBudget work;
  private double[] @Nullable [] rows = {};

  Ways(double share, ComputeBudget work) {
    this.share = DecimalFraction.of(share);
    this.work = work;
  }

  /** Ways of choosing each possible number of units from a given number. */
  double[] of(int from) {
    if (from >= rows.length) {
      work.keep(from / 2);
      rows = Arrays.copyOf(rows, Math.max(from + 1, 2 * rows.length));
    }
    double[] row = rows[from];
    if (row == null) {
      row = row(from);
      rows[from] = row;
    }
    return row;
  }

  /** Ways of choosing one number of units from a given number. */
  double of(int from, int chosen) {
    return Math.exp(new Binomial(from, share).logMass(chosen));
  }

  /** From the mode to both ends, by the ratios of neighbours. */
  private double[] row(int from) {
    work.keep(from / 2);
    double[] row = new double[from + 1];
    double odds = share.value() / share.complement();
    int mode = (int) new Binomial(from, share).mode();
    row[mode] = of(from, mode);
    for (int x = mode; x < from; x++) {
      row[x + 1] = row[x] * odds * ((from - x) / (x + 1.0));
    }
    for (int x = mode; x > 0; x--) {
      row[x - 1] = row[x] / odds * (x / (from - x + 1.0));
    }
    return row;
  }
}
