package dev.tavik.study;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Value;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;

/**
 * Holds the answers to a study, with all tests adjusted over the study or its families.
 *
 * @param title what the study is about
 * @param answers one for each question, in order
 * @param families for each question, the family over which its p-values are adjusted; empty for the
 *     whole study
 * @param adjustment how they are adjusted
 */
public record StudyAnswer(
    String title, List<Answer> answers, List<String> families, Adjustment adjustment) {

  private static final int MANY = 3;

  /**
   * Copies the answers.
   *
   * @throws IllegalArgumentException if there isn't a family for each answer
   */
  public StudyAnswer {
    answers = List.copyOf(answers);
    families = List.copyOf(families);
    require(
        families.size() == answers.size(),
        "there must be a family for each of %s answers, got %s",
        answers.size(),
        families.size());
  }

  /** Makes the answers to a study whose tests are all one family, adjusted by Holm's method. */
  public StudyAnswer(String title, List<Answer> answers) {
    this(title, answers, Collections.nCopies(answers.size(), ""), Adjustment.HOLM);
  }

  /**
   * Lists all tests of the study, each with its p-value adjusted over its family. Each group and
   * each pair of a question is a test of its own, any other question one: that on which its verdict
   * rests.
   */
  public List<Decision> decisions() {
    return Decision.of(answers, families, adjustment);
  }

  /**
   * What to be careful of over all answers: chance alone makes some of many tests reject.
   *
   * @return the cautions
   */
  public List<Caution> cautions() {
    int tested = decisions().size();
    return tested < MANY || adjustment != Adjustment.NONE
        ? List.of()
        : List.of(
            new Caution(
                Code.MANY_TESTS,
                say(
                    "%d tests are made, each at its own alpha, and none is adjusted for the others. Of"
                        + " as many true nulls about one in twenty is rejected by chance at 0.05. Say"
                        + " beforehand which question decides, or leave 'adjust: none' out.",
                    tested)));
  }

  /** Returns whether a question failed by a fault in Tavik. */
  public boolean faulty() {
    return failures().anyMatch(failure -> failure.code().equals(Unanswered.FAULT));
  }

  /** Returns whether every question was answered. */
  public boolean complete() {
    return failures().findAny().isEmpty();
  }

  private Stream<Failure> failures() {
    return answers.stream().flatMap(answer -> answer.find(Failure.class).stream());
  }

  /**
   * Returns all figures for machines, under keys in order.
   *
   * @param detail {@link Detail#WORKING} for the working by hand too
   */
  public Value.Fields figures(Detail detail) {
    return Value.fields()
        .with("study", title)
        .with("answers", Value.list(answers, answer -> answer.figures(detail)))
        .with("adjust", adjustment.id())
        .with("decisions", Value.list(decisions(), Decision::figures))
        .with(
            "cautions",
            Value.list(
                cautions(),
                each ->
                    Value.fields().with("code", each.code().id()).with("message", each.message())));
  }

  /** Returns the table of all tests as a reader sees it; nothing where there are not two. */
  public List<Block> summary() {
    List<Decision> decisions = decisions();
    return decisions.size() < 2 ? List.of() : new StudySummary(decisions, adjustment).blocks();
  }
}
