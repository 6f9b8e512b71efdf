package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.List;

/** What an interval is called, and how far it reaches. */
public final class IntervalPhrases {
  static final String NOT_EXCLUDED = "can't be excluded";

  private IntervalPhrases() {}

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

  /** Returns its method and, of a bound, its side, such as {@code wilson upper bound}. */
  public static String id(Interval interval) {
    String id = interval.method().id();
    return switch (interval.side()) {
      case TWO_SIDED -> id;
      case LOWER -> id + " lower bound";
      case UPPER -> id + " upper bound";
    };
  }

  /** Returns its method and its side, which of two limits is said too. */
  public static String idWithSide(Interval interval) {
    return id(interval) + (interval.side() == Side.TWO_SIDED ? " (two-sided)" : "");
  }

  /** Returns its method, its quantity and, of a bound, its side. */
  public static String idWithQuantity(Interval interval) {
    String method = interval.method().id();
    return id(interval).replaceFirst(method, say("%s (%s)", method, interval.quantity().id()));
  }

  /**
   * Returns a range of differences, as a distance of the first group from the second; without an
   * interval of the difference, of the ratio or the odds ratio.
   */
  public static String reach(String one, String two, Interval interval) {
    if (interval.quantity() != Estimand.DIFFERENCE) {
      return multiple(one, two, interval);
    }
    return switch (interval.side()) {
      case TWO_SIDED -> twoSided(one, interval.lower(), interval.upper());
      case UPPER -> bound(one, interval.upper(), interval.upper() < 0, /* lower= */ true);
      case LOWER -> bound(one, interval.lower(), interval.lower() > 0, /* lower= */ false);
    };
  }

  /** A bound beyond no difference leaves at least so much of it, else up to so much. */
  private static String bound(String one, double limit, boolean beyond, boolean lower) {
    return say(
        "%s %s by %s %s",
        one, Sentences.comparative(beyond == lower), beyond ? "at least" : "up to", points(limit));
  }

  private static String twoSided(String one, double lower, double upper) {
    if (upper < 0 || lower > 0) {
      List<String> ends =
          upper < 0 ? Figures.pointsBetween(upper, lower) : Figures.pointsBetween(lower, upper);
      return say(
          "%s %s by %s to %s percentage points",
          one, Sentences.comparative(upper < 0), ends.get(0), ends.get(1));
    }
    return say(
        "anything from %s lower by %s to %s higher by %s",
        one, Figures.points(lower), one, points(upper));
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

  /** Returns two limits in brackets, such as {@code (95% interval 0.41 to 0.76)}. */
  static String limits(Interval interval) {
    return say(
        " (%s interval %s to %s)",
        Figures.exactPercent(interval.level()),
        Figures.significant(interval.lower(), 3),
        Figures.significant(interval.upper(), 3));
  }

  /** Returns a range with what it means that a test doesn't leave it out. */
  static String range(String range, Interval interval, boolean excluded) {
    return say("%s%s (%s)", range, excluded ? "" : " " + NOT_EXCLUDED, name(interval));
  }
}
