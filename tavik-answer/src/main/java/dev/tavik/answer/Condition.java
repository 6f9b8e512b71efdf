package dev.tavik.answer;

/**
 * An assumption of a method.
 *
 * @param name a short name
 * @param state whether the data meet it
 * @param detail what was found, and what it means
 */
public record Condition(String name, State state, String detail) {

  /** What is known of a condition. */
  public enum State {
    /** The data meet it. */
    MET,
    /** The data don't meet it. */
    NOT_MET,
    /** The data can't show it; only those who collected them can know. */
    NOT_IN_THE_DATA
  }
}
