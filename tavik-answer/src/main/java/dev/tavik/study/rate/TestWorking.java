package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;
import static dev.tavik.study.parts.Calculation.brief;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Derivation;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.Calculation;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The z tests of a proportion as they are done by hand, line by line. */
final class TestWorking {
  /** The tests that can be worked by hand. */
  static final Set<ProportionTest> TESTS =
      EnumSet.of(ProportionTest.SCORE, ProportionTest.SCORE_CC, ProportionTest.WALD);

  private final ProportionTest test;
  private final Tally tally;
  private final RateSettings settings;
  private final TestResult result;
  private final double z;
  private final double against;
  private final Alternative alternative;

  private TestWorking(
      ProportionTest test,
      Tally tally,
      RateSettings settings,
      TestResult result,
      TestResult.Statistic statistic) {
    this.test = test;
    this.tally = tally;
    this.settings = settings;
    this.result = result;
    this.z = statistic.value();
    this.against = settings.hypothesis().against();
    this.alternative = settings.hypothesis().alternative();
  }

  /** The working of those tests that are z tests and have a statistic. */
  static List<Derivation> of(Tally tally, RateSettings settings, List<TestResult> results) {
    List<Derivation> workings = new ArrayList<>();
    for (int i = 0; i < results.size(); i++) {
      ProportionTest test = (ProportionTest) results.get(i).method();
      TestResult.Statistic statistic = results.get(i).statistic();
      if (TESTS.contains(test) && statistic != null) {
        TestWorking working = new TestWorking(test, tally, settings, results.get(i), statistic);
        workings.add(
            new Derivation(
                test,
                "the " + test.id() + " test by hand",
                "x successes in n trials, p0 the null value",
                working.steps()));
      }
    }
    return workings;
  }

  private List<WorkingStep> steps() {
    Calculation by = new Calculation().observed(tally).let("p0", Figures.plain(against));
    if (test == ProportionTest.WALD) {
      by.line(
          "standard error of the estimate",
          "SE",
          "sqrt(p (1 - p) / n)",
          standardError(tally.proportion()),
          "This test has the observed proportion here, where the score test has the null's.");
    } else {
      by.line(
          "standard error under the null",
          "SE0",
          "sqrt(p0 (1 - p0) / n)",
          standardError(against),
          say(
              "The null's %s stands here and not the observed %s: the p-value asks what would"
                  + " happen if the null were true. The standard error beside the estimate is another"
                  + " one, with p in place of p0.",
              Figures.plain(against), brief(tally.proportion())));
    }
    if (test == ProportionTest.SCORE_CC) {
      corrected(by);
    } else {
      String error = test == ProportionTest.WALD ? "SE" : "SE0";
      by.line("test statistic", "z", "(p - p0) / " + error, z);
    }
    return by.normalDecision(z, result, alternative, settings.alpha()).steps();
  }

  private double standardError(double p) {
    return Math.sqrt(p * DecimalFraction.complement(p) / tally.trials());
  }

  private void corrected(Calculation by) {
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    double shown = twoSided ? Math.abs(z) : z;
    String formula =
        switch (alternative) {
          case TWO_SIDED -> "|p - p0| - 1 / (2 n), at least 0";
          case LESS -> "p - p0 + 1 / (2 n)";
          case GREATER -> "p - p0 - 1 / (2 n)";
        };
    by.line(
        "distance, corrected for continuity",
        "d",
        formula,
        shown * standardError(against),
        "Counts move in whole steps; half a step is given away against the alternative.");
    by.line("test statistic", twoSided ? "|z|" : "z", "d / SE0", shown);
  }
}
