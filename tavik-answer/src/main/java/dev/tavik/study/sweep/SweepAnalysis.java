package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.result.Progress;
import dev.tavik.result.TestResult;
import dev.tavik.study.sweep.SweepQuestion.Sorting;
import dev.tavik.study.sweep.SweepQuestion.SweepSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** Asks of each column what a question about it alone would, and adjusts over all. */
final class SweepAnalysis {
  private final SweepQuestion asked;
  private final SweepSettings settings;
  private final SweepData data;

  SweepAnalysis(SweepQuestion asked, SweepData data) {
    this.asked = asked;
    this.settings = asked.settings();
    this.data = data;
  }

  Answer answer() {
    Letters letters =
        new Letters(
            data.columns().values().stream()
                .flatMap(each -> each.groups().stream())
                .distinct()
                .toList());
    return new SweepFindings(asked, data, sorted(adjusted(columns())), letters).answer();
  }

  private List<Swept> columns() {
    Map<String, ColumnData> columns = data.columns();
    List<Swept> swept = new ArrayList<>();
    columns.forEach(
        (name, column) -> {
          swept.add(Swept.of(name, column, settings.alpha()));
          Progress.tell(Progress.Task.COLUMNS, swept.size(), columns.size());
        });
    return swept;
  }

  private List<Swept> adjusted(List<Swept> columns) {
    List<TestResult> tests = columns.stream().map(Swept::test).filter(Objects::nonNull).toList();
    Iterator<TestResult> next = settings.adjustment().of(tests).iterator();
    return columns.stream()
        .map(
            each ->
                each.test() == null ? each : each.with(next.next(), settings.alpha(), tests.size()))
        .toList();
  }

  private List<Swept> sorted(List<Swept> columns) {
    return settings.sorting() == Sorting.FILE
        ? columns
        : columns.stream().sorted(Comparator.comparingDouble(Swept::strength).reversed()).toList();
  }
}
