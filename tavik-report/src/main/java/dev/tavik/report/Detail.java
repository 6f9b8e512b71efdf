package dev.tavik.report;

/** How much of an answer is written. */
public enum Detail {
  /** The findings; of tables with very many rows the most telling ones. */
  FINDINGS,
  /** The findings with every row. */
  EVERY_ROW,
  /** The findings with every row, and every formula with its numbers. */
  WORKING
}
