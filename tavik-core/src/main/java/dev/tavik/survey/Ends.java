package dev.tavik.survey;

/** The lower and the upper end of an interval. */
record Ends(double lower, double upper) {
  /** A value with the same on both sides, no further than a scale goes. */
  static Ends around(double value, double half, double least, double greatest) {
    return new Ends(Math.max(least, value - half), Math.min(greatest, value + half));
  }

  /** A share whose logit has so much on both sides. */
  static Ends ofLogit(double odds, double half) {
    return new Ends(share(odds * Math.exp(-half)), 1 - share(Math.exp(-half) / odds));
  }

  private static double share(double odds) {
    return odds / (1 + odds);
  }
}
