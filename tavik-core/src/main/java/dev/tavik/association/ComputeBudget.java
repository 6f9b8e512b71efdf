package dev.tavik.association;

import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Progress;
import java.util.function.LongSupplier;

/**
 * A budget of work, counted in steps rather than by the clock, so that a table is answered or
 * declined alike every time. A second of the budget is {@value #STEPS_A_SECOND} steps, by the
 * slowest of the tables that were timed. The clock is only a guard, at three times the seconds.
 */
final class ComputeBudget {
  static final double STEPS_A_SECOND = 3e7;

  /** Factor by which a machine may be slower before the clock ends the computation. */
  private static final double PATIENCE = 3;

  private static final double NANOS = 1e9;

  /** Maximum number of path values in memory, about 240 MB. */
  private static final long MOST_VALUES = 10_000_000;

  /** Factor by which an estimate may be wrong. */
  private static final double HOPELESS = 8;

  /** Number of steps or values after which a part of a task is representative of the rest. */
  private static final double TOLD_BY = 3e5;

  /** Factor by which an extrapolation from a part may be wrong. */
  private static final double UNSURE = 2;

  /** Steps between progress updates, which come a few times a second. */
  private static final long TOLD_EVERY = 3_000_000;

  private final double seconds;
  private long left;
  private long toTell;
  private long values;

  private final double log10Tables;
  private final LongSupplier clock;
  private final long began;

  private ComputeBudget(double seconds, double logTables, LongSupplier clock) {
    this.clock = clock;
    this.began = clock.getAsLong();
    this.seconds = seconds;
    this.log10Tables = logTables / Math.log(10);
    this.left = (long) (seconds * STEPS_A_SECOND);
    this.toTell = left - TOLD_EVERY;
  }

  /** Sets the logarithm of the number of tables, which a refusal names. */
  static ComputeBudget of(double seconds, double logTables) {
    return new ComputeBudget(seconds, logTables, System::nanoTime);
  }

  /** Creates a budget that reads another clock, in nanoseconds. */
  static ComputeBudget of(double seconds, double logTables, LongSupplier clock) {
    return new ComputeBudget(seconds, logTables, clock);
  }

  /** How many steps were taken. */
  long spent() {
    return (long) (seconds * STEPS_A_SECOND) - left;
  }

  /** Refuses at once a computation that is sure to take far longer than the budget. */
  void expect(double steps) {
    if (steps > HOPELESS * left) {
      throw tooLong();
    }
  }

  /** Refuses at once a computation that takes at least the given number of steps. */
  void require(double steps) {
    if (steps > left) {
      throw tooLong();
    }
  }

  /** What is left of the budget. */
  long left() {
    return left;
  }

  /** How many values are kept. */
  long kept() {
    return values;
  }

  /**
   * Refuses once part of a task has shown that the whole is sure to take too long.
   *
   * @param leftBefore what was left when it began
   * @param done how much of it is done
   * @param whole how much there is
   */
  void expectRest(long leftBefore, double done, double whole) {
    double spent = (double) (leftBefore - left);
    if (spent > TOLD_BY && spent / done * (whole - done) > UNSURE * left) {
      throw tooLong();
    }
  }

  /** The same of the values that are kept. */
  void expectKept(long keptBefore, double done, double whole) {
    double more = (double) (values - keptBefore);
    if (more > TOLD_BY && keptBefore + more / done * whole > UNSURE * MOST_VALUES) {
      throw tooLarge();
    }
  }

  /** Takes steps from the budget. */
  void spend(long steps) {
    if (steps > left) {
      throw tooLong();
    }
    left -= steps;
    if (left < toTell) {
      long all = (long) (seconds * STEPS_A_SECOND);
      Progress.tell(Progress.Task.TABLES, all - left, all);
      toTell = left - TOLD_EVERY;
      if (clock.getAsLong() - began > PATIENCE * seconds * NANOS) {
        throw tooLong();
      }
    }
  }

  private NotApplicableException tooLong() {
    return new NotApplicableException(NotApplicableReason.OVER_BUDGET, seconds, log10Tables);
  }

  /** Reserves memory for values; a negative number releases it. */
  void keep(long more) {
    values += more;
    if (values > MOST_VALUES) {
      throw tooLarge();
    }
  }

  private static NotApplicableException tooLarge() {
    return new NotApplicableException(NotApplicableReason.OVER_MEMORY);
  }
}
