package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Alternative;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What to be careful of in the decisions of several tests of the same question. */
public record DecisionCautions(List<TestResult> tests, double alpha, TestResult preferred) {
  /** A p-value this near alpha, relatively, is a hair's breadth away. */
  private static final double HAIR = 0.05;

  /** Why a test and an interval may part ways where no better reason is known. */
  public static final String CLOSE =
      "They are built on different principles, and here the case is close; report both, or the pair"
          + " that was planned.";

  /**
   * Told where a rate lies on the other side of the null value than the alternative says.
   *
   * @param away the rate less the null value
   * @param against the null value, in words
   */
  public static List<Caution> otherDirection(Alternative alternative, double away, String against) {
    boolean opposite =
        (alternative == Alternative.LESS && away > 0)
            || (alternative == Alternative.GREATER && away < 0);
    return !opposite
        ? List.of()
        : List.of(
            new Caution(
                Code.OTHER_DIRECTION,
                say(
                    "The alternative is '%s', but the observed rate is %s %s. If the direction was mixed"
                        + " up, or success and failure were, set it right; if it was meant, the data lend it no"
                        + " support.",
                    alternative.id(), away > 0 ? "above" : "below", against)));
  }

  public List<Caution> noStatistic() {
    return tests.stream()
        .filter(test -> test.statistic() == null)
        .map(
            test ->
                new Caution(
                    Code.NO_STATISTIC,
                    say(
                        "The %s test has no statistic here, since its standard error is 0; its p-value of 1"
                            + " says nothing.",
                        test.method().id())))
        .toList();
  }

  public List<Caution> disagree() {
    List<String> rejecting = new ArrayList<>();
    List<String> others = new ArrayList<>();
    for (TestResult test : tests) {
      if (test.statistic() == null && test.log10PValue() == 0 && !test.equals(preferred)) {
        // A standard error of 0 says nothing, and so contradicts nothing.
        continue;
      }
      (test.rejects(alpha) ? rejecting : others)
          .add(test.method().id() + " (" + Figures.pEquals(test.log10PValue(), alpha) + ")");
    }
    if (rejecting.isEmpty() || others.isEmpty()) {
      return List.of();
    }
    return List.of(
        new Caution(
            Code.TESTS_DISAGREE,
            say(
                "At alpha %s, %s %s and %s %s not. The verdict follows %s; report which test was"
                    + " planned, not the one that suits.",
                Figures.plain(alpha),
                joined(rejecting),
                rejecting.size() == 1 ? "rejects" : "reject",
                joined(others),
                others.size() == 1 ? "does" : "do",
                preferred.method().id())));
  }

  private static String joined(List<String> names) {
    if (names.size() == 1) {
      return names.get(0);
    }
    return say(
        "%s and %s",
        names.stream().limit(names.size() - 1L).collect(Collectors.joining(", ")),
        names.get(names.size() - 1));
  }

  /** Draws that leave open on which side of alpha the p-value lies. */
  public static List<Caution> open(@Nullable DrawnTest drawn, double alpha) {
    return drawn == null || !drawn.open(alpha)
        ? List.of()
        : List.of(
            new Caution(
                Code.NEAR_ALPHA,
                say(
                    "%s leave open on which side of alpha %s the p-value lies; draw more of them.",
                    Figures.count(drawn.tail().draws()) + " draws", Figures.plain(alpha))));
  }

  public List<Caution> nearAlpha() {
    return Math.abs(preferred.pValue() / alpha - 1) <= HAIR
        ? List.of(
            new Caution(
                Code.NEAR_ALPHA,
                say(
                    "%s is within a hair of alpha %s. One trial more or less could turn the decision; the"
                        + " interval says more than the verdict.",
                    Figures.pEquals(preferred.log10PValue()), Figures.plain(alpha))))
        : List.of();
  }

  /** Told where a test rejects alone, but not among its family. */
  public static List<Caution> adjustedAway(TestResult test, double alpha, String family) {
    TestResult.AdjustedP adjusted = test.adjusted();
    return adjusted == null || !test.rejects(alpha) || test.rejectsAdjusted(alpha)
        ? List.of()
        : List.of(
            new Caution(
                Code.ADJUSTED_AWAY,
                say(
                    "Significant alone (%s), but not among %s (adjusted %s).",
                    Figures.pEquals(test.log10PValue()),
                    family,
                    Figures.pEquals(adjusted.log10PValue()))));
  }

  /**
   * Tells that the test of the verdict decides one way and intervals the other.
   *
   * @param claim what the test rejects, after a blank; empty where that is plain
   * @param intervals the intervals, in words
   * @param why how that can be
   */
  public Caution testAndInterval(String claim, String intervals, String why) {
    return new Caution(
        Code.TEST_AND_INTERVAL,
        say(
            "The %s test %s%s; by %s it would be the other way. %s",
            preferred.method().id(),
            preferred.rejects(alpha) ? "rejects" : "doesn't reject",
            claim,
            intervals,
            why));
  }

  /**
   * Told where the level isn't the one that goes with alpha.
   *
   * @param level the level of intervals
   * @param matching the level that would match
   * @param more what follows from it; at least a semicolon
   */
  public List<Caution> levelAlpha(double level, double matching, String more) {
    return level == matching
        ? List.of()
        : List.of(
            new Caution(
                Code.LEVEL_ALPHA,
                say(
                    "Intervals are at level %s, tests at alpha %s%s level %s would match.",
                    Figures.exactPercent(level),
                    Figures.plain(alpha),
                    more,
                    Figures.exactPercent(matching))));
  }
}
