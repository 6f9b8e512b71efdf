package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Caution.Code;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import java.util.List;

/** What to be careful of in the decisions of tests. */
public final class TestCautions {
  private TestCautions() {}

  /** Says that a rate lies on the other side of the null value than the alternative says. */
  public static Caution otherDirection(Alternative alternative, boolean above, String against) {
    return new Caution(
            Code.OTHER_DIRECTION,
            say(
                "The alternative is '%s', but the observed rate is %s %s. If the direction was mixed"
                    + " up, or success and failure were, set it right; if it was meant, the data"
                    + " lend it no support.",
                alternative.id(), Sentences.position(!above), against))
        .ofSeveral(
            say(
                "The alternative is '%s', but the observed rates are %s %s, and lend it no support.",
                alternative.id(), Sentences.position(!above), against));
  }

  /** Says that a difference points the other way than the alternative says. */
  public static Caution otherWay(String claim, Alternative alternative, boolean support) {
    return new Caution(
            Code.OTHER_DIRECTION,
            say(
                "The alternative '%s' says that %s, but the data point the other way. If the order"
                    + " of the %s or the direction was mixed up, set it right%s.",
                alternative.id(),
                claim,
                support ? "groups" : "columns",
                support ? "; if it was meant, the data lend it no support" : ""))
        .ofSeveral(
            say("The data point the other way than the alternative '%s' says.", alternative.id()));
  }

  /** Returns what a directional alternative says of a difference. */
  public static String claim(String one, String two, Alternative alternative, double against) {
    boolean less = alternative == Alternative.LESS;
    return against == 0
        ? say("%s is %s than %s", one, Sentences.comparative(less), two)
        : say(
            "%s minus %s is %s %s",
            one, two, Sentences.position(less), Figures.shortPoints(against));
  }

  /** Says that a test has no statistic. */
  public static Caution noStatistic(Method test) {
    return new Caution(
        Code.NO_STATISTIC,
        say(
            "The %s test has no statistic here, since its standard error is 0; its p-value of 1"
                + " says nothing.",
            test.id()));
  }

  /** Says that tests decide differently. */
  public static Caution disagree(
      List<TestResult> rejecting, List<TestResult> others, Method preferred, double alpha) {
    return new Caution(
            Code.TESTS_DISAGREE,
            say(
                "At alpha %s, %s %s and %s %s not. The verdict follows %s; report which test was"
                    + " planned, not the one that suits.",
                Figures.plain(alpha),
                named(rejecting, alpha),
                rejecting.size() == 1 ? "rejects" : "reject",
                named(others, alpha),
                others.size() == 1 ? "does" : "do",
                preferred.id()))
        .ofSeveral(
            say(
                "At alpha %s, the tests disagree. The verdict follows %s; report which test was"
                    + " planned, not the one that suits.",
                Figures.plain(alpha), preferred.id()));
  }

  private static String named(List<TestResult> tests, double alpha) {
    return Sentences.series(
        tests.stream()
            .map(
                test ->
                    say("%s (%s)", test.method().id(), Figures.pEquals(test.log10PValue(), alpha)))
            .toList());
  }

  /** Says that draws leave open on which side of alpha the p-value lies. */
  public static Caution open(long draws, double alpha) {
    return new Caution(
        Code.NEAR_ALPHA,
        say(
            "%s open on which side of alpha %s the p-value lies; draw more of them.",
            Figures.counted(draws, "draw leaves", "draws leave"), Figures.plain(alpha)));
  }

  /** Says that a p-value is next to alpha. */
  public static Caution nearAlpha(TestResult test, double alpha) {
    String more =
        say(
            "within a hair of alpha %s. One trial more or less could turn the decision; the"
                + " interval says more than the verdict.",
            Figures.plain(alpha));
    return new Caution(Code.NEAR_ALPHA, say("%s is %s", Figures.pEquals(test.log10PValue()), more))
        .ofSeveral("The p-value is " + more);
  }

  /** Says that a test rejects alone, but not among its family. */
  public static Caution adjustedAway(TestResult test, String family) {
    return new Caution(
            Code.ADJUSTED_AWAY,
            say(
                "Significant alone (%s), but not among %s (adjusted %s).",
                Figures.pEquals(test.log10PValue()), family, Sentences.adjustedP(test)))
        .ofSeveral(say("Significant alone, but not among %s.", family));
  }

  /** Says that several tests are made without adjustment. */
  public static Caution manyTables(int tables, double alpha) {
    return new Caution(
        Code.MANY_TESTS,
        say(
            "%s tested, each at alpha %s, without adjustment for their number: among"
                + " many some reject by chance.",
            Figures.counted(tables, "table is", "tables are"), Figures.plain(alpha)));
  }

  /** Says that the tests of a study are not adjusted for one another. */
  public static Caution manyTests(int tests) {
    return new Caution(
        Code.MANY_TESTS,
        say(
            "%s made, each at its own alpha, and none is adjusted for the others. Of as"
                + " many true nulls about one in twenty is rejected by chance at 0.05. Say"
                + " beforehand which question decides, or leave 'adjust: none' out.",
            Figures.counted(tests, "test is", "tests are")));
  }

  /**
   * Says that a test decides one way and intervals the other.
   *
   * @param claim what the test rejects, after a blank; empty where that is plain
   * @param intervals the intervals, in words
   * @param why how that can be, as other methods here say it
   */
  public static Caution testAndInterval(
      Method test, boolean rejects, String claim, String intervals, String why) {
    return new Caution(
        Code.TEST_AND_INTERVAL,
        say(
            "The %s test %s%s; by %s it would be the other way. %s",
            test.id(), rejects ? "rejects" : "doesn't reject", claim, intervals, why));
  }

  /** Says why a test and an interval part ways where no better reason is known. */
  public static String close() {
    return "They are built on different principles, and here the case is close; report both, or"
        + " the pair that was planned.";
  }

  /** Says why intervals part ways with a test whose data point the other way. */
  public static String otherSide() {
    return "They do so on the other side, which the alternative doesn't ask about.";
  }

  /** Says why a two-sided interval parts ways with a directional test. */
  public static String halfOnEachSide() {
    return "A two-sided interval has half the error on each side; the one-sided bound is the one"
        + " that goes with a directional test.";
  }

  /** Says why a test of all shares rejects and no interval does. */
  public static String addUp() {
    return "Each claimed share lies inside its interval: small departures of several add up.";
  }

  /** Says which shares lie outside of their intervals though the test of all doesn't reject. */
  public static String outside(List<String> categories) {
    return say(
        "%s outside its interval. They ask different questions, and here the case is close.",
        String.join(", ", categories) + (categories.size() == 1 ? " lies" : " lie each"));
  }

  /**
   * Says that the level isn't the one that goes with alpha.
   *
   * @param against what an interval may include though a test rejects it; empty to leave that out
   * @param eachSide whether alpha is that of two one-sided tests
   */
  public static Caution levelAlpha(
      double level, double alpha, double matching, String against, boolean eachSide) {
    return new Caution(
        Code.LEVEL_ALPHA,
        say(
            "Intervals are at level %s, tests at alpha %s%s%s; level %s would match.",
            Figures.exactPercent(level),
            Figures.plain(alpha),
            eachSide ? ", one on each side" : "",
            against.isEmpty()
                ? ""
                : say(". An interval may include %s, or the other way round", against),
            Figures.exactPercent(matching)));
  }

  /** Returns what an interval may include though a test rejects it. */
  public static String rejected(double against) {
    return Figures.exactPercent(against) + " while a test rejects it";
  }

  /** Returns the same of a difference. */
  public static String rejected() {
    return "what a test rejects";
  }

  /** Says that intervals of shares hold one at a time. */
  public static Caution oneAtATime(boolean wilson) {
    return new Caution(
        Code.ONE_AT_A_TIME,
        say(
            "%s intervals hold at the level one at a time; all together they miss some share more"
                + " often.%s",
            wilson ? "Wilson's" : "These",
            wilson ? " Use goodman or sison-glaz to look at several." : ""));
  }
}
