package dev.tavik.study;

import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import java.util.List;
import java.util.Locale;

/**
 * The answers to a study.
 *
 * @param title what the study is about
 * @param answers one for each question, in order
 */
public record StudyAnswer(String title, List<Answer> answers) {

  private static final int MANY = 3;

  /** Copies the answers. */
  public StudyAnswer {
    answers = List.copyOf(answers);
  }

  /**
   * What to be careful of over all answers: chance alone makes some of many tests reject.
   *
   * @return the cautions
   */
  public List<Caution> cautions() {
    long tested = answers.stream().filter(StudyAnswer::tests).count();
    return tested < MANY
        ? List.of()
        : List.of(
            new Caution(
                Code.MANY_TESTS,
                String.format(
                    Locale.ROOT,
                    "%d questions are tested, each at its own alpha. Of as many true nulls about one"
                        + " in twenty is rejected by chance at 0.05; p-values are adjusted within a"
                        + " question that has groups, not over the study. Say beforehand which"
                        + " question decides, or divide alpha by %d.",
                    tested,
                    tested)));
  }

  /** Whether a hypothesis was tested. */
  private static boolean tests(Answer answer) {
    return !(answer instanceof Unanswered
        || answer instanceof OutlookAnswer
        || answer instanceof PlanAnswer
        || answer instanceof PrecisionAnswer
        || answer instanceof TailAnswer
        || answer instanceof WeighAnswer);
  }

  /**
   * Whether a question failed by a fault in Tavik.
   *
   * @return whether an answer is {@link Unanswered} for a fault
   */
  public boolean faulty() {
    return answers.stream()
        .anyMatch(
            answer -> answer instanceof Unanswered none && none.code().equals(Unanswered.FAULT));
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
