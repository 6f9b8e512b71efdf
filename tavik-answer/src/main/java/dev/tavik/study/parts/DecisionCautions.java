package dev.tavik.study.parts;

import dev.tavik.answer.Caution;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.study.InferenceSettings;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What to be careful of in the decisions of several tests of the same question. */
public record DecisionCautions(List<TestResult> tests, double alpha, TestResult preferred) {
  /** Relative distance from alpha within which a p-value counts as very near it. */
  private static final double HAIR = 0.05;

  /** A caution if a rate lies on the other side of the null value than the alternative says. */
  public static List<Caution> otherDirection(Hypothesis hypothesis, double rate) {
    double away = rate - hypothesis.against();
    return !hypothesis.alternative().isOpposite(away)
        ? List.of()
        : List.of(
            TestCautions.otherDirection(
                hypothesis.alternative(), away > 0, Figures.exactPercent(hypothesis.against())));
  }

  public List<Caution> noStatistic() {
    return tests.stream()
        .filter(test -> test.statistic() == null)
        .map(test -> TestCautions.noStatistic(test.method()))
        .toList();
  }

  public List<Caution> disagree() {
    List<TestResult> rejecting = new ArrayList<>();
    List<TestResult> others = new ArrayList<>();
    for (TestResult test : tests) {
      if (test.statistic() == null && test.log10PValue() == 0 && !test.equals(preferred)) {
        // A standard error of 0 carries no information and so contradicts nothing.
        continue;
      }
      (test.rejects(alpha) ? rejecting : others).add(test);
    }
    return rejecting.isEmpty() || others.isEmpty()
        ? List.of()
        : List.of(TestCautions.disagree(rejecting, others, preferred.method(), alpha));
  }

  /** A caution if the draws leave open on which side of alpha the p-value lies. */
  public static List<Caution> open(@Nullable DrawnTest drawn, double alpha) {
    return drawn == null || !drawn.open(alpha)
        ? List.of()
        : List.of(TestCautions.open(drawn.tail().draws(), alpha));
  }

  public List<Caution> nearAlpha() {
    return Math.abs(preferred.pValue() / alpha - 1) <= HAIR
        ? List.of(TestCautions.nearAlpha(preferred, alpha))
        : List.of();
  }

  /** A caution if a test rejects by itself but not after adjustment for its family. */
  public static List<Caution> adjustedAway(TestResult test, double alpha, String family) {
    return test.adjusted() == null || !test.rejects(alpha) || test.rejectsAdjusted(alpha)
        ? List.of()
        : List.of(TestCautions.adjustedAway(test, family));
  }

  /** A caution that the test of the verdict and intervals disagree. */
  public Caution testAndInterval(String claim, String intervals, String why) {
    return TestCautions.testAndInterval(
        preferred.method(), preferred.rejects(alpha), claim, intervals, why);
  }

  /** A caution if the confidence level doesn't match alpha. */
  public static List<Caution> levelAlpha(InferenceSettings<?, ?, ?> chosen) {
    return levelAlpha(chosen, "", /* eachSide= */ false);
  }

  /**
   * A caution if the confidence level doesn't match alpha.
   *
   * @param against what an interval may include though a test rejects it; empty to leave that out
   * @param eachSide whether alpha is that of two one-sided tests
   */
  public static List<Caution> levelAlpha(
      InferenceSettings<?, ?, ?> chosen, String against, boolean eachSide) {
    return chosen.levelMatchesAlpha()
        ? List.of()
        : List.of(
            TestCautions.levelAlpha(
                chosen.level(), chosen.alpha(), chosen.matchingLevel(), against, eachSide));
  }
}
