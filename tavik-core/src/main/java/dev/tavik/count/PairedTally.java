package dev.tavik.count;

import static dev.tavik.result.Figures.require;

/**
 * Counts the same units judged twice: how often both judgements, one of them or neither was a
 * success.
 *
 * @param both successes both times, at least 0
 * @param firstOnly successes the first time only, at least 0
 * @param secondOnly successes the second time only, at least 0
 * @param neither successes neither time, at least 0
 */
public record PairedTally(long both, long firstOnly, long secondOnly, long neither) {
  /**
   * Checks the counts.
   *
   * @throws IllegalArgumentException if a count is negative, or their sum is not between 1 and 10¹²
   */
  public PairedTally {
    requireCount("both", both);
    requireCount("firstOnly", firstOnly);
    requireCount("secondOnly", secondOnly);
    requireCount("neither", neither);
    long pairs = both + firstOnly + secondOnly + neither;
    require(
        pairs >= 1 && pairs <= Tally.MAX_TRIALS,
        "pairs must be between 1 and %,d, got %s",
        Tally.MAX_TRIALS,
        pairs);
  }

  private static void requireCount(String name, long count) {
    require(
        count >= 0 && count <= Tally.MAX_TRIALS,
        "%s must be between 0 and %,d, got %d",
        name,
        Tally.MAX_TRIALS,
        count);
  }

  /**
   * Four counts.
   *
   * @param both successes both times
   * @param firstOnly successes the first time only
   * @param secondOnly successes the second time only
   * @param neither successes neither time
   * @return the paired tally
   * @throws IllegalArgumentException if a count is negative, or all are 0
   */
  public static PairedTally of(long both, long firstOnly, long secondOnly, long neither) {
    return new PairedTally(both, firstOnly, secondOnly, neither);
  }

  /**
   * How many pairs there are.
   *
   * @return the sum of the four counts
   */
  public long pairs() {
    return both + firstOnly + secondOnly + neither;
  }

  /**
   * The pairs whose judgements differ; only these tell the two apart.
   *
   * @return firstOnly + secondOnly
   */
  public long discordant() {
    return firstOnly + secondOnly;
  }

  /**
   * The first judgements alone.
   *
   * @return their tally
   */
  public Tally first() {
    return Tally.of(both + firstOnly, pairs());
  }

  /**
   * The second judgements alone.
   *
   * @return their tally
   */
  public Tally second() {
    return Tally.of(both + secondOnly, pairs());
  }

  /**
   * The first proportion minus the second.
   *
   * @return (firstOnly - secondOnly) / pairs
   */
  public double difference() {
    return (double) (firstOnly - secondOnly) / pairs();
  }
}
