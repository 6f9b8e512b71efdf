package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;
import static dev.tavik.study.parts.HandFigures.brief;
import static dev.tavik.study.parts.HandFigures.number;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.HandFigures;
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
  static List<Working> of(Tally tally, RateSettings settings, List<TestResult> results) {
    List<Working> workings = new ArrayList<>();
    for (int i = 0; i < results.size(); i++) {
      ProportionTest test = settings.tests().get(i);
      TestResult.Statistic statistic = results.get(i).statistic();
      if (TESTS.contains(test) && statistic != null) {
        TestWorking working = new TestWorking(test, tally, settings, results.get(i), statistic);
        workings.add(
            new Working(
                test,
                "the " + test.id() + " test by hand",
                "x successes in n trials, p0 the null value",
                working.steps()));
      }
    }
    return workings;
  }

  private List<WorkingStep> steps() {
    List<WorkingStep> steps = new ArrayList<>();
    steps.add(HandFigures.observed(tally));
    steps.add(test == ProportionTest.WALD ? ownStandardError() : nullStandardError());
    if (test == ProportionTest.SCORE_CC) {
      steps.add(correctedDistance());
    }
    steps.add(statistic());
    steps.addAll(HandFigures.normalDecision(z, result, alternative, settings.alpha()));
    return steps;
  }

  private WorkingStep nullStandardError() {
    String p0 = Figures.plain(against);
    return new WorkingStep(
        "standard error under the null",
        "SE0",
        "sqrt(p0 (1 - p0) / n)",
        say("sqrt(%s (1 - %s) / %d)", p0, p0, tally.trials()),
        number(standardError()),
        say(
            "The null's %s stands here and not the observed %s: the p-value asks what would"
                + " happen if the null were true. The standard error beside the estimate is another"
                + " one, with p in place of p0.",
            p0, brief(tally.proportion())));
  }

  private WorkingStep ownStandardError() {
    String p = number(tally.proportion());
    return new WorkingStep(
        "standard error of the estimate",
        "SE",
        "sqrt(p (1 - p) / n)",
        say("sqrt(%s (1 - %s) / %d)", p, p, tally.trials()),
        number(standardError()),
        "This test has the observed proportion here, where the score test has the null's.");
  }

  private double standardError() {
    double p = test == ProportionTest.WALD ? tally.proportion() : against;
    return Math.sqrt(p * DecimalFraction.complement(p) / tally.trials());
  }

  private WorkingStep correctedDistance() {
    String p = number(tally.proportion());
    String p0 = Figures.plain(against);
    String half = "1 / (2 x " + tally.trials() + ")";
    String formula =
        switch (alternative) {
          case TWO_SIDED -> "|p - p0| - 1 / (2 n), at least 0";
          case LESS -> "p - p0 + 1 / (2 n)";
          case GREATER -> "p - p0 - 1 / (2 n)";
        };
    String substituted =
        switch (alternative) {
          case TWO_SIDED -> say("|%s - %s| - %s", p, p0, half);
          case LESS -> say("%s - %s + %s", p, p0, half);
          case GREATER -> say("%s - %s - %s", p, p0, half);
        };
    double distance = (alternative == Alternative.TWO_SIDED ? Math.abs(z) : z) * standardError();
    return new WorkingStep(
        "distance, corrected for continuity",
        "d",
        formula,
        substituted,
        number(distance),
        "Counts move in whole steps; half a step is given away against the alternative.");
  }

  private WorkingStep statistic() {
    String error = test == ProportionTest.WALD ? "SE" : "SE0";
    if (test == ProportionTest.SCORE_CC) {
      double shown = alternative == Alternative.TWO_SIDED ? Math.abs(z) : z;
      return new WorkingStep(
          "test statistic",
          alternative == Alternative.TWO_SIDED ? "|z|" : "z",
          "d / SE0",
          number(shown * standardError()) + " / " + number(standardError()),
          number(shown),
          "");
    }
    return new WorkingStep(
        "test statistic",
        "z",
        "(p - p0) / " + error,
        say(
            "(%s - %s) / %s",
            number(tally.proportion()), Figures.plain(against), number(standardError())),
        number(z),
        "");
  }
}
