package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** How a picture is drawn of each kind of question that has it. */
final class Drawings {
  private final String none;
  private final Map<Class<?>, Function<Answer, Picture>> byQuestion = new LinkedHashMap<>();

  /**
   * Begins without any.
   *
   * @param none what is said of a question that has no such picture
   */
  Drawings(String none) {
    this.none = none;
  }

  /** Adds how it is drawn of a kind of question; returns these drawings. */
  <Q extends Question> Drawings of(Class<Q> kind, Function<View<Q>, Picture> drawing) {
    byQuestion.put(kind, answer -> drawing.apply(new View<>(kind.cast(answer.question()), answer)));
    return this;
  }

  /**
   * Draws the picture of an answer.
   *
   * @throws IllegalArgumentException if such a question has none
   */
  Picture draw(Answer answer) {
    Function<Answer, Picture> drawing = byQuestion.get(answer.question().getClass());
    if (drawing == null) {
      throw new IllegalArgumentException(none);
    }
    return drawing.apply(answer);
  }
}
