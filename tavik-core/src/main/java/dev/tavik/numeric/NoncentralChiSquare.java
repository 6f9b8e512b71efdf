package dev.tavik.numeric;

import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * Tails of the noncentral chi-square distribution: both as themselves, not as complements.
 *
 * <p>Up to a noncentrality λ of {@value #SERIES_TO} as the Poisson mixture Σ Pois(k; λ/2)·Q(df/2 +
 * k, x/2), whose weights are normalised by their own sum; the chi-square tails follow from one
 * another by adding, upwards for the upper tail and downwards for the lower, so that no digits are
 * lost. Beyond, by the trapezoidal rule along a vertical contour near the saddle point of the
 * characteristic function's integral (Rice 1980, "Distribution of quadratic forms in normal random
 * variables - evaluation by numerical integration", SIAM Journal on Scientific and Statistical
 * Computing 1, 438-448), where the integrand falls off like a normal density; it gives the tail on
 * the value's own side of the mean, and the other is the complement.
 *
 * <p>Measured error against forty-digit values, λ from ½ to 10⁵ and out to seven standard
 * deviations: at most 8·10⁻¹³, relatively.
 */
public final class NoncentralChiSquare {
  private static final double SERIES_TO = 1000;
  private static final double NEGLIGIBLE = 1e-18;

  private static final double SMALLEST = 1e-300;

  /** A search ends within this, relatively. */
  private static final double NOISE = 1e-13;

  /** The contour passes zero at this many standard deviations at least. */
  private static final double CLEARANCE = 2;

  /** Nodes are so far apart, and go so far, in standard deviations. */
  private static final double STEP = 0.3;

  private static final double REACH = 9;

  /** Where the saddle point's 1/(1 - 2s) is below this, the mixture is its first term. */
  private static final double FIRST_TERM_ALONE = 1e-100;

  private NoncentralChiSquare() {}

  /**
   * The chance of a value above one.
   *
   * @param x the value, at least 0
   * @param df the degrees of freedom, above 0
   * @param lambda the noncentrality, at least 0
   * @return P(X &gt; x)
   */
  public static double upper(double x, double df, double lambda) {
    if (x == 0) {
      return 1;
    }
    return lambda <= SERIES_TO ? upperSeries(x, df, lambda) : contour(x, df, lambda, true);
  }

  /**
   * The chance of a value up to one.
   *
   * @param x the value, at least 0
   * @param df the degrees of freedom, above 0
   * @param lambda the noncentrality, at least 0
   * @return P(X ≤ x)
   */
  public static double lower(double x, double df, double lambda) {
    if (x == 0) {
      return 0;
    }
    return lambda <= SERIES_TO ? lowerSeries(x, df, lambda) : contour(x, df, lambda, false);
  }

  /** So far below and above the mode of the Poisson weights, in all cases enough. */
  private static double reach(double mean) {
    return 12 * Math.sqrt(mean) + 60;
  }

  private static double upperSeries(double x, double df, double lambda) {
    double mean = lambda / 2;
    // Tails grow with k, so the weights matter less below their mode than above it.
    double k = Math.max(0, Math.floor(mean - 8 * Math.sqrt(mean) - 10));
    double to = Math.floor(mean + reach(mean));
    double half = Math.max(Double.MIN_VALUE, x / 2);
    double a = df / 2 + k;
    double tail = RegularizedGamma.Q.value(a, half);
    double density = density(a + 1, half);
    double weight = weight(k, mean);
    double sum = weight * tail;
    double weights = weight;
    while (k < to) {
      // Q(a + 1, y) = Q(a, y) + y^a e^-y / Γ(a + 1)
      tail += density;
      a++;
      density *= half / a;
      k++;
      weight *= mean / k;
      sum += weight * Math.min(1, tail);
      weights += weight;
      if (weight < NEGLIGIBLE * sum && k > mean) {
        break;
      }
    }
    return Math.min(1, sum / weights);
  }

  private static double lowerSeries(double x, double df, double lambda) {
    double mean = lambda / 2;
    double from = Math.max(0, Math.floor(mean - reach(mean)));
    double reach = Math.floor(mean + 8 * Math.sqrt(mean) + 10);
    double k = reach;
    double half = Math.max(Double.MIN_VALUE, x / 2);
    // A weight of 0, or below its mode a tail of 0, would stay 0 all the way down.
    while (k > from
        && !(weight(k, mean) > SMALLEST
            && (half > df / 2 + k || density(df / 2 + k, half) > SMALLEST))) {
      k--;
    }
    double a = df / 2 + k;
    double tail = RegularizedGamma.P.value(a, half);
    double density = density(a, half);
    double weight = weight(k, mean);
    double sum = weight * tail;
    double weights = weight;
    double beyond = weight;
    for (double above = k; above < reach; ) {
      above++;
      beyond *= mean / above;
      weights += beyond;
    }
    while (k > from) {
      // P(a - 1, y) = P(a, y) + y^(a-1) e^-y / Γ(a)
      tail += density;
      a--;
      density *= a / half;
      weight *= k / mean;
      k--;
      sum += weight * Math.min(1, tail);
      weights += weight;
      if (weight < NEGLIGIBLE * sum && k < mean) {
        break;
      }
    }
    return Math.min(1, sum / weights);
  }

  /** y^(a-1) e^-y / Γ(a). */
  private static double density(double a, double y) {
    return Math.exp((a - 1) * Math.log(y) - y - LogGamma.value(a));
  }

  /** Up to a factor that is the same for all k. */
  private static double weight(double k, double mean) {
    return mean == 0
        ? (k == 0 ? 1 : 0)
        : Math.exp(k * Math.log(mean) - LogGamma.value(k + 1) - mean);
  }

  /**
   * ∫ exp(K(s) - s x)/s ds / 2πi with K(s) = λs/(1 - 2s) - df/2 ln(1 - 2s): right of zero the upper
   * tail, left of it minus the lower. The saddle point lies right of zero for values above the
   * mean.
   */
  private static double contour(double x, double df, double lambda, boolean upper) {
    double u = 2 * x / (Math.sqrt(df * df + 4 * lambda * x) + df);
    if (u < FIRST_TERM_ALONE) {
      double tail = Math.exp(-lambda / 2 + ChiSquare.logLower(x, df));
      return upper ? 1 - tail : tail;
    }
    double saddle = (1 - 1 / u) / 2;
    double width = Math.sqrt(4 * lambda * u * u * u + 2 * df * u * u);
    int side = saddle > 0 ? 1 : -1;
    double s = Math.abs(saddle) * width < CLEARANCE ? side * CLEARANCE / width : saddle;
    double sum = 0;
    for (double t = 0; t <= REACH; t += STEP) {
      double real = integrand(x, df, lambda, s, t / width);
      sum += t == 0 ? real / 2 : real;
    }
    double tail = Math.min(1, Math.max(0, side * sum * STEP / width / Math.PI));
    return upper == (side > 0) ? tail : 1 - tail;
  }

  /** The real part at s + it. */
  private static double integrand(double x, double df, double lambda, double s, double t) {
    double re = 1 - 2 * s;
    double im = -2 * t;
    double square = re * re + im * im;
    // λz/(1 - 2z) with z = s + it, and ln(1 - 2z).
    double kRe = lambda * (s * re + t * im) / square - df / 4 * Math.log(square) - s * x;
    double kIm = lambda * (t * re - s * im) / square - df / 2 * Math.atan2(im, re) - t * x;
    double size = Math.exp(kRe);
    return size * (Math.cos(kIm) * s + Math.sin(kIm) * t) / (s * s + t * t);
  }

  /**
   * The noncentrality at which a value's tail is a given chance: the limits of λ from an observed
   * statistic.
   *
   * @param x the statistic, at least 0
   * @param df the degrees of freedom, above 0
   * @param tail the chance, strictly between 0 and 1
   * @param upper whether the upper tail is meant, which grows with λ, or the lower, which shrinks
   * @return λ, by bisection to 10⁻¹³ of itself; 0 where even λ = 0 has no smaller tail
   */
  public static double noncentrality(double x, double df, double tail, boolean upper) {
    DoubleUnaryOperator above =
        lambda -> upper ? upper(x, df, lambda) - tail : tail - lower(x, df, lambda);
    if (!(above.applyAsDouble(0) < 0)) {
      return 0;
    }
    double high = Math.max(1, x);
    while (above.applyAsDouble(high) < 0) {
      high *= 2;
    }
    double low = 0;
    while (high - low > NOISE * high && high > NEGLIGIBLE) {
      double middle = low + (high - low) / 2;
      if (above.applyAsDouble(middle) < 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high;
  }
}
