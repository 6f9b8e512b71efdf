package dev.tavik.numeric;

import java.util.Locale;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * The chi-square distribution, both tails as natural logarithms.
 *
 * <p>With a = df/2 and y = x/2 the tails are those of the gamma distribution. A tail beyond its
 * mean is its leading term y^a e^-y/Γ(a), taken from how far y is from a (Loader's deviance and
 * what Stirling's formula lacks, so that nothing large cancels), times a factor: Legendre's
 * continued fraction for the upper tail (Abramowitz and Stegun 1964, 6.5.31), the power series for
 * the lower (6.5.29). Both converge there within about ten times √a terms. On the other side of the
 * mean, where a tail is about ½ and more, the regularised incomplete gamma function is taken. For a
 * above {@value #LARGE} and y within a third of it both tails are Temme's (1979, "The asymptotic
 * expansion of the incomplete gamma functions", SIAM Journal on Mathematical Analysis 10, 757-766):
 * a normal one and a small correction.
 *
 * <p>Measured error of the tail against forty-digit values, df from 0.01 to 10⁶, down to 10⁻³⁰⁰: at
 * most 6·10⁻¹³, relatively; beyond, the logarithm's is at most 2·10⁻¹⁵ of itself.
 */
public final class ChiSquare {
  private static final double SMALLEST = 1e-280;
  private static final double LARGE = 1e5;

  /** Relative distance from the mean within which Temme's expansion is used. */
  private static final double NEAR = 0.3;

  /**
   * The Taylor series of 1/μ - 1/η in η, with η²/2 = μ - ln(1 + μ), to fifty digits and rounded.
   */
  private static final double[] FIRST = {
    -0.3333333333333333,
    0.08333333333333333,
    -0.014814814814814815,
    0.0011574074074074073,
    0.0003527336860670194,
    -0.0001787551440329218,
    3.919263178522438e-5,
    -2.1854485106799924e-6,
    -1.85406221071516e-6
  };

  /** That of 1/η³ - 1/μ³ - 1/μ² - 1/(12μ). */
  private static final double[] SECOND = {
    -0.001851851851851852,
    -0.003472222222222222,
    0.0026455026455026454,
    -9.902263374485596e-4,
    0.00020576131687242798,
    -4.018775720164609e-7
  };

  private static final double STIRLING_FROM = 8;
  private static final double LN_2_PI = Math.log(2 * Math.PI);

  /** The last factor of the continued fraction differs from 1 only by rounding. */
  private static final double CONVERGED = 0x1p-51;

  private static final int MOST_TERMS = 5_000_000;

  private ChiSquare() {}

  /**
   * The logarithm of the upper tail, ln P(X &gt; x).
   *
   * @param x a value, at least 0
   * @param df the degrees of freedom, above 0
   * @return the logarithm
   */
  public static double logUpper(double x, double df) {
    double y = x / 2;
    double a = df / 2;
    if (y == Double.POSITIVE_INFINITY) {
      return Double.NEGATIVE_INFINITY;
    }
    if (a > LARGE) {
      return Math.abs(y - a) < NEAR * a
          ? logUniform(y, a, 1)
          : y < a
              ? LogSpace.complement(logLower(x, df))
              : logLeading(y, a) + Math.log(fraction(y, a));
    }
    if (y <= Math.max(1, a)) {
      double tail = RegularizedGamma.Q.value(a, y);
      if (tail > SMALLEST) {
        return Math.log(tail);
      }
    }
    return logLeading(y, a) + Math.log(fraction(y, a));
  }

  /**
   * The logarithm of the lower tail, ln P(X ≤ x).
   *
   * @param x a value, at least 0
   * @param df the degrees of freedom, above 0
   * @return the logarithm; negative infinity at 0
   */
  public static double logLower(double x, double df) {
    double y = x / 2;
    double a = df / 2;
    if (y == 0) {
      return Double.NEGATIVE_INFINITY;
    }
    if (a > LARGE && y > (1 - NEAR) * a) {
      return y < (1 + NEAR) * a ? logUniform(y, a, -1) : LogSpace.complement(logUpper(x, df));
    }
    if (y >= a) {
      double tail = RegularizedGamma.P.value(a, y);
      if (tail > SMALLEST) {
        return Math.log(tail);
      }
    }
    return logLeading(y, a) + Math.log(series(y, a) / a);
  }

  /** ln of the normal tail beyond ±η√a and of ±e^(-aη²/2)/√(2πa) (c₀(η) + c₁(η)/a). */
  private static double logUniform(double y, double a, int side) {
    double halfSquare = Deviance.half(a, y, a - y);
    double z = side * Math.copySign(Math.sqrt(2 * halfSquare), y - a);
    double eta = side * z / Math.sqrt(a);
    double correction = polynomial(FIRST, eta) + polynomial(SECOND, eta) / a;
    double logNormal = Normal.logUpper(z);
    double logScale = -halfSquare - 0.5 * (LN_2_PI + Math.log(a));
    return logNormal + Math.log1p(side * correction * Math.exp(logScale - logNormal));
  }

  private static double polynomial(double[] coefficients, double at) {
    double value = 0;
    for (int i = coefficients.length - 1; i >= 0; i--) {
      value = value * at + coefficients[i];
    }
    return value;
  }

  /** ln y^a e^-y/Γ(a). */
  private static double logLeading(double y, double a) {
    if (a < STIRLING_FROM) {
      return a * Math.log(y) - y - LogGamma.value(a);
    }
    return 0.5 * (Math.log(a) - LN_2_PI) - Beta.stirlingError(a) - Deviance.half(a, y, a - y);
  }

  /** 1 + y/(a + 1) + y²/((a + 1)(a + 2)) + … */
  private static double series(double y, double a) {
    double term = 1;
    double sum = 1;
    for (int i = 1; term > sum * 0x1p-55; i++) {
      term *= y / (a + i);
      sum += term;
    }
    return sum;
  }

  /** 1/(y + 1 - a - (1 - a)/(y + 3 - a - …)), from the front (Lentz 1976). */
  private static double fraction(double y, double a) {
    double b = y + 1 - a;
    double c = Double.MAX_VALUE;
    double d = 1 / b;
    double fraction = d;
    for (int i = 1; i <= MOST_TERMS; i++) {
      double term = -i * (i - a);
      b += 2;
      d = 1 / (term * d + b);
      c = b + term / c;
      double factor = c * d;
      fraction *= factor;
      if (Math.abs(factor - 1) <= CONVERGED) {
        return fraction;
      }
    }
    throw new ArithmeticException(
        String.format(
            Locale.ROOT,
            "chi-square tail at %s with %s degrees of freedom did not end within %d terms",
            2 * y,
            2 * a,
            MOST_TERMS));
  }
}
