package dev.tavik.proportion;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;

/** How both limits of a comparison are found, with the given probability beyond each. */
@FunctionalInterface
interface ComparisonLimits {
  Limits limits(TwoTallies data, double tail);

  /** The interval that has those limits that its side asks for. */
  default Interval interval(ComparisonInterval method, TwoTallies data, double level, Side side) {
    Proportion.require("level", level);
    double tail = side.tail(DecimalFraction.complement(level));
    return limits(data, tail).interval(method.quantity(), method, level, side);
  }
}
