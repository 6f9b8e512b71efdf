package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.ShownMembers;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.compare.CompareGroupsQuestion;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.SurveyCompareQuestion;
import dev.tavik.study.cross.StrataQuestion;
import dev.tavik.study.cross.SurveyCrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateByGroupQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.rate.SurveyRateQuestion;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.shares.SurveySharesQuestion;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Draws the intervals of an answer: a row a method, or a row a group, with the observed proportion
 * as a point and the null value as a line through all rows.
 */
final class IntervalPicture {
  private static final Drawings DRAWINGS =
      new Drawings(
              "this answer has no intervals to draw; ask for two of its judgements, or groups, at a"
                  + " time")
          .of(RateQuestion.class, IntervalPicture::one)
          .of(RateByGroupQuestion.class, IntervalPicture::several)
          .of(CompareQuestion.class, ComparisonPicture::ofTwo)
          .of(CompareGroupsQuestion.class, ComparisonPicture::ofGroups)
          .of(SharesQuestion.class, SharesPicture::intervals)
          .of(PairedQuestion.class, ComparisonPicture::ofPairs)
          .of(SurveyRateQuestion.class, SurveyPicture::rate)
          .of(SurveyCompareQuestion.class, SurveyPicture::compare)
          .of(SurveySharesQuestion.class, SurveyPicture::shares)
          .of(SurveyCrossQuestion.class, SurveyPicture::cross)
          .of(StrataQuestion.class, StrataPicture::of);

  private IntervalPicture() {}

  /**
   * The intervals of an answer.
   *
   * @param answer an answer about rates or a comparison
   * @return the picture
   * @throws IllegalArgumentException if the answer has no intervals
   */
  static Picture of(Answer answer) {
    return DRAWINGS.draw(answer);
  }

  private static IntervalChart chart(
      String title, String subtitle, List<IntervalRow> rows, double against) {
    return new IntervalChart(
        title,
        subtitle,
        List.of(
            new IntervalPanel("proportion, in percent", Scale.PERCENT, rows, List.of(against))));
  }

  private static Picture one(View<RateQuestion> answer) {
    List<IntervalRow> rows = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      rows.add(
          new IntervalRow(
              interval.method().id() + kind(interval),
              answer.question().tally().proportion(),
              interval,
              limits(interval),
              true));
    }
    String subject = answer.label().isEmpty() ? "Observed rate" : answer.label();
    String title =
        say(
            "%s: %s (%s of %s)",
            subject,
            Figures.percent(answer.question().tally().proportion()),
            Figures.count(answer.question().tally().successes()),
            Figures.count(answer.question().tally().trials()));
    String subtitle =
        say(
            "%s intervals for the true rate; %s",
            Figures.exactPercent(answer.question().settings().level()), decision(answer));
    return chart(title, subtitle, rows, answer.question().settings().hypothesis().against())
        .picture();
  }

  private static String decision(View<RateQuestion> answer) {
    TestResult test = answer.preferredTest();
    return say(
        "%s test against %s, %s: %s",
        test.method().id(),
        Figures.exactPercent(answer.question().settings().hypothesis().against()),
        answer.question().settings().hypothesis().alternative().id(),
        Figures.pEquals(test.log10PValue()));
  }

  static String kind(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED -> "";
      case LOWER -> ", lower bound";
      case UPPER -> ", upper bound";
    };
  }

  static String limits(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED ->
          say(
              "%s to %s",
              Figures.percentBeside(interval.lower(), interval.upper()),
              Figures.percentBeside(interval.upper(), interval.lower()));
      case UPPER -> "at most " + Figures.percent(interval.upper());
      case LOWER -> "at least " + Figures.percent(interval.lower());
    };
  }

  private static Picture several(View<RateByGroupQuestion> answer) {
    RateSettings settings = answer.question().settings();
    List<View<RateQuestion>> groups = View.parts(answer.answer(), RateQuestion.class);
    List<IntervalRow> rows = new ArrayList<>();
    for (View<RateQuestion> group :
        ShownMembers.ends(groups, each -> each.question().tally().proportion())) {
      TestResult test = group.preferredTest();
      boolean rejects = test.rejectsAdjusted(settings.alpha());
      String name =
          say(
              "%s  %s of %s",
              Figures.shortened(group.label()),
              Figures.count(group.question().tally().successes()),
              Figures.count(group.question().tally().trials()));
      rows.add(
          new IntervalRow(
              name,
              group.question().tally().proportion(),
              twoSided(group),
              text(group, rejects),
              rejects));
    }
    String title = (answer.label().isEmpty() ? "Observed rates" : answer.label()) + by(answer);
    String subtitle =
        say(
            "%s %s intervals; %s test, %s, p adjusted by Holm's method; filled: rejected at alpha"
                + " %s",
            Figures.exactPercent(settings.level()),
            groups.get(0).interval().title(),
            groups.get(0).testId(),
            settings.hypothesis().alternative().id(),
            Figures.plain(settings.alpha()));
    return chart(title, subtitle, rows, settings.hypothesis().against()).picture();
  }

  private static String by(View<RateByGroupQuestion> answer) {
    return answer.question().from() == null || answer.question().from().group() == null
        ? ""
        : ", by " + answer.question().from().group();
  }

  private static Interval twoSided(View<RateQuestion> group) {
    return group.intervals().stream()
        .filter(
            interval -> interval.side() == Side.TWO_SIDED && interval.method() == group.interval())
        .findFirst()
        .orElseThrow();
  }

  private static String text(View<RateQuestion> group, boolean rejects) {
    @Nullable AdjustedP adjusted = group.preferredTest().adjusted();
    double log10 = adjusted == null ? group.preferredTest().log10PValue() : adjusted.log10PValue();
    return say(
        "%s, %s%s",
        Figures.percent(group.question().tally().proportion()),
        Figures.pEquals(log10),
        rejects ? ", rejected" : "");
  }
}
