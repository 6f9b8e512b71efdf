package dev.tavik.answer;

/** Says how much of an answer is written. */
public enum Detail {
  /** What fits on a screen: of many groups or pairs those that tell most. */
  FINDINGS,
  /** Every row of every finding. */
  EVERY_ROW,
  /** Every row, and the working by hand. */
  WORKING
}
