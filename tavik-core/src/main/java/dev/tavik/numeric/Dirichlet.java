package dev.tavik.numeric;

/** A Dirichlet distribution over shares, with two shares a {@link Beta}. */
public final class Dirichlet {
  private Dirichlet() {}

  /**
   * The logarithm of the density, in Loader's form as for {@link Beta}: it keeps its digits where
   * the parameters are large.
   *
   * @param parameters each above 0 and finite, at least two
   * @param shares as many, each above 0, their sum 1
   * @return ln f(shares)
   */
  public static double logDensity(double[] parameters, double[] shares) {
    double all = 0;
    for (double each : parameters) {
      all += each;
    }
    double log = Beta.stirlingError(all) - 0.5 * Math.log(all);
    for (int i = 0; i < parameters.length; i++) {
      double own = parameters[i];
      double mean = all * shares[i];
      log +=
          0.5 * Math.log(own)
              - Beta.stirlingError(own)
              - Deviance.half(own, mean, own - mean)
              - Math.log(shares[i]);
    }
    return log - 0.5 * (parameters.length - 1) * Math.log(2 * Math.PI);
  }
}
