package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.StrataQuestion;
import java.util.ArrayList;
import java.util.List;

/** Draws the odds ratio of each stratum above the one they have in common. */
final class StrataPicture {
  private StrataPicture() {}

  static Picture of(View<StrataQuestion> answer) {
    List<IntervalRow> rows = new ArrayList<>();
    List<Interval> intervals = answer.intervals();
    List<Estimate> estimates = answer.answer().estimates();
    int common = intervals.get(0).quantity() == Estimand.COMMON_ODDS_RATIO ? 1 : 0;
    List<Stratum> strata = answer.question().tables().strata();
    for (int i = 0; i < strata.size(); i++) {
      Stratum stratum = strata.get(i);
      Interval interval = intervals.get(common + i);
      rows.add(
          new IntervalRow(
              say(
                  "%s  %s against %s",
                  Figures.shortened(stratum.name()), stratum.first(), stratum.second()),
              estimates.get(1 + i).value(),
              interval,
              ComparisonPicture.times(interval),
              false));
    }
    if (common == 1) {
      Interval together = intervals.get(0);
      rows.add(
          new IntervalRow(
              "in common",
              estimates.get(0).value(),
              together,
              ComparisonPicture.times(together),
              true));
    }
    TestResult test = answer.tests().get(0);
    return new IntervalChart(
            say(
                "%sodds of %s, %s against %s",
                answer.label().isEmpty() ? "" : answer.label() + ": ",
                answer.question().tables().columns().get(0),
                answer.question().tables().rows().get(0),
                answer.question().tables().rows().get(1)),
            say(
                "%s intervals, score within strata, mantel-haenszel in common; %s test: %s",
                Figures.exactPercent(answer.question().settings().level()),
                test.method().id(),
                Figures.pEquals(test.log10PValue())),
            List.of(new IntervalPanel("odds ratio", Scale.TIMES, rows, List.of(1.0))))
        .picture();
  }
}
