package dev.tavik.plot;

import dev.tavik.result.Figures;

/** How the values of a quantity stand on an axis. */
public enum Scale {
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

  /**
   * {@return where a value stands on the axis; infinite where it has no place}
   *
   * @param value the value
   */
  public double place(double value) {
    return this == TIMES ? Math.log10(value) : 100 * value;
  }

  /** {@return what follows a number at a tick, as a format pattern} */
  public String unit() {
    return unit;
  }

  /**
   * {@return what is written beside the value of a hypothesis or of no effect}
   *
   * @param value that value
   */
  public String label(double value) {
    return switch (this) {
      case PERCENT -> "against " + Figures.exactPercent(value);
      case POINTS -> value == 0 ? "no difference" : Figures.shortPoints(value);
      case TIMES -> value == 1 ? "no difference" : Figures.plain(value);
    };
  }
}
