package dev.tavik.result;

/** What the probabilities of a {@link Method} rest on. */
public enum Exactness {
  /** A distribution for large samples stands in for the exact one. */
  APPROXIMATE,
  /** Every outcome is weighed by its own probability; the error is held at any size. */
  EXACT,
  /** Exact probabilities, corrected so that the error is held on average and not always. */
  NEARLY_EXACT
}
