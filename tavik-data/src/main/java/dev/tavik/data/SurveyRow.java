package dev.tavik.data;

/** The weights of a row, or their sums over merged rows. */
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

  /** Sets the sums of merged rows. */
  void sums(double sum, double squared, double smallest, double largest) {
    weight = sum;
    squares = squared;
    least = smallest;
    greatest = largest;
    together = true;
  }

  /** Ends the row, with the number of rows it stands for. */
  void times(long count) {
    times = count;
  }

  /** The weight of the row, or the sum of the weights of merged rows. */
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
