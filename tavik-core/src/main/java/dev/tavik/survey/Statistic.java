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

  /** One function with the values of several. */
  static Statistic of(Statistic... parts) {
    return new Statistic() {
      @Override
      public double[] values(double[] totals) {
        double[][] each = new double[parts.length][];
        for (int i = 0; i < parts.length; i++) {
          each[i] = parts[i].values(totals);
        }
        return java.util.Arrays.stream(each)
            .flatMapToDouble(java.util.Arrays::stream)
            .toArray();
      }

      @Override
      public double[][] slopes(double[] totals) {
        return java.util.Arrays.stream(parts)
            .flatMap(part -> java.util.Arrays.stream(part.slopes(totals)))
            .toArray(double[][]::new);
      }
    };
  }
}
