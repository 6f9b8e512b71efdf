package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.plot.NullPlot;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.NullDistribution;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** Plots of what a p-value is. */
public final class NullPlots {
  private NullPlots() {}

  /** A distribution with its tails shaded. */
  public static NullPlot of(
      String title, String subtitle, NullDistribution distribution, NullPlot.Marks marks) {
    return new NullPlot(
        title,
        subtitle,
        distribution.discrete(),
        distribution.points().stream()
            .map(point -> new NullPlot.Point(point.count(), point.height()))
            .toList(),
        new NullPlot.Tail(distribution.lower().end(), distribution.lower().area()),
        new NullPlot.Tail(distribution.upper().end(), distribution.upper().area()),
        marks);
  }

  /** Says which test it is, which part is the p-value, and where the test rejects. */
  public static String subtitle(
      TestResult test, String how, Alternative alternative, double alpha, String dotted) {
    return say(
        "%s test, %s; shaded: %s; dotted: %s at alpha %s",
        test.method().id(),
        how,
        Figures.pEquals(test.log10PValue())
            + (alternative == Alternative.TWO_SIDED ? ", both tails together" : ""),
        dotted,
        Figures.plain(alpha));
  }

  /** An observed count and the counts from which on a test rejects. */
  public static NullPlot.Marks marks(String axis, Tally tally, CriticalCounts counts) {
    return new NullPlot.Marks(
        axis,
        (double) tally.successes(),
        Figures.count(tally.successes()),
        Stream.of(counts.atMost(), counts.atLeast())
            .filter(Objects::nonNull)
            .map(Long::doubleValue)
            .toList());
  }

  /** The density of chi-square with the tail of the preferred test, or of the first that has it. */
  public static NullPlot chiSquare(
      List<TestResult> tests, Method preferred, String world, double alpha, String otherwise) {
    return chiSquare(
        tests.stream()
            .filter(each -> each.df() != null)
            .min(Comparator.comparing(each -> each.method() != preferred))
            .orElseThrow(() -> new IllegalArgumentException(otherwise)),
        world,
        alpha);
  }

  /** The density of chi-square with its tail shaded. */
  public static NullPlot chiSquare(TestResult test, String world, double alpha) {
    TestResult.Statistic statistic = test.statistic();
    Double df = test.df();
    if (statistic == null || df == null) {
      throw new IllegalArgumentException("there is nothing to draw: the test has no statistic");
    }
    return of(
        "What to expect of " + statistic.name() + " " + world,
        say(
            "%s test, chi-square with %s %s; shaded: %s; dotted: where rejection begins at alpha %s",
            test.method().id(),
            Figures.plain(df),
            df == 1 ? "degree of freedom" : "degrees of freedom",
            Figures.pEquals(test.log10PValue()),
            Figures.plain(alpha)),
        NullDistribution.chiSquare(statistic.value(), df),
        new NullPlot.Marks(
            statistic.name(),
            statistic.value(),
            Figures.significant(statistic.value(), 3),
            List.of(NullDistribution.chiSquareAbove(alpha, df))));
  }
}
