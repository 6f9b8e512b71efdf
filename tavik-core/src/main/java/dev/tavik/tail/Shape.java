package dev.tavik.tail;

/** The tails of one distribution, as natural logarithms. */
interface Shape {
  /** Where its values lie. */
  enum Support {
    LINE,
    HALF_LINE,
    UNIT,
    COUNTS
  }

  Support support();

  /** ln P(X ≤ x). */
  double logLower(double x);

  /** ln P(X &gt; x), of counts ln P(X ≥ x). */
  double logUpper(double x);

  /** The smallest value that can occur. */
  double least();

  /** The largest value that can occur. */
  double greatest();

  /** A value beyond which nothing is left, to 10⁻³⁰⁰. */
  default double reach() {
    return greatest();
  }
}
