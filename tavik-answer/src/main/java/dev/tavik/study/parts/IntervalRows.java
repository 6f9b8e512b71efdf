package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Scale;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.List;

/** Rows of intervals in a plot, and what is written beside them. */
public final class IntervalRows {
  private IntervalRows() {}

  /** The method, and which bound it is. */
  public static String name(Interval interval) {
    return interval.method().id()
        + switch (interval.side()) {
          case TWO_SIDED -> "";
          case LOWER -> ", lower bound";
          case UPPER -> ", upper bound";
        };
  }

  /** Both limits, or the one there is, in the unit of the quantity. */
  public static String limits(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED ->
          interval.quantity() == Estimand.PROPORTION
              ? say(
                  "%s to %s",
                  Figures.percentBeside(interval.lower(), interval.upper()),
                  Figures.percentBeside(interval.upper(), interval.lower()))
              : limit(interval, interval.lower()) + " to " + limit(interval, interval.upper());
      case UPPER -> "at most " + limit(interval, interval.upper());
      case LOWER -> "at least " + limit(interval, interval.lower());
    };
  }

  private static String limit(Interval of, double value) {
    return switch (of.quantity()) {
      case PROPORTION -> Figures.percent(value);
      case DIFFERENCE -> (value < 0 ? "-" : "") + Figures.points(value);
      default ->
          Double.isInfinite(value) ? "no limit" : value == 0 ? "0" : Figures.significant(value, 3);
    };
  }

  /** The adjusted p-value where there is one. */
  public static double log10PValue(TestResult test) {
    TestResult.AdjustedP adjusted = test.adjusted();
    return adjusted == null ? test.log10PValue() : adjusted.log10PValue();
  }

  /** A row for each interval of one quantity. */
  public static List<IntervalPlot.Row> rows(List<Interval> intervals, double estimate) {
    return intervals.stream()
        .map(each -> new IntervalPlot.Row(name(each), estimate, each, limits(each), true))
        .toList();
  }

  /** Rows of proportions. */
  public static IntervalPlot.Panel proportions(
      List<IntervalPlot.Row> rows, List<Double> references) {
    return new IntervalPlot.Panel("proportion, in percent", Scale.PERCENT, rows, references);
  }
}
