package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;

/** Verdicts on shares held against claimed ones. */
public final class ShareVerdicts {
  private ShareVerdicts() {}

  /**
   * Concludes about counts or weighted shares.
   *
   * @param weighted whether shares are estimated by a design
   * @param where which of them depart, as other methods here say it
   * @param p the p-value as it is written
   */
  public static Verdict of(
      String label, boolean weighted, String where, String p, TestResult test, double alpha) {
    boolean rejects = test.rejects(alpha);
    String claim =
        weighted
            ? rejects
                ? "the shares are not as claimed"
                : "the shares are " + Claims.shown(false) + " depart from the claimed ones"
            : rejects
                ? "the counts don't follow the claimed shares"
                : "the counts are " + Claims.shown(false) + " depart from the claimed shares";
    return Verdict.of(
            Sentences.labelled(
                label, say("%s: %s; %s.", claim, where, Sentences.evidence(p, test, alpha))))
        .inOwnWords()
        .rejecting(rejects);
  }

  /** Returns how the share of a category departs from the claim. */
  public static String departure(String category, double share, double claim) {
    return say(
        "%s %s (%s against %s)",
        category,
        Sentences.position(share < claim),
        Figures.percentBeside(share, claim),
        Figures.percentBeside(claim, share));
  }

  /** Returns how an estimated share departs from the claim. */
  public static String estimated(String category, double share, double claim) {
    return say(
        "%s (%s, claimed %s)",
        category, Figures.percentBeside(share, claim), Figures.percentBeside(claim, share));
  }

  /** Returns the largest departure, and which shares can't be excluded there. */
  public static String notExcluded(String departure, Interval interval) {
    return say(
        "%s, and shares from %s to %s %s there (%s)",
        TableVerdicts.largest(departure),
        Figures.percentBeside(interval.lower(), interval.upper()),
        Figures.percentBeside(interval.upper(), interval.lower()),
        IntervalPhrases.NOT_EXCLUDED,
        IntervalPhrases.name(interval));
  }

  /** Returns what is said where nothing departs. */
  public static String asClaimed(boolean weighted) {
    return weighted
        ? "every share is exactly as claimed"
        : "every count is exactly what the shares say";
  }
}
