package dev.tavik.survey;

/** The weighted shares of several categories. */
final class CategoryShares implements FunctionOfSums {
  private final int[] categoryOf;
  private final int categories;

  /**
   * Keeps where each combination stands.
   *
   * @param categoryOf the category of each combination, -1 outside
   * @param categories how many there are
   */
  CategoryShares(int[] categoryOf, int categories) {
    this.categoryOf = categoryOf;
    this.categories = categories;
  }

  private double sum(double[] totals) {
    double sum = 0;
    for (int c = 0; c < categoryOf.length; c++) {
      sum += categoryOf[c] >= 0 ? totals[c] : 0;
    }
    return sum;
  }

  @Override
  public double[] values(double[] totals) {
    double sum = sum(totals);
    double[] shares = new double[categories];
    for (int c = 0; c < categoryOf.length; c++) {
      if (categoryOf[c] >= 0) {
        shares[categoryOf[c]] += totals[c] / sum;
      }
    }
    return shares;
  }

  @Override
  public double[][] slopes(double[] totals) {
    double sum = sum(totals);
    double[] shares = values(totals);
    double[][] slopes = new double[categories][categoryOf.length];
    for (int k = 0; k < categories; k++) {
      for (int c = 0; c < categoryOf.length; c++) {
        if (categoryOf[c] >= 0) {
          slopes[k][c] = ((categoryOf[c] == k ? 1 : 0) - shares[k]) / sum;
        }
      }
    }
    return slopes;
  }
}
