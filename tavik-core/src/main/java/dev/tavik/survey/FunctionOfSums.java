package dev.tavik.survey;

import java.util.Arrays;
import java.util.List;

/** Is a function of the sums of weights of all combinations, with several values at once. */
interface FunctionOfSums {
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

  /** One function with the values of several. */
  static FunctionOfSums of(List<FunctionOfSums> parts) {
    return new FunctionOfSums() {
      @Override
      public double[] values(double[] totals) {
        return parts.stream().flatMapToDouble(each -> Arrays.stream(each.values(totals))).toArray();
      }

      @Override
      public double[][] slopes(double[] totals) {
        return parts.stream()
            .flatMap(each -> Arrays.stream(each.slopes(totals)))
            .toArray(double[][]::new);
      }
    };
  }
}
