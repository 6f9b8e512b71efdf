package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;
import static dev.tavik.study.parts.HandFigures.number;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.Centred;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Interval;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.HandFigures;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The closed-form intervals of a proportion as they are done by hand: two-sided, line by line. */
final class IntervalWorking {
  /** The intervals that can be worked by hand. */
  static final Set<ProportionInterval> INTERVALS =
      EnumSet.of(
          ProportionInterval.WALD,
          ProportionInterval.WALD_CC,
          ProportionInterval.WILSON,
          ProportionInterval.WILSON_CC,
          ProportionInterval.AGRESTI_COULL);

  private final Tally tally;
  private final double level;
  private final double tail;
  private final double z;
  private final List<WorkingStep> steps = new ArrayList<>();

  private IntervalWorking(Tally tally, double level) {
    this.tally = tally;
    this.level = level;
    this.tail = DecimalFraction.complement(level) / 2;
    this.z = Normal.upperQuantile(tail);
  }

  static List<Working> of(Tally tally, RateSettings settings) {
    return settings.intervals().stream()
        .filter(INTERVALS::contains)
        .map(method -> of(method, tally, settings.level()))
        .toList();
  }

  private static Working of(ProportionInterval method, Tally tally, double level) {
    IntervalWorking working = new IntervalWorking(tally, level);
    Interval interval = method.of(tally, level);
    working.steps.add(HandFigures.observed(tally));
    working.steps.add(HandFigures.deviate("(1 - level) / 2", working.tail, working.z));
    switch (method) {
      case WALD -> working.wald(interval, false);
      case WALD_CC -> working.wald(interval, true);
      case AGRESTI_COULL -> working.agrestiCoull(interval);
      case WILSON -> working.wilson(interval);
      case WILSON_CC -> working.correctedWilson(interval);
      default -> throw new IllegalArgumentException(method.id() + " has no closed form");
    }
    return new Working(
        method,
        "the two-sided " + method.title() + " interval by hand",
        "x successes in n trials",
        working.steps);
  }

  private void wald(Interval interval, boolean corrected) {
    double p = tally.proportion();
    double error = Math.sqrt(p * ((double) tally.failures() / tally.trials()) / tally.trials());
    add(
        "standard error of the estimate",
        "SE",
        "sqrt(p (1 - p) / n)",
        say("sqrt(%s (1 - %s) / %d)", number(p), number(p), tally.trials()),
        error,
        "The observed proportion stands here: an interval has no null value.");
    double half = z * error + (corrected ? 0.5 / tally.trials() : 0);
    add(
        "half width",
        "h",
        corrected ? "z* SE + 1 / (2 n)" : "z* SE",
        say(
            "%s x %s%s",
            number(z), number(error), corrected ? " + 1 / (2 x " + tally.trials() + ")" : ""),
        half,
        "");
    limits("p", p, half, interval);
  }

  private void agrestiCoull(Interval interval) {
    double square = z * z;
    double trials = tally.trials() + square;
    double centre = (tally.successes() + square / 2) / trials;
    add(
        "trials, with z*^2 added",
        "n'",
        "n + z*^2",
        tally.trials() + " + " + number(z) + "^2",
        trials,
        "");
    add(
        "proportion, with half of them successes",
        "p'",
        "(x + z*^2 / 2) / n'",
        say("(%d + %s^2 / 2) / %s", tally.successes(), number(z), number(trials)),
        centre,
        "");
    double half = centred(ProportionInterval.AGRESTI_COULL, (double) tally.successes()).halfWidth();
    add(
        "half width",
        "h",
        "z* sqrt(p' (1 - p') / n')",
        say("%s sqrt(%s (1 - %s) / %s)", number(z), number(centre), number(centre), number(trials)),
        half,
        "");
    limits("p'", centre, half, interval);
  }

  private void wilson(Interval interval) {
    double n = tally.trials();
    Centred wilson = centred(ProportionInterval.WILSON, (double) tally.successes());
    add(
        "centre",
        "c",
        "(x + z*^2 / 2) / (n + z*^2)",
        say(
            "(%d + %s^2 / 2) / (%d + %s^2)",
            tally.successes(), number(z), tally.trials(), number(z)),
        wilson.centre(),
        "");
    add(
        "half width",
        "h",
        "z* sqrt(x (n - x) / n + z*^2 / 4) / (n + z*^2)",
        say(
            "%s sqrt(%d x %d / %d + %s^2 / 4) / (%d + %s^2)",
            number(z),
            tally.successes(),
            tally.failures(),
            (long) n,
            number(z),
            (long) n,
            number(z)),
        wilson.halfWidth(),
        "These are the values p0 at which the score test has |z| = z*: its standard error changes"
            + " with p0, which is why the centre isn't p.");
    limits("c", wilson.centre(), wilson.halfWidth(), interval);
  }

  private void correctedWilson(Interval interval) {
    corrected("lower limit", "x - 1/2", "c - h", tally.successes() - 0.5, interval.lower());
    corrected("upper limit", "x + 1/2", "c + h", tally.successes() + 0.5, interval.upper());
  }

  private void corrected(String name, String shifted, String formula, double x, double limit) {
    if (x < 0 || x > tally.trials()) {
      add(name, "", "the end of the scale", shifted + " lies outside 0 to n", limit, "");
      return;
    }
    Centred moved = centred(ProportionInterval.WILSON_CC, x);
    add(
        name,
        "",
        formula + " of the plain interval with " + shifted + " in place of x",
        say(
            "%s %s %s",
            number(moved.centre()), formula.contains("+") ? "+" : "-", number(moved.halfWidth())),
        limit,
        "");
  }

  private Centred centred(ProportionInterval method, double x) {
    return method.centred(x, (double) tally.trials(), level).orElseThrow();
  }

  private void limits(String symbol, double centre, double half, Interval interval) {
    String clipped = "Set to the end of the scale.";
    add(
        "lower limit",
        "L",
        symbol + " - h",
        number(centre) + " - " + number(half),
        interval.lower(),
        centre - half < -1e-15 ? clipped : "");
    add(
        "upper limit",
        "U",
        symbol + " + h",
        number(centre) + " + " + number(half),
        interval.upper(),
        centre + half > 1 + 1e-15 ? clipped : "");
  }

  private void add(
      String name, String symbol, String formula, String substituted, double value, String reason) {
    steps.add(new WorkingStep(name, symbol, formula, substituted, number(value), reason));
  }
}
