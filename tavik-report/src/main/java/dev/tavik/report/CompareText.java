package dev.tavik.report;

import dev.tavik.count.NamedTally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Quantity;
import dev.tavik.result.Refusal;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareBayes;
import dev.tavik.study.CompareSettings;
import dev.tavik.study.DirectedTest;
import dev.tavik.study.Show;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The answer about two groups in words and tables. */
final class CompareText {
  private final Lines lines;
  private final Detail detail;

  CompareText(Lines lines, Detail detail) {
    this.lines = lines;
    this.detail = detail;
  }

  void write(CompareAnswer answer) {
    lines.strong(answer.conclusion());
    observed(lines, List.of(answer.first(), answer.second()));
    TextReport.source(lines, answer.from());
    effects(answer);
    tests(answer);
    intervals(answer);
    CompareBayes bayes = answer.bayes();
    if (bayes != null) {
      new BayesText(lines).write(bayes, answer);
    }
    lines.command(
        "As a table",
        String.format(
            Locale.ROOT,
            "tavik cross --cells \"%d %d; %d %d\"",
            answer.first().tally().successes(),
            answer.first().tally().failures(),
            answer.second().tally().successes(),
            answer.second().tally().failures()));
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

  /** A row a group. */
  static void observed(Lines lines, List<NamedTally> groups) {
    observed(lines, "Observed", groups);
  }

  static void observed(Lines lines, String heading, List<NamedTally> groups) {
    lines.heading(heading);
    TextTable table = new TextTable(Align.LEFT, Align.RIGHT, Align.RIGHT, Align.POINT);
    table.header("", "successes", "of", "proportion");
    for (NamedTally group : groups) {
      table.row(
          group.name(),
          Figures.count(group.tally().successes()),
          Figures.count(group.tally().trials()),
          Figures.finePercent(group.tally().proportion()));
    }
    lines.table(table);
  }

  private void effects(CompareAnswer answer) {
    lines.heading(answer.first().name() + " against " + answer.second().name());
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.LEFT);
    for (Estimate estimate : answer.estimates()) {
      switch (estimate.quantity()) {
        case DIFFERENCE ->
            table.row("difference", pointsOf(estimate.value()), "points, " + estimate.label());
        case RATIO -> table.row("ratio", number(estimate.value()), estimate.label());
        case ODDS_RATIO ->
            table.row("odds ratio", number(estimate.value()), "cross product a d / (b c)");
        case CONDITIONAL_ODDS_RATIO ->
            table.row("odds ratio", number(estimate.value()), "conditional maximum likelihood");
        case COHENS_H -> table.row("Cohen's h", number(estimate.value()), "");
        default -> {}
      }
    }
    lines.table(table);
    NumberNeeded needed = answer.numberNeeded();
    if (needed != null) {
      lines.paragraph("  ", "  ", inWords(needed, answer.first().name()));
    }
  }

  /** One success more or fewer among so many; through infinity, in both directions. */
  private static String inWords(NumberNeeded needed, String one) {
    String source = Figures.exactPercent(needed.level()) + ", from " + needed.method().id();
    if (Double.isInfinite(needed.value())) {
      return "number needed: none, the proportions are equal";
    }
    String found =
        String.format(
            Locale.ROOT,
            "number needed: %s has one success %s in %s",
            one,
            needed.value() < 0 ? "fewer" : "more",
            trials(needed.value()));
    if (!needed.throughInfinity()) {
      double near = Math.min(Math.abs(needed.lower()), Math.abs(needed.upper()));
      double far = Math.max(Math.abs(needed.lower()), Math.abs(needed.upper()));
      return String.format(
          Locale.ROOT, "%s (%s to %s; %s)", found, trials(near), trials(far), source);
    }
    return String.format(
        Locale.ROOT,
        "%s (from one fewer in %s through no difference, infinity, to one more in %s; %s)",
        found,
        trials(needed.lower()),
        trials(needed.upper()),
        source);
  }

  private static String trials(double value) {
    return Double.isInfinite(value) ? "any number" : Figures.significant(Math.abs(value), 3);
  }

  static String number(double value) {
    if (Double.isNaN(value)) {
      return "none";
    }
    return Double.isInfinite(value) ? "infinite" : Figures.significant(value, 4);
  }

  static String pointsOf(double difference) {
    return Figures.significant(100 * difference, 4);
  }

  private void tests(CompareAnswer answer) {
    double alpha = answer.settings().alpha();
    lines.heading(
        "Tests: " + claim(answer.settings(), answer.first().name(), answer.second().name()));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "p", "");
    for (TestResult test : answer.tests()) {
      table.row(
          test.method().id(),
          statistic(test, answer),
          Figures.pValue(test.log10PValue()),
          test.rejects(alpha) ? "rejects" : "does not reject");
    }
    lines.table(table);
    for (TestResult test : answer.tests()) {
      Double nuisance = test.nuisance();
      if (nuisance != null) {
        lines.paragraph(
            "  ",
            "  ",
            String.format(
                Locale.ROOT,
                "%s: p is largest at a common proportion of %s.",
                test.method().id(),
                Figures.finePercent(nuisance)));
      }
    }
    refused(answer);
    oneSided(answer);
  }

  /** Tests that decline for the same reason are named together. */
  private void refused(CompareAnswer answer) {
    Map<String, List<String>> byReason = new LinkedHashMap<>();
    for (Refusal refusal : answer.refusals()) {
      byReason
          .computeIfAbsent(refusal.reason(), key -> new ArrayList<>())
          .add(refusal.method().id());
    }
    byReason.forEach(
        (reason, methods) ->
            lines.paragraph(
                "  ", "    ", "not made: " + String.join(", ", methods) + ": " + reason + "."));
  }

  private void oneSided(CompareAnswer answer) {
    if (answer.oneSided().isEmpty()) {
      return;
    }
    lines.heading("Both one-sided tests; the larger p counts");
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "to be shown", "", "p", "");
    for (DirectedTest each : answer.oneSided()) {
      boolean greater = each.hypothesis().alternative() == Alternative.GREATER;
      table.row(
          each.result().method().id(),
          String.format(
              Locale.ROOT,
              "%s %s",
              greater ? "above" : "below",
              Figures.shortPoints(each.hypothesis().against())),
          statistic(each.result(), answer),
          Figures.pValue(each.result().log10PValue()),
          each.result().rejects(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
  }

  /** The null, the alternative and alpha in words. */
  static String claim(CompareSettings settings, String one, String two) {
    String alpha = "; alpha " + Figures.plain(settings.alpha());
    Double margin = settings.margin();
    if (settings.show() == Show.EQUIVALENT && margin != null) {
      return String.format(
          Locale.ROOT,
          "null, they differ by %s or more; alternative, by less%s",
          Figures.shortPoints(margin),
          alpha);
    }
    if (settings.show() == Show.NONINFERIOR && margin != null) {
      boolean greater = settings.hypothesis().alternative() == Alternative.GREATER;
      return String.format(
          Locale.ROOT,
          "null, %s is %s by %s or more; alternative, it is not%s",
          one,
          greater ? "lower" : "higher",
          Figures.shortPoints(margin),
          alpha);
    }
    double against = settings.hypothesis().against();
    if (against == 0) {
      String alternative =
          switch (settings.hypothesis().alternative()) {
            case TWO_SIDED -> "they differ";
            case LESS -> one + " is lower";
            case GREATER -> one + " is higher";
          };
      return "null, no difference; alternative, " + alternative + alpha;
    }
    String alternative =
        switch (settings.hypothesis().alternative()) {
          case TWO_SIDED -> "it differs";
          case LESS -> "it is lower";
          case GREATER -> "it is higher";
        };
    return String.format(
        Locale.ROOT,
        "null, %s minus %s is %s; alternative, %s%s",
        one,
        two,
        Figures.shortPoints(against),
        alternative,
        alpha);
  }

  private static String statistic(TestResult test, CompareAnswer answer) {
    TestResult.@Nullable Statistic statistic = test.statistic();
    if (statistic == null) {
      return "no statistic";
    }
    if (!statistic.name().equals("successes")) {
      return statistic.name() + " = " + Figures.significant(statistic.value(), 4);
    }
    String count = Figures.count(answer.first().tally().successes());
    String half = test.method() == TwoProportionTest.FISHER_MID_P ? ", " + count + " half" : "";
    return switch (answer.settings().hypothesis().alternative()) {
      case LESS -> count + " or fewer in the first" + half;
      case GREATER -> count + " or more in the first" + half;
      case TWO_SIDED ->
          test.method() == TwoProportionTest.FISHER
              ? "tables as improbable, or more so"
              : "twice the smaller tail" + half;
    };
  }

  private void intervals(CompareAnswer answer) {
    Alternative alternative = answer.settings().hypothesis().alternative();
    lines.heading(
        "Intervals, level "
            + Figures.exactPercent(answer.settings().level())
            + (alternative == Alternative.TWO_SIDED
                ? ""
                : ", and the one-sided bound for '" + alternative.id() + "'")
            + "; differences in points");
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    String last = "";
    for (Interval interval : answer.intervals()) {
      if (interval.side() == Side.TWO_SIDED) {
        String what =
            switch (interval.quantity()) {
              case DIFFERENCE -> "difference";
              case RATIO -> "ratio";
              default -> "odds ratio";
            };
        table.row(
            what.equals(last) ? "" : what,
            interval.method().id(),
            limit(interval, interval.lower()),
            "to",
            limit(interval, interval.upper()),
            bound(answer, interval));
        last = what;
      }
    }
    lines.table(table);
    margin(answer);
  }

  /** Where a margin was named without a claim, what lies within it. */
  private void margin(CompareAnswer answer) {
    Double margin = answer.settings().margin();
    Interval interval = answer.preferredInterval();
    if (margin != null
        && answer.settings().show() == Show.DIFFERENCE
        && interval.quantity() == Quantity.DIFFERENCE) {
      boolean within = interval.lower() > -margin && interval.upper() < margin;
      lines.paragraph(
          "  ",
          "  ",
          String.format(
              Locale.ROOT,
              "The margin is %s; the %s interval %s.",
              Figures.shortPoints(margin),
              interval.method().id(),
              within ? "lies within it" : "reaches beyond it"));
    }
  }

  static String limit(Interval interval, double value) {
    if (Double.isInfinite(value)) {
      return "no limit";
    }
    return interval.quantity() == Quantity.DIFFERENCE
        ? pointsOf(value)
        : value == 0 ? "0" : Figures.significant(value, 4);
  }

  private static String bound(CompareAnswer answer, Interval twoSided) {
    return answer.intervals().stream()
        .filter(
            each ->
                each.side() != Side.TWO_SIDED
                    && each.quantity() == twoSided.quantity()
                    && each.method().id().equals(twoSided.method().id()))
        .map(
            each ->
                each.side() == Side.UPPER
                    ? "  at most " + limit(each, each.upper())
                    : "  at least " + limit(each, each.lower()))
        .collect(Collectors.joining());
  }
}
