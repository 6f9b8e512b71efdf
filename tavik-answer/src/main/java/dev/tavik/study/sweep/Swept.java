package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.result.TestResult;
import org.jspecify.annotations.Nullable;

/**
 * One column of a sweep, and the answer about its association with the groups.
 *
 * @param name the column's name
 * @param data what was counted of it
 * @param answer what a question about the column alone is answered
 * @param test the test that the answer rests on, with its p-value adjusted over all columns; null
 *     where none can be made
 */
record Swept(String name, ColumnData data, Answer answer, @Nullable TestResult test) {
  static Swept of(String name, ColumnData data, double alpha) {
    Answer answer = data.ask(name, alpha);
    boolean decided = answer.verdict().test().isPresent();
    return new Swept(name, data, answer, decided ? answer.test() : null);
  }

  /** With its test, and its answer's, adjusted over all of some columns. */
  Swept with(TestResult adjusted, double alpha, int columns) {
    return new Swept(name, data, AdjustedAnswer.of(answer, adjusted, alpha, columns), adjusted);
  }

  double strength() {
    return data.strength(answer);
  }
}
