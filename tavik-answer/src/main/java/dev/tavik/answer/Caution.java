package dev.tavik.answer;

/**
 * Something the analyst should know before using an answer, and what to do about it.
 *
 * @param code a stable name for programs
 * @param message a plain sentence or two for people
 * @param ofSeveral what it says of several groups or pairs at once, without figures of each
 */
public record Caution(Code code, String message, String ofSeveral) {
  /**
   * A caution that says the same of several groups as of one.
   *
   * @param code a stable name for programs
   * @param message a plain sentence or two for people
   */
  public Caution(Code code, String message) {
    this(code, message, message);
  }

  /**
   * {@return this caution with what it says of several groups or pairs at once}
   *
   * @param words the sentence, without figures of each
   */
  public Caution ofSeveral(String words) {
    return new Caution(code, message, words);
  }

  /** The stable names. */
  public enum Code {
    /** Too few successes or failures expected for the normal approximation. */
    FEW_SUCCESSES("few-successes"),
    /** Every trial, or none, was a success: the estimated standard error is 0. */
    ALL_OR_NONE("all-or-none"),
    /** A test has no statistic, since its standard error is 0. */
    NO_STATISTIC("no-statistic"),
    /** A limit fell outside 0 to 1 and was moved to the end of the scale. */
    CLIPPED_LIMIT("clipped-limit"),
    /** The confidence level isn't one minus alpha. */
    LEVEL_ALPHA("level-alpha"),
    /** The data point the other way than the alternative. */
    OTHER_DIRECTION("other-direction"),
    /** The p-value is very near alpha. */
    NEAR_ALPHA("near-alpha"),
    /** The tests shown come to different decisions. */
    TESTS_DISAGREE("tests-disagree"),
    /** A test rejects a value that an interval includes, or the other way round. */
    TEST_AND_INTERVAL("test-and-interval"),
    /** A group is significant alone, but not after adjustment for the number of groups. */
    ADJUSTED_AWAY("adjusted-away"),
    /** Rows were left out because a value is missing. */
    MISSING_VALUES("missing-values"),
    /** Levels that differ only in case, blanks or the way an accent is written. */
    SIMILAR_LEVELS("similar-levels"),
    /** A cell of the table is 0, so that ratios have limits without end or none. */
    ZERO_CELL("zero-cell"),
    /** A difference is significant, but lies within the margin. */
    WITHIN_MARGIN("within-margin"),
    /** Several tests were made without adjustment. */
    MANY_TESTS("many-tests"),
    /** A row or a column of totals was found in a table and left out. */
    TOTALS_LEFT_OUT("totals-left-out"),
    /** A column of a table was taken for an outcome, but may be a total. */
    MAY_BE_TOTAL("may-be-total"),
    /** Intervals of several shares hold one at a time, not all together. */
    ONE_AT_A_TIME("one-at-a-time"),
    /** Levels were merged, which after seeing the data can make a result. */
    LEVELS_MERGED("levels-merged"),
    /** Rows and columns have the same levels, as if the same units were classified twice. */
    SAME_LEVELS("same-levels"),
    /** An odds ratio differs from stratum to stratum, or is reversed in all strata together. */
    STRATA_DIFFER("strata-differ"),
    /** An effect was taken from a pilot, which may show it larger than it is. */
    PILOT_EFFECT("pilot-effect"),
    /** Power swings with n: some larger numbers fall below the power that a smaller one reaches. */
    SAW_TOOTH("saw-tooth"),
    /** More would have to be invited than there are. */
    TOO_FEW_TO_INVITE("too-few-to-invite"),
    /** The rows that are to be followed in order look sorted by their outcome. */
    SORTED_BY_OUTCOME("sorted-by-outcome"),
    /** Of very many groups or pairs not all of the Bayesian view is worked out. */
    BRIEF_VIEW("brief-view"),
    /** There are too many groups to compare each with each. */
    PAIRS_LEFT_OUT("pairs-left-out"),
    /** Groups without any observation were left out. */
    EMPTY_GROUP("empty-group"),
    /** Few clusters stand behind the variance of a designed sample. */
    FEW_DEGREES("few-degrees"),
    /** Few clusters have the outcome. */
    FEW_CLUSTERS("few-clusters"),
    /** A few rows of a designed sample weigh very much. */
    EXTREME_WEIGHTS("extreme-weights"),
    /** Rows of a designed sample weigh 0 or have no weight, and were left out. */
    NO_WEIGHT("no-weight"),
    /** A column looks like a weight and was not used as one. */
    WEIGHT_UNUSED("weight-unused");

    private final String id;

    Code(String id) {
      this.id = id;
    }

    /**
     * The public name in JSON.
     *
     * @return the name
     */
    public String id() {
      return id;
    }
  }
}
