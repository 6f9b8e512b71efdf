package dev.tavik.data;

/** The weights of a row, or the sums of those of rows that come together. */
final class SurveyRow {
  private double weight = 1;
  private double squares = 1;
  private double least = 1;
  private double greatest = 1;
  private boolean together;
  private long times = 1;

  /** A row's own weight; NaN where it has none. */
  void weight(double own) {
    weight = own;
    together = false;
  }

  /** Rows that come together. */
  void sums(double sum, double squared, double smallest, double largest) {
    weight = sum;
    squares = squared;
    least = smallest;
    greatest = largest;
    together = true;
  }

  /** The row is complete, and stands for so many. */
  void times(long count) {
    times = count;
  }

  /** Its weight, or the sum of the weights of rows that come together. */
  double weight() {
    return weight;
  }

  boolean together() {
    return together;
  }

  double sum() {
    return together ? weight : weight * times;
  }

  double squares() {
    return together ? squares : weight * weight * times;
  }

  double least() {
    return together ? least : weight;
  }

  double greatest() {
    return together ? greatest : weight;
  }
}
