package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import java.util.List;

/** How far an interval reaches, in words. */
public final class Reach {
  private Reach() {}

  /**
   * A range of differences, as a distance of the first group from the second; without an interval
   * of the difference, of the ratio or the odds ratio.
   */
  public static String range(String one, String two, Interval interval) {
    if (interval.quantity() != Estimand.DIFFERENCE) {
      return multiple(one, two, interval);
    }
    return switch (interval.side()) {
      case TWO_SIDED -> twoSided(one, interval.lower(), interval.upper());
      case UPPER ->
          interval.upper() < 0
              ? one + " lower by at least " + points(interval.upper())
              : one + " higher by up to " + points(interval.upper());
      case LOWER ->
          interval.lower() > 0
              ? one + " higher by at least " + points(interval.lower())
              : one + " lower by up to " + points(interval.lower());
    };
  }

  private static String twoSided(String one, double lower, double upper) {
    if (upper < 0) {
      return one + " lower by " + span(upper, lower);
    }
    if (lower > 0) {
      return one + " higher by " + span(lower, upper);
    }
    return say(
        "anything from %s lower by %s to %s higher by %s",
        one, Figures.points(lower), one, points(upper));
  }

  private static String span(double near, double far) {
    List<String> ends = Figures.pointsBetween(near, far);
    return ends.get(0) + " to " + ends.get(1) + " percentage points";
  }

  private static String points(double difference) {
    return Figures.points(difference) + " percentage points";
  }

  private static String multiple(String one, String two, Interval interval) {
    String what = interval.quantity() == Estimand.RATIO ? "the rate of " : "the odds of ";
    String times =
        switch (interval.side()) {
          case TWO_SIDED -> times(interval.lower()) + " to " + times(interval.upper());
          case UPPER -> "at most " + times(interval.upper());
          case LOWER -> "at least " + times(interval.lower());
        };
    return say("%s%s %s times that of %s", what, one, times, two);
  }

  private static String times(double value) {
    return Double.isInfinite(value) ? "any number of" : Figures.significant(value, 3);
  }

  /** Returns its level, method and side, such as {@code 95% Wilson upper bound}. */
  public static String name(Interval interval) {
    return say(
        "%s %s %s",
        Figures.exactPercent(interval.level()),
        interval.method().title(),
        switch (interval.side()) {
          case TWO_SIDED -> "interval";
          case UPPER -> "upper bound";
          case LOWER -> "lower bound";
        });
  }
}
