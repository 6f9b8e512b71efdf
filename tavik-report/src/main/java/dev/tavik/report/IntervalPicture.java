package dev.tavik.report;

import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.Answer;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.RateSettings;
import dev.tavik.study.SharesAnswer;
import dev.tavik.study.StrataAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Draws the intervals of an answer: a row a method, or a row a group, with the observed proportion
 * as a point and the null value as a line through all rows.
 */
public final class IntervalPicture {
  private static final int LONGEST_NAME = 28;

  private IntervalPicture() {}

  /**
   * The intervals of an answer.
   *
   * @param answer an answer about rates or a comparison
   * @return the picture
   * @throws IllegalArgumentException if the answer has no intervals
   */
  public static Picture of(Answer answer) {
    if (answer instanceof RateAnswer rate) {
      return one(rate);
    }
    if (answer instanceof RateByGroupAnswer rates) {
      return several(rates);
    }
    if (answer instanceof CompareAnswer comparison) {
      return ComparisonPicture.of(comparison);
    }
    if (answer instanceof CompareGroupsAnswer comparisons) {
      return ComparisonPicture.of(comparisons);
    }
    if (answer instanceof SharesAnswer shares) {
      return SharesPicture.intervals(shares);
    }
    if (answer instanceof PairedAnswer paired) {
      return ComparisonPicture.of(paired);
    }
    if (answer instanceof CrossAnswer cross) {
      return CrossPicture.shares(cross);
    }
    if (answer instanceof StrataAnswer strata) {
      return StrataPicture.of(strata);
    }
    throw new IllegalArgumentException(
        "answer must have intervals to draw, got: " + answer.conclusion());
  }

  private static IntervalChart chart(
      String title, String subtitle, List<IntervalRow> rows, double against) {
    return new IntervalChart(
        title,
        subtitle,
        List.of(
            new IntervalPanel("proportion, in percent", Scale.PERCENT, rows, List.of(against))));
  }

  private static Picture one(RateAnswer answer) {
    List<IntervalRow> rows = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      rows.add(
          new IntervalRow(
              interval.method().id() + kind(interval),
              answer.tally().proportion(),
              interval,
              limits(interval),
              true));
    }
    String subject = answer.label().isEmpty() ? "Observed rate" : answer.label();
    String title =
        String.format(
            Locale.ROOT,
            "%s: %s (%s of %s)",
            subject,
            Figures.percent(answer.tally().proportion()),
            Figures.count(answer.tally().successes()),
            Figures.count(answer.tally().trials()));
    String subtitle =
        String.format(
            Locale.ROOT,
            "%s intervals for the true rate; %s",
            Figures.exactPercent(answer.settings().level()),
            decision(answer));
    return chart(title, subtitle, rows, answer.settings().hypothesis().against()).picture();
  }

  private static String decision(RateAnswer answer) {
    TestResult test = answer.preferredTest();
    return String.format(
        Locale.ROOT,
        "%s test against %s, %s: %s",
        test.method().id(),
        Figures.exactPercent(answer.settings().hypothesis().against()),
        answer.settings().hypothesis().alternative().id(),
        Figures.pEquals(test.log10PValue()));
  }

  static String kind(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED -> "";
      case LOWER -> ", lower bound";
      case UPPER -> ", upper bound";
    };
  }

  private static String limits(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED ->
          Figures.percentBeside(interval.lower(), interval.upper())
              + " to "
              + Figures.percentBeside(interval.upper(), interval.lower());
      case UPPER -> "at most " + Figures.percent(interval.upper());
      case LOWER -> "at least " + Figures.percent(interval.lower());
    };
  }

  private static Picture several(RateByGroupAnswer answer) {
    RateSettings settings = answer.settings();
    List<IntervalRow> rows = new ArrayList<>();
    for (RateAnswer group : Selection.ends(answer.groups(), each -> each.tally().proportion())) {
      TestResult test = group.preferredTest();
      boolean rejects = test.rejectsAdjusted(settings.alpha());
      String name =
          String.format(
              Locale.ROOT,
              "%s  %s of %s",
              shortened(group.label()),
              Figures.count(group.tally().successes()),
              Figures.count(group.tally().trials()));
      rows.add(
          new IntervalRow(
              name, group.tally().proportion(), twoSided(group), text(group, rejects), rejects));
    }
    String title = (answer.label().isEmpty() ? "Observed rates" : answer.label()) + by(answer);
    String subtitle =
        String.format(
            Locale.ROOT,
            "%s %s intervals; %s test, %s, p adjusted by Holm's method; filled: rejected at alpha"
                + " %s",
            Figures.exactPercent(settings.level()),
            title(answer.groups().get(0)),
            answer.groups().get(0).preference().test().id(),
            settings.hypothesis().alternative().id(),
            Figures.plain(settings.alpha()));
    return chart(title, subtitle, rows, settings.hypothesis().against()).picture();
  }

  private static String title(RateAnswer answer) {
    return answer.settings().intervals().stream()
        .filter(method -> method.id().equals(answer.preference().interval().id()))
        .findFirst()
        .orElseThrow()
        .title();
  }

  static String shortened(String name) {
    return name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - 1) + "…";
  }

  private static String by(RateByGroupAnswer answer) {
    return answer.from() == null || answer.from().group() == null
        ? ""
        : ", by " + answer.from().group();
  }

  private static Interval twoSided(RateAnswer group) {
    return group.intervals().stream()
        .filter(
            interval ->
                interval.side() == Side.TWO_SIDED
                    && interval.method().id().equals(group.preference().interval().id()))
        .findFirst()
        .orElseThrow();
  }

  private static String text(RateAnswer group, boolean rejects) {
    @Nullable AdjustedP adjusted = group.preferredTest().adjusted();
    double log10 = adjusted == null ? group.preferredTest().log10PValue() : adjusted.log10PValue();
    return Figures.percent(group.tally().proportion())
        + ", "
        + Figures.pEquals(log10)
        + (rejects ? ", rejected" : "");
  }
}
