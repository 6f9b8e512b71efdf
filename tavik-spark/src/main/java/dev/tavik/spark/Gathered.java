package dev.tavik.spark;

import java.util.List;

/**
 * What came back of one request.
 *
 * @param groups the groups, in the order of their values
 * @param tooMany the column that has too many values, and then there are no groups; {@link #NONE}
 *     where none has
 */
record Gathered(List<Group> groups, int tooMany) {
  /** No column has too many values. */
  static final int NONE = -1;

  /** The columns together make too many combinations. */
  static final int COMBINATIONS = -2;

  /** So many combinations of a request are handed over at most, of sums and of counts. */
  static final int MOST_GROUPS = 1_000_000;
}
