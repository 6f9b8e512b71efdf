package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Cells;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.compare.SurveyCompareQuestion;
import dev.tavik.study.cross.SurveyCrossQuestion;
import dev.tavik.study.rate.SurveyRateQuestion;
import dev.tavik.study.shares.SurveySharesQuestion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Draws the intervals of a designed sample, and below them with a hollow point what the same rows
 * would say if they had been drawn simply at random.
 */
final class SurveyPicture {
  private static final String SIMPLY = "as if simple random";

  private SurveyPicture() {}

  static Picture rate(View<SurveyRateQuestion> answer) {
    double against = answer.question().hypothesis().against();
    List<IntervalRow> rows =
        answer.answer().parts().isEmpty()
            ? one(decided(answer.answer()))
            : several(answer.answer());
    return picture(
        answer.answer(),
        answer.label().isEmpty() ? "Estimated rate" : answer.label(),
        answer.question().level(),
        List.of(
            new IntervalPanel("proportion, in percent", Scale.PERCENT, rows, List.of(against))));
  }

  static Picture compare(View<SurveyCompareQuestion> answer) {
    List<Double> references = ComparisonPicture.references(answer.question().claim());
    Answer whole = answer.answer();
    List<IntervalPanel> panels = new ArrayList<>();
    if (!whole.parts().isEmpty()) {
      boolean difference =
          tested(whole).get(0).interval(method(whole)).quantity() == Estimand.DIFFERENCE;
      panels.add(
          new IntervalPanel(
              difference ? "difference, in percentage points" : "as a ratio",
              difference ? Scale.POINTS : Scale.TIMES,
              several(whole),
              difference ? references : List.of(1.0)));
    } else {
      List<IntervalRow> rows = one(whole);
      List<IntervalRow> differences =
          rows.stream().filter(row -> row.interval().quantity() == Estimand.DIFFERENCE).toList();
      List<IntervalRow> ratios = rows.stream().filter(row -> !differences.contains(row)).toList();
      if (!differences.isEmpty()) {
        panels.add(
            new IntervalPanel(
                "difference, in percentage points", Scale.POINTS, differences, references));
      }
      if (!ratios.isEmpty()) {
        panels.add(new IntervalPanel("as a ratio", Scale.TIMES, ratios, List.of(1.0)));
      }
    }
    String title = answer.label().isEmpty() ? "Compared by the design" : answer.label();
    return picture(whole, title, answer.question().level(), panels);
  }

  private static Method method(Answer whole) {
    return whole.verdict().interval().orElseThrow();
  }

  static Picture shares(View<SurveySharesQuestion> answer) {
    List<IntervalRow> rows = new ArrayList<>();
    for (int i = 0; i < answer.question().levels().size(); i++) {
      Interval interval = answer.intervals().get(i);
      double claimed = answer.question().claimed().share(i);
      double share = answer.answer().estimates().get(i).value();
      rows.add(
          new IntervalRow(
              Figures.shortened(answer.question().levels().get(i)),
              share,
              interval,
              say(
                  "%s, claimed %s",
                  Figures.percentBeside(share, claimed), Figures.percentBeside(claimed, share)),
              !interval.contains(claimed),
              claimed));
    }
    return picture(
        answer.answer(),
        answer.label().isEmpty() ? "Shares by the design" : answer.label(),
        answer.question().level(),
        List.of(
            new IntervalPanel(
                "share, in percent; upright bars: claimed", Scale.PERCENT, rows, List.of())));
  }

  /** The percents of each column, a panel a column. */
  static Picture cross(View<SurveyCrossQuestion> answer) {
    if (!answer.answer().parts().isEmpty()) {
      throw new IllegalArgumentException("each layer has a picture of its own; ask for one alone");
    }
    List<Interval> intervals =
        answer.intervals().stream().filter(each -> each.quantity() == Estimand.PROPORTION).toList();
    Cells cells =
        answer.answer().findAll(Cells.class).stream()
            .filter(each -> !each.key().isEmpty())
            .findFirst()
            .orElseThrow();
    List<IntervalPanel> panels = new ArrayList<>();
    int rows = cells.rows().size();
    int columns = Math.min(cells.columns().size(), Math.max(1, ShownMembers.MOST_ROWS / rows));
    for (int column = 0; column < columns; column++) {
      List<IntervalRow> drawn = new ArrayList<>();
      for (int row = 0; row < rows; row++) {
        double share = cells.figure("columnProportions", row, column);
        boolean out = cells.figure("adjustedPValues", row, column) <= answer.question().alpha();
        drawn.add(
            new IntervalRow(
                Figures.shortened(cells.rows().get(row)),
                share,
                intervals.get(column * rows + row),
                Figures.percent(share) + (out ? ", stands out" : ""),
                out));
      }
      panels.add(
          new IntervalPanel(
              "percent of " + cells.columns().get(column), Scale.PERCENT, drawn, List.of()));
    }
    return picture(
        answer.answer(),
        answer.label().isEmpty() ? "Percents of each column" : answer.label(),
        answer.question().level(),
        panels);
  }

  private static Picture picture(
      Answer answer, String title, double level, List<IntervalPanel> panels) {
    TestResult test =
        answer.parts().isEmpty() ? decided(answer).test() : tested(answer).get(0).test();
    String subtitle =
        say(
            "%s intervals by the design%s; %s test%s",
            Figures.exactPercent(level),
            answer.find(SimpleRandom.class).isPresent() || !answer.parts().isEmpty()
                ? "; hollow: as if simple random"
                : "; filled: stands out",
            test.method().id(),
            answer.parts().isEmpty()
                ? ", " + Figures.pEquals(test.log10PValue())
                : "s, p adjusted by Holm's method");
    return new IntervalChart(title, subtitle, panels).picture();
  }

  /** The parts that have a test: a group without variance has none. */
  private static List<Answer> tested(Answer answer) {
    List<Answer> tested =
        answer.parts().stream().filter(part -> part.verdict().test().isPresent()).toList();
    decided(tested.isEmpty() ? answer : tested.get(0));
    return tested;
  }

  private static Answer decided(Answer answer) {
    if (answer.verdict().test().isEmpty()) {
      throw new IllegalArgumentException(
          "nothing is decided of data that show no variance, so that there is nothing to draw");
    }
    return answer;
  }

  /** A row a method, and the naive one below. */
  private static List<IntervalRow> one(Answer answer) {
    List<IntervalRow> rows = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      rows.add(
          new IntervalRow(
              interval.method().id() + IntervalPicture.kind(interval),
              answer.estimate(interval.quantity()).value(),
              interval,
              limits(interval),
              true));
    }
    naive(answer).ifPresent(rows::add);
    return rows;
  }

  /** Two rows a group or a pair: by the design, and simply. */
  private static List<IntervalRow> several(Answer answer) {
    List<IntervalRow> rows = new ArrayList<>();
    List<Answer> parts =
        ShownMembers.first(
            tested(answer), Comparator.comparingDouble(part -> part.test().log10PValue()));
    for (Answer part : answer.parts()) {
      if (!parts.contains(part)) {
        continue;
      }
      Interval interval = part.interval(method(part), Side.TWO_SIDED);
      TestResult.AdjustedP adjusted = part.test().adjusted();
      double log10 = adjusted == null ? part.test().log10PValue() : adjusted.log10PValue();
      rows.add(
          new IntervalRow(
              Figures.shortened(part.label()),
              part.estimate(interval.quantity()).value(),
              interval,
              Figures.pEquals(log10),
              true));
      naive(part).ifPresent(rows::add);
    }
    return rows;
  }

  private static String limits(Interval interval) {
    return interval.quantity() == Estimand.PROPORTION
        ? IntervalPicture.limits(interval)
        : interval.quantity() == Estimand.DIFFERENCE
            ? ComparisonPicture.points(interval)
            : ComparisonPicture.times(interval);
  }

  /** What the answer says of the rows as if they were simply drawn. */
  private static Optional<IntervalRow> naive(Answer answer) {
    return answer
        .find(SimpleRandom.class)
        .map(
            simply ->
                new IntervalRow(
                    SIMPLY, simply.value(), simply.interval(), limits(simply.interval()), false));
  }
}
