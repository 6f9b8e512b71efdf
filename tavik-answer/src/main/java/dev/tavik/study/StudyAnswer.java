package dev.tavik.study;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.TestDecision;
import dev.tavik.answer.Value;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult.AdjustedP;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
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

  /**
   * Makes the answers to a study whose tests are all one family, adjusted by Holm's method.
   *
   * @param title what stands above it
   * @param answers the answers, in the order of their questions
   */
  public StudyAnswer(String title, List<Answer> answers) {
    this(title, answers, Collections.nCopies(answers.size(), ""), Adjustment.HOLM);
  }

  /**
   * Lists all tests of the study, each with its p-value adjusted over its family. Each group and
   * each pair of a question is a test of its own, any other question one: that on which its verdict
   * rests.
   *
   * @return the decisions
   */
  public List<TestDecision> decisions() {
    return TestDecision.of(answers, families, adjustment);
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
        : List.of(TestCautions.manyTests(tested));
  }

  /**
   * {@return the study with faults in the place of answers that can't be written, so that one
   * doesn't cost the others theirs}
   *
   * @param writing writes an answer alone; what it throws is a fault
   */
  public StudyAnswer written(Consumer<Answer> writing) {
    return new StudyAnswer(
        title, answers.stream().map(each -> written(each, writing)).toList(), families, adjustment);
  }

  /**
   * {@return an answer, or a fault in its place where it can't be written}
   *
   * @param answer the answer
   * @param writing writes it; what it throws is a fault
   */
  public static Answer written(Answer answer, Consumer<Answer> writing) {
    try {
      writing.accept(answer);
      return answer;
    } catch (OutOfMemoryError e) {
      throw e;
    } catch (RuntimeException | Error e) {
      Failure fault = new Failure(Unanswered.FAULT, "a fault in Tavik while it was written: " + e);
      return Unanswered.of(answer.question(), answer.kind(), answer.label(), fault);
    }
  }

  /** {@return whether a question failed by a fault in Tavik} */
  public boolean faulty() {
    return failures().anyMatch(failure -> failure.code().equals(Unanswered.FAULT));
  }

  /** {@return whether every question was answered} */
  public boolean complete() {
    return failures().findAny().isEmpty();
  }

  private Stream<Failure> failures() {
    return answers.stream().flatMap(answer -> answer.find(Failure.class).stream());
  }

  /**
   * {@return all figures for machines, under keys in order}
   *
   * @param detail {@link Detail#WORKING} for the working by hand too
   */
  public Value.Fields figures(Detail detail) {
    return Value.fields()
        .with("study", title)
        .with("answers", Value.list(answers, answer -> answer.figures(detail)))
        .and(over());
  }

  /** {@return the figures over all answers, which stand after them: decisions and cautions} */
  public Value.Fields over() {
    return Value.fields()
        .with("adjust", adjustment.id())
        .with("decisions", Value.list(decisions(), TestDecision::figures))
        .with(
            "cautions",
            Value.list(
                cautions(),
                each ->
                    Value.fields().with("code", each.code().id()).with("message", each.message())));
  }

  /** {@return the table of all tests as a reader sees it; nothing where there are not two} */
  public List<Block> summary() {
    List<TestDecision> decisions = decisions();
    return decisions.size() < 2 ? List.of() : Summary.of(decisions, adjustment).blocks();
  }

  /**
   * All tests of a study in one table, with what became of each once all are looked at together.
   */
  private record Summary(List<TestDecision> decisions, Adjustment adjustment, boolean families) {
    private static final String RULE =
        "Each group, pair or column of a question counts as a test of its own, any other question as"
            + " one: the test that its verdict rests on.";

    static Summary of(List<TestDecision> decisions, Adjustment adjustment) {
      boolean families = decisions.stream().map(TestDecision::family).distinct().count() > 1;
      return new Summary(decisions, adjustment, families);
    }

    List<Block> blocks() {
      Sheet sheet = Sheet.read(heading(), columns());
      int last = 0;
      for (TestDecision each : decisions) {
        boolean part = !each.part().isEmpty();
        if (part && each.number() != last) {
          sheet.row(row(new Value.Count(each.number()), each.label()));
        }
        Value number = part ? Value.none() : new Value.Count(each.number());
        sheet.row(row(number, part ? "  " + each.part() : each.label(), figures(each)));
        last = each.number();
      }
      List<Block> blocks = new ArrayList<>(sheet.reading());
      blocks.add(Block.paragraph(RULE));
      return blocks;
    }

    private boolean adjusted() {
      return adjustment != Adjustment.NONE;
    }

    private String heading() {
      String tests = Figures.counted(decisions.size(), "test", "tests");
      return adjusted()
          ? say(
              "The %s, p-values adjusted by %s over %s",
              tests, adjustment.title(), families() ? "each family" : "all of them")
          : say("The %s, p-values as they are", tests);
    }

    private List<Column> columns() {
      List<Column> columns = new ArrayList<>(List.of(Column.counts(""), Column.words("question")));
      columns.add(Column.numbers("p"));
      if (adjusted()) {
        columns.add(Column.numbers("adjusted p"));
      }
      columns.add(Column.words(""));
      if (families()) {
        columns.add(Column.words("family"));
      }
      return columns;
    }

    private List<Value> figures(TestDecision decision) {
      List<Value> figures = new ArrayList<>(List.of(Value.p(decision.test().log10PValue())));
      AdjustedP after = decision.test().adjusted();
      if (adjusted()) {
        figures.add(after == null ? Value.none() : Value.p(after.log10PValue()));
      }
      figures.add(new Value.Words(decision.outcome()));
      if (families()) {
        figures.add(
            new Value.Words(decision.family().isEmpty() ? "the others" : decision.family()));
      }
      return figures;
    }

    private List<Value> row(Value number, String name, List<Value> figures) {
      List<Value> row = new ArrayList<>(List.of(number, new Value.Words(name)));
      row.addAll(figures);
      return row;
    }

    /** The name of a question whose parts follow. */
    private List<Value> row(Value number, String name) {
      List<Value> row = row(number, name, List.of());
      columns().stream().skip(2).forEach(column -> row.add(Value.none()));
      return row;
    }
  }
}
