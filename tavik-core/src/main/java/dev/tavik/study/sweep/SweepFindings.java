package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.Assumptions;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Puts the answer about many columns together. */
final class SweepFindings {
  private static final int MOST_COLUMNS = 20;
  private static final int MOST_TABLES = 5;
  private final SweepQuestion question;
  private final List<Swept> columns;
  private final Letters letters;

  SweepFindings(SweepQuestion question, List<Swept> columns) {
    this.question = question;
    this.columns = columns;
    this.letters =
        new Letters(
            columns.stream().flatMap(each -> each.table().rows().stream()).distinct().toList());
  }

  Answer answer(Verdict verdict) {
    SweepQuestion.SweepSettings settings = question.settings();
    boolean many = columns.size() > MOST_TABLES;
    Depth whole = many ? Depth.WHOLE : Depth.ALWAYS;
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.SWEEP, question.label())
            .add(Finding.fact("input", input()))
            .add(Finding.fact("hypothesis", Value.fields().with("alpha", settings.alpha())))
            .add(Finding.fact("adjustment", new Value.Words(settings.adjustment().id())))
            .add(
                new SubAnswers(
                    "columns",
                    columns.stream().map(Swept::name).toList(),
                    columns.stream().map(each -> each.answer().withoutCautions()).toList()))
            .add(new ColumnShares(columns, letters, settings.alpha()));
    if (many) {
      answer.add(summary(MOST_COLUMNS).at(Depth.CUT));
      columns.stream().limit(MOST_TABLES).forEach(each -> answer.add(table(each).at(Depth.CUT)));
      answer.add(
          Finding.say(new Block.Rest(say("All %s columns", Figures.count(columns.size()))))
              .at(Depth.CUT));
    }
    answer.add(summary(columns.size()).at(whole));
    Observed.source(question.from()).forEach(answer::add);
    missing(question.from()).forEach(answer::add);
    columns.forEach(each -> answer.add(table(each).at(whole)));
    answer.add(Finding.sentence(letters.note(settings.alpha(), /* designed= */ false)));
    if (!question.leftOut().isEmpty()) {
      answer.add(Finding.sentence(leftOut(question.leftOut())));
    }
    Provenance from = question.from();
    return answer
        .conditions(List.of(Assumptions.independentColumns()))
        .cautions(from == null ? List.of() : DataCautions.weights(from))
        .concluded(verdict);
  }

  private Value input() {
    Value.Fields without = Value.fields();
    question.leftOut().forEach(without::with);
    return Observed.input(question.from())
        .with("group", question.group())
        .with("groups", Value.words(letters.groups()))
        .with("leftOut", without);
  }

  /** How many rows each column lacks. */
  static List<Finding> missing(@Nullable Provenance from) {
    return from == null || from.rows().missing().isEmpty()
        ? List.of()
        : List.of(
            Finding.sentence(
                "Rows without a value are left out of their column: "
                    + from.rows().missing().entrySet().stream()
                        .map(each -> each.getKey() + " " + Figures.count(each.getValue()))
                        .collect(Collectors.joining(", "))
                    + "."));
  }

  static String leftOut(Map<String, String> columns) {
    return "Left out: "
        + columns.entrySet().stream()
            .map(each -> each.getKey() + " (" + each.getValue() + ")")
            .collect(Collectors.joining(", "))
        + ".";
  }

  private Sheet summary(int most) {
    boolean adjusted = question.settings().adjustment() != Adjustment.NONE;
    List<Column> headings =
        new ArrayList<>(
            List.of(
                Column.words("column"),
                Column.counts("n"),
                Column.words("test"),
                Column.numbers("p")));
    if (adjusted) {
      headings.add(Column.numbers("adjusted p"));
    }
    headings.addAll(List.of(Column.numbers("corrected V"), Column.words("")));
    Sheet sheet =
        Sheet.read(
            say(
                "Columns against %s, %s",
                question.group(),
                question.settings().sorting() == SweepQuestion.Sorting.FILE
                    ? "as in the source"
                    : "the strongest first"),
            headings);
    for (Swept each : columns.subList(0, Math.min(most, columns.size()))) {
      List<Value> row = new ArrayList<>();
      row.add(new Value.Words(each.name()));
      row.add(new Value.Count(each.table().total()));
      row.add(new Value.Words(each.test().method().id()));
      row.add(each.p());
      TestResult.AdjustedP after = each.test().adjusted();
      if (adjusted && after != null) {
        row.add(Value.p(after.log10PValue()));
      }
      row.add(Value.significant(each.strength(), 3));
      row.add(
          new Value.Words(
              each.test().rejectsAdjusted(question.settings().alpha()) ? "differs" : ""));
      sheet.row(row);
    }
    return sheet;
  }

  /** The share of each level in each group, with the letters of the groups that have less. */
  private Finding table(Swept column) {
    List<String> groups = column.table().rows();
    List<List<Value>> cells = new ArrayList<>();
    int shown = column.levelsShown();
    for (int level = 0; level < shown; level++) {
      List<List<Integer>> smaller = column.smaller(level, question.settings().alpha());
      List<Value> row = new ArrayList<>();
      for (int group = 0; group < groups.size(); group++) {
        row.add(
            new Value.Words(
                Figures.percent(column.share(group, level))
                    + letters.of(smaller.get(group).stream().map(groups::get).toList())));
      }
      cells.add(row);
    }
    List<Value> bases = new ArrayList<>();
    for (int group = 0; group < groups.size(); group++) {
      bases.add(new Value.Count(column.base(group)));
    }
    cells.add(bases);
    List<String> levels = new ArrayList<>(column.table().columns().subList(0, shown));
    levels.add("n");
    return Finding.say(
        Block.heading(column.name()),
        new Block.Grid(levels, groups.stream().map(letters::headed).toList(), cells));
  }
}
