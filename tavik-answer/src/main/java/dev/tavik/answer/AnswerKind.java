package dev.tavik.answer;

import java.util.Arrays;
import java.util.Optional;

/** The kinds of questions that have answers. */
public enum AnswerKind {
  /** One rate or several, each held against a value. */
  RATE("rate", Gated.YES),
  /** Two rates or more, held against one another. */
  COMPARE("compare", Gated.YES),
  /** Shares held against claimed ones. */
  SHARES("shares", Gated.YES),
  /** An association of rows and columns. */
  CROSS("cross", Gated.YES),
  /** Many columns held against groups. */
  SWEEP("sweep", Gated.NO),
  /** How many observations, how much power, how small an effect. */
  PLAN("plan", Gated.NO),
  /** The chance of so much evidence, before there are data. */
  FORECAST("rate-outlook", Gated.NO),
  /** How methods behave at a size. */
  ASSESS("assess", Gated.NO),
  /** Probabilities and critical values of a distribution. */
  TAIL("tail", Gated.NO);

  /** Whether the decision of an answer can stop a line. */
  private enum Gated {
    YES,
    NO
  }

  private final String id;
  private final Gated gated;

  AnswerKind(String id, Gated gated) {
    this.id = id;
    this.gated = gated;
  }

  /** {@return the public name, the same in commands, study files and JSON} */
  public String id() {
    return id;
  }

  /** {@return whether the decision of such an answer can stop a line} */
  public boolean isGated() {
    return gated == Gated.YES;
  }

  /**
   * {@return the kind of this name, if there is one}
   *
   * @param id the name
   */
  public static Optional<AnswerKind> of(String id) {
    return Arrays.stream(values()).filter(each -> each.id.equals(id)).findFirst();
  }
}
