package dev.tavik.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Value;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Holds the answers to a study.
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
                say(
                    "%d questions are tested, each at its own alpha. Of as many true nulls about one in"
                        + " twenty is rejected by chance at 0.05; p-values are adjusted within a question that"
                        + " has groups, not over the study. Say beforehand which question decides, or divide"
                        + " alpha by %d.",
                    tested, tested)));
  }

  /** Whether a hypothesis was tested. */
  private static boolean tests(Answer answer) {
    return !answer.tests().isEmpty() || answer.parts().stream().anyMatch(StudyAnswer::tests);
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
        .with(
            "cautions",
            Value.list(
                cautions(),
                each ->
                    Value.fields().with("code", each.code().id()).with("message", each.message())));
  }

  /**
   * Returns what a reader sees, in order.
   *
   * @param detail how much of it
   */
  public List<Block> reading(Detail detail) {
    List<Block> blocks = new ArrayList<>();
    if (!title.isEmpty()) {
      blocks.add(new Block.Strong(title));
    }
    for (int i = 0; i < answers.size(); i++) {
      Answer answer = answers.get(i);
      String label = answer.label().isEmpty() ? answer.kind() : answer.label();
      if (!blocks.isEmpty()) {
        blocks.add(new Block.Gap());
      }
      blocks.add(new Block.Strong(i + 1 + ". " + label));
      blocks.add(new Block.Gap());
      blocks.addAll(answer.reading(detail));
    }
    if (!cautions().isEmpty()) {
      blocks.add(Block.heading("Be careful"));
      cautions().forEach(each -> blocks.add(Block.paragraph(each.message(), Block.Manner.WARNING)));
    }
    return blocks;
  }
}
