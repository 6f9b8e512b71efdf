package dev.tavik.bayes;

/**
 * Words for the size of a Bayes factor, whichever hypothesis it favours (Kass and Raftery 1995,
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
}
