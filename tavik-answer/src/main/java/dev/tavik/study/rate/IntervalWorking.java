package dev.tavik.study.rate;

import static dev.tavik.study.parts.Calculation.number;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.CentreHalfWidth;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Derivation;
import dev.tavik.result.Interval;
import dev.tavik.study.parts.Calculation;
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
  private final Interval interval;
  private final Calculation by = new Calculation();

  private IntervalWorking(ProportionInterval method, Tally tally, double level) {
    this.tally = tally;
    this.level = level;
    this.interval = method.of(tally, level);
    by.observed(tally).deviateOf(level);
  }

  static List<Derivation> of(Tally tally, RateSettings settings) {
    return settings.tallyIntervals().stream()
        .filter(INTERVALS::contains)
        .map(method -> of(method, tally, settings.level()))
        .toList();
  }

  private static Derivation of(ProportionInterval method, Tally tally, double level) {
    IntervalWorking working = new IntervalWorking(method, tally, level);
    switch (method) {
      case WALD, WALD_CC -> working.wald(method);
      case AGRESTI_COULL -> working.agrestiCoull(method);
      case WILSON -> working.wilson(method);
      case WILSON_CC -> working.correctedWilson();
      default -> throw new IllegalArgumentException(method.id() + " has no closed form");
    }
    return new Derivation(
        method,
        "the two-sided " + method.title() + " interval by hand",
        "x successes in n trials",
        working.by.steps());
  }

  private CentreHalfWidth centred(ProportionInterval method, double x) {
    return method.centred(x, (double) tally.trials(), level).orElseThrow();
  }

  private CentreHalfWidth centred(ProportionInterval method) {
    return centred(method, (double) tally.successes());
  }

  private double z() {
    return Normal.upperQuantile(DecimalFraction.complement(level) / 2);
  }

  private void wald(ProportionInterval method) {
    boolean corrected = method == ProportionInterval.WALD_CC;
    CentreHalfWidth wald = centred(method);
    by.line(
        "standard error of the estimate",
        "SE",
        "sqrt(p (1 - p) / n)",
        wald.halfWidth() / z(),
        "The observed proportion stands here: an interval has no null value.");
    double half = wald.halfWidth() + (corrected ? 0.5 / tally.trials() : 0);
    by.line("half width", "h", corrected ? "z* SE + 1 / (2 n)" : "z* SE", half);
    limits("p", new CentreHalfWidth(wald.centre(), half));
  }

  private void agrestiCoull(ProportionInterval method) {
    CentreHalfWidth added = centred(method);
    by.line("trials, with z*^2 added", "n'", "n + z*^2", tally.trials() + z() * z());
    by.line("proportion, with half of them successes", "p'", "(x + z*^2 / 2) / n'", added.centre());
    by.line("half width", "h", "z* sqrt(p' (1 - p') / n')", added.halfWidth());
    limits("p'", added);
  }

  private void wilson(ProportionInterval method) {
    CentreHalfWidth wilson = centred(method);
    by.line("centre", "c", "(x + z*^2 / 2) / (n + z*^2)", wilson.centre());
    by.told(
        "half width",
        "h",
        "z* sqrt(x (n - x) / n + z*^2 / 4) / (n + z*^2)",
        by.filled("z* sqrt(x f / n + z*^2 / 4) / (n + z*^2)"),
        number(wilson.halfWidth()),
        "These are the values p0 at which the score test has |z| = z*: its standard error changes"
            + " with p0, which is why the centre isn't p.");
    by.let("h", wilson.halfWidth());
    limits("c", wilson);
  }

  private void correctedWilson() {
    corrected("lower limit", "x - 1/2", "c - h", tally.successes() - 0.5, interval.lower());
    corrected("upper limit", "x + 1/2", "c + h", tally.successes() + 0.5, interval.upper());
  }

  private void corrected(String name, String shifted, String formula, double x, double limit) {
    if (x < 0 || x > tally.trials()) {
      String outside = shifted + " lies outside 0 to n";
      by.told(name, "", "the end of the scale", outside, number(limit), "");
      return;
    }
    CentreHalfWidth moved = centred(ProportionInterval.WILSON_CC, x);
    String filled = by.let("c", moved.centre()).let("h", moved.halfWidth()).filled(formula);
    String inWords = formula + " of the plain interval with " + shifted + " in place of x";
    by.told(name, "", inWords, filled, number(limit), "");
  }

  private void limits(String symbol, CentreHalfWidth closed) {
    String clipped = "Set to the end of the scale.";
    double below = closed.centre() - closed.halfWidth();
    double above = closed.centre() + closed.halfWidth();
    by.line("lower limit", "L", symbol + " - h", interval.lower(), below < -1e-15 ? clipped : "");
    by.line(
        "upper limit", "U", symbol + " + h", interval.upper(), above > 1 + 1e-15 ? clipped : "");
  }
}
