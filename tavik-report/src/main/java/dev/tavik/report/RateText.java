package dev.tavik.report;

import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Alternative;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateBayes;
import dev.tavik.study.RateSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The answer about one rate in words and tables. */
final class RateText {
  private final Lines lines;
  private final Detail detail;

  RateText(Lines lines, Detail detail) {
    this.lines = lines;
    this.detail = detail;
  }

  void write(RateAnswer answer) {
    lines.strong(answer.conclusion());
    observed(answer);
    tests(answer);
    intervals(answer);
    criticalCounts(answer);
    RateBayes bayes = answer.bayes();
    if (bayes != null) {
      new BayesText(lines).write(bayes, answer.settings());
    }
    TextReport.ending(
        lines,
        answer.preference(),
        answer.conditions(),
        answer.cautions(),
        detail == Detail.WORKING ? answer.working() : null);
    if (detail == Detail.WORKING) {
      new LookUp(lines).write(answer);
    }
  }

  private void observed(RateAnswer answer) {
    lines.heading("Observed");
    Estimate estimate = answer.estimates().get(0);
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            Locale.ROOT,
            "%s of %s, a proportion of %s with a standard error of %s points",
            Figures.count(answer.tally().successes()),
            Figures.count(answer.tally().trials()),
            Figures.finePercent(estimate.value()),
            Figures.significant(100 * estimate.standardError(), 4)));
    TextReport.source(lines, answer.from());
  }

  private void tests(RateAnswer answer) {
    lines.heading("Tests: " + claim(answer.settings()));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "p", "");
    for (TestResult test : answer.tests()) {
      table.row(
          test.method().id(),
          statistic(test, answer),
          Figures.pValue(test.log10PValue()),
          test.rejects(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
  }

  /** The null, the alternative and alpha in words. */
  static String claim(RateSettings settings) {
    String against = Figures.exactPercent(settings.hypothesis().against());
    String alternative =
        switch (settings.hypothesis().alternative()) {
          case TWO_SIDED -> "it differs";
          case LESS -> "it is lower";
          case GREATER -> "it is higher";
        };
    return String.format(
        Locale.ROOT,
        "null, the rate is %s; alternative, %s; alpha %s",
        against,
        alternative,
        Figures.plain(settings.alpha()));
  }

  private static String statistic(TestResult test, RateAnswer answer) {
    TestResult.@Nullable Statistic statistic = test.statistic();
    if (statistic == null) {
      return "no statistic";
    }
    if (!statistic.name().equals("successes")) {
      return statistic.name() + " = " + Figures.significant(statistic.value(), 4);
    }
    return tail(test.method().id(), answer);
  }

  /** Which outcomes an exact test adds up. */
  private static String tail(String method, RateAnswer answer) {
    String count = Figures.count(answer.tally().successes());
    String half = method.equals(ProportionTest.MID_P.id()) ? ", " + count + " half" : "";
    return switch (answer.settings().hypothesis().alternative()) {
      case LESS -> count + " successes or fewer" + half;
      case GREATER -> count + " successes or more" + half;
      case TWO_SIDED -> twoSidedTail(method, count) + half;
    };
  }

  private static String twoSidedTail(String method, String count) {
    if (method.equals(ProportionTest.EXACT.id())) {
      return "as improbable as " + count + ", or more so";
    }
    return method.equals(ProportionTest.EXACT_BLAKER.id())
        ? "tails no larger than that of " + count
        : "twice the smaller tail of " + count;
  }

  /** How many would have been too many. */
  private void criticalCounts(RateAnswer answer) {
    lines.heading(
        String.format(
            Locale.ROOT,
            "Counts that would be rejected, out of %s",
            Figures.count(answer.tally().trials())));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT);
    table.header("", "", "true size");
    for (CriticalCounts counts : answer.criticalCounts()) {
      table.row(counts.method().id(), region(counts), Figures.finePercent(counts.size()));
    }
    lines.table(table);
  }

  private static String stretch(long from, long to) {
    return from >= to ? Figures.count(to) : Figures.count(from) + " to " + Figures.count(to);
  }

  private static String region(CriticalCounts counts) {
    Long atMost = counts.atMost();
    Long atLeast = counts.atLeast();
    List<String> ends = new ArrayList<>();
    // Without variance, with no success or no failure, Wald's test doesn't reject.
    boolean endsKept = counts.method() == ProportionTest.WALD;
    if (atMost != null) {
      ends.add(endsKept ? stretch(1, atMost) : Figures.count(atMost) + " or fewer");
    }
    if (atLeast != null) {
      ends.add(
          endsKept ? stretch(atLeast, counts.trials() - 1) : Figures.count(atLeast) + " or more");
    }
    return ends.isEmpty() ? "none" : String.join(", ", ends);
  }

  private void intervals(RateAnswer answer) {
    Alternative alternative = answer.settings().hypothesis().alternative();
    lines.heading(
        "Intervals, level "
            + Figures.exactPercent(answer.settings().level())
            + (alternative == Alternative.TWO_SIDED
                ? ""
                : ", and the one-sided bound for '" + alternative.id() + "'"));
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    List<Interval> intervals = answer.intervals();
    for (int i = 0; i < intervals.size(); i++) {
      Interval interval = intervals.get(i);
      boolean bounded = i + 1 < intervals.size() && intervals.get(i + 1).side() != Side.TWO_SIDED;
      table.row(
          interval.method().id(),
          Figures.finePercent(interval.lower()),
          "to",
          Figures.finePercent(interval.upper()),
          bounded ? bound(intervals.get(i + 1)) : "");
      i += bounded ? 1 : 0;
    }
    lines.table(table);
    inLot(answer);
  }

  /** The exact interval as whole units of the lot. */
  private void inLot(RateAnswer answer) {
    Long lot = answer.settings().lot();
    if (lot == null) {
      return;
    }
    answer.intervals().stream()
        .filter(interval -> interval.side() == Side.TWO_SIDED)
        .filter(interval -> interval.method() == ProportionInterval.CLOPPER_PEARSON)
        .forEach(
            interval ->
                lines.line(
                    String.format(
                        Locale.ROOT,
                        "  In units of the lot, %s: %s to %s of %s.",
                        interval.method().id(),
                        Figures.count(Math.round(interval.lower() * lot)),
                        Figures.count(Math.round(interval.upper() * lot)),
                        Figures.count(lot))));
  }

  /** A one-sided bound in words. */
  static String bound(Interval interval) {
    return interval.side() == Side.UPPER
        ? "  at most " + Figures.finePercent(interval.upper())
        : "  at least " + Figures.finePercent(interval.lower());
  }

  /** Conditions that fail; of very many the first, and how many more. */
  static void failed(Lines lines, List<Condition> failed, boolean summed) {
    if (!summed || failed.size() < 2) {
      failed.forEach(each -> condition(lines, each));
      return;
    }
    Condition first = failed.get(0);
    condition(
        lines,
        new Condition(
            first.name(),
            first.state(),
            String.format(
                Locale.ROOT,
                "%s; likewise for %s more",
                first.detail(),
                Figures.count(failed.size() - 1))));
  }

  static void condition(Lines lines, Condition condition) {
    String state =
        switch (condition.state()) {
          case MET -> "met";
          case NOT_MET -> "NOT MET";
          case NOT_IN_THE_DATA -> "your call";
        };
    lines.paragraph(
        String.format(Locale.ROOT, "  %-11s", state),
        " ".repeat(13),
        condition.name() + ": " + condition.detail() + ".");
  }
}
