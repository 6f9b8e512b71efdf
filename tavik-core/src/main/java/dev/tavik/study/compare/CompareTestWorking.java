package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;
import static dev.tavik.study.parts.HandFigures.number;

import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.HandFigures;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The z tests of two proportions as they are done by hand, line by line. */
final class CompareTestWorking {
  private static final Set<TwoProportionTest> TESTS =
      EnumSet.of(
          TwoProportionTest.Z_POOLED, TwoProportionTest.Z_POOLED_CC, TwoProportionTest.Z_SEPARATE);

  private final TwoProportionTest test;
  private final Tally first;
  private final Tally second;
  private final Hypothesis hypothesis;
  private final double alpha;
  private final TestResult result;
  private final double z;

  private CompareTestWorking(
      TwoProportionTest test, Tally first, Tally second, Hypothesis hypothesis, double alpha) {
    this.test = test;
    this.first = first;
    this.second = second;
    this.hypothesis = hypothesis;
    this.alpha = alpha;
    this.result = test.of(first, second, hypothesis);
    TestResult.Statistic statistic = result.statistic();
    this.z = statistic == null ? Double.NaN : statistic.value();
  }

  /**
   * The score test of no difference is z-pooled; of another one its variance has no closed form.
   */
  static List<Working> of(NamedTally first, NamedTally second, CompareSettings settings) {
    List<Working> workings = new ArrayList<>();
    for (TwoProportionTest test : settings.tests()) {
      for (Hypothesis hypothesis : settings.tested()) {
        boolean pooled = test == TwoProportionTest.SCORE && hypothesis.against() == 0;
        if ((TESTS.contains(test) || pooled) && test.knows(hypothesis.against())) {
          CompareTestWorking working =
              new CompareTestWorking(
                  test, first.tally(), second.tally(), hypothesis, settings.alpha());
          if (!Double.isNaN(working.z)) {
            workings.add(working.working(first.name(), second.name(), settings));
          }
        }
      }
    }
    return workings;
  }

  private Working working(String one, String two, CompareSettings settings) {
    String against =
        settings.plain()
            ? ""
            : say(
                " against %s, %s",
                Figures.shortPoints(hypothesis.against()), hypothesis.alternative().id());
    return new Working(
        test,
        "the " + test.id() + " test by hand" + against,
        say("x1 of n1: %s; x2 of n2: %s; d is %s minus %s", one, two, one, two),
        steps());
  }

  private List<WorkingStep> steps() {
    List<WorkingStep> steps = new ArrayList<>(HandFigures.twoProportions(first, second));
    if (test == TwoProportionTest.Z_SEPARATE) {
      steps.add(separateError());
    } else {
      steps.add(pooledProportion());
      steps.add(pooledError());
    }
    if (test == TwoProportionTest.Z_POOLED_CC) {
      steps.add(corrected());
    }
    steps.add(statistic());
    steps.addAll(HandFigures.normalDecision(z, result, hypothesis.alternative(), alpha));
    return steps;
  }

  private double pooled() {
    return (double) (first.successes() + second.successes()) / (first.trials() + second.trials());
  }

  private double error() {
    if (test == TwoProportionTest.Z_SEPARATE) {
      return HandFigures.separateError(first, second);
    }
    double p = pooled();
    return Math.sqrt(p * (1 - p) * (1.0 / first.trials() + 1.0 / second.trials()));
  }

  private WorkingStep pooledProportion() {
    return new WorkingStep(
        "pooled proportion",
        "p",
        "(x1 + x2) / (n1 + n2)",
        say(
            "(%d + %d) / (%d + %d)",
            first.successes(), second.successes(), first.trials(), second.trials()),
        number(pooled()),
        "If there is no difference, both groups show the same proportion, and all units together"
            + " estimate it best.");
  }

  private WorkingStep pooledError() {
    String p = number(pooled());
    return new WorkingStep(
        "pooled standard error",
        "SE0",
        "sqrt(p (1 - p) (1 / n1 + 1 / n2))",
        say("sqrt(%s (1 - %s) (1 / %d + 1 / %d))", p, p, first.trials(), second.trials()),
        number(error()),
        say(
            "Pooled, because the p-value asks what would happen under no difference. The interval"
                + " asks how large the difference is and takes separate variances, SE = %s.",
            number(HandFigures.separateError(first, second))));
  }

  private WorkingStep separateError() {
    return HandFigures.separateErrorStep(
        first,
        second,
        "This test takes each group's own variance; z-pooled takes that of the null of no"
            + " difference.");
  }

  private WorkingStep corrected() {
    double d = difference();
    double correction = 0.5 / first.trials() + 0.5 / second.trials();
    String c = say("(1 / (2 x %d) + 1 / (2 x %d))", first.trials(), second.trials());
    String symbols = "(1 / (2 n1) + 1 / (2 n2))";
    return switch (hypothesis.alternative()) {
      case TWO_SIDED ->
          correctedStep(
              "|d| - " + symbols + ", at least 0",
              "|" + number(d) + "| - " + c,
              Math.max(0, Math.abs(d) - correction));
      case LESS -> correctedStep("d + " + symbols, number(d) + " + " + c, d + correction);
      case GREATER -> correctedStep("d - " + symbols, number(d) + " - " + c, d - correction);
    };
  }

  private static WorkingStep correctedStep(String formula, String substituted, double value) {
    return new WorkingStep(
        "difference, corrected for continuity",
        "d'",
        formula,
        substituted,
        number(value),
        "Counts move in whole steps; half a step in each group is given away against the"
            + " alternative.");
  }

  private double difference() {
    return HandFigures.difference(first, second);
  }

  private WorkingStep statistic() {
    if (test == TwoProportionTest.Z_POOLED_CC) {
      boolean twoSided = hypothesis.alternative() == Alternative.TWO_SIDED;
      double shown = twoSided ? Math.abs(z) : z;
      return new WorkingStep(
          "test statistic",
          twoSided ? "|z|" : "z",
          "d' / SE0",
          number(shown * error()) + " / " + number(error()),
          number(shown),
          "");
    }
    boolean separate = test == TwoProportionTest.Z_SEPARATE;
    boolean plain = hypothesis.against() == 0;
    return new WorkingStep(
        "test statistic",
        "z",
        (plain ? "d" : "(d - d0)") + (separate ? " / SE" : " / SE0"),
        plain
            ? number(difference()) + " / " + number(error())
            : say(
                "(%s - %s) / %s",
                number(difference()), Figures.plain(hypothesis.against()), number(error())),
        number(z),
        "");
  }
}
