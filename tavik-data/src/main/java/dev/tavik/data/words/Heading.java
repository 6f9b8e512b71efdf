package dev.tavik.data.words;

/** The heading of a parameter in help. */
public enum Heading {
  /** Where the counts come from. */
  COUNTS("What was counted:"),
  /** The claim that is tested. */
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
