package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Caution.Code;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What to be careful of where counts are few, or all alike. */
public final class SampleCautions {
  private SampleCautions() {}

  private static Caution few(String message) {
    return new Caution(Code.FEW_SUCCESSES, message);
  }

  /** Says that a test of a rate rejects a true null too often. */
  public static Caution rejectsTooOften(Method test, double size, double alpha, boolean successes) {
    String more =
        say(
            "too few %s are expected. Leave the choice of tests out, or ask for mid-p or exact.",
            successes ? "successes" : "failures");
    return few(say(
            "The %s test rejects a true null in %s of such samples, not in %s: %s",
            test.id(), Figures.percent(size), Figures.exactPercent(alpha), more))
        .ofSeveral(
            say(
                "The %s test rejects a true null in more than %s of such samples: %s",
                test.id(), Figures.exactPercent(alpha), more));
  }

  /**
   * Says that the null expects too few for the normal approximation.
   *
   * @param scarce such as {@code 4.2 successes}
   * @param approximate the approximate tests
   * @param exact the exact test; null where it wasn't made
   */
  public static Caution nullExpectsFew(
      String scarce, List<? extends Method> approximate, @Nullable TestResult exact) {
    String tests = ids(approximate);
    return few(say(
            "The null expects only %s, too few for the normal approximation (%s). %s",
            scarce,
            tests,
            exact == null
                ? "Use the exact test."
                : "The exact test says " + Figures.pEquals(exact.log10PValue()) + "."))
        .ofSeveral(
            say(
                "The null expects too few for the normal approximation (%s). Use the exact test.",
                tests));
  }

  private static String ids(List<? extends Method> methods) {
    return methods.stream().map(Method::id).collect(Collectors.joining(", "));
  }

  /**
   * Says that one of two groups expects too few for the normal approximation.
   *
   * @param scarce such as {@code 4.2 successes}
   * @param approximate the approximate tests
   * @param fisher Fisher's test; null where it wasn't made
   * @param plain whether the null is no difference
   */
  public static Caution groupExpectsFew(
      String scarce,
      List<? extends Method> approximate,
      @Nullable TestResult fisher,
      boolean plain) {
    String tests = ids(approximate);
    String instead =
        plain
            ? fisher == null ? "Use fisher, boschloo or barnard." : "Read Fisher's exact test."
            : "No exact test of such a null is offered; read the interval with care.";
    return few(say(
            "One group is expected to have only %s, too few for the normal approximation (%s)."
                + " %s",
            scarce,
            tests,
            fisher == null
                ? instead
                : say("Fisher's exact test says %s.", Figures.pEquals(fisher.log10PValue()))))
        .ofSeveral(
            say(
                "In one group too few are expected for the normal approximation (%s). %s",
                tests, instead));
  }

  /** Says how often a test rejects where two groups have the same rate. */
  public static Caution comparisonRejectsTooOften(
      Method test, double pooled, double size, double alpha) {
    return few(say(
            "Where both groups have the rate of all units together, %s, the %s test rejects in"
                + " %s of such samples, not in %s. Near alpha, read fisher or boschloo.",
            Figures.percent(pooled), test.id(), Figures.percent(size), Figures.exactPercent(alpha)))
        .ofSeveral(
            say(
                "Where both groups have the rate of all units together, the %s test rejects in more"
                    + " than %s of such samples. Near alpha, read fisher or boschloo.",
                test.id(), Figures.exactPercent(alpha)));
  }

  /** Says that all trials are alike. */
  public static Caution allOrNone(boolean none, long trials) {
    return new Caution(
            Code.ALL_OR_NONE,
            say(
                "%s, so the standard error comes out as 0. That is not certainty: read the"
                    + " interval.",
                trials == 1
                    ? "The only trial was " + (none ? "no success" : "a success")
                    : say(
                        "%s of %s trials was a success",
                        none ? "None" : "Every one", Figures.count(trials))))
        .ofSeveral(
            "All trials or none were successes, so the standard error comes out as 0. That is not"
                + " certainty: read the interval.");
  }

  /** Says that two groups are alike in that all or none are successes. */
  public static Caution allOrNoneOfGroups(boolean none, ComparisonGoal goal) {
    return new Caution(
        Code.ALL_OR_NONE,
        say(
            "%s was a success in either group%s. The intervals say how far apart they may still be.",
            none ? "None" : "Every one",
            goal == ComparisonGoal.DIFFERENCE
                ? ": nothing tells them apart, and no test can"
                : ", which is no certainty that they are alike"));
  }

  /** Says that two judgements agree on all. */
  public static Caution allAgree() {
    return new Caution(
        Code.ALL_OR_NONE,
        "Both judgements agree on every unit: nothing tells them apart, and no test can. The"
            + " intervals say how far apart they may still be.");
  }

  /** Says that a limit was set to the end of the scale. */
  public static Caution clipped(
      List<Interval> intervals, Function<Interval, String> named, String ends, String prefer) {
    return new Caution(
        Code.CLIPPED_LIMIT,
        say(
            "A limit came out beyond %s and was set to the end of the scale: %s. Such an interval"
                + " covers too seldom here; prefer %s.",
            ends, intervals.stream().map(named).collect(Collectors.joining(" and ")), prefer));
  }

  /** Says that a ratio has no upper limit. */
  public static Caution zeroCell(List<Interval> endless) {
    return new Caution(
        Code.ZERO_CELL,
        say(
            "One of the four counts is 0, so there is no upper limit for %s. The difference has"
                + " limits all the same; gart's odds ratio adds 1/2 to each count.",
            endless.stream()
                .map(each -> each.quantity().id() + " (" + each.method().id() + ")")
                .collect(Collectors.joining(", "))));
  }

  /** Says that a significant difference lies within the margin. */
  public static Caution withinMargin(Method interval, double margin) {
    return new Caution(
        Code.WITHIN_MARGIN,
        say(
            "The difference is significant, but by the %s interval smaller than the margin of %s:"
                + " not zero, and of no practical meaning.",
            interval.id(), Figures.percentagePoints(margin)));
  }

  /** Says that there are too many groups for pairs. */
  public static Caution pairsLeftOut(int groups, int most) {
    return new Caution(
        Code.PAIRS_LEFT_OUT,
        say(
            "%s %s, too many to read; pairs are compared for up to %s."
                + " Name a baseline to hold each group against one, or choose a coarser grouping.",
            Figures.counted(groups, "group makes", "groups make"),
            Figures.counted((long) groups * (groups - 1) / 2, "pair", "pairs"),
            Figures.counted(most, "group", "groups")));
  }

  /** Says that too few pairs are discordant. */
  public static Caution fewDiscordant(long pairs) {
    return few(
        say(
            "Only %s, too few for the normal approximation; prefer mcnemar-exact or"
                + " mcnemar-mid-p.",
            Figures.counted(pairs, "discordant pair", "discordant pairs")));
  }

  /** Says that too few units were classified differently. */
  public static Caution fewMoved() {
    return few(
        "Too few units were classified differently for the chi-square approximation; read bowker's"
            + " p-value with care.");
  }

  /** Says that a table's counts are too small, and what the verdict rests on instead. */
  public static Caution smallTable(String instead) {
    return few("Expected counts are too small for the chi-square approximation. " + instead);
  }

  /** Says that the verdict on a table rests on the exact test. */
  public static String exact(Method test) {
    return say("The verdict rests on %s, which is exact.", test.id());
  }

  /** Says that tables were drawn since the exact test would take too long. */
  public static String tablesDrawn(String drawn) {
    return say(
        "The exact test would take too long, so tables with these margins were drawn: %s.", drawn);
  }

  /** Says what to do where neither can be had. */
  public static String mergeLevels() {
    return "Merge levels that were alike before the data were seen, or read the p-value with care.";
  }

  /** Says that the counts of categories are too small, and that outcomes were drawn. */
  public static Caution smallCategoriesDrawn(List<String> small, String drawn) {
    return smallCategories(
        small, say("The verdict rests on outcomes drawn with the claimed shares: %s.", drawn));
  }

  /** Says that the counts of categories are too small, and what to use. */
  public static Caution smallCategories(List<String> small) {
    return smallCategories(
        small,
        "Use exact-multinomial, or merge categories that were alike before the data were seen.");
  }

  private static Caution smallCategories(List<String> small, String instead) {
    return few(
        say(
            "Some expected counts are too small for the chi-square approximation: %s. %s",
            String.join(", ", small), instead));
  }

  /** Says that rows and columns have the same levels. */
  public static Caution sameLevels() {
    return new Caution(
        Code.SAME_LEVELS,
        "Rows and columns have the same levels. If the same units were classified twice, this is"
            + " the wrong question: ask for it as paired, for agreement and symmetry.");
  }

  /** Says that levels were merged. */
  public static Caution merged(List<String> merged) {
    return new Caution(
        Code.LEVELS_MERGED,
        say(
            "Levels merged: %s. If this was decided after seeing the data, the p-values are too"
                + " small; say so beside them.",
            String.join("; ", merged)));
  }

  /** Says that the odds ratio differs from stratum to stratum. */
  public static Caution strataDiffer(TestResult test) {
    return new Caution(
        Code.STRATA_DIFFER,
        say(
            "The odds ratio differs from stratum to stratum (%s, %s): a common one hides that."
                + " Report the strata apart.",
            Figures.pEquals(test.log10PValue()), test.method().id()));
  }

  /** Says that all strata together turn an association round. */
  public static Caution turnedRound(double together, double within) {
    return new Caution(
        Code.STRATA_DIFFER,
        say(
            "All strata together reverse the association: odds ratio %s instead of %s within strata."
                + " The groups are spread unevenly over the strata; trust the one within.",
            Figures.significant(together, 3), Figures.significant(within, 3)));
  }
}
