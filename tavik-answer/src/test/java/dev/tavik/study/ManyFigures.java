package dev.tavik.study;

import dev.tavik.association.TableTest;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.RateBayesFactor;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;

/**
 * Two thousand figures of every family that has no search over outcomes, each to the last bit: as a
 * program it prints them, so that another Java can be asked for the same.
 */
final class ManyFigures {
  static final int FIGURES = 2_000;

  private final List<String> lines = new ArrayList<>();
  private long state = 20_261_128;

  private ManyFigures() {}

  public static void main(String[] arguments) {
    lines().forEach(System.out::println);
  }

  /** A line for each figure: what it is, and the number in hexadecimal. */
  static List<String> lines() {
    ManyFigures figures = new ManyFigures();
    while (figures.lines.size() < FIGURES) {
      figures.more();
    }
    return List.copyOf(figures.lines.subList(0, FIGURES));
  }

  /** Numbers by a rule of its own, which no library changes. */
  private long upTo(long most) {
    state = state * 6_364_136_223_846_793_005L + 1_442_695_040_888_963_407L;
    return Math.floorMod(state >>> 33, most + 1);
  }

  private Tally tally() {
    long trials = 1 + upTo(upTo(3) == 0 ? 9 : 600);
    return Tally.of(upTo(trials), trials);
  }

  private void more() {
    Tally first = tally();
    Tally second = tally();
    double level = upTo(1) == 0 ? 0.95 : 0.8;
    Hypothesis null0 =
        new Hypothesis(
            (1 + upTo(97)) / 100.0, Arrays.asList(Alternative.values()).get((int) upTo(2)));
    for (ProportionTest each : ProportionTest.values()) {
      test(each, () -> each.of(first, null0));
    }
    for (ProportionInterval each : ProportionInterval.values()) {
      interval(each, () -> each.of(first, level));
    }
    for (TwoProportionTest each : TwoProportionTest.values()) {
      if (each != TwoProportionTest.BARNARD && each != TwoProportionTest.BOSCHLOO) {
        test(each, () -> each.of(first, second, Hypothesis.noDifference()));
      }
    }
    for (ComparisonInterval each : ComparisonInterval.values()) {
      interval(each, () -> each.of(first, second, level, Side.TWO_SIDED));
    }
    List<List<Long>> cells = new ArrayList<>();
    for (int row = 0; row < 3; row++) {
      cells.add(List.of(1 + upTo(40), 1 + upTo(40), 1 + upTo(40)));
    }
    CrossTable table = new CrossTable(List.of("a", "b", "c"), List.of("x", "y", "z"), cells);
    for (TableTest each : List.of(TableTest.PEARSON, TableTest.LIKELIHOOD_RATIO)) {
      test(each, () -> each.of(table));
    }
    BetaPosterior posterior = BetaPosterior.of(0.5 + first.successes(), 0.5 + first.failures());
    figure("posterior", posterior.equalTailed(level).lower());
    figure("factor", RateBayesFactor.log(first, null0, BetaPrior.UNIFORM));
  }

  private void test(Method method, Supplier<TestResult> made) {
    try {
      figure(method.id(), made.get().log10PValue());
    } catch (NotApplicableException | IllegalArgumentException e) {
      // It has no answer here, and none anywhere.
      lines.add(method.id() + " declined");
    }
  }

  private void interval(Method method, Supplier<Interval> made) {
    try {
      Interval interval = made.get();
      figure(method.id() + " lower", interval.lower());
      figure(method.id() + " upper", interval.upper());
    } catch (NotApplicableException | IllegalArgumentException e) {
      lines.add(method.id() + " declined");
    }
  }

  private void figure(String name, double value) {
    lines.add(name + " " + Double.toHexString(value));
  }
}
