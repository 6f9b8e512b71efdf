package dev.tavik.study;

/** One question, ready to be asked. Questions are immutable; asking twice gives the same answer. */
@FunctionalInterface
public interface Question {
  /**
   * Answers the question.
   *
   * @return its answer
   */
  Answer ask();
}
