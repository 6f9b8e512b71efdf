package dev.tavik.result;

/**
 * Among how many trials the first group has one success more (or, negative, one fewer) than the
 * second: one divided by the difference, with an interval from that of the difference. Where the
 * difference may be 0, the interval passes through infinity: it holds the numbers up to {@code
 * lower} and those from {@code upper} on (Altman 1998, "Confidence intervals for the number needed
 * to treat", British Medical Journal 317, 1309-1312).
 *
 * @param value one divided by the estimated difference; infinite for a difference of 0
 * @param method the id of the interval of the difference
 * @param level its confidence level
 * @param lower the lower end
 * @param upper the upper end
 * @param throughInfinity whether the interval is what lies outside of lower and upper
 */
public record NumberNeeded(
    double value,
    Method method,
    double level,
    double lower,
    double upper,
    boolean throughInfinity) {

  /**
   * The number needed that goes with a difference.
   *
   * @param difference the estimated difference
   * @param interval its two-sided interval
   * @return the number needed
   */
  public static NumberNeeded of(double difference, Interval interval) {
    boolean through = interval.contains(0);
    // 1/x reverses the order on either side of 0.
    double lower = 1 / (through ? interval.lower() : interval.upper());
    double upper = 1 / (through ? interval.upper() : interval.lower());
    return new NumberNeeded(
        1 / difference,
        interval.method(),
        interval.level(),
        interval.lower() == 0 && through ? Double.NEGATIVE_INFINITY : lower,
        interval.upper() == 0 && through ? Double.POSITIVE_INFINITY : upper,
        through);
  }
}
