package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.ShownMembers;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.compare.CompareGroupsQuestion;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.paired.PairedQuestion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Draws comparisons: the rates a row a group, and below them the differences and ratios. */
final class ComparisonPicture {
  private ComparisonPicture() {}

  static Picture ofTwo(View<CompareQuestion> answer) {
    List<IntervalPanel> panels = new ArrayList<>();
    panels.add(
        rates(
            List.of(answer.question().first(), answer.question().second()),
            answer.question().settings()));
    List<IntervalRow> differences = new ArrayList<>();
    List<IntervalRow> ratios = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      if (interval.quantity() == Estimand.NUMBER_NEEDED) {
        continue;
      }
      boolean difference = interval.quantity() == Estimand.DIFFERENCE;
      String name =
          difference
              ? interval.method().id()
              : interval.method().id() + ", " + interval.quantity().id().replace('-', ' ');
      (difference ? differences : ratios)
          .add(
              new IntervalRow(
                  name + IntervalPicture.kind(interval),
                  answer.answer().estimate(pointOf(interval)).value(),
                  interval,
                  difference ? points(interval) : times(interval),
                  true));
    }
    if (!differences.isEmpty()) {
      panels.add(
          new IntervalPanel(
              answer.question().order() + ", in percentage points",
              Scale.POINTS,
              differences,
              references(answer.question().settings().claim())));
    }
    if (!ratios.isEmpty()) {
      panels.add(
          new IntervalPanel(
              say(
                  "%s against %s, as a ratio",
                  answer.question().first().name(), answer.question().second().name()),
              Scale.TIMES,
              ratios,
              List.of(1.0)));
    }
    String title =
        say(
            "%s%s against %s",
            answer.label().isEmpty() ? "" : answer.label() + ": ",
            Figures.shortened(answer.question().first().name()),
            Figures.shortened(answer.question().second().name()));
    return new IntervalChart(title, subtitle(answer), panels).picture();
  }

  /** A conditional interval belongs to the conditional estimate. */
  private static Estimand pointOf(Interval interval) {
    return interval.method().id().startsWith("conditional")
        ? Estimand.CONDITIONAL_ODDS_RATIO
        : interval.quantity();
  }

  private static String subtitle(View<CompareQuestion> answer) {
    ComparisonClaim claim = answer.question().settings().claim();
    return say(
        "%s intervals; rates with Wilson's; %s test, %s: %s",
        Figures.exactPercent(answer.question().settings().level()),
        answer.testId(),
        claim.goal() == ComparisonGoal.DIFFERENCE
            ? claim.alternative().id()
            : "to show " + claim.goal().id(),
        Figures.pEquals(answer.preferredTest().log10PValue()));
  }

  static List<Double> references(ComparisonClaim claim) {
    List<Double> references = new ArrayList<>();
    Double margin = claim.largest();
    references.add(claim.hypothesis().against());
    // Of non-inferiority the null is the one end of the margin that matters.
    if (claim.goal() != ComparisonGoal.NONINFERIOR && margin != null) {
      references.add(-margin);
      references.add(margin);
    }
    return references;
  }

  private static List<NamedTally> highestAndLowest(List<NamedTally> groups) {
    return ShownMembers.ends(groups, group -> group.tally().proportion());
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
        say(
            "%s  %s of %s",
            Figures.shortened(name),
            Figures.count(tally.successes()),
            Figures.count(tally.trials())),
        tally.proportion(),
        interval,
        Figures.percent(tally.proportion()),
        true);
  }

  static String points(Interval interval) {
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
  static Picture ofGroups(View<CompareGroupsQuestion> answer) {
    List<IntervalRow> rows = new ArrayList<>();
    List<View<CompareQuestion>> all = View.parts(answer.answer(), CompareQuestion.class);
    List<View<CompareQuestion>> pairs = all;
    if (pairs.size() > ShownMembers.MOST_ROWS) {
      pairs =
          ShownMembers.first(
              pairs, Comparator.comparingDouble(pair -> pair.preferredTest().log10PValue()));
    }
    Estimand quantity = pairs.isEmpty() ? Estimand.DIFFERENCE : preferred(pairs.get(0));
    for (View<CompareQuestion> pair : pairs) {
      TestResult test = pair.preferredTest();
      boolean rejects = test.rejectsAdjusted(answer.question().settings().alpha());
      @Nullable AdjustedP adjusted = test.adjusted();
      double log10 = adjusted == null ? test.log10PValue() : adjusted.log10PValue();
      pair.intervals().stream()
          .filter(
              each ->
                  each.side() == Side.TWO_SIDED
                      && each.quantity() == quantity
                      && each.method() == pair.interval())
          .forEach(
              each ->
                  rows.add(
                      new IntervalRow(
                          Figures.shortened(pair.question().order()),
                          pair.answer().estimate(quantity).value(),
                          each,
                          Figures.pEquals(log10) + (rejects ? ", rejected" : ""),
                          rejects)));
    }
    List<IntervalPanel> panels = new ArrayList<>();
    panels.add(rates(highestAndLowest(answer.question().groups()), answer.question().settings()));
    if (!rows.isEmpty()) {
      boolean difference = quantity == Estimand.DIFFERENCE;
      panels.add(
          new IntervalPanel(
              difference
                  ? "difference, in percentage points"
                  : "the first against the second, as a ratio",
              difference ? Scale.POINTS : Scale.TIMES,
              rows,
              difference ? references(answer.question().settings().claim()) : List.of(1.0)));
    }
    String title =
        (answer.label().isEmpty() ? "Groups" : answer.label())
            + (answer.question().from() == null || answer.question().from().group() == null
                ? ""
                : ", by " + answer.question().from().group());
    String subtitle =
        say(
            "%s intervals, rates with Wilson's; all groups together %s%s",
            Figures.exactPercent(answer.question().settings().level()),
            Figures.pEquals(answer.tests().get(0).log10PValue()),
            pairs.isEmpty()
                ? ""
                : say(
                    "; %spairs by %s, p adjusted by Holm's method",
                    rows.size() < all.size() ? say("%d of %,d ", rows.size(), all.size()) : "",
                    pairs.get(0).testId()));
    return new IntervalChart(title, subtitle, panels).picture();
  }

  private static Estimand preferred(View<CompareQuestion> pair) {
    return pair.intervals().stream().anyMatch(each -> each.quantity() == Estimand.DIFFERENCE)
        ? Estimand.DIFFERENCE
        : pair.intervals().get(0).quantity();
  }

  static Picture ofPairs(View<PairedQuestion> answer) {
    CompareSettings level = CompareSettings.usual().level(answer.question().settings().level());
    IntervalPanel rates =
        rates(
            List.of(
                new NamedTally(answer.question().first(), answer.question().tally().first()),
                new NamedTally(answer.question().second(), answer.question().tally().second())),
            level);
    List<IntervalRow> rows = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      rows.add(
          new IntervalRow(
              interval.method().id() + IntervalPicture.kind(interval),
              answer.question().tally().difference(),
              interval,
              points(interval),
              true));
    }
    String title =
        say(
            "%s%s against %s, the same %s units",
            answer.label().isEmpty() ? "" : answer.label() + ": ",
            Figures.shortened(answer.question().first()),
            Figures.shortened(answer.question().second()),
            Figures.count(answer.question().tally().pairs()));
    String subtitle =
        say(
            "%s intervals; %d discordant pairs; %s test, %s: %s",
            Figures.exactPercent(answer.question().settings().level()),
            answer.question().tally().discordant(),
            answer.testId(),
            answer.question().settings().alternative().id(),
            Figures.pEquals(answer.preferredTest().log10PValue()));
    return new IntervalChart(
            title,
            subtitle,
            List.of(
                rates,
                new IntervalPanel(
                    answer.question().order() + ", in percentage points",
                    Scale.POINTS,
                    rows,
                    List.of(0.0))))
        .picture();
  }
}
