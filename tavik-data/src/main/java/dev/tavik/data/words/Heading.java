package dev.tavik.data.words;

/** Under which heading a word stands in help. */
public enum Heading {
  /** Where the counts come from. */
  COUNTS("What was counted:"),
  /** What is held against what. */
  CLAIM("What is asked:"),
  /** Tests, intervals, and how strict they are. */
  METHODS("By which methods:"),
  /** The Bayesian and the simulated view. */
  VIEWS("Other views of the same question:"),
  /** How the answer is named and written. */
  ANSWER("The answer:");

  private final String title;

  Heading(String title) {
    this.title = title;
  }

  /** {@return the heading} */
  public String title() {
    return title;
  }
}
