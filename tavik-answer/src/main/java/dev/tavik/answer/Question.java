package dev.tavik.answer;

import dev.tavik.plot.Plots;

/** Asks about counts, a plan or a method; immutable, and asked as often as one likes. */
@FunctionalInterface
public interface Question {
  /**
   * Works out the answer.
   *
   * @return the answer; the same for the same question
   * @throws IllegalArgumentException if it can't be asked like this
   */
  Answer ask();

  /**
   * {@return what pictures of its answer show; none unless a question says otherwise}
   *
   * @param answer its answer
   */
  default Plots plots(Answer answer) {
    return Plots.none();
  }
}
