package dev.tavik.report;

import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CompareSettings;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.Show;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Draws comparisons: the rates a row a group, and below them the differences and ratios. */
final class ComparisonPicture {
  private ComparisonPicture() {}

  static Picture of(CompareAnswer answer) {
    List<IntervalPanel> panels = new ArrayList<>();
    panels.add(rates(List.of(answer.first(), answer.second()), answer.settings()));
    List<IntervalRow> differences = new ArrayList<>();
    List<IntervalRow> ratios = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      boolean difference = interval.quantity() == Quantity.DIFFERENCE;
      String name =
          difference
              ? interval.method().id()
              : interval.method().id() + ", " + interval.quantity().id().replace('-', ' ');
      (difference ? differences : ratios)
          .add(
              new IntervalRow(
                  name + IntervalPicture.kind(interval),
                  estimate(answer.estimates(), pointOf(interval)),
                  interval,
                  difference ? points(interval) : times(interval),
                  true));
    }
    if (!differences.isEmpty()) {
      panels.add(
          new IntervalPanel(
              answer.order() + ", in percentage points",
              Scale.POINTS,
              differences,
              references(answer.settings())));
    }
    if (!ratios.isEmpty()) {
      panels.add(
          new IntervalPanel(
              String.format(
                  Locale.ROOT,
                  "%s against %s, as a ratio",
                  answer.first().name(),
                  answer.second().name()),
              Scale.TIMES,
              ratios,
              List.of(1.0)));
    }
    String title =
        String.format(
            Locale.ROOT,
            "%s%s against %s",
            answer.label().isEmpty() ? "" : answer.label() + ": ",
            IntervalPicture.shortened(answer.first().name()),
            IntervalPicture.shortened(answer.second().name()));
    return new IntervalChart(title, subtitle(answer), panels).picture();
  }

  /** A conditional interval belongs to the conditional estimate. */
  private static Quantity pointOf(Interval interval) {
    return interval.method().id().startsWith("conditional")
        ? Quantity.CONDITIONAL_ODDS_RATIO
        : interval.quantity();
  }

  private static String subtitle(CompareAnswer answer) {
    return String.format(
        Locale.ROOT,
        "%s intervals; rates with Wilson's; %s test, %s: %s",
        Figures.exactPercent(answer.settings().level()),
        answer.preference().test().id(),
        answer.settings().show() == Show.DIFFERENCE
            ? answer.settings().hypothesis().alternative().id()
            : "to show " + answer.settings().show().id(),
        Figures.pEquals(answer.preferredTest().log10PValue()));
  }

  private static List<Double> references(CompareSettings settings) {
    List<Double> references = new ArrayList<>();
    references.add(settings.hypothesis().against());
    Double margin = settings.margin();
    if (margin != null) {
      references.add(-margin);
      references.add(margin);
    }
    return references;
  }

  private static List<NamedTally> highestAndLowest(List<NamedTally> groups) {
    return Selection.ends(groups, group -> group.tally().proportion());
  }

  private static IntervalPanel rates(List<NamedTally> groups, CompareSettings settings) {
    List<IntervalRow> rows = new ArrayList<>();
    for (NamedTally group : groups) {
      rows.add(rate(group.name(), group.tally(), settings.rate(group.tally())));
    }
    return new IntervalPanel("proportion, in percent", Scale.PERCENT, rows, List.of());
  }

  private static IntervalRow rate(String name, Tally tally, Interval interval) {
    return new IntervalRow(
        String.format(
            Locale.ROOT,
            "%s  %s of %s",
            IntervalPicture.shortened(name),
            Figures.count(tally.successes()),
            Figures.count(tally.trials())),
        tally.proportion(),
        interval,
        Figures.percent(tally.proportion()),
        true);
  }

  private static double estimate(List<Estimate> estimates, Quantity quantity) {
    return estimates.stream()
        .filter(estimate -> estimate.quantity() == quantity)
        .findFirst()
        .orElseThrow()
        .value();
  }

  private static String points(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED -> signed(interval.lower()) + " to " + signed(interval.upper());
      case UPPER -> "at most " + signed(interval.upper());
      case LOWER -> "at least " + signed(interval.lower());
    };
  }

  private static String signed(double difference) {
    return (difference < 0 ? "-" : "") + Figures.points(difference);
  }

  static String times(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED -> number(interval.lower()) + " to " + number(interval.upper());
      case UPPER -> "at most " + number(interval.upper());
      case LOWER -> "at least " + number(interval.lower());
    };
  }

  private static String number(double value) {
    if (Double.isInfinite(value)) {
      return "no limit";
    }
    return value == 0 ? "0" : Figures.significant(value, 3);
  }

  /** Of very many groups or pairs as many as can be read, the pairs with the smallest p-values. */
  static Picture of(CompareGroupsAnswer answer) {
    List<IntervalRow> rows = new ArrayList<>();
    List<CompareAnswer> pairs = answer.pairs();
    if (pairs.size() > Selection.MOST_ROWS) {
      pairs =
          Selection.first(
              pairs, Comparator.comparingDouble(pair -> pair.preferredTest().log10PValue()));
    }
    Quantity quantity =
        pairs.isEmpty() ? Quantity.DIFFERENCE : pairs.get(0).preferredInterval().quantity();
    for (CompareAnswer pair : pairs) {
      TestResult test = pair.preferredTest();
      boolean rejects = test.rejectsAdjusted(answer.settings().alpha());
      @Nullable AdjustedP adjusted = test.adjusted();
      double log10 = adjusted == null ? test.log10PValue() : adjusted.log10PValue();
      pair.intervals().stream()
          .filter(
              each ->
                  each.side() == Side.TWO_SIDED
                      && each.quantity() == quantity
                      && each.method().id().equals(pair.preference().interval().id()))
          .forEach(
              each ->
                  rows.add(
                      new IntervalRow(
                          IntervalPicture.shortened(pair.order()),
                          estimate(pair.estimates(), quantity),
                          each,
                          Figures.pEquals(log10) + (rejects ? ", rejected" : ""),
                          rejects)));
    }
    List<IntervalPanel> panels = new ArrayList<>();
    panels.add(rates(highestAndLowest(answer.groups()), answer.settings()));
    if (!rows.isEmpty()) {
      boolean difference = quantity == Quantity.DIFFERENCE;
      panels.add(
          new IntervalPanel(
              difference
                  ? "difference, in percentage points"
                  : "the first against the second, as a ratio",
              difference ? Scale.POINTS : Scale.TIMES,
              rows,
              difference ? references(answer.settings()) : List.of(1.0)));
    }
    String title =
        (answer.label().isEmpty() ? "Groups" : answer.label())
            + (answer.from() == null || answer.from().group() == null
                ? ""
                : ", by " + answer.from().group());
    String subtitle =
        String.format(
            Locale.ROOT,
            "%s intervals, rates with Wilson's; all groups together %s%s",
            Figures.exactPercent(answer.settings().level()),
            Figures.pEquals(answer.overall().get(0).log10PValue()),
            pairs.isEmpty()
                ? ""
                : String.format(
                    Locale.ROOT,
                    "; %spairs by %s, p adjusted by Holm's method",
                    rows.size() < answer.pairs().size()
                        ? String.format(
                            Locale.ROOT, "%d of %,d ", rows.size(), answer.pairs().size())
                        : "",
                    pairs.get(0).preference().test().id()));
    return new IntervalChart(title, subtitle, panels).picture();
  }

  static Picture of(PairedAnswer answer) {
    CompareSettings level = CompareSettings.usual().level(answer.settings().level());
    IntervalPanel rates =
        rates(
            List.of(
                new NamedTally(answer.first(), answer.tally().first()),
                new NamedTally(answer.second(), answer.tally().second())),
            level);
    List<IntervalRow> rows = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      rows.add(
          new IntervalRow(
              interval.method().id() + IntervalPicture.kind(interval),
              answer.tally().difference(),
              interval,
              points(interval),
              true));
    }
    String title =
        String.format(
            Locale.ROOT,
            "%s%s against %s, the same %s units",
            answer.label().isEmpty() ? "" : answer.label() + ": ",
            IntervalPicture.shortened(answer.first()),
            IntervalPicture.shortened(answer.second()),
            Figures.count(answer.tally().pairs()));
    String subtitle =
        String.format(
            Locale.ROOT,
            "%s intervals; %d discordant pairs; %s test, %s: %s",
            Figures.exactPercent(answer.settings().level()),
            answer.tally().discordant(),
            answer.preference().test().id(),
            answer.settings().alternative().id(),
            Figures.pEquals(answer.preferredTest().log10PValue()));
    return new IntervalChart(
            title,
            subtitle,
            List.of(
                rates,
                new IntervalPanel(
                    answer.order() + ", in percentage points", Scale.POINTS, rows, List.of(0.0))))
        .picture();
  }
}
