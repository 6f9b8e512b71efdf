package dev.tavik.report;

/** How much of an answer is written. */
public enum Detail {
  /** The findings. */
  FINDINGS,
  /** The findings, and every formula with its numbers. */
  WORKING
}
