package dev.tavik.association;

import dev.tavik.result.DeclinedException;
import dev.tavik.result.Figures;

/**
 * A budget of work, counted in steps of some 25 nanoseconds rather than by the clock, so that a
 * table is answered or declined alike every time.
 */
final class Work {
  private static final double STEPS_A_SECOND = 4e7;

  /** So many path values at a time fill about 200 MB. */
  private static final long MOST_VALUES = 7_000_000;

  /** An estimate may be wrong by so much. */
  private static final double HOPELESS = 8;

  private final double seconds;
  private long left;
  private long values;

  private final String tables;

  private Work(double seconds, double logTables) {
    this.seconds = seconds;
    this.tables = "1e" + Math.round(logTables / Math.log(10));
    this.left = (long) (seconds * STEPS_A_SECOND);
  }

  /** With the logarithm of the number of tables that a refusal should name. */
  static Work of(double seconds, double logTables) {
    return new Work(seconds, logTables);
  }

  /** Refuses at once what is sure to take far longer. */
  void expect(double steps) {
    if (steps > HOPELESS * left) {
      throw tooLong();
    }
  }

  /** Takes steps from the budget. */
  void spend(long steps) {
    left -= steps;
    if (left < 0) {
      throw tooLong();
    }
  }

  private DeclinedException tooLong() {
    return new DeclinedException(
        "would take longer than its budget of %s%s for about %s tables with these margins;"
            + " give it a larger budget, or draw tables, or use pearson or likelihood-ratio, or"
            + " merge levels that were alike before the data were seen",
        Figures.plain(seconds), seconds == 1 ? " second" : " seconds", tables);
  }

  /** Takes room for values; negative to give it back. */
  void keep(long more) {
    values += more;
    if (values > MOST_VALUES) {
      throw new DeclinedException(
          "would need more than 250 MB of memory; use pearson or likelihood-ratio, or merge levels"
              + " that were alike before the data were seen");
    }
  }
}
