package dev.tavik.simulation;

import dev.tavik.numeric.CountDistribution;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.Arrays;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/**
 * Draws of a count by one random number each (Walker 1977, ACM Transactions on Mathematical
 * Software 3, 253-256; Vose 1991): a table in which every place holds a count and the alias that
 * fills it up. Counts with a probability below 10⁻¹⁹ of the mode's are never drawn.
 */
final class AliasCounts {
  private static final int MOST = 1 << 20;
  private static final double NEVER = 44;

  private final long least;
  private final int size;
  private final long[] thresholds;

  /** Bit mask that turns a place into its alias. */
  private final int[] others;

  AliasCounts(CountDistribution counts) {
    double top = counts.logMass(counts.mode());
    this.least = counts.lastBelowModeAtMost(top - NEVER) + 1;
    long greatest = counts.firstAboveModeAtMost(top - NEVER) - 1;
    if (greatest - least >= MOST) {
      throw new NotApplicableException(NotApplicableReason.TOO_MANY_TO_DRAW, greatest - least);
    }
    this.size = (int) (greatest - least + 1);
    this.thresholds = new long[size];
    this.others = new int[size];
    double[] shares = new double[size];
    for (int i = 0; i < size; i++) {
      shares[i] = Math.exp(counts.logMass(least + i) - top);
    }
    fill(shares);
  }

  /** Vose's method: a place with too little probability is filled up from one with too much. */
  private void fill(double... shares) {
    double mean = Arrays.stream(shares).sum() / size;
    int[] few = new int[size];
    int[] many = new int[size];
    int fewEnd = 0;
    int manyEnd = 0;
    for (int i = 0; i < size; i++) {
      shares[i] /= mean;
      if (shares[i] < 1) {
        few[fewEnd++] = i;
      } else {
        many[manyEnd++] = i;
      }
    }
    while (fewEnd > 0 && manyEnd > 0) {
      int low = few[--fewEnd];
      int high = many[manyEnd - 1];
      thresholds[low] = (long) (shares[low] * 0x1p63);
      others[low] = low ^ high;
      shares[high] += shares[low] - 1;
      if (shares[high] < 1) {
        manyEnd--;
        few[fewEnd++] = high;
      }
    }
    for (int i = 0; i < manyEnd; i++) {
      full(many[i]);
    }
    for (int i = 0; i < fewEnd; i++) {
      full(few[i]);
    }
  }

  private void full(int place) {
    thresholds[place] = Long.MAX_VALUE;
  }

  int size() {
    return size;
  }

  /** The count at a position. */
  long count(int position) {
    return least + position;
  }

  /**
   * The position of a draw: the high half of a product picks the place, the low half the side.
   * Which side it is can't be foreseen, so it is picked by arithmetic and not by a jump.
   */
  int draw(XoShiRo256PlusPlus random) {
    long number = random.nextLong() >>> 1;
    long places = (long) size << 1;
    int place = (int) Math.multiplyHigh(number, places);
    long beyond = ((number * places) >>> 1) - thresholds[place];
    return place ^ (others[place] & (int) (~beyond >> (Long.SIZE - 1)));
  }
}
