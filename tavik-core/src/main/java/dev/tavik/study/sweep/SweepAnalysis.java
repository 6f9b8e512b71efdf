package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Verdict;
import dev.tavik.association.TestOptions;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Figures;
import dev.tavik.result.Progress;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.cross.CrossSettings;
import dev.tavik.study.sweep.SweepQuestion.Sorting;
import dev.tavik.study.sweep.SweepQuestion.SweepSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/** Asks of each column what a question about its table alone would, and adjusts over all. */
final class SweepAnalysis {
  /** Seconds that an exact test of one table may take; there may be a thousand tables. */
  private static final double BUDGET = 0.1;

  private static final int MOST_NAMED = 4;

  private final SweepQuestion question;
  private final SweepSettings settings;
  private final List<Swept> columns;

  SweepAnalysis(SweepQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.columns = sorted(adjusted(asked()));
  }

  private List<Swept> asked() {
    CrossSettings each =
        CrossSettings.usual().alpha(settings.alpha()).options(TestOptions.usual().budget(BUDGET));
    List<Swept> asked = new ArrayList<>();
    question
        .tables()
        .forEach(
            (name, table) -> {
              Answer answer = CrossQuestion.of(table).settings(each).named(name).ask();
              asked.add(new Swept(name, table, answer, answer.test()));
              Progress.tell(Progress.Work.COLUMNS, asked.size(), question.tables().size());
            });
    return asked;
  }

  private List<Swept> adjusted(List<Swept> asked) {
    List<TestResult> tests = settings.adjustment().of(asked.stream().map(Swept::test).toList());
    List<Swept> adjusted = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      adjusted.add(asked.get(i).with(tests.get(i), settings.alpha(), asked.size()));
    }
    return adjusted;
  }

  private List<Swept> sorted(List<Swept> all) {
    return settings.sorting() == Sorting.FILE
        ? all
        : all.stream().sorted(Comparator.comparingDouble(Swept::strength).reversed()).toList();
  }

  Answer answer() {
    return new SweepFindings(question, columns).answer(Verdict.of(conclusion()).inOwnWords());
  }

  private String conclusion() {
    return conclusion(
        question.label(),
        question.group(),
        settings,
        columns.stream()
            .map(each -> new Told(each.name(), "corrected V", each.strength(), each.test()))
            .toList());
  }

  /** A column as the verdict tells of it. */
  record Told(String name, String measure, double strength, TestResult test) {}

  /** The verdict on all columns. */
  static String conclusion(
      String label, String group, SweepQuestion.SweepSettings settings, List<Told> columns) {
    List<Told> differing =
        columns.stream().filter(each -> each.test().rejectsAdjusted(settings.alpha())).toList();
    String named =
        differing.stream()
            .limit(MOST_NAMED)
            .map(
                each ->
                    say(
                        "%s (%s %s)",
                        each.name(), each.measure(), Figures.significant(each.strength(), 2)))
            .collect(Collectors.joining(", "));
    String adjustment =
        settings.adjustment() == Adjustment.NONE
            ? "p-values as they are"
            : say(
                "p-values adjusted by %s over %s",
                settings.adjustment().title(), columns.size() == 1 ? "one column" : "all columns");
    return say(
        "%s%s of %s %s %s between the groups of %s%s; %s, alpha %s.",
        label.isEmpty() ? "" : label + ": ",
        differing.isEmpty() ? label.isEmpty() ? "None" : "none" : Figures.count(differing.size()),
        Figures.count(columns.size()),
        columns.size() == 1 ? "column" : "columns",
        differing.isEmpty() ? "is shown to differ" : differing.size() == 1 ? "differs" : "differ",
        group,
        named.isEmpty() ? "" : ": " + named + (differing.size() > MOST_NAMED ? " and others" : ""),
        adjustment,
        Figures.plain(settings.alpha()));
  }
}
