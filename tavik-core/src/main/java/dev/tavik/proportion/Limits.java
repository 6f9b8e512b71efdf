package dev.tavik.proportion;

import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Side;

/** A lower and an upper limit. */
record Limits(double lower, double upper) {
  /** The interval that has those limits that its side asks for, else the ends of the scale. */
  Interval interval(Estimand quantity, Method method, double level, Side side) {
    return new Interval(
        quantity,
        method,
        level,
        side,
        side == Side.UPPER ? quantity.least() : lower,
        side == Side.LOWER ? quantity.greatest() : upper);
  }

  /** The same with both limits moved inside the scale. */
  Limits clipped(Estimand quantity) {
    return new Limits(
        Math.max(quantity.least(), Math.min(quantity.greatest(), lower)),
        Math.max(quantity.least(), Math.min(quantity.greatest(), upper)));
  }
}
