package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;

/**
 * What a verdict claims, or says is not shown. Whether a claim is shown stands here alone: where
 * the null isn't rejected nothing is said to be so, and never that there is no difference.
 */
public final class Claims {
  private Claims() {}

  /** Returns {@code shown to} or {@code not shown to}. */
  static String shown(boolean shown) {
    return shown ? "shown to" : "not shown to";
  }

  /** Returns {@code is below 5%} or {@code is not shown to be below 5%}. */
  static String is(boolean shown, String what) {
    return "is " + (shown ? what : shown(false) + " be " + what);
  }

  /** Returns {@code are associated} or {@code are not shown to be associated}. */
  static String are(boolean shown, String what) {
    return "are " + (shown ? what : shown(false) + " be " + what);
  }

  /** Returns {@code differ} or {@code are not shown to differ}. */
  public static String differ(boolean shown) {
    return shown ? "differ" : "are " + shown(false) + " differ";
  }

  /** Returns {@code differs from} or {@code is not shown to differ from}. */
  private static String differsFrom(boolean shown) {
    return shown ? "differs from" : "is " + shown(false) + " differ from";
  }

  /** Returns what is claimed of a rate and a null value, without the two. */
  static String rate(Alternative alternative, boolean shown) {
    return alternative == Alternative.TWO_SIDED
        ? differsFrom(shown)
        : is(shown, Sentences.position(alternative == Alternative.LESS));
  }

  /** Returns what is claimed of two groups whose difference is held against none. */
  static String groups(String one, String two, Alternative alternative, boolean shown) {
    return alternative == Alternative.TWO_SIDED
        ? say("%s and %s %s", one, two, differ(shown))
        : say("%s %s than %s", one, is(shown, Sentences.comparative(alternative)), two);
  }

  /** Returns what is claimed of two groups. */
  public static String of(ComparisonClaim claim, String one, String two, boolean shown) {
    Alternative alternative = claim.hypothesis().alternative();
    return switch (claim.goal()) {
      case EQUIVALENT -> say("%s and %s are %s %s", one, two, shown(shown), equivalent(claim));
      case NONINFERIOR ->
          say("%s is %s be non-inferior to %s (%s)", one, shown(shown), two, lessThan(claim));
      case DIFFERENCE ->
          claim.hypothesis().against() == 0
              ? groups(one, two, alternative, shown)
              : say("%s minus %s is %s %s", one, two, shown(shown), beyond(claim));
    };
  }

  /** Returns what is claimed of pairs, which are named apart. */
  static String ofPairs(ComparisonClaim claim) {
    return switch (claim.goal()) {
      case EQUIVALENT -> shown(true) + " " + equivalent(claim);
      case NONINFERIOR -> say("%s be non-inferior (%s)", shown(true), lessThan(claim));
      case DIFFERENCE ->
          shown(true)
              + " "
              + (claim.hypothesis().against() != 0
                  ? beyond(claim)
                  : claim.hypothesis().alternative() == Alternative.TWO_SIDED
                      ? "differ"
                      : "be " + Sentences.comparative(claim.hypothesis().alternative()));
    };
  }

  private static String equivalent(ComparisonClaim claim) {
    return "be equivalent within " + Figures.percentagePoints(claim.margin());
  }

  private static String lessThan(ComparisonClaim claim) {
    return say(
        "%s by less than %s",
        Sentences.comparative(claim.hypothesis().alternative() == Alternative.GREATER),
        Figures.percentagePoints(claim.margin()));
  }

  /** Beyond a null difference that isn't 0. */
  private static String beyond(ComparisonClaim claim) {
    return switch (claim.hypothesis().alternative()) {
          case TWO_SIDED -> "differ from ";
          case LESS -> "be below ";
          case GREATER -> "be above ";
        }
        + Figures.percentagePoints(claim.hypothesis().against());
  }

  /** Returns what a test of two groups sets against what, for the heading of a table of tests. */
  public static String hypotheses(ComparisonClaim claim, String one, String two, double alpha) {
    return say("%s; alpha %s", hypotheses(claim, one, two), Figures.plain(alpha));
  }

  private static String hypotheses(ComparisonClaim claim, String one, String two) {
    Alternative alternative = claim.hypothesis().alternative();
    if (claim.goal() == ComparisonGoal.EQUIVALENT) {
      return say(
          "null, they differ by %s or more; alternative, by less",
          Figures.shortPoints(claim.margin()));
    }
    if (claim.goal() == ComparisonGoal.NONINFERIOR) {
      return say(
          "null, %s is %s by %s or more; alternative, it is not",
          one,
          Sentences.comparative(alternative == Alternative.GREATER),
          Figures.shortPoints(claim.margin()));
    }
    double against = claim.hypothesis().against();
    return against == 0
        ? say(
            "null, no difference; alternative, %s",
            Sentences.alternative(alternative, "they differ", one))
        : say(
            "null, %s minus %s is %s; alternative, %s",
            one,
            two,
            Figures.shortPoints(against),
            Sentences.alternative(alternative, "it differs", "it"));
  }

  /** Returns what a test of a rate sets against what. */
  public static String hypotheses(Hypothesis hypothesis, double alpha) {
    return say(
        "null, the rate is %s; alternative, %s; alpha %s",
        Figures.exactPercent(hypothesis.against()),
        Sentences.alternative(hypothesis.alternative(), "it differs", "it"),
        Figures.plain(alpha));
  }
}
