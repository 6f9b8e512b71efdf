package dev.tavik.result;

import java.util.Locale;

/**
 * Why a method gives no result. The values of a {@link NotApplicableException} are those that its
 * reason names, in that order.
 */
public enum NotApplicableReason {
  /**
   * Longer than its budget; the budget in seconds, and the decimal logarithm of how many tables
   * there are.
   */
  OVER_BUDGET,
  /** More than 250 MB of memory. */
  OVER_MEMORY,
  /** Counts so large that a probability takes long to sum. */
  LONG_SUM,
  /** No stratum has both successes and failures. */
  NO_INFORMATIVE_STRATUM,
  /** Fewer than two strata have both successes and failures. */
  ONE_INFORMATIVE_STRATUM,
  /** The common odds ratio is 0 or infinite. */
  NO_COMMON_ODDS_RATIO,
  /**
   * More outcomes than can be enumerated; about how many, of how many units, in how many
   * categories.
   */
  TOO_MANY_OUTCOMES,
  /** More tables than are enumerated; at most how many are. */
  TOO_MANY_TABLES,
  /** The table has more than two rows or columns. */
  NOT_TWO_BY_TWO,
  /** The table has more than two rows and more than two columns. */
  NEITHER_TWO_ROWS_NOR_COLUMNS,
  /** More than 200,000 units in a table. */
  TOO_MANY_UNITS,
  /** A p-value below 1e-290. */
  TOO_SMALL_A_P,
  /** A sum of too many steps; about how many. */
  TOO_MANY_STEPS,
  /** Weights too far apart to be added; the decimal logarithm of how far. */
  WEIGHTS_APART,
  /** A prior too small for so many levels; what it must be above. */
  PRIOR_TOO_SMALL,
  /** More observations than are enumerated; how many are, and how many there are. */
  TOO_MANY_OBSERVATIONS,
  /** A test without power by the normal distribution; which. */
  NO_NORMAL_POWER,
  /** A test that knows no margin; which. */
  NO_MARGIN,
  /** More units than are planned for; for how many it is, and how many there are. */
  TOO_MANY_TO_PLAN,
  /** An interval of a rate that is not planned for; which. */
  NO_PLANNED_RATE_INTERVAL,
  /** An interval of a difference that is not planned for; which. */
  NO_PLANNED_DIFFERENCE_INTERVAL,
  /** A design without a single effect. */
  NO_SINGLE_EFFECT,
  /** No effect reaches the power. */
  NO_EFFECT_LARGE_ENOUGH,
  /** A power that isn't reached; with how many observations. */
  OUT_OF_REACH,
  /** A search that takes too long; up to how many observations. */
  LONG_SEARCH,
  /** A search that was stopped; at how many observations. */
  STOPPED,
  /** A search that ended before the power was reached; at how many observations. */
  SEARCH_ENDED,
  /** More than a million pairs; how many. */
  TOO_MANY_PAIRS,
  /** More than 10 million trials; how many. */
  TOO_MANY_TRIALS,
  /**
   * More units than whose pairs of counts are enumerated; how many may be, and how many there are.
   */
  TOO_MANY_PAIRS_OF_COUNTS,
  /** A test of equal rates alone. */
  ONLY_EQUAL_RATES,
  /** The sample shows no variance. */
  NO_VARIANCE,
  /** A replicate gives a share no weight. */
  SHARE_WITHOUT_WEIGHT,
  /** A replicate gives the rate no weight. */
  RATE_WITHOUT_WEIGHT,
  /** Fewer clusters than free cells; the degrees of freedom, and how many cells are free. */
  TOO_FEW_CLUSTERS,
  /**
   * No degrees of freedom; how many clusters or rows there are, which of both, and how many strata.
   */
  NO_DEGREES_OF_FREEDOM,
  /** The whole population is in the sample. */
  WHOLE_POPULATION,
  /** The sample shows no variance, so that there are no limits. */
  NO_VARIANCE_FOR_LIMITS,
  /** All are successes, or none, so that there are no limits. */
  ALL_OR_NONE_FOR_LIMITS,
  /** A replicate has no odds, so that there are no limits. */
  REPLICATE_WITHOUT_LIMITS,
  /** All are successes, or none, so that there are no odds. */
  ALL_OR_NONE,
  /** A replicate has no odds. */
  REPLICATE_WITHOUT_ODDS,
  /** A group, or a replicate of it, has all or none. */
  GROUP_ALL_OR_NONE,
  /** A group shows no variance. */
  GROUP_WITHOUT_VARIANCE,
  /** The difference shows no variance. */
  DIFFERENCE_WITHOUT_VARIANCE,
  /** Strata with one cluster only; their names. */
  LONE_CLUSTERS,
  /** An interval without a form for a finite lot; which. */
  NO_LOT_INTERVAL,
  /** A test without a form for a finite lot; which. */
  NO_LOT_TEST,
  /**
   * More trials than an unconditional test is offered for; how many may be, and how many there are.
   */
  TOO_MANY_FOR_UNCONDITIONAL,
  /** A test of no difference alone. */
  ONLY_NO_DIFFERENCE,
  /** A test that has no region before data. */
  ONLY_WITH_DATA,
  /** A test without a standard error. */
  NO_STANDARD_ERROR,
  /** Every draw would be the same. */
  SAME_DRAWS,
  /** No pair was judged differently. */
  NO_DISCORDANT_PAIR,
  /** A table too large to be drawn; of how many units it may be. */
  TOO_LARGE_TO_DRAW,
  /** Too many counts may be drawn; about how many. */
  TOO_MANY_TO_DRAW,
  /** Levels without an order; why, in words. */
  UNORDERED,
  /** Levels that make no table; whether rows or columns are meant, and what occurs. */
  NO_TABLE,
  /** No layer has a table; which layers, each with why. */
  NO_LAYER,
  /** A computation that doesn't converge. */
  UNSETTLED;

  /** {@return the word for it, such as {@code over-budget}} */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
