package dev.tavik.report;

import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.StrataAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Draws the odds ratio of each stratum above the one they have in common. */
final class StrataPicture {
  private StrataPicture() {}

  static Picture of(StrataAnswer answer) {
    List<IntervalRow> rows = new ArrayList<>();
    for (int i = 0; i < answer.within().size(); i++) {
      Stratum stratum = answer.tables().strata().get(i);
      Interval interval = answer.withinIntervals().get(i);
      rows.add(
          new IntervalRow(
              String.format(
                  Locale.ROOT,
                  "%s  %s against %s",
                  IntervalPicture.shortened(stratum.name()),
                  stratum.first(),
                  stratum.second()),
              answer.within().get(i).value(),
              interval,
              ComparisonPicture.times(interval),
              false));
    }
    Interval common = answer.interval();
    if (common != null) {
      rows.add(
          new IntervalRow(
              "in common", answer.common().value(), common, ComparisonPicture.times(common), true));
    }
    TestResult test = answer.tests().get(0);
    return new IntervalChart(
            String.format(
                Locale.ROOT,
                "%sodds of %s, %s against %s",
                answer.label().isEmpty() ? "" : answer.label() + ": ",
                answer.tables().columns().get(0),
                answer.tables().rows().get(0),
                answer.tables().rows().get(1)),
            String.format(
                Locale.ROOT,
                "%s intervals, score within strata, mantel-haenszel in common; %s test: %s",
                Figures.exactPercent(answer.settings().level()),
                test.method().id(),
                Figures.pEquals(test.log10PValue())),
            List.of(new IntervalPanel("odds ratio", Scale.TIMES, rows, List.of(1.0))))
        .picture();
  }
}
