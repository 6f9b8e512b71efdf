package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.IntervalPlot.Row;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Plots of a designed sample: its intervals, and below each what the same rows would say if they
 * had been drawn simply at random.
 */
public final class DesignRows {
  private static final String SIMPLY = "as if simple random";

  private DesignRows() {}

  /** The plot of an answer about a designed sample. */
  public static IntervalPlot plot(
      Answer answer, String title, double level, List<IntervalPlot.Panel> panels) {
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
    return new IntervalPlot(title, subtitle, panels);
  }

  /** The parts that have a test: a group without variance has none. */
  public static List<Answer> tested(Answer answer) {
    List<Answer> tested =
        answer.parts().stream().filter(part -> part.verdict().test().isPresent()).toList();
    decided(tested.isEmpty() ? answer : tested.get(0));
    return tested;
  }

  /** The answer, which must have decided something. */
  public static Answer decided(Answer answer) {
    if (answer.verdict().test().isEmpty()) {
      throw new IllegalArgumentException(
          "nothing is decided of data that show no variance, so that there is nothing to draw");
    }
    return answer;
  }

  /** A row for each method, and below them the row that ignores the design. */
  public static List<Row> one(Answer answer) {
    List<Row> rows = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      rows.add(
          new Row(
              IntervalRows.name(interval),
              answer.estimate(interval.quantity()).value(),
              interval,
              IntervalRows.limits(interval),
              true));
    }
    naive(answer).ifPresent(rows::add);
    return rows;
  }

  /** Two rows for each group or pair: one by the design, and one that ignores it. */
  public static List<Row> several(Answer answer) {
    List<Row> rows = new ArrayList<>();
    List<Answer> parts =
        ShownMembers.first(
            tested(answer), Comparator.comparingDouble(part -> part.test().log10PValue()));
    for (Answer part : answer.parts()) {
      if (!parts.contains(part)) {
        continue;
      }
      Interval interval = part.interval(part.verdict().interval().orElseThrow(), Side.TWO_SIDED);
      rows.add(
          new Row(
              Figures.shortened(part.label()),
              part.estimate(interval.quantity()).value(),
              interval,
              Figures.pEquals(IntervalRows.log10PValue(part.test())),
              true));
      naive(part).ifPresent(rows::add);
    }
    return rows;
  }

  /** What the answer says of the rows as if they were simply drawn. */
  private static Optional<Row> naive(Answer answer) {
    return answer
        .find(SimpleRandom.class)
        .map(
            simply ->
                new Row(
                    SIMPLY,
                    simply.value(),
                    simply.interval(),
                    IntervalRows.limits(simply.interval()),
                    false));
  }
}
