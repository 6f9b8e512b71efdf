package dev.tavik.study;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Question;
import dev.tavik.result.Adjustment;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;

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

  /** Makes a study whose tests are all one family, adjusted by Holm's method. */
  public Study(String title, List<Question> questions) {
    this(title, questions, Collections.nCopies(questions.size(), ""), Adjustment.HOLM);
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
            .toList(),
        families,
        adjustment);
  }
}
