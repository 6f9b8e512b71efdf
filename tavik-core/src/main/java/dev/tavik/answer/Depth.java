package dev.tavik.answer;

/** Says in how detailed a reading a finding is shown. Machines get every figure. */
public enum Depth {
  /** In every reading. */
  ALWAYS,
  /** Where a long answer is cut to what fits on a screen; what stands in it is shown whole else. */
  CUT,
  /** Where nothing is cut. */
  WHOLE,
  /** Where the working by hand is asked for. */
  WORKING
}
