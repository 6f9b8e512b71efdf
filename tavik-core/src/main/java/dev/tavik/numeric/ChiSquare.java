package dev.tavik.numeric;

import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * The chi-square distribution, its upper tail as a natural logarithm.
 *
 * <p>Down to 10⁻²⁸⁰ the regularised incomplete gamma function has its digits (relative error
 * 5·10⁻¹²); beyond, Legendre's continued fraction is taken of the logarithm (Abramowitz and Stegun
 * 1964, 6.5.31).
 */
public final class ChiSquare {
  private static final double SMALLEST = 1e-280;
  private static final int MOST_TERMS = 10_000;

  private ChiSquare() {}

  /**
   * The logarithm of the upper tail, ln P(X &gt; x).
   *
   * @param x a value, at least 0
   * @param df the degrees of freedom, above 0
   * @return the logarithm
   */
  public static double logUpper(double x, double df) {
    double tail = RegularizedGamma.Q.value(df / 2, x / 2);
    return tail > SMALLEST ? Math.log(tail) : logFarTail(x / 2, df / 2);
  }

  /**
   * The logarithm of the lower tail, ln P(X ≤ x).
   *
   * @param x a value, above 0
   * @param df the degrees of freedom, above 0
   * @return the logarithm
   */
  public static double logLower(double x, double df) {
    double tail = RegularizedGamma.P.value(df / 2, x / 2);
    return tail > SMALLEST ? Math.log(tail) : logNearTail(x / 2, df / 2);
  }

  /** ln γ(a, x)/Γ(a), by the series x^a e^-x (1/a + x/(a(a + 1)) + …)/Γ(a). */
  private static double logNearTail(double x, double a) {
    double term = 1;
    double sum = 1;
    for (int i = 1; term > sum * 0x1p-54; i++) {
      term *= x / (a + i);
      sum += term;
    }
    return a * Math.log(x) - x - LogGamma.value(a + 1) + Math.log(sum);
  }

  /** ln Γ(a, x)/Γ(a), by the continued fraction 1/(x + 1 - a - (1 - a)/(x + 3 - a - …)). */
  private static double logFarTail(double x, double a) {
    double b = x + 1 - a;
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
      if (Math.abs(factor - 1) < 0x1p-52) {
        return a * Math.log(x) - x - LogGamma.value(a) + Math.log(fraction);
      }
    }
    throw new ArithmeticException("chi-square tail did not end within " + MOST_TERMS + " terms");
  }
}
