package dev.tavik.numeric;

/**
 * The proportion at which a binomial tail is as large as wanted: P(X &gt; x) + w P(X = x) = tail,
 * with w = 1 the lower limit of Clopper and Pearson (1934), with w = ½ that of the mid-p interval.
 * An upper limit is the lower one of the failures.
 *
 * <p>Over the log odds u the logarithm of a tail is concave and nearly straight, and all its
 * derivatives follow from the probability b of x and the sum S = P(X ≥ x)/b, which is the
 * incomplete beta function in units of its density: with D = w x q + (1 - w)(n - x)p and A = S - 1
 * + w the tail is bA and its derivative bD. Halley's method trebles the digits at each step, so
 * that from Wilson's limits two or three evaluations are enough, at any n.
 */
public final class BinomialLimit {
  /**
   * Step length, in units of the tail's logarithm, after which the next step would be below
   * rounding error.
   */
  private static final double SHORT = 2e-5;

  private static final int MOST_STEPS = 60;
  private static final double FARTHEST = 700;

  private BinomialLimit() {}

  /**
   * Where the upper tail reaches a probability.
   *
   * @param x the count, 1 to n - 1
   * @param n the number of trials
   * @param weight how much of the count's own probability is in the tail, above 0 and up to 1
   * @param tail the probability, strictly between 0 and 1
   * @param guess a proportion that may be near, strictly between 0 and 1
   * @return the logarithm of its odds, to 10⁻¹³ relatively to the limit
   */
  public static double logOdds(long x, long n, double weight, double tail, double guess) {
    double lnTail = Math.log(tail);
    BinomialTail upper = new BinomialTail(x, n);
    double u = Math.log(guess) - Math.log1p(-guess);
    for (int i = 0; i < MOST_STEPS; i++) {
      upper.at(u);
      double p = upper.chance();
      double q = upper.complement();
      double a = upper.sum() - 1 + weight;
      double d = weight * x * q + (1 - weight) * (n - x) * p;
      double distance = upper.logMass() + Math.log(a) - lnTail;
      double slope = d / a;
      double deviation = x * q - (n - x) * p;
      double rise = p * q * ((1 - weight) * (n - x) - weight * x);
      double bend = (deviation * d + rise) / a - slope * slope;
      double step = distance / slope;
      double correction = 1 - step * bend / (2 * slope);
      step = correction > 0.5 && correction < 2 ? step / correction : step;
      u = Math.max(-FARTHEST, Math.min(FARTHEST, u - step));
      if (Math.abs(step * slope) <= SHORT) {
        return u;
      }
    }
    throw new ArithmeticException("binomial limit did not settle within " + MOST_STEPS + " steps");
  }
}
