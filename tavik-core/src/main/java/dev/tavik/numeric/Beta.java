package dev.tavik.numeric;

import org.apache.commons.numbers.gamma.LogBeta;
import org.apache.commons.numbers.gamma.LogGamma;

/**
 * A beta distribution: density and tails as logarithms, quantiles, and its shortest intervals.
 *
 * <p>The density is Loader's form of a binomial probability (2000, "Fast and accurate computation
 * of binomial probabilities") with x = α and n = α + β, which keeps its digits where the parameters
 * are large. Tails are the density times a continued fraction (DiDonato and Morris 1992, ACM
 * Transactions on Mathematical Software 18, 360-373), for large parameters times an integral of the
 * density's shape, each as itself on the side where it is the smaller one.
 */
public final class Beta {
  private static final double HALF_LN_2_PI = 0.5 * Math.log(2 * Math.PI);
  private static final double STIRLING_FROM = 32;
  private static final int MOST_TERMS = 2_000_000;

  /** Logit beyond which the probability rounds to 0 or to the largest double below 1. */
  private static final double FARTHEST = 745;

  /** Exponent below which a density contributes nothing to a sum. */
  private static final double NEGLIGIBLE = 45;

  private static final int PANELS = 3;

  /** Size from which a tail is integrated, because the continued fraction needs about √n terms. */
  private static final double LARGE = 2000;

  /**
   * Relative distance from the mean beyond which the continued fraction converges quickly at any
   * size.
   */
  private static final double FAR = 0.7;

  /** Range of the power series at an end, in units of one over the other parameter. */
  private static final double CROWDED = 0.5;

  private final double alpha;
  private final double beta;

  /** The part of the log density that doesn't depend on p. */
  private final double constant;

  /**
   * A distribution.
   *
   * @param alpha the first parameter, above 0 and finite
   * @param beta the second parameter, above 0 and finite
   */
  public Beta(double alpha, double beta) {
    this.alpha = alpha;
    this.beta = beta;
    double n = alpha + beta;
    this.constant =
        stirlingError(n)
            - stirlingError(alpha)
            - stirlingError(beta)
            - HALF_LN_2_PI
            + 0.5 * (Math.log(alpha) + Math.log(beta) - Math.log(n));
  }

  /**
   * The mean.
   *
   * @return α/(α + β)
   */
  public double mean() {
    return alpha / (alpha + beta);
  }

  /**
   * The logarithm of the density.
   *
   * @param p where, strictly between 0 and 1
   * @return ln f(p), to about 10⁻¹³ absolutely or 10⁻¹¹ relatively
   */
  public double logDensity(DecimalFraction p) {
    double n = alpha + beta;
    double deviation = alpha * p.complement() - beta * p.value();
    return constant
        - Deviance.half(alpha, n * p.value(), deviation)
        - Deviance.half(beta, n * p.complement(), -deviation)
        - Math.log(p.value())
        - Math.log(p.complement());
  }

  /**
   * The logarithm of the chance of at most a value.
   *
   * @param p the value, strictly between 0 and 1
   * @return ln P(X ≤ p)
   */
  public double logLower(DecimalFraction p) {
    return logBelow(alpha, beta, p.value(), p.complement(), logDensity(p));
  }

  /**
   * The logarithm of the chance of more than a value.
   *
   * @param p the value, strictly between 0 and 1
   * @return ln P(X &gt; p)
   */
  public double logUpper(DecimalFraction p) {
    return logBelow(beta, alpha, p.complement(), p.value(), logDensity(p));
  }

  private static double logBelow(double a, double b, double p, double q, double logDensity) {
    if (crowded(a, b, p)) {
      return logCrowded(a, b, p);
    }
    if (crowded(b, a, q)) {
      return LogSpace.complement(logCrowded(b, a, q));
    }
    return p * (a + b) < a
        ? logSmaller(a, b, p, q, logDensity)
        : LogSpace.complement(logSmaller(b, a, q, p, logDensity));
  }

  private static double logSmaller(double a, double b, double p, double q, double logDensity) {
    return Math.min(0, Math.log(ratio(a, b, p, q)) + logDensity + Math.log(p) + Math.log(q));
  }

  /**
   * Whether a value lies next to an end of 0 to 1 at which a parameter below 1 crowds the
   * probability. There the continued fraction would not converge in reasonable time, while the
   * power series needs few terms.
   */
  private static boolean crowded(double a, double b, double p) {
    return a < 1 && p * Math.max(1, b) < CROWDED;
  }

  /** ln of p^a/(a B(a, b)) (1 + a Σ (1 - b)…(n - b)/n! · pⁿ/(a + n)). */
  private static double logCrowded(double a, double b, double p) {
    double product = 1;
    double sum = 0;
    double term = 1;
    for (int n = 1; Math.abs(term) > 0x1p-56 * (1 + Math.abs(sum)); n++) {
      product *= (n - b) / n * p;
      term = a * product / (a + n);
      sum += term;
    }
    // ln(a B(a, b)) is small where a is small, although its terms are not.
    return Math.min(0, a * Math.log(p) - (LogBeta.value(a, b) + Math.log(a)) + Math.log1p(sum));
  }

  /** The tail divided by the density, by p and by q. */
  private static double ratio(double a, double b, double p, double q) {
    boolean many = Math.min(a, b) >= LARGE && p * (a + b) > FAR * a;
    return many
        ? shapeFrom(a - 1, b - 1, p / q, ((a - 1) * q - (b - 1) * p) / q) / q
        : fraction(a, b, p, q);
  }

  /**
   * Whether the tail below a value is the smaller one, or nearly as small as the other.
   *
   * @param p the value, strictly between 0 and 1
   * @return whether the value is below the mean, or hardly above
   */
  public boolean lowerIsSmaller(DecimalFraction p) {
    return p.value() * (alpha + beta) < alpha;
  }

  /**
   * The smaller tail in units of the density, which neither underflows nor grows without end.
   *
   * @param p the value, strictly between 0 and 1
   * @return P(X ≤ p)/(f(p)·p·(1 - p)), or with P(X &gt; p) where that is the smaller one
   */
  public double smallerTailRatio(DecimalFraction p) {
    boolean lower = lowerIsSmaller(p);
    if (crowded(alpha, beta, p.value()) || crowded(beta, alpha, p.complement())) {
      double logTail = lower ? logLower(p) : logUpper(p);
      return Math.exp(logTail - logDensity(p) - Math.log(p.value()) - Math.log(p.complement()));
    }
    return lower
        ? ratio(alpha, beta, p.value(), p.complement())
        : ratio(beta, alpha, p.complement(), p.value());
  }

  /**
   * The lower tail in units of the density: P(X ≤ p)/(f(p)·p·(1 - p)), p at most about the mean.
   */
  double lowerRatio(DecimalFraction p) {
    return ratio(alpha, beta, p.value(), p.complement());
  }

  /**
   * The integral over e of (1 - e)^a (1 + e odds)^b, whose exponent falls from 0, with odds of p/q
   * and the exponent's slope at 0, (a q - b p)/q, which its parts may not have the digits for.
   */
  static double shapeFrom(double a, double b, double odds, double slope) {
    double curvature = a + b * odds * odds;
    double length =
        Math.min(
            1, 2 * NEGLIGIBLE / (slope + Math.sqrt(slope * slope + 2 * NEGLIGIBLE * curvature)));
    return GaussLegendre.integral(
        e ->
            Math.exp(
                -e * slope
                    - a * Deviance.half(1, 1 - e, e)
                    - b * Deviance.half(1, 1 + odds * e, -odds * e)),
        0,
        length,
        PANELS);
  }

  /**
   * The tail over f p q, by a fraction in which a q - b p, what p lacks to the mean, stands whole.
   */
  private static double fraction(double a, double b, double p, double q) {
    double lack = 1 + (a * q - b * p);
    double ratio = b / a;
    double above = 1 + 1 / a;
    double numerator = 1;
    double numeratorBefore = 0;
    double denominator = lack / above;
    double denominatorBefore = 1;
    double value = above / lack;
    double factor = 1;
    double scale = a + 1;
    for (int n = 1; n <= MOST_TERMS; n++) {
      double part = n / a;
      double weight = n * (b - n) * p;
      double share = a / scale;
      double alpha = factor * (factor + ratio) * share * share * (weight * p);
      double beta = n + weight / scale + (1 + part) / (above + 2 * part) * (lack + n * (q + 1));
      factor = 1 + part;
      scale += 2;
      double nextNumerator = alpha * numeratorBefore + beta * numerator;
      double nextDenominator = alpha * denominatorBefore + beta * denominator;
      double next = nextNumerator / nextDenominator;
      if (Math.abs(next - value) <= 0x1p-53 * next) {
        return next;
      }
      value = next;
      numeratorBefore = numerator / nextDenominator;
      denominatorBefore = denominator / nextDenominator;
      numerator = next;
      denominator = 1;
    }
    throw new ArithmeticException("beta tail did not end within " + MOST_TERMS + " terms");
  }

  /**
   * The value with a given chance of not being exceeded.
   *
   * @param logLower the logarithm of that chance
   * @param logUpper the logarithm of the chance of being exceeded
   * @return the value, from 0 to 1, by Newton's method over the logit to the last places
   */
  public double quantile(double logLower, double logUpper) {
    boolean byLower = logLower < logUpper;
    double wanted = byLower ? logLower : logUpper;
    int sign = byLower ? 1 : -1;
    double away = Normal.upperQuantile(Math.max(Double.MIN_NORMAL, Math.exp(wanted)));
    double guess = Math.log(alpha / beta) - sign * away * Math.sqrt(1 / alpha + 1 / beta);
    double logit =
        Newton.root(
            u -> {
              DecimalFraction p = atLogit(u);
              double log = byLower ? logLower(p) : logUpper(p);
              double rise = logDensity(p) + Math.log(p.value()) + Math.log(p.complement()) - log;
              return new Newton.Point(sign * (log - wanted), Math.exp(rise));
            },
            -FARTHEST,
            FARTHEST,
            Math.max(1 - FARTHEST, Math.min(FARTHEST - 1, guess)));
    return atLogit(logit).value();
  }

  private static DecimalFraction atLogit(double logit) {
    double value = 1 / (1 + Math.exp(-logit));
    double complement = 1 / (1 + Math.exp(logit));
    return new DecimalFraction(
        Math.max(value, Double.MIN_NORMAL), 0, Math.max(complement, Double.MIN_NORMAL));
  }

  /** ln Γ(z + 1) - ((z + ½) ln z - z + ½ ln 2π), for z &gt; 0. */
  static double stirlingError(double z) {
    if (z < STIRLING_FROM) {
      return LogGamma.value(z + 1) - (z + 0.5) * Math.log(z) + z - HALF_LN_2_PI;
    }
    double square = z * z;
    return (1 / 12.0 - (1 / 360.0 - (1 / 1260.0 - 1 / 1680.0 / square) / square) / square) / z;
  }
}
