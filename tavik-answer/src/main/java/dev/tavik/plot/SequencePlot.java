package dev.tavik.plot;

import java.util.List;

/**
 * How the evidence about a rate grew, observation by observation.
 *
 * @param title of what
 * @param subtitle how both halves are read
 * @param logs the Bayes factor's natural logarithm after each observation
 * @param alternative the alternative in words
 * @param none the null in words
 * @param rates the rate after some of the observations, in order
 * @param against the value held against
 */
public record SequencePlot(
    String title,
    String subtitle,
    List<Double> logs,
    String alternative,
    String none,
    List<Rate> rates,
    double against)
    implements Plot {
  /** Copies the lists. */
  public SequencePlot {
    logs = List.copyOf(logs);
    rates = List.copyOf(rates);
  }

  /**
   * The rate so far.
   *
   * @param n after how many observations
   * @param rate the rate
   * @param lower the lower end of its credible interval
   * @param upper the upper end
   */
  public record Rate(int n, double rate, double lower, double upper) {}
}
