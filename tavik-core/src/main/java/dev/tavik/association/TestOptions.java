package dev.tavik.association;

import static dev.tavik.result.Figures.require;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Options that some tests of a table have.
 *
 * @param budget how long an exact test may take, in seconds of a usual machine, above 0; work is
 *     estimated and counted, so that a table is answered or declined alike every time
 * @param rowScores the scores of the rows, rising; empty for 1, 2, 3 …
 * @param columnScores the scores of the columns, rising; empty for 1, 2, 3 …
 */
public record TestOptions(double budget, List<Double> rowScores, List<Double> columnScores) {
  private static final TestOptions USUAL = new TestOptions(5, List.of(), List.of());

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if not budget &gt; 0, or scores don't rise
   */
  public TestOptions {
    require(
        budget > 0 && budget < Double.POSITIVE_INFINITY,
        "budget must be above 0 seconds, got %s",
        budget);
    rowScores = rising("row scores", rowScores);
    columnScores = rising("column scores", columnScores);
  }

  private static List<Double> rising(String what, List<Double> scores) {
    for (int i = 0; i < scores.size(); i++) {
      double low = i == 0 ? Double.NEGATIVE_INFINITY : scores.get(i - 1);
      require(
          scores.get(i) > low && scores.get(i) < Double.POSITIVE_INFINITY,
          "%s must be numbers that increase from level to level, got %s",
          what,
          scores);
    }
    return List.copyOf(scores);
  }

  /**
   * The usual options: a budget of five seconds, and scores 1, 2, 3 …
   *
   * @return the options
   */
  public static TestOptions usual() {
    return USUAL;
  }

  /**
   * With another budget.
   *
   * @param seconds how long an exact test may take, above 0
   * @return the options
   * @throws IllegalArgumentException if not seconds &gt; 0
   */
  public TestOptions budget(double seconds) {
    return new TestOptions(seconds, rowScores, columnScores);
  }

  /**
   * With scores of the rows.
   *
   * @param scores one a row, rising
   * @return the options
   * @throws IllegalArgumentException if they don't rise
   */
  public TestOptions rowScores(List<Double> scores) {
    return new TestOptions(budget, scores, columnScores);
  }

  /**
   * With scores of the columns.
   *
   * @param scores one a column, rising
   * @return the options
   * @throws IllegalArgumentException if they don't rise
   */
  public TestOptions columnScores(List<Double> scores) {
    return new TestOptions(budget, rowScores, scores);
  }

  /** The scores of so many rows. */
  double[] ofRows(int count) {
    return scores("row scores", rowScores, count);
  }

  /** The scores of so many columns. */
  double[] ofColumns(int count) {
    return scores("column scores", columnScores, count);
  }

  private static double[] scores(String what, List<Double> given, int count) {
    if (given.isEmpty()) {
      return IntStream.rangeClosed(1, count).asDoubleStream().toArray();
    }
    require(given.size() == count, "%s must be one a level, %d, got %d", what, count, given.size());
    return given.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
