package dev.tavik.planning;

import dev.tavik.numeric.Bisection;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Progress;
import dev.tavik.result.Proportion;
import java.util.function.DoubleFunction;
import java.util.function.DoublePredicate;

/**
 * How many observations reach a power.
 *
 * <p>By the normal distribution power rises with the number: n is the smallest whole number that
 * reaches the power, and of several groups the first's smallest number is rounded up and the others
 * follow from it before rounding. Exact power swings up and down with n, because counts are whole
 * numbers: then there are two answers, the smallest n that reaches the power, and the smallest from
 * which it is reached by every n.
 *
 * @param sizes the smallest that reach the power
 * @param holdsFrom the smallest from which all larger ones do; the same where power only rises
 * @param lookedTo the largest first group that was looked at
 */
public record SampleSize(Sizes sizes, Sizes holdsFrom, long lookedTo) {
  /** Size up to which every number is examined from the first. */
  private static final long FROM_THE_FIRST = 512;

  /** Share of additional numbers examined after the last one that fails. */
  private static final double FURTHER = 0.25;

  /** Number of swings after which the power changes by less than {@value #SWINGS_LESS} in each. */
  private static final int CALM = 20;

  private static final double SWINGS_LESS = 0.1;
  private static final double FURTHER_IF_CALM = 0.1;

  /** Default time limit of an exact search, in seconds. */
  private static final double SECONDS = 8;

  private static final int MOST_HALVINGS = 200;
  private static final double CLOSE = 1e-12;

  /**
   * The number of observations for a power.
   *
   * @param design the design
   * @param effect the effect expected, within the design's {@link PowerDesign#effects()}
   * @param power the power wanted, strictly between 0 and 1
   * @return the number
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if no number that can be looked at reaches the power
   */
  public static SampleSize of(PowerDesign design, double effect, double power) {
    return of(design, effect, power, SECONDS);
  }

  /**
   * The number of observations for a power, found within a time.
   *
   * @param design the design
   * @param effect the effect expected, within the design's {@link PowerDesign#effects()}
   * @param power the power wanted, strictly between 0 and 1
   * @param seconds how long an exact search may take, in seconds of an ordinary machine, above 0;
   *     its steps are counted, so that the same search is always made or always declined
   * @return the number
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if no number that can be looked at reaches the power, or the
   *     search would take longer
   */
  public static SampleSize of(PowerDesign design, double effect, double power, double seconds) {
    Proportion.require("power", power);
    return design.swing() == 0
        ? rising(design, effect, power)
        : new Swinging(design, effect, power, seconds).search();
  }

  private static SampleSize rising(PowerDesign design, double effect, double power) {
    Groups groups = new Groups(design::sizes, design.most());
    return groups.smallest(n -> design.smooth(n, effect) >= power);
  }

  /**
   * The number of observations for an interval.
   *
   * @param precision the interval
   * @param halfWidth half the length wanted, strictly between 0 and 1
   * @return the number
   * @throws IllegalArgumentException if the length is out of its range
   * @throws NotApplicableException if no number is enough
   */
  public static SampleSize of(Precision precision, double halfWidth) {
    Proportion.require("half-width", halfWidth);
    Groups groups = new Groups(precision::sizes, precision.most());
    return groups.smallest(n -> precision.halfWidth(n) <= halfWidth);
  }

  /** How sizes follow from the first group's, and how large that may be. */
  private record Groups(DoubleFunction<Sizes> sizes, long most) {
    /** The smallest sizes with which something is reached that more observations only further. */
    SampleSize smallest(DoublePredicate reached) {
      long enough = 1;
      while (enough < most && !reached.test((double) enough)) {
        enough = Math.min(most, 2 * enough);
      }
      if (!reached.test((double) enough)) {
        throw outOfReach(most);
      }
      long tooFew = Bisection.last(enough / 2, enough, n -> !reached.test((double) n));
      Sizes found = sizes.apply(unrounded(tooFew, reached));
      return new SampleSize(found, found, found.first());
    }

    /** Between a number that is too small and the next, which isn't. */
    private double unrounded(long tooFew, DoublePredicate reached) {
      double low = (double) tooFew;
      double high = tooFew + 1.0;
      if (sizes.apply(high).equal()) {
        return high;
      }
      for (int i = 0; i < MOST_HALVINGS && high - low > CLOSE * high; i++) {
        double middle = low + (high - low) / 2;
        if (middle > 0 && reached.test(middle)) {
          high = middle;
        } else {
          low = middle;
        }
      }
      return high;
    }
  }

  private static NotApplicableException outOfReach(long most) {
    return new NotApplicableException(NotApplicableReason.OUT_OF_REACH, most);
  }

  /** Goes through all numbers from well below the first that reaches the power. */
  private static final class Swinging {
    private final PowerDesign design;
    private final double effect;
    private final double wanted;
    private final double seconds;
    private double worked;

    Swinging(PowerDesign design, double effect, double wanted, double seconds) {
      this.design = design;
      this.effect = effect;
      this.wanted = wanted;
      this.seconds = seconds;
    }

    /** Takes down what one more number takes, and declines where that is too much. */
    private void work(long n) {
      worked += design.seconds(design.sizes((double) n));
      if (worked > seconds) {
        throw tooLong(n);
      }
    }

    /** Declines before the search where even the shortest one takes too long. */
    private void requireTime(long from, long to) {
      if (design.settles(effect)) {
        return;
      }
      long middle = from + (to - from) / 2;
      double least = (to - from) * design.seconds(design.sizes((double) middle));
      if (worked + least > seconds) {
        throw tooLong(to);
      }
    }

    private static NotApplicableException tooLong(long n) {
      return new NotApplicableException(NotApplicableReason.LONG_SEARCH, n);
    }

    SampleSize search() {
      long doubled = doubled();
      boolean small = doubled <= FROM_THE_FIRST;
      boolean calm = !small && doubled > CALM * design.swing();
      long from = small ? 1 : calm ? wellBelow(doubled) : doubled / 4;
      double further = calm ? FURTHER_IF_CALM : FURTHER;
      long first = 0;
      long lastShort = from - 1;
      requireTime(from, Math.min(design.most(), from + (long) (further * from)));
      Power power = design.at(design.sizes((double) from));
      for (long n = from; n <= design.most(); n++) {
        if (Thread.currentThread().isInterrupted()) {
          throw new NotApplicableException(NotApplicableReason.STOPPED, n);
        }
        work(n);
        power = n == from ? power : design.at(design.sizes((double) n), power);
        if (power.at(effect) >= wanted) {
          first = first == 0 ? n : first;
        } else {
          lastShort = n;
        }
        long end = lastShort + design.swing() + (long) (further * lastShort);
        boolean ended = n >= end || design.settled(n, power.at(effect), effect, wanted);
        if (first > 0 && ended) {
          return found(first, lastShort, n);
        }
        if (first > 0) {
          requireTime(n, Math.min(design.most(), end));
        }
        Progress.tell(Progress.Task.SIZES, n, Math.max(n, end));
      }
      if (first == 0 || lastShort == design.most()) {
        throw outOfReach(design.most());
      }
      return found(first, lastShort, design.most());
    }

    private SampleSize found(long first, long lastShort, long looked) {
      return new SampleSize(
          design.sizes((double) first),
          design.sizes((double) Math.max(first, lastShort + 1)),
          looked);
    }

    /** Where power is lower than wanted by more than it swings. */
    private long wellBelow(long doubled) {
      return Bisection.last(
          doubled / 4,
          doubled,
          n -> design.at(design.sizes((double) n)).at(effect) < wanted - SWINGS_LESS);
    }

    /** The first power of two that reaches it. */
    private long doubled() {
      long n = 1;
      work(n);
      while (!(design.at(design.sizes((double) n)).at(effect) >= wanted)) {
        if (n == design.most()) {
          throw outOfReach(n);
        }
        n = Math.min(design.most(), 2 * n);
        work(n);
        if (n > design.searchedTo()) {
          throw new NotApplicableException(NotApplicableReason.SEARCH_ENDED, design.searchedTo());
        }
      }
      return n;
    }
  }
}
