package dev.tavik.survey;

/** Is a function of the sums of weights of all combinations, with several values at once. */
interface Statistic {
  /**
   * Its values.
   *
   * @param totals the sum of weights of each combination
   */
  double[] values(double[] totals);

  /**
   * Its slopes at the sample's own sums: a row for each value, with one for each combination.
   *
   * @param totals the sums
   */
  double[][] slopes(double[] totals);
}
