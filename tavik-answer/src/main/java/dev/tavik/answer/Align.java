package dev.tavik.answer;

/** How the cells of a column are aligned. */
public enum Align {
  /** Left-aligned, for words. */
  LEFT,
  /** Right-aligned, for counts. */
  RIGHT,
  /** Aligned on the decimal point, for numbers. */
  POINT
}
