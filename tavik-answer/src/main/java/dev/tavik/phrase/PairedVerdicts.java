package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.count.PairedTally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.List;

/** Verdicts on two judgements and more of the same units. */
public final class PairedVerdicts {
  private PairedVerdicts() {}

  /** Concludes about two judgements of the same units. */
  public static Verdict paired(
      String label,
      ComparisonVerdicts.Pair pair,
      PairedTally tally,
      Alternative alternative,
      double alpha) {
    boolean rejects = pair.test().rejects(alpha);
    Interval interval = pair.interval();
    String reach = IntervalPhrases.reach(pair.one(), pair.two(), interval);
    String text =
        say(
            "%s: on the same %s %s; %s only: %s, %s only: %s. %s; %s.%s",
            Claims.groups(pair.one(), pair.two(), alternative, rejects),
            Figures.counted(tally.pairs(), "unit", "units"),
            pair.observed(),
            pair.one(),
            Figures.count(tally.firstOnly()),
            pair.two(),
            Figures.count(tally.secondOnly()),
            IntervalPhrases.range(
                reach.startsWith("anything ") ? Sentences.capitalised(reach) : reach,
                interval,
                rejects && !interval.contains(0)),
            Sentences.evidence(pair.test(), alpha),
            rejects && alternative == Alternative.TWO_SIDED
                ? Sentences.directionSeen(pair.one(), pair.difference() < 0, "they differ")
                : "");
    return Verdict.of(Sentences.labelled(label, text)).rejecting(rejects);
  }

  /**
   * Concludes about several judgements of the same units.
   *
   * @param label the analyst's name for the question; empty for none
   * @param judgements how many judgements each unit has
   * @param units how many units there are
   * @param test the test of all together
   * @param different the pairs that differ after adjustment, in words
   * @param pairs how many pairs there are
   */
  public static Verdict repeated(
      String label,
      int judgements,
      long units,
      TestResult test,
      List<String> different,
      int pairs,
      double alpha) {
    boolean rejects = test.rejects(alpha);
    String found =
        say(
            "%s after adjustment for %s",
            different.isEmpty() ? "no two alone" : String.join(", ", different) + ",",
            Figures.counted(pairs, "pair", "pairs"));
    String text =
        say(
            "the %s of the same %s %s; %s.",
            Figures.counted(judgements, "judgement", "judgements"),
            Figures.counted(units, "unit", "units"),
            Claims.differ(rejects) + (rejects ? ": " + found : ""),
            Sentences.evidence(test, alpha));
    return Verdict.of(Sentences.labelled(label, text)).inOwnWords().rejecting(rejects);
  }

  /** Returns by how much one of two judgements is lower or higher than the other. */
  public static String apart(String one, double difference, String two) {
    return say(
        "%s %s points %s than %s",
        one, Figures.points(difference), Sentences.comparative(difference < 0), two);
  }
}
