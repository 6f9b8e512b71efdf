package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Verdict;
import dev.tavik.association.TestOptions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Progress;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.cross.CrossSettings;
import dev.tavik.study.sweep.SweepQuestion.Sorting;
import dev.tavik.study.sweep.SweepQuestion.SweepSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Asks of each column what a question about its table alone would, and adjusts over all. */
final class SweepAnalysis {
  /** Seconds that an exact test of one table may take; there may be a thousand tables. */
  private static final double BUDGET = 0.1;

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
              Progress.tell(Progress.Task.COLUMNS, asked.size(), question.tables().size());
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
    return new SweepFindings(question, columns)
        .answer(
            conclusion(
                question.label(),
                question.group(),
                settings,
                columns.stream()
                    .map(
                        each ->
                            new TableVerdicts.Swept(
                                each.name(), "corrected V", each.strength(), each.test()))
                    .toList()));
  }

  /** The verdict on all columns. */
  static Verdict conclusion(
      String label, String group, SweepSettings settings, List<TableVerdicts.Swept> columns) {
    Adjustment adjustment = settings.adjustment();
    return TableVerdicts.sweep(
        label,
        group,
        adjustment == Adjustment.NONE ? "" : adjustment.title(),
        settings.alpha(),
        columns);
  }
}
