package dev.tavik.bayes;

/**
 * An interval that holds a proportion with a given posterior probability.
 *
 * @param kind which of the many it is
 * @param level that probability
 * @param lower the lower limit
 * @param upper the upper limit
 */
public record Credible(Kind kind, double level, double lower, double upper) {
  /** Which interval of a level. */
  public enum Kind {
    /** As much probability below as above. */
    EQUAL_TAILED("equal-tailed"),
    /** The shortest: every value inside is more probable than any outside. */
    HIGHEST_DENSITY("highest-density");

    private final String id;

    Kind(String id) {
      this.id = id;
    }

    /**
     * The public name in JSON.
     *
     * @return such as {@code equal-tailed}
     */
    public String id() {
      return id;
    }
  }
}
