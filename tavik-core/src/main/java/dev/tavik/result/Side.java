package dev.tavik.result;

/** Which ends of an interval are limits, and which are the end of the parameter space. */
public enum Side {
  /** Both ends are limits, with half of 1 - level beyond each. */
  TWO_SIDED("two-sided"),
  /** A lower bound: all of 1 - level lies below it, and the upper end is open. */
  LOWER("lower"),
  /** An upper bound: all of 1 - level lies above it, and the lower end is open. */
  UPPER("upper");

  private final String id;

  Side(String id) {
    this.id = id;
  }

  /**
   * The public name in JSON.
   *
   * @return the name
   */
  public String id() {
    return id;
  }

  /**
   * The probability beyond each limit of an interval.
   *
   * @param outside one minus the confidence level
   * @return half of it for two limits, all of it for one
   */
  public double tail(double outside) {
    return this == TWO_SIDED ? outside / 2 : outside;
  }
}
