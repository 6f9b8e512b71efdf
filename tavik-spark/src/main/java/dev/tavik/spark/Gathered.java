package dev.tavik.spark;

import java.util.List;

/**
 * The result of one request.
 *
 * @param groups the groups, in the order of their values
 * @param tooMany the column that has too many values, and then there are no groups; {@link #NONE}
 *     where none has
 */
record Gathered(List<Group> groups, int tooMany) {
  /** No column has too many values. */
  static final int NONE = -1;

  /** There are too many combinations of the columns. */
  static final int COMBINATIONS = -2;

  /** Maximum number of combinations of a request, of sums and of counts. */
  static final int MOST_GROUPS = 1_000_000;
}
