package dev.tavik.numeric;

import java.util.function.LongPredicate;

/** Searches whole numbers for the place where a condition that holds on one side ends. */
public final class Bisection {
  private Bisection() {}

  /**
   * The largest number for which a condition holds that fails for all larger ones.
   *
   * @param none the answer where it holds nowhere; not itself asked about
   * @param greatest the largest number to consider, at least {@code none}
   * @param holds the condition
   * @return the number, from {@code none} to {@code greatest}
   */
  public static long last(long none, long greatest, LongPredicate holds) {
    long at = none;
    long beyond = greatest + 1;
    while (beyond - at > 1) {
      long middle = at + (beyond - at) / 2;
      if (holds.test(middle)) {
        at = middle;
      } else {
        beyond = middle;
      }
    }
    return at;
  }

  /**
   * The smallest number for which a condition holds that fails for all smaller ones.
   *
   * @param least the smallest number to consider, at most {@code none}
   * @param none the answer where it holds nowhere; not itself asked about
   * @param holds the condition
   * @return the number, from {@code least} to {@code none}
   */
  public static long first(long least, long none, LongPredicate holds) {
    return -last(-none, -least, x -> holds.test(-x));
  }

  /**
   * The same as {@link #last}, quicker where the answer is near a guess.
   *
   * @param none the answer where it holds nowhere; not itself asked about
   * @param greatest the largest number to consider, at least {@code none}
   * @param guess a number that may be near
   * @param holds the condition
   * @return the number, from {@code none} to {@code greatest}
   */
  public static long lastNear(long none, long greatest, long guess, LongPredicate holds) {
    long low = Math.max(none, Math.min(greatest, guess));
    long high = low;
    for (long step = 1; low > none && !holds.test(low); step *= 2) {
      high = low - 1;
      low = Math.max(none, low - step);
    }
    if (low < guess) {
      return last(low, high, holds);
    }
    for (long step = 1; high < greatest; step *= 2) {
      long next = Math.min(greatest, high + step);
      if (!holds.test(next)) {
        return last(high, next - 1, holds);
      }
      high = next;
    }
    return high;
  }

  /**
   * The same as {@link #first}, quicker where the answer is near a guess.
   *
   * @param least the smallest number to consider, at most {@code none}
   * @param none the answer where it holds nowhere; not itself asked about
   * @param guess a number that may be near
   * @param holds the condition
   * @return the number, from {@code least} to {@code none}
   */
  public static long firstNear(long least, long none, long guess, LongPredicate holds) {
    return -lastNear(-none, -least, -guess, x -> holds.test(-x));
  }
}
