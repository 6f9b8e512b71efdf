package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;
import static dev.tavik.study.parts.HandFigures.number;

import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.OddsRatioInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.RatioInterval;
import dev.tavik.result.Interval;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.HandFigures;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * The closed-form intervals of two proportions as they are done by hand: two-sided, line by line.
 */
final class CompareIntervalWorking {
  private static final Set<ComparisonInterval> INTERVALS =
      Set.of(
          DifferenceInterval.WALD,
          DifferenceInterval.WALD_CC,
          DifferenceInterval.AGRESTI_CAFFO,
          DifferenceInterval.NEWCOMBE,
          DifferenceInterval.NEWCOMBE_CC,
          RatioInterval.LOG,
          OddsRatioInterval.WOOLF,
          OddsRatioInterval.GART);

  private final Tally first;
  private final Tally second;
  private final double level;
  private final double z;
  private final Interval interval;
  private final List<WorkingStep> steps = new ArrayList<>();

  private CompareIntervalWorking(
      ComparisonInterval method, Tally first, Tally second, double level) {
    this.first = first;
    this.second = second;
    this.level = level;
    double tail = DecimalFraction.complement(level) / 2;
    this.z = Normal.upperQuantile(tail);
    this.interval = method.of(first, second, level);
    steps.add(HandFigures.deviate("(1 - level) / 2", tail, z));
  }

  static List<Working> of(NamedTally first, NamedTally second, CompareSettings settings) {
    List<Working> workings = new ArrayList<>();
    for (ComparisonInterval method : settings.intervals()) {
      if (!INTERVALS.contains(method) || tooLarge(method, first, second)) {
        continue;
      }
      CompareIntervalWorking working =
          new CompareIntervalWorking(method, first.tally(), second.tally(), settings.level());
      if (!Double.isInfinite(working.interval.upper())) {
        working.work(method);
        workings.add(
            new Working(
                method,
                say(
                    "the two-sided %s interval of the %s by hand",
                    method.title(), method.quantity().id().replace('-', ' ')),
                say(
                    "x1 of n1: %s; x2 of n2: %s; %s against %s",
                    first.name(), second.name(), first.name(), second.name()),
                working.steps));
      }
    }
    return workings;
  }

  /** With two trials added a group would pass the largest tally that can be written down. */
  private static boolean tooLarge(ComparisonInterval method, NamedTally first, NamedTally second) {
    return method == DifferenceInterval.AGRESTI_CAFFO
        && Math.max(first.tally().trials(), second.tally().trials()) > Tally.MAX_TRIALS - 2;
  }

  private void work(ComparisonInterval method) {
    if (method == DifferenceInterval.AGRESTI_CAFFO) {
      add(
          "one success and one failure more in each group",
          "",
          "x1 + 1, n1 + 2; x2 + 1, n2 + 2",
          say(
              "%d + 1, %d + 2; %d + 1, %d + 2",
              first.successes(), first.trials(), second.successes(), second.trials()),
          added(first) + " and " + added(second),
          "");
      wald(added(first), added(second), false);
    } else if (method == DifferenceInterval.NEWCOMBE) {
      newcombe(ProportionInterval.WILSON);
    } else if (method == DifferenceInterval.NEWCOMBE_CC) {
      newcombe(ProportionInterval.WILSON_CC);
    } else if (method == RatioInterval.LOG) {
      ratio();
    } else if (method == OddsRatioInterval.WOOLF) {
      oddsRatio(0);
    } else if (method == OddsRatioInterval.GART) {
      oddsRatio(0.5);
    } else {
      wald(first, second, method == DifferenceInterval.WALD_CC);
    }
  }

  private static Tally added(Tally tally) {
    return Tally.of(tally.successes() + 1, tally.trials() + 2);
  }

  private void wald(Tally one, Tally two, boolean corrected) {
    steps.addAll(HandFigures.twoProportions(one, two));
    steps.add(
        HandFigures.separateErrorStep(
            one,
            two,
            "Separate, because an interval has no null value: each group brings its own variance."
                + " The pooled standard error belongs to the test of no difference."));
    double error = HandFigures.separateError(one, two);
    double half = z * error + (corrected ? 0.5 / one.trials() + 0.5 / two.trials() : 0);
    add(
        "half width",
        "h",
        corrected ? "z* SE + 1 / (2 n1) + 1 / (2 n2)" : "z* SE",
        say(
            "%s x %s%s",
            number(z),
            number(error),
            corrected ? say(" + 1 / (2 x %d) + 1 / (2 x %d)", one.trials(), two.trials()) : ""),
        number(half),
        "");
    String d = number(HandFigures.difference(one, two));
    add("lower limit", "L", "d - h", d + " - " + number(half), number(interval.lower()), "");
    add("upper limit", "U", "d + h", d + " + " + number(half), number(interval.upper()), "");
  }

  private void newcombe(ProportionInterval method) {
    steps.addAll(HandFigures.twoProportions(first, second));
    Interval one = method.of(first, level);
    Interval two = method.of(second, level);
    wilson("1", method, first, one);
    wilson("2", method, second, two);
    String d = number(HandFigures.difference(first, second));
    String p1 = number(first.proportion());
    String p2 = number(second.proportion());
    add(
        "lower limit",
        "L",
        "d - sqrt((p1 - l1)^2 + (u2 - p2)^2)",
        say(
            "%s - sqrt((%s - %s)^2 + (%s - %s)^2)",
            d, p1, number(one.lower()), number(two.upper()), p2),
        number(interval.lower()),
        "The difference is smallest where the first is low and the second high.");
    add(
        "upper limit",
        "U",
        "d + sqrt((u1 - p1)^2 + (p2 - l2)^2)",
        say(
            "%s + sqrt((%s - %s)^2 + (%s - %s)^2)",
            d, number(one.upper()), p1, p2, number(two.lower())),
        number(interval.upper()),
        "");
  }

  private void wilson(String index, ProportionInterval method, Tally tally, Interval limits) {
    boolean plain = method == ProportionInterval.WILSON;
    long x = tally.successes();
    long n = tally.trials();
    add(
        method.title() + " limits of p" + index,
        "l" + index + ", u" + index,
        plain
            ? "(x + z*^2 / 2 -/+ z* sqrt(x (n - x) / n + z*^2 / 4)) / (n + z*^2)"
            : "the plain Wilson limits with x - 1/2 and x + 1/2 in place of x",
        plain
            ? say(
                "(%d + %s^2 / 2 -/+ %s sqrt(%d x %d / %d + %s^2 / 4)) / (%d + %s^2)",
                x, number(z), number(z), x, tally.failures(), n, number(z), n, number(z))
            : tally.toString(),
        number(limits.lower()) + ", " + number(limits.upper()),
        "");
  }

  private void ratio() {
    double ratio = first.proportion() / second.proportion();
    double error =
        Math.sqrt(
            1.0 / first.successes()
                - 1.0 / first.trials()
                + 1.0 / second.successes()
                - 1.0 / second.trials());
    add(
        "ratio",
        "RR",
        "(x1 / n1) / (x2 / n2)",
        say(
            "(%d / %d) / (%d / %d)",
            first.successes(), first.trials(), second.successes(), second.trials()),
        number(ratio),
        "");
    add(
        "standard error of ln RR",
        "SE",
        "sqrt(1 / x1 - 1 / n1 + 1 / x2 - 1 / n2)",
        say(
            "sqrt(1 / %d - 1 / %d + 1 / %d - 1 / %d)",
            first.successes(), first.trials(), second.successes(), second.trials()),
        number(error),
        "On the scale of the logarithm a ratio is nearly normal.");
    logLimits("RR", ratio, error);
  }

  private void oddsRatio(double added) {
    double a = first.successes() + added;
    double b = first.failures() + added;
    double c = second.successes() + added;
    double d = second.failures() + added;
    String plus = added == 0 ? "" : ", 1/2 added to each";
    add(
        "the four counts" + plus,
        "a, b, c, d",
        "x1, n1 - x1, x2, n2 - x2",
        say(
            "%d, %d - %d, %d, %d - %d",
            first.successes(),
            first.trials(),
            first.successes(),
            second.successes(),
            second.trials(),
            second.successes()),
        String.join(", ", number(a), number(b), number(c), number(d)),
        "");
    double odds = a / b * (d / c);
    add(
        "odds ratio",
        "OR",
        "a d / (b c)",
        say("%s x %s / (%s x %s)", number(a), number(d), number(b), number(c)),
        number(odds),
        "The cross product. The conditional maximum-likelihood estimate, which belongs to the"
            + " conditional intervals, is another one, a little nearer to 1.");
    double error = Math.sqrt(1 / a + 1 / b + 1 / c + 1 / d);
    add(
        "standard error of ln OR",
        "SE",
        "sqrt(1 / a + 1 / b + 1 / c + 1 / d)",
        say("sqrt(1 / %s + 1 / %s + 1 / %s + 1 / %s)", number(a), number(b), number(c), number(d)),
        number(error),
        "");
    logLimits("OR", odds, error);
  }

  private void logLimits(String symbol, double estimate, double error) {
    String half = number(z) + " x " + number(error);
    add(
        "lower limit",
        "L",
        symbol + " exp(-z* SE)",
        number(estimate) + " exp(-" + half + ")",
        number(interval.lower()),
        "");
    add(
        "upper limit",
        "U",
        symbol + " exp(z* SE)",
        number(estimate) + " exp(" + half + ")",
        number(interval.upper()),
        "");
  }

  private void add(
      String name, String symbol, String formula, String substituted, String value, String reason) {
    steps.add(new WorkingStep(name, symbol, formula, substituted, value, reason));
  }
}
