package dev.tavik.study;

import java.util.List;

/**
 * The answers to a study.
 *
 * @param title what the study is about
 * @param answers one for each question, in order
 */
public record StudyAnswer(String title, List<Answer> answers) {

  /** Copies the answers. */
  public StudyAnswer {
    answers = List.copyOf(answers);
  }

  /**
   * Whether every question was answered.
   *
   * @return whether no answer is {@link Unanswered}
   */
  public boolean complete() {
    return answers.stream().noneMatch(Unanswered.class::isInstance);
  }
}
