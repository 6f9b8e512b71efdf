package dev.tavik.planning;

/** How often a test rejects with groups of given sizes, as the truth varies. */
public interface Power {
  /**
   * The chance that the test rejects.
   *
   * @param effect the truth: the expected rate, or the effect size w
   * @return the chance; of both tails where the test has two
   */
  double at(double effect);

  /**
   * The chance that it rejects where the null is true.
   *
   * @return the size: alpha by the normal distribution, the true one where it is exact
   */
  double size();
}
