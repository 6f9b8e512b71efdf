package dev.tavik.answer;

/** The readings in which a finding is shown. Programs get every figure. */
public enum Depth {
  /** In every reading. */
  ALWAYS,
  /** In readings that shorten a long answer to what fits on a screen. */
  CUT,
  /** In readings that shorten nothing. */
  WHOLE,
  /** In readings with the calculation by hand. */
  WORKING
}
