package dev.tavik.report;

import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateByGroupAnswer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The answers about several groups, in tables with a row a group. */
final class RateByGroupText {
  private final Lines lines;
  private final Detail detail;
  private boolean selected;

  RateByGroupText(Lines lines, Detail detail) {
    this.lines = lines;
    this.detail = detail;
  }

  void write(RateByGroupAnswer answer) {
    lines.strong(answer.conclusion());
    selected = Selection.needed(answer.groups().size(), detail);
    if (selected) {
      byRate(answer);
    } else {
      observed(answer);
      tests(answer);
      intervals(answer);
      if (answer.settings().bayes() != null) {
        new BayesText(lines).write(answer);
      }
    }
    lines.blank();
    RateAnswer first = answer.groups().get(0);
    lines.paragraph(
        "",
        "",
        "The verdict rests on "
            + first.preference().test().id()
            + " and "
            + first.preference().interval().id()
            + " for every group.");
    conditions(answer);
    cautions(answer);
    if (detail == Detail.WORKING) {
      answer.groups().forEach(this::working);
    }
  }

  /** Of very many groups those with the highest and the lowest rates, a row each. */
  private void byRate(RateByGroupAnswer answer) {
    List<RateAnswer> ends = Selection.ends(answer.groups(), group -> group.tally().proportion());
    int half = Selection.MOST_ROWS / 2;
    lines.heading(
        String.format(
            Locale.ROOT,
            "The %d highest and the %d lowest rates of %s; %s",
            half,
            half,
            Figures.count(answer.groups().size()),
            RateText.claim(answer.settings())));
    TextTable table =
        new TextTable(
            Align.LEFT,
            Align.RIGHT,
            Align.RIGHT,
            Align.POINT,
            Align.POINT,
            Align.LEFT,
            Align.POINT,
            Align.POINT);
    table.header("", "successes", "of", "proportion", "from", "", "to", "Holm p");
    ends.stream().limit(half).forEach(group -> row(table, group));
    table.row("...", "", "", "", "", "", "", "");
    ends.stream().skip(half).forEach(group -> row(table, group));
    lines.table(table);
    TextReport.source(lines, answer.from());
    lines.paragraph("  ", "  ", "Every group, every test and interval: --out FILE, or --json.");
  }

  private static void row(TextTable table, RateAnswer group) {
    Interval interval =
        group.intervals().stream()
            .filter(
                each ->
                    each.side() == Side.TWO_SIDED
                        && each.method().id().equals(group.preference().interval().id()))
            .findFirst()
            .orElseThrow();
    table.row(
        group.label(),
        Figures.count(group.tally().successes()),
        Figures.count(group.tally().trials()),
        Figures.finePercent(group.tally().proportion()),
        Figures.finePercent(interval.lower()),
        "to",
        Figures.finePercent(interval.upper()),
        holm(group.preferredTest()));
  }

  private void observed(RateByGroupAnswer answer) {
    lines.heading("Observed");
    TextTable table = new TextTable(Align.LEFT, Align.RIGHT, Align.RIGHT, Align.POINT, Align.POINT);
    table.header("", "successes", "of", "proportion", "standard error");
    for (RateAnswer group : answer.groups()) {
      Estimate estimate = group.estimates().get(0);
      table.row(
          group.label(),
          Figures.count(group.tally().successes()),
          Figures.count(group.tally().trials()),
          Figures.finePercent(estimate.value()),
          Figures.significant(100 * estimate.standardError(), 4) + " points");
    }
    lines.table(table);
    TextReport.source(lines, answer.from());
  }

  private void tests(RateByGroupAnswer answer) {
    lines.heading("Tests: " + RateText.claim(answer.settings()));
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.POINT, Align.POINT, Align.LEFT);
    table.header("", "", "z", "p", "Holm p", "after adjustment");
    double alpha = answer.settings().alpha();
    for (RateAnswer group : answer.groups()) {
      for (TestResult test : group.tests()) {
        table.row(
            group.label(),
            test.method().id(),
            statistic(test),
            Figures.pValue(test.log10PValue()),
            holm(test),
            test.rejectsAdjusted(alpha) ? "rejects" : "does not reject");
      }
    }
    lines.table(table);
  }

  /** Only a z; the counts themselves stand above. */
  private static String statistic(TestResult test) {
    TestResult.@Nullable Statistic statistic = test.statistic();
    return statistic == null || !statistic.name().equals("z")
        ? ""
        : Figures.significant(statistic.value(), 4);
  }

  private static String holm(TestResult test) {
    @Nullable AdjustedP adjusted = test.adjusted();
    return adjusted == null ? "" : Figures.pValue(adjusted.log10PValue());
  }

  private void intervals(RateByGroupAnswer answer) {
    lines.heading(
        "Intervals, level "
            + Figures.exactPercent(answer.settings().level())
            + ", each for itself");
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    for (RateAnswer group : answer.groups()) {
      for (Interval interval : group.intervals()) {
        if (interval.side() == Side.TWO_SIDED) {
          table.row(
              group.label(),
              interval.method().id(),
              Figures.finePercent(interval.lower()),
              "to",
              Figures.finePercent(interval.upper()),
              bound(group, interval.method().id()));
        }
      }
    }
    lines.table(table);
  }

  private static String bound(RateAnswer group, String method) {
    return group.intervals().stream()
        .filter(
            interval -> interval.side() != Side.TWO_SIDED && interval.method().id().equals(method))
        .findFirst()
        .map(RateText::bound)
        .orElse("");
  }

  /** Conditions that fail, group by group; those that hold in one line; what the data can't say. */
  private void conditions(RateByGroupAnswer answer) {
    lines.heading("Taken for granted");
    boolean allMet = true;
    List<Condition> failed = new ArrayList<>();
    for (RateAnswer group : answer.groups()) {
      for (Condition condition : group.conditions()) {
        if (condition.state() == Condition.State.NOT_MET) {
          allMet = false;
          failed.add(
              new Condition(
                  group.label() + ", " + condition.name(), condition.state(), condition.detail()));
        }
      }
    }
    RateText.failed(lines, failed, selected);
    if (allMet) {
      RateText.condition(
          lines,
          new Condition(
              "expected successes and failures",
              Condition.State.MET,
              "at least 10 each under the null in every group, enough for the normal"
                  + " approximation"));
    }
    answer.groups().get(0).conditions().stream()
        .filter(condition -> condition.state() == Condition.State.NOT_IN_THE_DATA)
        .forEach(condition -> RateText.condition(lines, condition));
  }

  private void cautions(RateByGroupAnswer answer) {
    List<Caution> cautions = new ArrayList<>(answer.cautions());
    Map<String, List<Caution>> byGroup = new LinkedHashMap<>();
    answer.groups().forEach(group -> byGroup.put(group.label(), group.cautions()));
    cautions.addAll(Selection.cautions(byGroup, selected));
    TextReport.cautions(lines, cautions);
  }

  private void working(RateAnswer group) {
    lines.heading(group.label());
    new WorkingText(lines).write(group.working());
  }
}
