package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.SweepVerdicts;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Puts the answer about many columns together.
 *
 * @param asked what is asked
 * @param data what it is asked of
 * @param columns what was found of each, in the order in which they are shown
 * @param letters the letters of the groups
 */
record SweepFindings(SweepQuestion asked, SweepData data, List<Swept> columns, Letters letters) {
  private static final int MOST_COLUMNS = 20;
  private static final int MOST_TABLES = 5;

  Answer answer() {
    double alpha = asked.settings().alpha();
    boolean many = columns.size() > MOST_TABLES;
    Depth whole = many ? Depth.WHOLE : Depth.ALWAYS;
    List<Finding> shares =
        columns.stream().map(each -> each.data().shares(each, letters, alpha)).toList();
    AnswerBuilder answer =
        Answer.to(asked, AnswerKind.SWEEP, asked.label())
            .add(Finding.fact("input", input()))
            .add(Finding.fact("hypothesis", Value.fields().with("alpha", alpha)))
            .add(Finding.fact("adjustment", new Value.Words(asked.settings().adjustment().id())))
            .addAll(data.about())
            .add(
                new SubAnswers(
                    "columns",
                    columns.stream().map(Swept::name).toList(),
                    columns.stream().map(each -> each.answer().withoutCautions()).toList()))
            .addAll(data.shares(columns, alpha));
    if (many) {
      answer.add(summary(MOST_COLUMNS).at(Depth.CUT));
      shares.stream().limit(MOST_TABLES).forEach(each -> answer.add(each.at(Depth.CUT)));
      answer.add(
          Finding.say(new Block.Rest(say("All %s columns", Figures.count(columns.size()))))
              .at(Depth.CUT));
    }
    answer
        .add(summary(columns.size()).at(whole))
        .addAll(Observed.source(asked.from()))
        .addAll(data.context())
        .addAll(missing());
    shares.forEach(each -> answer.add(each.at(whole)));
    return answer
        .addAll(data.legend(letters, alpha))
        .addAll(leftOut())
        .conditions(data.conditions())
        .cautions(cautions())
        .concluded(verdict());
  }

  /** The verdict on all columns. */
  private Verdict verdict() {
    return SweepVerdicts.sweep(
        asked.label(),
        asked.group(),
        asked.isAdjusted() ? asked.settings().adjustment().title() : "",
        asked.settings().alpha(),
        columns.stream()
            .filter(each -> each.test() != null)
            .map(
                each ->
                    new SweepVerdicts.Swept(
                        each.name(), data.measure(), each.strength(), each.test()))
            .toList());
  }

  private List<Caution> cautions() {
    List<String> undecided =
        columns.stream().filter(each -> each.test() == null).map(Swept::name).toList();
    List<Caution> cautions = new ArrayList<>();
    if (!undecided.isEmpty()) {
      cautions.add(DesignCautions.undecided(Figures.some(undecided, MOST_TABLES)));
    }
    cautions.addAll(data.cautions(asked.from()));
    return cautions;
  }

  private Value input() {
    Value.Fields without = Value.fields();
    asked.leftOut().forEach(without::with);
    return Observed.input(asked.from())
        .with("group", asked.group())
        .and(data.input(letters))
        .with("leftOut", without);
  }

  /** How many rows each column lacks. */
  private List<Finding> missing() {
    Provenance from = asked.from();
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

  private List<Finding> leftOut() {
    return asked.leftOut().isEmpty()
        ? List.of()
        : List.of(
            Finding.sentence(
                "Left out: "
                    + asked.leftOut().entrySet().stream()
                        .map(each -> each.getKey() + " (" + each.getValue() + ")")
                        .collect(Collectors.joining(", "))
                    + "."));
  }

  private Sheet summary(int most) {
    List<Column> headings =
        new ArrayList<>(
            List.of(
                Column.words("column"),
                Column.counts(data.rows()),
                Column.words("test"),
                Column.numbers("p")));
    if (asked.isAdjusted()) {
      headings.add(Column.numbers("adjusted p"));
    }
    headings.addAll(List.of(Column.numbers(data.measure()), Column.words("")));
    Sheet sheet =
        Sheet.read(
            say(
                "Columns against %s%s, %s",
                asked.group(),
                data.how(),
                asked.settings().sorting() == SweepQuestion.Sorting.FILE
                    ? "as in the source"
                    : "the strongest first"),
            headings);
    columns.stream().limit(most).forEach(each -> sheet.row(row(each)));
    return sheet;
  }

  private List<Value> row(Swept column) {
    TestResult test = column.test();
    TestResult.AdjustedP after = test == null ? null : test.adjusted();
    List<Value> row = new ArrayList<>();
    row.add(new Value.Words(column.name()));
    row.add(new Value.Count(column.data().rows()));
    row.add(new Value.Words(test == null ? "" : test.method().id()));
    row.add(test == null ? Value.none() : column.data().p(test));
    if (asked.isAdjusted()) {
      row.add(after == null ? Value.none() : Value.p(after.log10PValue()));
    }
    row.add(Value.significant(column.strength(), 3));
    row.add(new Value.Words(decision(test)));
    return row;
  }

  private String decision(@Nullable TestResult test) {
    if (test == null) {
      return "can't be decided";
    }
    return test.rejectsAdjusted(asked.settings().alpha()) ? "differs" : "";
  }
}
