package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Derivation;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.parts.Calculation;
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
  static List<Derivation> of(NamedTally first, NamedTally second, CompareSettings settings) {
    List<Derivation> workings = new ArrayList<>();
    for (TwoProportionTest test : settings.tallyTests()) {
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

  private Derivation working(String one, String two, CompareSettings settings) {
    String against =
        settings.plain()
            ? ""
            : say(
                " against %s, %s",
                Figures.shortPoints(hypothesis.against()), hypothesis.alternative().id());
    return new Derivation(
        test,
        "the " + test.id() + " test by hand" + against,
        say("x1 of n1: %s; x2 of n2: %s; d is %s minus %s", one, two, one, two),
        steps());
  }

  private List<WorkingStep> steps() {
    Calculation by = new Calculation().twoProportions(first, second);
    by.let("d0", Figures.plain(hypothesis.against()));
    double separate = Calculation.difference(first, second).standardError();
    if (test == TwoProportionTest.Z_SEPARATE) {
      by.separateError(
          first,
          second,
          "This test takes each group's own variance; z-pooled takes that of the null of no"
              + " difference.");
    } else {
      by.line(
          "pooled proportion",
          "p",
          "(x1 + x2) / (n1 + n2)",
          pooled(),
          "If there is no difference, both groups show the same proportion, and all units together"
              + " estimate it best.");
      by.line(
          "pooled standard error",
          "SE0",
          "sqrt(p (1 - p) (1 / n1 + 1 / n2))",
          pooledError(),
          say(
              "Pooled, because the p-value asks what would happen under no difference. The interval"
                  + " asks how large the difference is and takes separate variances, SE = %s.",
              Calculation.number(separate)));
    }
    if (test == TwoProportionTest.Z_POOLED_CC) {
      corrected(by);
    } else {
      String error = test == TwoProportionTest.Z_SEPARATE ? " / SE" : " / SE0";
      by.line("test statistic", "z", (hypothesis.against() == 0 ? "d" : "(d - d0)") + error, z);
    }
    return by.normalDecision(z, result, hypothesis.alternative(), alpha).steps();
  }

  private double pooled() {
    return (double) (first.successes() + second.successes()) / (first.trials() + second.trials());
  }

  private double pooledError() {
    double p = pooled();
    return Math.sqrt(p * (1 - p) * (1.0 / first.trials() + 1.0 / second.trials()));
  }

  private void corrected(Calculation by) {
    boolean twoSided = hypothesis.alternative() == Alternative.TWO_SIDED;
    double shown = twoSided ? Math.abs(z) : z;
    String half = "(1 / (2 n1) + 1 / (2 n2))";
    String formula =
        switch (hypothesis.alternative()) {
          case TWO_SIDED -> "|d| - " + half + ", at least 0";
          case LESS -> "d + " + half;
          case GREATER -> "d - " + half;
        };
    by.line(
        "difference, corrected for continuity",
        "d'",
        formula,
        shown * pooledError(),
        "Counts move in whole steps; half a step in each group is given away against the"
            + " alternative.");
    by.line("test statistic", twoSided ? "|z|" : "z", "d' / SE0", shown);
  }
}
