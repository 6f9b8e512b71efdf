package dev.tavik.report;

import dev.tavik.count.NamedTally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CompareSettings;
import dev.tavik.study.Show;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The answers about several groups: all together, then pair by pair. */
final class CompareGroupsText {
  private final Lines lines;
  private final Detail detail;
  private boolean selected;

  CompareGroupsText(Lines lines, Detail detail) {
    this.lines = lines;
    this.detail = detail;
  }

  void write(CompareGroupsAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    observed(answer);
    TextReport.source(lines, answer.from());
    overall(answer);
    selected = Selection.needed(answer.pairs().size(), detail);
    if (selected) {
      clearest(answer);
    } else if (!answer.pairs().isEmpty()) {
      pairs(answer);
      intervals(answer);
      if (answer.settings().bayes() != null) {
        new BayesText(lines).write(answer);
      }
    }
    if (!answer.pairs().isEmpty()) {
      basis(answer.pairs().get(0));
      conditions(answer);
    }
    cautions(answer);
    if (detail == Detail.WORKING) {
      for (CompareAnswer pair : answer.pairs()) {
        lines.heading(pair.order());
        new WorkingText(lines).write(pair.working());
      }
    }
  }

  private void basis(CompareAnswer first) {
    lines.blank();
    lines.paragraph(
        "",
        "",
        String.format(
            Locale.ROOT,
            "The verdict rests on %s and %s for every pair. Intervals are each for itself, not"
                + " adjusted for the number of pairs.",
            first.preference().test().id(),
            first.preference().interval().id()));
  }

  /** A row a group; of very many those with the highest and the lowest rates. */
  private void observed(CompareGroupsAnswer answer) {
    List<NamedTally> groups = answer.groups();
    if (!Selection.needed(groups.size(), detail)) {
      CompareText.observed(lines, groups);
      return;
    }
    int half = Selection.MOST_ROWS / 2;
    CompareText.observed(
        lines,
        String.format(
            Locale.ROOT,
            "Observed, the %d highest and the %d lowest rates of %s groups; all with --out FILE",
            half,
            half,
            Figures.count(groups.size())),
        Selection.ends(groups, group -> group.tally().proportion()));
  }

  /** Of very many pairs those with the smallest p-values, a row each. */
  private void clearest(CompareGroupsAnswer answer) {
    List<CompareAnswer> shown =
        Selection.first(
            answer.pairs(), Comparator.comparingDouble(pair -> pair.preferredTest().log10PValue()));
    lines.heading(
        String.format(
            Locale.ROOT,
            "The %d pairs of %s with the smallest p: %s",
            shown.size(),
            Figures.count(answer.pairs().size()),
            CompareText.claim(answer.settings(), "the first", "the second")));
    boolean points = answer.pairs().get(0).preferredInterval().quantity() == Quantity.DIFFERENCE;
    TextTable table =
        new TextTable(Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.POINT, Align.LEFT);
    table.header("", points ? "points" : "times", "", "", "Holm p", "adjusted");
    for (CompareAnswer pair : shown) {
      Interval interval = twoSided(pair);
      TestResult test = pair.preferredTest();
      table.row(
          pair.order(),
          CompareText.limit(interval, interval.lower()),
          "to",
          CompareText.limit(interval, interval.upper()),
          holm(test),
          decision(test, answer));
    }
    lines.table(table);
    lines.paragraph("  ", "  ", "Every pair, every test and interval: --out FILE, or --json.");
  }

  private static Interval twoSided(CompareAnswer pair) {
    Interval preferred = pair.preferredInterval();
    return pair.intervals().stream()
        .filter(
            each ->
                each.side() == Side.TWO_SIDED
                    && each.quantity() == preferred.quantity()
                    && each.method().id().equals(preferred.method().id()))
        .findFirst()
        .orElseThrow();
  }

  private static String holm(TestResult test) {
    @Nullable AdjustedP adjusted = test.adjusted();
    return adjusted == null ? "" : Figures.pValue(adjusted.log10PValue());
  }

  private static String decision(TestResult test, CompareGroupsAnswer answer) {
    return test.rejectsAdjusted(answer.settings().alpha()) ? "rejects" : "does not";
  }

  private void overall(CompareGroupsAnswer answer) {
    lines.heading("All groups together: null, the same proportion in every group");
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "", "p", "");
    for (TestResult test : answer.overall()) {
      TestResult.@Nullable Statistic statistic = test.statistic();
      table.row(
          test.method().id(),
          statistic == null
              ? "no statistic"
              : statistic.name() + " = " + Figures.significant(statistic.value(), 4),
          test.df() == null ? "" : "df " + Figures.plain(test.df()),
          Figures.pValue(test.log10PValue()),
          test.rejects(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
  }

  private void pairs(CompareGroupsAnswer answer) {
    lines.heading(
        "Pair by pair: " + CompareText.claim(answer.settings(), "the first", "the second"));
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.POINT, Align.POINT, Align.LEFT);
    table.header("", "", "z", "p", "Holm p", "adjusted");
    for (CompareAnswer pair : answer.pairs()) {
      String name = pair.order();
      for (TestResult test : pair.tests()) {
        table.row(
            name,
            test.method().id(),
            z(test),
            Figures.pValue(test.log10PValue()),
            holm(test),
            decision(test, answer));
        name = "";
      }
      for (var refusal : pair.refusals()) {
        table.row(name, refusal.method().id(), "", "not made", "", "");
      }
    }
    lines.table(table);
  }

  private static String z(TestResult test) {
    TestResult.@Nullable Statistic statistic = test.statistic();
    return statistic == null || !statistic.name().equals("z")
        ? ""
        : Figures.significant(statistic.value(), 4);
  }

  /** The differences; ratios and odds ratios where their intervals were asked for. */
  private void intervals(CompareGroupsAnswer answer) {
    Set<Quantity> asked = new LinkedHashSet<>();
    boolean chosen = !answer.settings().intervals().equals(CompareSettings.usual().intervals());
    for (ComparisonInterval interval : answer.settings().intervals()) {
      if (chosen || interval.quantity() == Quantity.DIFFERENCE) {
        asked.add(interval.quantity());
      }
    }
    for (Quantity quantity : asked) {
      String what =
          switch (quantity) {
            case DIFFERENCE -> "Differences in points";
            case RATIO -> "Ratios, the first by the second";
            default -> "Odds ratios, the first by the second";
          };
      lines.heading(what + ", level " + Figures.exactPercent(answer.settings().level()));
      lines.table(intervals(answer, quantity));
    }
    Double margin = answer.settings().margin();
    if (margin != null && answer.settings().show() == Show.DIFFERENCE) {
      List<String> within =
          answer.pairs().stream()
              .filter(
                  pair ->
                      pair.preferredInterval().quantity() == Quantity.DIFFERENCE
                          && pair.preferredInterval().lower() > -margin
                          && pair.preferredInterval().upper() < margin)
              .map(CompareAnswer::order)
              .toList();
      lines.paragraph(
          "  ",
          "  ",
          String.format(
              Locale.ROOT,
              "The margin is %s; wholly within it: %s.",
              Figures.shortPoints(margin),
              within.isEmpty() ? "none" : String.join(", ", within)));
    }
  }

  private static TextTable intervals(CompareGroupsAnswer answer, Quantity quantity) {
    TextTable table =
        new TextTable(Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT);
    for (CompareAnswer pair : answer.pairs()) {
      String name = pair.order();
      for (Interval interval : pair.intervals()) {
        if (interval.quantity() == quantity && interval.side() == Side.TWO_SIDED) {
          table.row(
              name,
              name.isEmpty() ? "" : estimate(pair, quantity),
              interval.method().id(),
              CompareText.limit(interval, interval.lower()),
              "to",
              CompareText.limit(interval, interval.upper()));
          name = "";
        }
      }
    }
    return table;
  }

  private static String estimate(CompareAnswer pair, Quantity quantity) {
    double value =
        pair.estimates().stream()
            .filter(estimate -> estimate.quantity() == quantity)
            .findFirst()
            .orElseThrow()
            .value();
    return quantity == Quantity.DIFFERENCE
        ? CompareText.pointsOf(value)
        : CompareText.number(value);
  }

  /** Conditions that fail, pair by pair; those that hold in one line; what the data can't say. */
  private void conditions(CompareGroupsAnswer answer) {
    lines.heading("Taken for granted");
    boolean allMet = true;
    List<Condition> failed = new ArrayList<>();
    for (CompareAnswer pair : answer.pairs()) {
      for (Condition condition : pair.conditions()) {
        if (condition.state() == Condition.State.NOT_MET) {
          allMet = false;
          failed.add(
              new Condition(
                  pair.order() + ", " + condition.name(), condition.state(), condition.detail()));
        }
      }
    }
    RateText.failed(lines, failed, selected);
    if (allMet) {
      RateText.condition(
          lines,
          new Condition(
              "expected counts",
              Condition.State.MET,
              "at least 5 successes and 5 failures are expected in each group of every pair, enough"
                  + " for the normal approximation"));
    }
    answer.pairs().get(0).conditions().stream()
        .filter(condition -> condition.state() == Condition.State.NOT_IN_THE_DATA)
        .forEach(condition -> RateText.condition(lines, condition));
  }

  private void cautions(CompareGroupsAnswer answer) {
    List<Caution> cautions = new ArrayList<>(answer.cautions());
    Map<String, List<Caution>> byPair = new LinkedHashMap<>();
    answer.pairs().forEach(pair -> byPair.put(pair.order(), pair.cautions()));
    cautions.addAll(Selection.cautions(byPair, selected));
    TextReport.cautions(lines, cautions);
  }
}
