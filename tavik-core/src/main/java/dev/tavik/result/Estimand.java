package dev.tavik.result;

/** What an estimate or an interval is of. */
public enum Estimand {
  /** A chance of success, 0 to 1. */
  PROPORTION("proportion", 0, 1),
  /** The first proportion minus the second, -1 to 1. */
  DIFFERENCE("difference", -1, 1),
  /** The first proportion divided by the second, 0 to infinity. */
  RATIO("ratio", 0, Double.POSITIVE_INFINITY),
  /** The odds of the first divided by those of the second; as an estimate, a·d / b·c. */
  ODDS_RATIO("odds-ratio", 0, Double.POSITIVE_INFINITY),
  /** The odds ratio at which the observed table is likeliest, given its margins. */
  CONDITIONAL_ODDS_RATIO("conditional-odds-ratio", 0, Double.POSITIVE_INFINITY),
  /** One divided by the difference: among how many trials there is one success more or less. */
  NUMBER_NEEDED("number-needed", Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY),
  /** The share of one of several categories, 0 to 1. */
  SHARE("share", 0, 1),
  /** The correlation of two classifications of two levels each, -1 to 1. */
  PHI("phi", -1, 1),
  /** The strength of an association, 0 to 1. */
  CRAMERS_V("cramers-v", 0, 1),
  /** Cramér's V, corrected for its bias. */
  CRAMERS_V_CORRECTED("cramers-v-corrected", 0, 1),
  /** Pearson's contingency coefficient, 0 to below 1. */
  CONTINGENCY("contingency", 0, 1),
  /** How far counts are from claimed shares or from independence: √(X²/n), 0 to infinity. */
  COHENS_W("cohens-w", 0, Double.POSITIVE_INFINITY),
  /** The share of wrong guesses that is avoided, 0 to 1. */
  LAMBDA("lambda", 0, 1),
  /** The share of entropy that is explained, 0 to 1. */
  THEILS_U("theils-u", 0, 1),
  /** Goodman and Kruskal's measure of a monotone association, -1 to 1. */
  GAMMA("gamma", -1, 1),
  /** Kendall's measure of a monotone association, corrected for ties, -1 to 1. */
  KENDALLS_TAU_B("kendalls-tau-b", -1, 1),
  /** Somers' measure of a monotone dependence, -1 to 1. */
  SOMERS_D("somers-d", -1, 1),
  /** Cohen's agreement beyond chance, up to 1. */
  KAPPA("kappa", -1, 1),
  /** Cohen's agreement beyond chance, disagreements weighted by their distance. */
  KAPPA_LINEAR("kappa-linear", -1, 1),
  /** Cohen's agreement beyond chance, disagreements weighted by their squared distance. */
  KAPPA_QUADRATIC("kappa-quadratic", -1, 1),
  /** The odds ratio that all strata have in common. */
  COMMON_ODDS_RATIO("common-odds-ratio", 0, Double.POSITIVE_INFINITY),
  /** The difference of 2·asin√p, -π to π. */
  COHENS_H("cohens-h", -Math.PI, Math.PI);

  private final String id;
  private final double least;
  private final double greatest;

  Estimand(String id, double least, double greatest) {
    this.id = id;
    this.least = least;
    this.greatest = greatest;
  }

  /**
   * The public name in JSON.
   *
   * @return the name
   */
  public String id() {
    return id;
  }

  /**
   * The lower end of the scale.
   *
   * @return the smallest value, or negative infinity
   */
  public double least() {
    return least;
  }

  /**
   * The upper end of the scale.
   *
   * @return the largest value, or infinity
   */
  public double greatest() {
    return greatest;
  }
}
