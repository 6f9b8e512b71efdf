package dev.tavik.bayes;

import dev.tavik.result.Figures;

/**
 * The size of a Bayes factor in words, whichever hypothesis it favours (Kass and Raftery 1995,
 * "Bayes factors", Journal of the American Statistical Association 90, 773-795).
 */
public enum Evidence {
  /** Up to 3. */
  BARE("not worth more than a bare mention"),
  /** 3 to 20. */
  POSITIVE("positive"),
  /** 20 to 150. */
  STRONG("strong"),
  /** Above 150. */
  VERY_STRONG("very strong");

  /** Number from which whole numbers are written with a power of ten. */
  private static final double MOST_PLAIN = Math.log(999_500);

  private static final double ROUNDING = -Math.log10(0.9995);

  private final String words;

  Evidence(String words) {
    this.words = words;
  }

  /**
   * The words for a Bayes factor.
   *
   * @param logBayesFactor its natural logarithm, of either sign
   * @return how much it says
   */
  public static Evidence of(double logBayesFactor) {
    double size = Math.abs(logBayesFactor);
    if (size <= Math.log(3)) {
      return BARE;
    }
    if (size <= Math.log(20)) {
      return POSITIVE;
    }
    return size <= Math.log(150) ? STRONG : VERY_STRONG;
  }

  /**
   * As the paper words it.
   *
   * @return such as {@code positive}
   */
  public String words() {
    return words;
  }

  /**
   * Whether the data are as likely under both sides.
   *
   * @param logBayesFactor its natural logarithm, of either sign
   * @return whether it is 0, but for rounding
   */
  public static boolean even(double logBayesFactor) {
    return Math.abs(logBayesFactor) < 1e-12;
  }

  /**
   * How many times likelier the data are under the side that they favour.
   *
   * @param logBayesFactor its natural logarithm, of either sign
   * @return three digits, such as {@code 12.3} or {@code 4.56e12}
   */
  public static String times(double logBayesFactor) {
    double size = Math.abs(logBayesFactor);
    if (size < MOST_PLAIN) {
      return Figures.significant(Math.exp(size), 3);
    }
    double log10 = size / Math.log(10);
    // Rounding the last digit shown may carry into the next power of ten.
    long power = (long) Math.floor(log10 + ROUNDING);
    return Figures.significant(Math.max(1, Math.pow(10, log10 - power)), 3) + "e" + power;
  }
}
