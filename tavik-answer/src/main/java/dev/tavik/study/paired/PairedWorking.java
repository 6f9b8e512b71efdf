package dev.tavik.study.paired;

import dev.tavik.count.PairedTally;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Derivation;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.Calculation;
import java.util.ArrayList;
import java.util.List;

/** The z tests and Wald's two intervals of paired proportions as they are done by hand. */
record PairedWorking(PairedTally tally, PairedSettings settings) {
  private static final String SYMBOLS =
      "b pairs with success the first time only, c the second time only, n pairs in all";

  static List<Derivation> of(PairedTally tally, PairedSettings settings, List<TestResult> results) {
    PairedWorking working = new PairedWorking(tally, settings);
    List<Derivation> workings = new ArrayList<>();
    for (int i = 0; i < results.size(); i++) {
      PairedTest test = settings.tests().get(i);
      TestResult.Statistic statistic = results.get(i).statistic();
      boolean byHand = test == PairedTest.MCNEMAR || test == PairedTest.MCNEMAR_CC;
      if (byHand && statistic != null) {
        workings.add(
            new Derivation(
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
            new Derivation(
                method,
                "the two-sided " + method.title() + " interval by hand",
                SYMBOLS,
                working.interval(method)));
      }
    }
    return workings;
  }

  private Calculation counted() {
    return new Calculation()
        .let("b", tally.firstOnly())
        .let("c", tally.secondOnly())
        .let("n", tally.pairs());
  }

  private List<WorkingStep> test(PairedTest test, double z, TestResult result) {
    Calculation by = counted();
    if (test == PairedTest.MCNEMAR) {
      by.line(
          "test statistic",
          "z",
          "(b - c) / sqrt(b + c)",
          z,
          "Without a difference each discordant pair is as likely to fall one way as the other;"
              + " b - c then has variance b + c. Concordant pairs tell nothing. z^2 is"
              + " McNemar's chi-square.");
    } else {
      boolean twoSided = settings.alternative() == Alternative.TWO_SIDED;
      String sign = settings.alternative() == Alternative.LESS ? "+ 1" : "- 1";
      by.line(
          "test statistic, corrected for continuity",
          twoSided ? "|z|" : "z",
          (twoSided ? "(|b - c| - 1)" : "(b - c " + sign + ")") + " / sqrt(b + c)",
          twoSided ? Math.abs(z) : z,
          "b - c moves in steps of two; half a step is given away against the alternative.");
    }
    return by.normalDecision(z, result, settings.alternative(), settings.alpha()).steps();
  }

  private List<WorkingStep> interval(PairedDifferenceInterval method) {
    Calculation by = counted().deviateOf(settings.level());
    Interval interval = method.of(tally, settings.level());
    boolean adjusted = method == PairedDifferenceInterval.BONETT_PRICE;
    double b = tally.firstOnly() + (adjusted ? 1.0 : 0);
    double c = tally.secondOnly() + (adjusted ? 1.0 : 0);
    double n = tally.pairs() + (adjusted ? 2.0 : 0);
    if (adjusted) {
      String more = "b + 1, c + 1, n + 2";
      String filled = by.filled(more);
      by.let("b", b).let("c", c).let("n", n);
      by.told("one pair more each way", "b, c, n", more, filled, by.filled("b, c, n"), "");
    }
    by.line("difference", "d", "(b - c) / n", (b - c) / n);
    by.line(
        "standard error",
        "SE",
        "sqrt(b + c - (b - c)^2 / n) / n",
        Math.sqrt(b + c - (b - c) * (b - c) / n) / n);
    by.line("lower limit", "L", "d - z* SE", interval.lower());
    return by.line("upper limit", "U", "d + z* SE", interval.upper()).steps();
  }
}
