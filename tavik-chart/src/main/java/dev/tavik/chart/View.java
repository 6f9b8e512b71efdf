package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import java.util.List;

/**
 * An answer together with its question, for a picture of such questions.
 *
 * @param question the question
 * @param answer its answer
 * @param <Q> the kind of question
 */
record View<Q extends Question>(Q question, Answer answer) {
  String label() {
    return answer.label();
  }

  List<TestResult> tests() {
    return answer.tests();
  }

  List<Interval> intervals() {
    return answer.intervals();
  }

  Method test() {
    return answer.verdict().test().orElseThrow();
  }

  Method interval() {
    return answer.verdict().interval().orElseThrow();
  }

  String testId() {
    return test().id();
  }

  String intervalId() {
    return interval().id();
  }

  /** Returns the test that the verdict rests on. */
  TestResult preferredTest() {
    return answer.test();
  }

  /** Returns the parts of an answer, each with its question. */
  static <P extends Question> List<View<P>> parts(Answer answer, Class<P> kind) {
    return answer.parts().stream()
        .map(part -> new View<>(kind.cast(part.question()), part))
        .toList();
  }
}
