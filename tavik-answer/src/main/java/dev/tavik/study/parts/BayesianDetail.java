package dev.tavik.study.parts;

/** How much of the Bayesian view is worked out. */
public enum BayesianDetail {
  /** Everything. */
  WHOLE,
  /**
   * The Bayes factor, the probability, and the interval with equal tails; of two rates that of the
   * difference only.
   */
  BRIEF;

  private static final int MOST_WHOLE = 60;

  /** Of a family with very many members only a part is computed for each. */
  public static BayesianDetail of(int members) {
    return members > MOST_WHOLE ? BRIEF : WHOLE;
  }
}
