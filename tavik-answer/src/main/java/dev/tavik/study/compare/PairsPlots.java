package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.ShownMembers;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Scale;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DesignRows;
import dev.tavik.study.parts.IntervalRows;
import dev.tavik.study.parts.PairPlots;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Plots of comparisons of several groups, and of the groups of a designed sample. */
final class PairsPlots {
  private PairsPlots() {}

  /**
   * Shows as many groups and pairs as can be read; of more pairs, those with the smallest p-values.
   */
  static IntervalPlot groups(CompareQuestion question, Answer answer) {
    CompareSettings settings = question.settings();
    List<Answer> all = answer.parts();
    List<Answer> pairs =
        all.size() > ShownMembers.MOST_ROWS
            ? ShownMembers.first(all, Comparator.comparingDouble(pair -> pair.test().log10PValue()))
            : all;
    Estimand quantity = pairs.isEmpty() ? Estimand.DIFFERENCE : preferred(pairs.get(0));
    List<IntervalPlot.Row> rows =
        pairs.stream()
            .flatMap(
                pair ->
                    pair.intervals(pair.verdict().interval().orElseThrow()).stream()
                        .filter(
                            each -> each.side() == Side.TWO_SIDED && each.quantity() == quantity)
                        .map(each -> row(pair, each, settings.alpha())))
            .toList();
    List<IntervalPlot.Panel> panels = new ArrayList<>();
    panels.add(
        PairPlots.rates(
            ShownMembers.ends(question.tallies(), group -> group.tally().proportion()),
            settings.level()));
    if (!rows.isEmpty()) {
      panels.add(
          panel(quantity, "the first against the second, as a ratio", rows, settings.claim()));
    }
    Provenance from = question.from();
    return new IntervalPlot(
        (question.label().isEmpty() ? "Groups" : question.label())
            + (from == null || from.group() == null ? "" : ", by " + from.group()),
        say(
            "%s intervals, rates with Wilson's; all groups together %s%s",
            Figures.exactPercent(settings.level()),
            Figures.pEquals(answer.tests().get(0).log10PValue()),
            pairs.isEmpty()
                ? ""
                : say(
                    "; %spairs by %s, p adjusted by Holm's method",
                    rows.size() < all.size() ? say("%d of %,d ", rows.size(), all.size()) : "",
                    pairs.get(0).test().method().id())),
        panels);
  }

  private static IntervalPlot.Row row(Answer pair, Interval interval, double alpha) {
    TestResult test = pair.test();
    boolean rejects = test.rejectsAdjusted(alpha);
    return new IntervalPlot.Row(
        Figures.shortened(((CompareQuestion) pair.question()).order()),
        pair.estimate(interval.quantity()).value(),
        interval,
        Figures.pEquals(IntervalRows.log10PValue(test)) + (rejects ? ", rejected" : ""),
        rejects);
  }

  private static Estimand preferred(Answer pair) {
    List<Interval> intervals = pair.intervals();
    return intervals.stream().anyMatch(each -> each.quantity() == Estimand.DIFFERENCE)
        ? Estimand.DIFFERENCE
        : intervals.get(0).quantity();
  }

  private static IntervalPlot.Panel panel(
      Estimand quantity, String ratio, List<IntervalPlot.Row> rows, ComparisonClaim claim) {
    return quantity == Estimand.DIFFERENCE
        ? new IntervalPlot.Panel(
            "difference, in percentage points", Scale.POINTS, rows, PairPlots.references(claim))
        : new IntervalPlot.Panel(ratio, Scale.TIMES, rows, List.of(1.0));
  }

  /** The differences and ratios of two groups of a designed sample, or of each pair of them. */
  static IntervalPlot designed(CompareQuestion question, Answer answer) {
    ComparisonClaim claim = question.settings().claim();
    List<IntervalPlot.Panel> panels = new ArrayList<>();
    if (!answer.parts().isEmpty()) {
      Answer first = DesignRows.tested(answer).get(0);
      Estimand quantity = first.interval(answer.verdict().interval().orElseThrow()).quantity();
      panels.add(panel(quantity, "as a ratio", DesignRows.several(answer), claim));
    } else {
      List<IntervalPlot.Row> rows = DesignRows.one(answer);
      List<IntervalPlot.Row> differences =
          rows.stream().filter(row -> row.interval().quantity() == Estimand.DIFFERENCE).toList();
      List<IntervalPlot.Row> ratios =
          rows.stream().filter(row -> !differences.contains(row)).toList();
      if (!differences.isEmpty()) {
        panels.add(panel(Estimand.DIFFERENCE, "", differences, claim));
      }
      if (!ratios.isEmpty()) {
        panels.add(panel(Estimand.RATIO, "as a ratio", ratios, claim));
      }
    }
    return DesignRows.plot(
        answer,
        question.label().isEmpty() ? "Compared by the design" : question.label(),
        question.settings().level(),
        panels);
  }
}
