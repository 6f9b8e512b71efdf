package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Cells;
import dev.tavik.proportion.NullDistribution;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Significance;
import dev.tavik.result.TestResult;
import dev.tavik.study.shares.SharesQuestion;
import java.util.ArrayList;
import java.util.List;

/** Draws shares beside what was claimed, and the chi-square that the claims would make. */
final class SharesPicture {
  private SharesPicture() {}

  static Picture intervals(View<SharesQuestion> answer) {
    List<Interval> intervals =
        answer.intervals().stream().filter(each -> each.method() == answer.interval()).toList();
    Cells cells = answer.answer().find(Cells.class).orElseThrow();
    List<IntervalRow> rows = new ArrayList<>();
    for (int i = 0; i < answer.question().counts().size(); i++) {
      double share = answer.question().counts().tally(i).proportion();
      double claimed = answer.question().claimed().share(i);
      boolean out =
          Significance.reached(
              cells.figure("adjustedPValues", i, 0), answer.question().settings().alpha());
      rows.add(
          new IntervalRow(
              say(
                  "%s  %s",
                  Figures.shortened(answer.question().counts().levels().get(i)),
                  Figures.count(answer.question().counts().counts().get(i))),
              share,
              intervals.get(i),
              say(
                  "%s, claimed %s%s",
                  Figures.percentBeside(share, claimed),
                  Figures.percentBeside(claimed, share),
                  out ? ", stands out" : ""),
              out,
              claimed));
    }
    String title =
        say(
            "%s: observed and claimed shares of %s",
            answer.label().isEmpty() ? "Shares" : answer.label(),
            Figures.count(answer.question().counts().total()));
    String subtitle =
        say(
            "upright bars: claimed; points with %s %s intervals: observed, filled where they"
                + " stand out; %s test: %s",
            Figures.exactPercent(answer.question().settings().level()),
            answer.intervalId(),
            answer.testId(),
            Figures.pEquals(answer.preferredTest().log10PValue()));
    return new IntervalChart(
            title,
            subtitle,
            List.of(new IntervalPanel("share, in percent", Scale.PERCENT, rows, List.of())))
        .picture();
  }

  static Picture underNull(View<SharesQuestion> answer) {
    TestResult test =
        answer.tests().stream()
            .filter(each -> each.df() != null)
            .findFirst()
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value of shares needs pearson or likelihood-ratio among"
                            + " the tests"));
    return chiSquare(test, "if the shares are as claimed", answer.question().settings().alpha());
  }

  /** The density of chi-square with its tail shaded. */
  static Picture chiSquare(TestResult test, String world, double alpha) {
    TestResult.Statistic statistic = test.statistic();
    Double df = test.df();
    if (statistic == null || df == null) {
      throw new IllegalArgumentException("there is nothing to draw: the test has no statistic");
    }
    return new NullChart(
            "What to expect of " + statistic.name() + " " + world,
            say(
                "%s test, chi-square with %s %s; shaded: %s; dotted: where rejection begins at alpha"
                    + " %s",
                test.method().id(),
                Figures.plain(df),
                df == 1 ? "degree of freedom" : "degrees of freedom",
                Figures.pEquals(test.log10PValue()),
                Figures.plain(alpha)),
            NullDistribution.chiSquare(statistic.value(), df),
            new NullChart.Marks(
                statistic.name(),
                statistic.value(),
                Figures.significant(statistic.value(), 3),
                List.of(NullDistribution.chiSquareAbove(alpha, df))))
        .picture();
  }
}
