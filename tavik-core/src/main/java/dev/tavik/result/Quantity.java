package dev.tavik.result;

/** What an estimate or an interval is of. */
public enum Quantity {
  /** A chance of success, 0 to 1. */
  PROPORTION("proportion");

  private final String id;

  Quantity(String id) {
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
}
