package dev.tavik.proportion;

/**
 * The pairs of counts of two groups that a test rejects: what its true size and its exact power
 * follow from.
 */
public interface CriticalPairs {
  /** So many trials in both groups together are gone through at most. */
  long MOST_TRIALS = 20_000;

  /**
   * The chance that the test rejects, every pair weighted by its probability.
   *
   * @param first the true proportion of the first group, strictly between 0 and 1
   * @param second that of the second
   * @return the chance, right to 10⁻¹²
   * @throws IllegalArgumentException if a proportion is out of its range
   */
  double chance(double first, double second);
}
