package dev.tavik.study;

import dev.tavik.answer.Question;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Several questions that belong together.
 *
 * @param title what the study is about
 * @param questions its questions, in order
 */
public record Study(String title, List<Question> questions) {

  /** Copies the questions. */
  public Study {
    questions = List.copyOf(questions);
  }

  /**
   * Asks every question in turn. One that fails becomes {@link Unanswered} in its place.
   *
   * @return the answers, in the order of the questions
   */
  public StudyAnswer ask() {
    return new StudyAnswer(
        title,
        IntStream.range(0, questions.size())
            .mapToObj(
                i -> Unanswered.orAnswer(questions.get(i), "", "", "question " + (i + 1) + ": "))
            .toList());
  }
}
