package dev.tavik.survey;

/** Cramér's V of a weighted table; it is only ever worked out anew, so that it has no slopes. */
record WeightedCramersV(IndependenceDeviation independence) implements FunctionOfSums {
  @Override
  public double[] values(double[] totals) {
    double[] p = independence.shares(totals);
    double[] away = independence.values(totals);
    double sum = 0;
    for (int i = 0; i < independence.rows(); i++) {
      for (int j = 0; j < independence.columns(); j++) {
        double cell = away[i * independence.columns() + j];
        sum += cell * cell / (p[independence.row(i)] * p[independence.column(j)]);
      }
    }
    int smaller = Math.min(independence.rows(), independence.columns());
    return new double[] {Math.sqrt(sum / (smaller - 1))};
  }

  @Override
  public double[][] slopes(double[] totals) {
    throw new UnsupportedOperationException("V has no slope where it is 0");
  }
}
