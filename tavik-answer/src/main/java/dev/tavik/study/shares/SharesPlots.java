package dev.tavik.study.shares;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Cells;
import dev.tavik.count.CategoryCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.plot.Scale;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Significance;
import dev.tavik.study.parts.DesignRows;
import dev.tavik.study.parts.NullPlots;
import java.util.ArrayList;
import java.util.List;

/** Plots of shares beside what was claimed, and of the chi-square that the claims would make. */
final class SharesPlots {
  private SharesPlots() {}

  static Plots all(SharesQuestion question, Answer answer) {
    return Plots.of(IntervalPlot.class, () -> intervals(question, answer))
        .with(
            NullPlot.class,
            () ->
                NullPlots.chiSquare(
                    answer.tests(),
                    answer.test().method(),
                    "if the shares are as claimed",
                    question.settings().alpha(),
                    "the picture of a p-value of shares needs pearson or likelihood-ratio among the"
                        + " tests"));
  }

  private static IntervalPlot intervals(SharesQuestion question, Answer answer) {
    List<Interval> intervals = answer.intervals(answer.verdict().interval().orElseThrow());
    Cells cells = answer.find(Cells.class).orElseThrow();
    CategoryCounts counts = question.counts().orElseThrow();
    List<IntervalPlot.Row> rows = new ArrayList<>();
    for (int i = 0; i < counts.size(); i++) {
      double share = counts.tally(i).proportion();
      double claimed = question.claimed().share(i);
      boolean out =
          Significance.reached(cells.figure("adjustedPValues", i, 0), question.settings().alpha());
      rows.add(
          new IntervalPlot.Row(
              say(
                  "%s  %s",
                  Figures.shortened(counts.levels().get(i)), Figures.count(counts.counts().get(i))),
              share,
              intervals.get(i),
              beside(share, claimed) + (out ? ", stands out" : ""),
              out,
              claimed));
    }
    return new IntervalPlot(
        say(
            "%s: observed and claimed shares of %s",
            question.label().isEmpty() ? "Shares" : question.label(),
            Figures.count(counts.total())),
        say(
            "upright bars: claimed; points with %s %s intervals: observed, filled where they stand"
                + " out; %s test: %s",
            Figures.exactPercent(question.settings().level()),
            intervals.get(0).method().id(),
            answer.test().method().id(),
            Figures.pEquals(answer.test().log10PValue())),
        List.of(new IntervalPlot.Panel("share, in percent", Scale.PERCENT, rows, List.of())));
  }

  private static String beside(double share, double claimed) {
    return say(
        "%s, claimed %s",
        Figures.percentBeside(share, claimed), Figures.percentBeside(claimed, share));
  }

  static IntervalPlot designed(SharesQuestion question, Answer answer) {
    List<IntervalPlot.Row> rows = new ArrayList<>();
    for (int i = 0; i < question.levels().size(); i++) {
      Interval interval = answer.intervals().get(i);
      double claimed = question.claimed().share(i);
      double share = answer.estimates().get(i).value();
      rows.add(
          new IntervalPlot.Row(
              Figures.shortened(question.levels().get(i)),
              share,
              interval,
              beside(share, claimed),
              !interval.contains(claimed),
              claimed));
    }
    return DesignRows.plot(
        answer,
        question.label().isEmpty() ? "Shares by the design" : question.label(),
        question.settings().level(),
        List.of(
            new IntervalPlot.Panel(
                "share, in percent; upright bars: claimed", Scale.PERCENT, rows, List.of())));
  }
}
