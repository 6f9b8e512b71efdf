package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Verdicts on two rates and more, for a reader who never saw a test: who is lower or higher, by how
 * many percentage points, how sure. Where nothing is shown they say what the data can't exclude.
 */
public final class ComparisonVerdicts {
  /** Up to so many pairs are all named. */
  private static final int ALL_NAMED = 10;

  private static final int CLEAREST = 5;

  private ComparisonVerdicts() {}

  /**
   * Two groups, and what a verdict on them rests on.
   *
   * @param one the name of the first
   * @param two the name of the second
   * @param observed both rates, in words
   * @param difference the first rate less the second
   * @param test the test
   * @param interval the interval
   */
  public record Pair(
      String one,
      String two,
      String observed,
      double difference,
      TestResult test,
      Interval interval) {
    /** Returns its name, which says the order of the difference. */
    public String order() {
      return one + " minus " + two;
    }
  }

  /** Returns a group with its rate beside that of another, and what it is from. */
  public static String rate(String name, double rate, double other, String counts) {
    return say("%s %s (%s)", name, Figures.percentBeside(rate, other), counts);
  }

  /** Concludes about two groups. */
  public static Verdict pair(String label, Pair pair, ComparisonClaim claim, double alpha) {
    boolean rejects = pair.test().rejects(alpha);
    Verdict verdict =
        Verdict.of(
                Sentences.labelled(
                    label,
                    say(
                        "%s: %s, %s; %s.%s",
                        Claims.of(claim, pair.one(), pair.two(), rejects),
                        pair.observed(),
                        reach(pair, claim, rejects),
                        evidence(pair.test(), claim, alpha),
                        rejects ? direction(pair, claim) : "")))
            .rejecting(rejects);
    return claim.goal() == ComparisonGoal.DIFFERENCE ? verdict : verdict.wantingRejection();
  }

  /** Concludes that two groups of a designed sample can't be told apart or alike. */
  public static Verdict undecided(String label, String one, String two, ComparisonGoal goal) {
    return TableVerdicts.undecided(
        label,
        switch (goal) {
          case DIFFERENCE -> say("whether %s and %s differ", one, two);
          case EQUIVALENT -> say("whether %s and %s are equivalent", one, two);
          case NONINFERIOR -> say("whether %s is non-inferior to %s", one, two);
        });
  }

  /** The interval in words; where it still includes what the test rejects, that is said. */
  private static String reach(Pair pair, ComparisonClaim claim, boolean rejects) {
    Interval interval = pair.interval();
    boolean excluded =
        interval.quantity() != Estimand.DIFFERENCE
            || (rejects
                && (claim.goal() != ComparisonGoal.DIFFERENCE
                    || !interval.contains(claim.hypothesis().against())));
    return IntervalPhrases.range(
        IntervalPhrases.reach(pair.one(), pair.two(), interval), interval, excluded);
  }

  private static String evidence(TestResult test, ComparisonClaim claim, double alpha) {
    return claim.goal() == ComparisonGoal.EQUIVALENT
        ? say(
            "%s, the larger of two one-sided %s tests at alpha %s",
            Figures.pEquals(test.log10PValue(), alpha), test.method().id(), Figures.plain(alpha))
        : Sentences.evidence(test, alpha);
  }

  private static String direction(Pair pair, ComparisonClaim claim) {
    if (claim.goal() != ComparisonGoal.DIFFERENCE || claim.alternative() != Alternative.TWO_SIDED) {
      return "";
    }
    boolean lower = pair.difference() < claim.hypothesis().against();
    return claim.plain()
        ? Sentences.directionSeen(pair.one(), lower, "they differ")
        : Sentences.directionSeen("The difference", lower, "it is another");
  }

  /**
   * Concludes about all groups together, then says what is shown of which pair. Of many pairs it
   * counts, and names the clearest.
   *
   * @param label the analyst's name for the question; empty for none
   * @param groups how many groups there are
   * @param baseline the group that every other is compared with; null for all pairs
   * @param overall the test of all groups together
   * @param pairs the pairs that were decided
   * @param undecided the names of the others
   */
  public static Verdict groups(
      String label,
      int groups,
      @Nullable String baseline,
      TestResult overall,
      List<Pair> pairs,
      List<String> undecided,
      ComparisonClaim claim,
      double alpha) {
    String together =
        Sentences.labelled(
            label,
            say(
                "the %s %s (%s, %s, alpha %s).",
                Figures.counted(groups, "group", "groups"),
                Claims.differ(overall.rejects(alpha)),
                overall.method().id().equals("pearson")
                    ? "pearson chi-square"
                    : overall.method().id() + " test",
                Figures.pEquals(overall.log10PValue()),
                Figures.plain(alpha)));
    Several several = new Several(baseline, pairs, claim, alpha);
    return Verdict.of(
            (pairs.isEmpty() ? together : together + " " + several.inWords())
                + (undecided.isEmpty()
                    ? ""
                    : say(
                        " No variance is seen, and nothing decided, of %s.",
                        undecided.size() > ALL_NAMED
                            ? Figures.count(undecided.size()) + " pairs"
                            : String.join(", ", undecided))))
        .inOwnWords();
  }

  /** The pairs of several groups. */
  private record Several(
      @Nullable String baseline, List<Pair> pairs, ComparisonClaim claim, double alpha) {

    String inWords() {
      List<Pair> shown = pairs.stream().filter(pair -> pair.test().rejectsAdjusted(alpha)).toList();
      List<Pair> others = pairs.stream().filter(pair -> !shown.contains(pair)).toList();
      String found = pairs.size() > ALL_NAMED ? counted(shown, others) : named(shown, others);
      return say("%s. %s", found, methods());
    }

    private String named(List<Pair> shown, List<Pair> others) {
      List<String> parts = new ArrayList<>();
      shown.forEach(pair -> parts.add(shown(pair)));
      if (!others.isEmpty()) {
        parts.add(
            say(
                "%s %s: %s",
                shown.isEmpty() ? "Not" : "not",
                Claims.ofPairs(claim),
                others.stream().map(this::notShown).collect(Collectors.joining(", "))));
      }
      return String.join("; ", parts);
    }

    private String counted(List<Pair> shown, List<Pair> others) {
      String many =
          say(
              "Of %s %s %s %s %s, %s not",
              Figures.count(pairs.size()),
              baseline == null ? "pairs" : "groups against " + baseline,
              shown.isEmpty() ? "none" : Figures.count(shown.size()),
              shown.size() == 1 ? "is" : "are",
              Claims.ofPairs(claim),
              Figures.counted(others.size(), "is", "are"));
      return shown.isEmpty()
          ? many
          : say(
              "%s. %s%s",
              many,
              shown.size() > CLEAREST ? "The clearest: " : "",
              shown.stream()
                  .sorted(Comparator.comparingDouble(pair -> pair.test().log10PValue()))
                  .limit(CLEAREST)
                  .map(this::shown)
                  .collect(Collectors.joining("; ")));
    }

    private boolean onlyDiffer() {
      return claim.plain() && claim.alternative() == Alternative.TWO_SIDED;
    }

    /** A pair that is shown to be what was asked, by how much, and how sure. */
    private String shown(Pair pair) {
      return say(
          "%s: %s (%s)",
          onlyDiffer()
              ? pair.one() + " against " + pair.two()
              : Claims.of(claim, pair.one(), pair.two(), /* shown= */ true),
          IntervalPhrases.reach(pair.one(), pair.two(), pair.interval()),
          Sentences.adjustedP(pair.test()));
    }

    private String notShown(Pair pair) {
      String joint =
          switch (claim.goal()) {
            case EQUIVALENT -> "and";
            case NONINFERIOR -> "to";
            case DIFFERENCE -> onlyDiffer() ? "and" : claim.plain() ? "than" : "minus";
          };
      return say("%s %s %s (%s)", pair.one(), joint, pair.two(), Sentences.adjustedP(pair.test()));
    }

    private String methods() {
      Pair first = pairs.get(0);
      String compared =
          baseline == null
              ? Figures.counted(pairs.size(), "pair", "pairs")
              : Figures.counted(pairs.size(), "group", "groups") + " against " + baseline;
      return say(
          "%s test and %s %s intervals; p-values, not intervals, adjusted by Holm's method for %s.",
          Sentences.capitalised(first.test().method().id()),
          Figures.exactPercent(first.interval().level()),
          first.interval().method().title(),
          compared);
    }
  }
}
