package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Column;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Value;
import dev.tavik.count.SurveyCounts;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.SurveyCrossQuestion;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.Observed;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Asks of each column of a designed sample what a question about it alone would. */
final class SurveySweepAnalysis {
  private static final int MOST_TABLES = 5;

  private final SurveySweepQuestion question;
  private final SweepQuestion.SweepSettings settings;
  private final DesignFindings design;
  private final List<Asked> columns;
  private final Letters letters;

  /** A column, what a question about it alone is answered, and its test adjusted over all. */
  private record Asked(String name, SurveyCounts counts, Answer answer, @Nullable TestResult test) {
    double strength() {
      return answer.estimate(Estimand.CRAMERS_V).value();
    }
  }

  SurveySweepAnalysis(SurveySweepQuestion question) {
    this.question = question;
    this.settings = question.settings();
    SurveyCounts first = question.columns().values().iterator().next();
    this.design = new DesignFindings(DesignedSample.of(first));
    this.columns = sorted(adjusted(asked()));
    this.letters =
        new Letters(
            question.columns().values().stream()
                .flatMap(each -> each.units().levels(1).stream())
                .distinct()
                .toList());
  }

  private List<Asked> asked() {
    List<Asked> asked = new ArrayList<>();
    question
        .columns()
        .forEach(
            (name, counts) -> {
              Answer answer =
                  SurveyCrossQuestion.of(counts).alpha(settings.alpha()).named(name).ask();
              boolean decided = answer.verdict().test().isPresent();
              asked.add(new Asked(name, counts, answer, decided ? answer.test() : null));
            });
    return asked;
  }

  private List<Asked> adjusted(List<Asked> asked) {
    Iterator<TestResult> tests =
        settings
            .adjustment()
            .of(asked.stream().map(Asked::test).filter(Objects::nonNull).toList())
            .iterator();
    return asked.stream()
        .map(each -> each.test() == null ? each : with(each, tests.next(), asked.size()))
        .toList();
  }

  private Asked with(Asked each, TestResult adjusted, int columns) {
    Answer answer = AdjustedAnswer.of(each.answer(), adjusted, settings.alpha(), columns);
    return new Asked(each.name(), each.counts(), answer, adjusted);
  }

  private List<Asked> sorted(List<Asked> all) {
    return settings.sorting() == SweepQuestion.Sorting.FILE
        ? all
        : all.stream().sorted(Comparator.comparingDouble(Asked::strength).reversed()).toList();
  }

  Answer answer() {
    Depth whole = columns.size() > MOST_TABLES ? Depth.WHOLE : Depth.ALWAYS;
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.SWEEP, question.label())
            .add(Finding.fact("input", input()))
            .add(Finding.fact("hypothesis", Value.fields().with("alpha", settings.alpha())))
            .add(Finding.fact("adjustment", new Value.Words(settings.adjustment().id())))
            .add(design.fact())
            .add(
                new SubAnswers(
                    "columns",
                    columns.stream().map(Asked::name).toList(),
                    columns.stream().map(each -> each.answer().withoutCautions()).toList()))
            .add(summary())
            .addAll(Observed.source(question.from()))
            .add(design.sentence());
    SweepFindings.missing(question.from()).forEach(answer::add);
    for (Asked each : columns) {
      answer.add(percents(each).at(whole));
    }
    if (whole == Depth.WHOLE) {
      answer.add(Finding.say(new Block.Rest("The percents of every column")).at(Depth.CUT));
    }
    answer
        .add(
            Finding.sentence(
                say(
                    "Percents are weighted; in brackets their %s intervals by the design, one at a"
                        + " time.",
                    Figures.exactPercent(1 - settings.alpha()))))
        .add(Finding.sentence(letters.note(settings.alpha(), /* designed= */ true)));
    if (!question.leftOut().isEmpty()) {
      answer.add(Finding.sentence(SweepFindings.leftOut(question.leftOut())));
    }
    return answer
        .conditions(design.conditions())
        .cautions(design.cautions(unit -> true, "rows that were counted"))
        .concluded(
            SweepAnalysis.conclusion(
                question.label(),
                question.group(),
                settings,
                columns.stream()
                    .filter(each -> each.test() != null)
                    .map(
                        each ->
                            new TableVerdicts.Swept(each.name(), "V", each.strength(), each.test()))
                    .toList()));
  }

  private Value input() {
    Value.Fields without = Value.fields();
    question.leftOut().forEach(without::with);
    return Observed.input(question.from()).with("group", question.group()).with("leftOut", without);
  }

  private Sheet summary() {
    boolean adjusted = settings.adjustment() != Adjustment.NONE;
    Sheet sheet =
        Sheet.read(
            say(
                "Columns against %s, by the design, %s",
                question.group(),
                settings.sorting() == SweepQuestion.Sorting.FILE
                    ? "as in the source"
                    : "the strongest first"),
            Column.words("column"),
            Column.counts("rows"),
            Column.words("test"),
            Column.numbers("p"),
            Column.numbers(adjusted ? "adjusted p" : ""),
            Column.numbers("V"),
            Column.words(""));
    for (Asked each : columns) {
      TestResult test = each.test();
      TestResult.AdjustedP after = test == null ? null : test.adjusted();
      sheet.row(
          each.name(),
          new Value.Count(each.counts().units().total()),
          test == null ? "" : test.method().id(),
          test == null ? Value.none() : Value.p(test.log10PValue()),
          adjusted && after != null ? Value.p(after.log10PValue()) : Value.none(),
          Value.significant(each.strength(), 3),
          test == null
              ? "can't be decided"
              : test.rejectsAdjusted(settings.alpha()) ? "differs" : "");
    }
    return sheet;
  }

  /** The percent of each level in each group. */
  private Finding percents(Asked column) {
    Cells figures =
        column.answer().findAll(Cells.class).stream()
            .filter(each -> !each.key().isEmpty())
            .findFirst()
            .orElseThrow();
    List<String> levels = figures.rows();
    List<String> groups = figures.columns();
    List<List<Value>> cells = new ArrayList<>();
    for (int i = 0; i < levels.size(); i++) {
      List<Value> row = new ArrayList<>();
      List<List<String>> smaller = smaller(column, levels.get(i), groups);
      for (int j = 0; j < groups.size(); j++) {
        row.add(
            new Value.Words(
                say(
                    "%s (%s to %s)%s",
                    Figures.percent(figures.figure("columnProportions", i, j)),
                    Figures.significant(100 * figures.figure("columnLower", i, j), 3),
                    Figures.significant(100 * figures.figure("columnUpper", i, j), 3),
                    letters.of(smaller.get(j)))));
      }
      cells.add(row);
    }
    return Finding.say(
        Block.heading(column.name()),
        new Block.Grid(levels, groups.stream().map(letters::headed).toList(), cells));
  }

  /**
   * For each group, the groups whose share of a level is smaller, by t tests of each two groups by
   * the design, p-values adjusted by Holm's method over the pairs of the level.
   */
  private List<List<String>> smaller(Asked column, String level, List<String> groups) {
    List<List<DesignedComparison>> compared =
        DesignedSample.of(column.counts())
            .comparisons(1, groups, unit -> unit.get(0).equals(level));
    List<TestResult> tests = new ArrayList<>();
    List<int[]> pairs = new ArrayList<>();
    for (int one = 0; one < groups.size(); one++) {
      for (int other = one + 1; other < groups.size(); other++) {
        try {
          tests.add(
              SurveyComparisonTest.T_DIFFERENCE.of(
                  compared.get(one).get(other), Hypothesis.noDifference()));
          pairs.add(new int[] {one, other});
        } catch (NotApplicableException e) {
          // A group without variance can't be compared.
        }
      }
    }
    List<List<String>> smaller = new ArrayList<>();
    groups.forEach(group -> smaller.add(new ArrayList<>()));
    List<TestResult> adjusted = Adjustment.HOLM.of(tests);
    for (int i = 0; i < pairs.size(); i++) {
      if (adjusted.get(i).rejectsAdjusted(settings.alpha())) {
        int one = pairs.get(i)[0];
        int other = pairs.get(i)[1];
        DesignedComparison both = compared.get(one).get(other);
        boolean first = both.first().value() > both.second().value();
        smaller.get(first ? one : other).add(groups.get(first ? other : one));
      }
    }
    return smaller;
  }
}
