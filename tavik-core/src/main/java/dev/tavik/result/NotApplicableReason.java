package dev.tavik.result;

import java.util.Locale;

/**
 * Why a method gives no result. The values of a {@link NotApplicableException} are those that its
 * reason names, in that order.
 */
public enum NotApplicableReason {
  /**
   * The computation would exceed its budget. Values: the budget in seconds, and the decimal
   * logarithm of how many tables there are.
   */
  OVER_BUDGET,
  /** The computation would need more than 250 MB of memory. */
  OVER_MEMORY,
  /** The counts are so large that a probability takes long to sum. */
  LONG_SUM,
  /** No stratum has both successes and failures. */
  NO_INFORMATIVE_STRATUM,
  /** Fewer than two strata have both successes and failures. */
  ONE_INFORMATIVE_STRATUM,
  /** The common odds ratio is 0 or infinite. */
  NO_COMMON_ODDS_RATIO,
  /**
   * There are more outcomes than can be enumerated. Values: about how many, of how many units, in
   * how many categories.
   */
  TOO_MANY_OUTCOMES,
  /** There are more tables than are enumerated. Values: at most how many are. */
  TOO_MANY_TABLES,
  /** The table has more than two rows or columns. */
  NOT_TWO_BY_TWO,
  /** The table has more than two rows and more than two columns. */
  NEITHER_TWO_ROWS_NOR_COLUMNS,
  /** The table has more than 200,000 units. */
  TOO_MANY_UNITS,
  /** The p-value is below 1e-290. */
  TOO_SMALL_A_P,
  /** A sum of too many steps. Values: about how many. */
  TOO_MANY_STEPS,
  /** Weights too far apart to be added. Values: the decimal logarithm of how far. */
  WEIGHTS_APART,
  /** A prior too small for so many levels. Values: what it must be above. */
  PRIOR_TOO_SMALL,
  /** More observations than are enumerated. Values: how many are, and how many there are. */
  TOO_MANY_OBSERVATIONS,
  /** A test without power by the normal distribution. Values: its id. */
  NO_NORMAL_POWER,
  /** A test that knows no margin. Values: its id. */
  NO_MARGIN,
  /** More units than are planned for. Values: for how many it is, and how many there are. */
  TOO_MANY_TO_PLAN,
  /** An interval of a rate that is not planned for. Values: its id. */
  NO_PLANNED_RATE_INTERVAL,
  /** An interval of a difference that is not planned for. Values: its id. */
  NO_PLANNED_DIFFERENCE_INTERVAL,
  /** A design without a single effect. */
  NO_SINGLE_EFFECT,
  /** No effect reaches the power. */
  NO_EFFECT_LARGE_ENOUGH,
  /** A power that isn't reached. Values: with how many observations. */
  OUT_OF_REACH,
  /** A search that takes too long. Values: up to how many observations. */
  LONG_SEARCH,
  /** A search that was stopped. Values: at how many observations. */
  STOPPED,
  /** A search that ended before the power was reached. Values: at how many observations. */
  SEARCH_ENDED,
  /** More than a million pairs. Values: how many there are. */
  TOO_MANY_PAIRS,
  /** More than 10 million trials. Values: how many there are. */
  TOO_MANY_TRIALS,
  /**
   * More units than whose pairs of counts are enumerated. Values: how many may be, and how many
   * there are.
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
  /**
   * Fewer clusters than free cells. Values: the degrees of freedom, and how many cells are free.
   */
  TOO_FEW_CLUSTERS,
  /**
   * No degrees of freedom. Values: how many clusters or rows there are, which of both, and how many
   * strata.
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
  /** Strata with one cluster only. Values: their names. */
  LONE_CLUSTERS,
  /** An interval without a form for a finite lot. Values: its id. */
  NO_LOT_INTERVAL,
  /** A test without a form for a finite lot. Values: its id. */
  NO_LOT_TEST,
  /**
   * More trials than an unconditional test is offered for. Values: how many may be, and how many
   * there are.
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
  /** A table too large to be drawn. Values: of how many units it may be. */
  TOO_LARGE_TO_DRAW,
  /** Too many counts may be drawn. Values: about how many. */
  TOO_MANY_TO_DRAW,
  /** Levels without an order. Values: why, in words. */
  UNORDERED,
  /** Levels that make no table. Values: whether rows or columns are meant, and what occurs. */
  NO_TABLE,
  /** No layer has a table. Values: which layers, each with why. */
  NO_LAYER,
  /** A computation that doesn't converge. */
  UNSETTLED;

  /** {@return the word for it, such as {@code over-budget}} */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
