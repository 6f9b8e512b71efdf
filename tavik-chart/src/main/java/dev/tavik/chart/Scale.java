package dev.tavik.chart;

import dev.tavik.result.Figures;

/** How the values of a quantity stand on an axis. */
enum Scale {
  /** Proportions, in percent. */
  PERCENT("'%'"),
  /** Differences of proportions, in percentage points. */
  POINTS(""),
  /** Ratios, by their logarithm, so that twice and half are equally far from 1. */
  TIMES("");

  private final String unit;

  Scale(String unit) {
    this.unit = unit;
  }

  /** Where a value stands on the axis; infinite where it has no place. */
  double place(double value) {
    return this == TIMES ? Math.log10(value) : 100 * value;
  }

  /** What follows a number at a tick, as a format pattern. */
  String unit() {
    return unit;
  }

  /** The value that a hypothesis or no effect puts there, for a label. */
  String label(double value) {
    return switch (this) {
      case PERCENT -> "against " + Figures.exactPercent(value);
      case POINTS -> value == 0 ? "no difference" : Figures.shortPoints(value);
      case TIMES -> value == 1 ? "no difference" : Figures.plain(value);
    };
  }
}
