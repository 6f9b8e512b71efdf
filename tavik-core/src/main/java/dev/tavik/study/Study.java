package dev.tavik.study;

import java.util.List;

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
   * Asks every question in turn.
   *
   * @return the answers, in the order of the questions
   */
  public StudyAnswer ask() {
    return new StudyAnswer(title, questions.stream().map(Question::ask).toList());
  }
}
