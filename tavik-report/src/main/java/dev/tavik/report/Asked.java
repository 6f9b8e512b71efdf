package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Answers to a study, one after another.
 *
 * @param title what the study is about; may be empty
 * @param questions how many there are
 * @param ask hands over each answer and keeps what is made of it
 */
record Asked(String title, int questions, Function<UnaryOperator<Answer>, StudyAnswer> ask) {
  /** Questions that are still to be asked, each after the answer before it was written. */
  static Asked of(Study study) {
    return new Asked(study.title(), study.questions().size(), study::ask);
  }

  /** Answers that are already there. */
  static Asked of(StudyAnswer study) {
    return new Asked(
        study.title(),
        study.answers().size(),
        kept ->
            new StudyAnswer(
                study.title(),
                study.answers().stream().map(kept).toList(),
                study.families(),
                study.adjustment()));
  }
}
