package dev.tavik.planning;

import java.util.Arrays;

/** How power is computed. */
public enum PowerMethod {
  /** As if estimates were normally distributed around the expected effect. */
  NORMAL("normal"),
  /** By enumerating all outcomes and using the counts that the test actually rejects. */
  EXACT("exact");

  private final String id;

  PowerMethod(String id) {
    this.id = id;
  }

  /**
   * The public name, the same in options, study files and JSON.
   *
   * @return the name
   */
  public String id() {
    return id;
  }

  /**
   * The value of this name.
   *
   * @param id {@code normal} or {@code exact}
   * @return the value
   * @throws IllegalArgumentException for any other name
   */
  public static PowerMethod of(String id) {
    return Arrays.stream(values())
        .filter(theory -> theory.id.equals(id))
        .findFirst()
        .orElseThrow(
            () -> new IllegalArgumentException("method must be normal or exact, got '" + id + "'"));
  }
}
