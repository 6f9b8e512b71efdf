package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.ShownMembers;
import dev.tavik.count.Tally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DesignRows;
import dev.tavik.study.parts.IntervalRows;
import java.util.List;

/** Plots of the rates of several groups, and of a designed sample. */
final class RatesPlots {
  private RatesPlots() {}

  /** A row a group; of very many those with the highest and lowest rates. */
  static IntervalPlot groups(RateQuestion question, Answer answer) {
    RateSettings settings = question.settings();
    List<Answer> groups = answer.parts();
    List<IntervalPlot.Row> rows =
        ShownMembers.ends(groups, each -> tally(each).proportion()).stream()
            .map(each -> row(each, settings.alpha()))
            .toList();
    Answer first = groups.get(0);
    Provenance from = question.from();
    return new IntervalPlot(
        (question.label().isEmpty() ? "Observed rates" : question.label())
            + (from == null || from.group() == null ? "" : ", by " + from.group()),
        say(
            "%s %s intervals; %s test, %s, p adjusted by Holm's method; filled: rejected at alpha"
                + " %s",
            Figures.exactPercent(settings.level()),
            first.verdict().interval().orElseThrow().title(),
            first.test().method().id(),
            settings.hypothesis().alternative().id(),
            Figures.plain(settings.alpha())),
        List.of(IntervalRows.proportions(rows, List.of(settings.hypothesis().against()))));
  }

  private static Tally tally(Answer group) {
    return ((RateQuestion) group.question()).only();
  }

  private static IntervalPlot.Row row(Answer group, double alpha) {
    Tally tally = tally(group);
    TestResult test = group.test();
    boolean rejects = test.rejectsAdjusted(alpha);
    Interval interval = group.interval(group.verdict().interval().orElseThrow(), Side.TWO_SIDED);
    return new IntervalPlot.Row(
        say(
            "%s  %s",
            Figures.shortened(group.label()), Figures.outOf(tally.successes(), tally.trials())),
        tally.proportion(),
        interval,
        say(
            "%s, %s%s",
            Figures.percent(tally.proportion()),
            Figures.pEquals(IntervalRows.log10PValue(test)),
            rejects ? ", rejected" : ""),
        rejects);
  }

  /** The rate of a designed sample, or of each of its groups. */
  static IntervalPlot designed(RateQuestion question, Answer answer) {
    List<IntervalPlot.Row> rows =
        answer.parts().isEmpty()
            ? DesignRows.one(DesignRows.decided(answer))
            : DesignRows.several(answer);
    return DesignRows.plot(
        answer,
        question.label().isEmpty() ? "Estimated rate" : question.label(),
        question.settings().level(),
        List.of(
            IntervalRows.proportions(rows, List.of(question.settings().hypothesis().against()))));
  }
}
