package dev.tavik.answer;

/** How the cells of a column stand under one another. */
public enum Align {
  /** Words: from the left. */
  LEFT,
  /** Counts: to the right. */
  RIGHT,
  /** Numbers: by the decimal point. */
  POINT
}
