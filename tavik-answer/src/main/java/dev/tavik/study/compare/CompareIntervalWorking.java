package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Derivation;
import dev.tavik.result.Interval;
import dev.tavik.study.parts.Calculation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * The closed-form intervals of two proportions as they are done by hand: two-sided, line by line.
 */
final class CompareIntervalWorking {
  private static final Map<ComparisonInterval, Consumer<CompareIntervalWorking>> BY_HAND =
      Map.of(
          ComparisonInterval.DIFFERENCE_WALD,
          by -> by.wald(by.first, by.second, false),
          ComparisonInterval.DIFFERENCE_WALD_CC,
          by -> by.wald(by.first, by.second, true),
          ComparisonInterval.DIFFERENCE_AGRESTI_CAFFO,
          CompareIntervalWorking::agrestiCaffo,
          ComparisonInterval.DIFFERENCE_NEWCOMBE,
          by -> by.newcombe(ProportionInterval.WILSON),
          ComparisonInterval.DIFFERENCE_NEWCOMBE_CC,
          by -> by.newcombe(ProportionInterval.WILSON_CC),
          ComparisonInterval.RATIO_LOG,
          CompareIntervalWorking::ratio,
          ComparisonInterval.ODDS_RATIO_WOOLF,
          by -> by.oddsRatio(0),
          ComparisonInterval.ODDS_RATIO_GART,
          by -> by.oddsRatio(0.5));

  private final Tally first;
  private final Tally second;
  private final double level;
  private final Interval interval;
  private final Calculation by = new Calculation();

  private CompareIntervalWorking(
      ComparisonInterval method, Tally first, Tally second, double level) {
    this.first = first;
    this.second = second;
    this.level = level;
    this.interval = method.of(first, second, level);
    by.deviateOf(level).let(first, "1").let(second, "2");
  }

  static List<Derivation> of(NamedTally first, NamedTally second, CompareSettings settings) {
    List<Derivation> workings = new ArrayList<>();
    for (ComparisonInterval method : settings.tallyIntervals()) {
      Consumer<CompareIntervalWorking> byHand = BY_HAND.get(method);
      if (byHand == null || tooLarge(method, first, second)) {
        continue;
      }
      CompareIntervalWorking working =
          new CompareIntervalWorking(method, first.tally(), second.tally(), settings.level());
      if (!Double.isInfinite(working.interval.upper())) {
        byHand.accept(working);
        workings.add(
            new Derivation(
                method,
                say(
                    "the two-sided %s interval of the %s by hand",
                    method.title(), method.quantity().id().replace('-', ' ')),
                say(
                    "x1 of n1: %s; x2 of n2: %s; %s against %s",
                    first.name(), second.name(), first.name(), second.name()),
                working.by.steps()));
      }
    }
    return workings;
  }

  /** Adding two trials would exceed the largest tally. */
  private static boolean tooLarge(ComparisonInterval method, NamedTally first, NamedTally second) {
    return method == ComparisonInterval.DIFFERENCE_AGRESTI_CAFFO
        && Math.max(first.tally().trials(), second.tally().trials()) > Tally.MAX_TRIALS - 2;
  }

  private void agrestiCaffo() {
    String more = "x1 + 1, n1 + 2; x2 + 1, n2 + 2";
    by.told(
        "one success and one failure more in each group",
        "",
        more,
        by.filled(more),
        added(first) + " and " + added(second),
        "");
    wald(added(first), added(second), false);
  }

  private static Tally added(Tally tally) {
    return Tally.of(tally.successes() + 1, tally.trials() + 2);
  }

  private void wald(Tally one, Tally two, boolean corrected) {
    by.twoProportions(one, two)
        .separateError(
            one,
            two,
            "Separate, because an interval has no null value: each group brings its own variance."
                + " The pooled standard error belongs to the test of no difference.");
    double z = Normal.upperQuantile(DecimalFraction.complement(level) / 2);
    double half = z * Calculation.difference(one, two).standardError();
    double correction = corrected ? 0.5 / one.trials() + 0.5 / two.trials() : 0;
    String formula = corrected ? "z* SE + 1 / (2 n1) + 1 / (2 n2)" : "z* SE";
    by.line("half width", "h", formula, half + correction);
    limits("d - h", "", "d + h");
  }

  private void limits(String lower, String reason, String upper) {
    by.line("lower limit", "L", lower, interval.lower(), reason);
    by.line("upper limit", "U", upper, interval.upper());
  }

  private void newcombe(ProportionInterval method) {
    by.twoProportions(first, second);
    wilson("1", method, first);
    wilson("2", method, second);
    limits(
        "d - sqrt((p1 - l1)^2 + (u2 - p2)^2)",
        "The difference is smallest where the first is low and the second high.",
        "d + sqrt((u1 - p1)^2 + (p2 - l2)^2)");
  }

  private void wilson(String group, ProportionInterval method, Tally tally) {
    boolean plain = method == ProportionInterval.WILSON;
    Interval limits = method.of(tally, level);
    by.let(tally, "").let("l" + group, limits.lower()).let("u" + group, limits.upper());
    String symbols = "l" + group + ", u" + group;
    by.told(
        method.title() + " limits of p" + group,
        symbols,
        plain
            ? "(x + z*^2 / 2 -/+ z* sqrt(x (n - x) / n + z*^2 / 4)) / (n + z*^2)"
            : "the plain Wilson limits with x - 1/2 and x + 1/2 in place of x",
        plain
            ? by.filled("(x + z*^2 / 2 -/+ z* sqrt(x f / n + z*^2 / 4)) / (n + z*^2)")
            : tally.toString(),
        by.filled(symbols),
        "");
  }

  private void ratio() {
    by.line("ratio", "RR", "(x1 / n1) / (x2 / n2)", first.proportion() / second.proportion());
    by.line(
        "standard error of ln RR",
        "SE",
        "sqrt(1 / x1 - 1 / n1 + 1 / x2 - 1 / n2)",
        Math.sqrt(
            1.0 / first.successes()
                - 1.0 / first.trials()
                + 1.0 / second.successes()
                - 1.0 / second.trials()),
        "On the scale of the logarithm a ratio is nearly normal.");
    limits("RR exp(-z* SE)", "", "RR exp(z* SE)");
  }

  private void oddsRatio(double added) {
    double a = first.successes() + added;
    double b = first.failures() + added;
    double c = second.successes() + added;
    double d = second.failures() + added;
    String counts = "x1, n1 - x1, x2, n2 - x2";
    by.let("a", a).let("b", b).let("c", c).let("d", d);
    by.told(
        "the four counts" + (added == 0 ? "" : ", 1/2 added to each"),
        "a, b, c, d",
        counts,
        by.filled(counts),
        by.filled("a, b, c, d"),
        "");
    by.line(
        "odds ratio",
        "OR",
        "a d / (b c)",
        a / b * (d / c),
        "The cross product. The conditional maximum-likelihood estimate, which belongs to the"
            + " conditional intervals, is another one, a little nearer to 1.");
    by.line(
        "standard error of ln OR",
        "SE",
        "sqrt(1 / a + 1 / b + 1 / c + 1 / d)",
        Math.sqrt(1 / a + 1 / b + 1 / c + 1 / d));
    limits("OR exp(-z* SE)", "", "OR exp(z* SE)");
  }
}
