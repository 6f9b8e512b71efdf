package dev.tavik.study.paired;

import static dev.tavik.result.Figures.say;
import static dev.tavik.study.parts.HandFigures.number;

import dev.tavik.count.PairedTally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.HandFigures;
import java.util.ArrayList;
import java.util.List;

/** The z tests and Wald's two intervals of paired proportions as they are done by hand. */
record PairedWorking(PairedTally tally, PairedSettings settings) {
  private static final String SYMBOLS =
      "b pairs with success the first time only, c the second time only, n pairs in all";

  static List<Working> of(PairedTally tally, PairedSettings settings, List<TestResult> results) {
    PairedWorking working = new PairedWorking(tally, settings);
    List<Working> workings = new ArrayList<>();
    for (int i = 0; i < results.size(); i++) {
      PairedTest test = settings.tests().get(i);
      TestResult.Statistic statistic = results.get(i).statistic();
      boolean byHand = test == PairedTest.MCNEMAR || test == PairedTest.MCNEMAR_CC;
      if (byHand && statistic != null) {
        workings.add(
            new Working(
                test,
                "the " + test.id() + " test by hand",
                SYMBOLS,
                working.test(test, statistic.value(), results.get(i))));
      }
    }
    for (PairedDifferenceInterval method : settings.intervals()) {
      if (method == PairedDifferenceInterval.WALD
          || method == PairedDifferenceInterval.BONETT_PRICE) {
        workings.add(
            new Working(
                method,
                "the two-sided " + method.title() + " interval by hand",
                SYMBOLS,
                working.interval(method)));
      }
    }
    return workings;
  }

  private List<WorkingStep> test(PairedTest test, double z, TestResult result) {
    List<WorkingStep> steps = new ArrayList<>();
    long b = tally.firstOnly();
    long c = tally.secondOnly();
    String error = say("sqrt(%d + %d)", b, c);
    if (test == PairedTest.MCNEMAR) {
      steps.add(
          step(
              "test statistic",
              "z",
              "(b - c) / sqrt(b + c)",
              say("(%d - %d) / %s", b, c, error),
              z,
              "Without a difference each discordant pair is as likely to fall one way as the other;"
                  + " b - c then has variance b + c. Concordant pairs tell nothing. z^2 is"
                  + " McNemar's chi-square."));
    } else {
      boolean twoSided = settings.alternative() == Alternative.TWO_SIDED;
      String sign = settings.alternative() == Alternative.LESS ? "+ 1" : "- 1";
      steps.add(
          step(
              "test statistic, corrected for continuity",
              twoSided ? "|z|" : "z",
              twoSided ? "(|b - c| - 1) / sqrt(b + c)" : "(b - c " + sign + ") / sqrt(b + c)",
              twoSided
                  ? say("(|%d - %d| - 1) / %s", b, c, error)
                  : say("(%d - %d %s) / %s", b, c, sign, error),
              twoSided ? Math.abs(z) : z,
              "b - c moves in steps of two; half a step is given away against the alternative."));
    }
    steps.addAll(HandFigures.normalDecision(z, result, settings.alternative(), settings.alpha()));
    return steps;
  }

  private List<WorkingStep> interval(PairedDifferenceInterval method) {
    List<WorkingStep> steps = new ArrayList<>();
    Interval interval = method.of(tally, settings.level());
    double tail = DecimalFraction.complement(settings.level()) / 2;
    double z = Normal.upperQuantile(tail);
    steps.add(HandFigures.deviate("(1 - level) / 2", tail, z));
    boolean adjusted = method == PairedDifferenceInterval.BONETT_PRICE;
    double b = tally.firstOnly() + (adjusted ? 1.0 : 0);
    double c = tally.secondOnly() + (adjusted ? 1.0 : 0);
    double n = tally.pairs() + (adjusted ? 2.0 : 0);
    if (adjusted) {
      steps.add(
          new WorkingStep(
              "one pair more each way",
              "b, c, n",
              "b + 1, c + 1, n + 2",
              say("%d + 1, %d + 1, %d + 2", tally.firstOnly(), tally.secondOnly(), tally.pairs()),
              String.join(", ", number(b), number(c), number(n)),
              ""));
    }
    double d = (b - c) / n;
    steps.add(
        step(
            "difference",
            "d",
            "(b - c) / n",
            say("(%s - %s) / %s", number(b), number(c), number(n)),
            d,
            ""));
    double error = Math.sqrt(b + c - (b - c) * (b - c) / n) / n;
    steps.add(
        step(
            "standard error",
            "SE",
            "sqrt(b + c - (b - c)^2 / n) / n",
            say(
                "sqrt(%s + %s - (%s - %s)^2 / %s) / %s",
                number(b), number(c), number(b), number(c), number(n), number(n)),
            error,
            ""));
    String half = number(z) + " x " + number(error);
    steps.add(
        step("lower limit", "L", "d - z* SE", number(d) + " - " + half, interval.lower(), ""));
    steps.add(
        step("upper limit", "U", "d + z* SE", number(d) + " + " + half, interval.upper(), ""));
    return steps;
  }

  private static WorkingStep step(
      String name, String symbol, String formula, String substituted, double value, String reason) {
    return new WorkingStep(name, symbol, formula, substituted, number(value), reason);
  }
}
