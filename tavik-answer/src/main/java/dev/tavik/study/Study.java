package dev.tavik.study;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.result.Adjustment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Several questions that belong together.
 *
 * @param title what the study is about
 * @param questions its questions, in order
 * @param families for each question, the family of tests over which its p-values are adjusted;
 *     empty for the whole study
 * @param adjustment how they are adjusted
 */
public record Study(
    String title, List<Question> questions, List<String> families, Adjustment adjustment) {

  /**
   * Copies the questions.
   *
   * @throws IllegalArgumentException if there isn't a family for each question
   */
  public Study {
    questions = List.copyOf(questions);
    families = List.copyOf(families);
    require(
        families.size() == questions.size(),
        "there must be a family for each of %s questions, got %s",
        questions.size(),
        families.size());
  }

  /**
   * Makes a study whose tests are all one family, adjusted by Holm's method.
   *
   * @param title what stands above it
   * @param questions the questions, in order
   */
  public Study(String title, List<Question> questions) {
    this(title, questions, Collections.nCopies(questions.size(), ""), Adjustment.HOLM);
  }

  /**
   * Asks every question in turn. One that fails becomes {@link Unanswered} in its place.
   *
   * @return the answers, in the order of the questions
   */
  public StudyAnswer ask() {
    return ask(answer -> answer);
  }

  /**
   * Asks every question in turn and hands each answer over before the next is asked, so that a
   * writer needn't hold them all.
   *
   * @param kept takes an answer and returns what is to be kept of it, such as {@link
   *     Answer#decided}
   * @return what was kept, in the order of the questions
   */
  public StudyAnswer ask(UnaryOperator<Answer> kept) {
    List<Answer> answers = new ArrayList<>();
    for (Question question : questions) {
      String where = "question " + (answers.size() + 1) + ": ";
      answers.add(kept.apply(Unanswered.orAnswer(question, "", "", where)));
    }
    return new StudyAnswer(title, answers, families, adjustment);
  }
}
