package dev.tavik.count;

import java.util.Objects;

/**
 * Gives a group a name with its counts.
 *
 * @param name the analyst's name for the group
 * @param tally its successes and trials
 */
public record NamedTally(String name, Tally tally) {
  /** Checks that both are there. */
  public NamedTally {
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(tally, "tally");
  }
}
