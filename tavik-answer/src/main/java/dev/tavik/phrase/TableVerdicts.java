package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.Optional;

/** Verdicts on tables: associations, agreement, strata, and many columns at once. */
public final class TableVerdicts {
  private static final int MOST_NAMED = 6;

  private TableVerdicts() {}

  /** Concludes that a designed sample decides nothing, such as whether two kilns differ. */
  public static Verdict undecided(String label, String what) {
    return Verdict.of(
            Sentences.labelled(
                label, say("%s can't be decided: %s.", what, DesignCautions.NO_VARIANCE)))
        .inOwnWords();
  }

  /**
   * Concludes about an association.
   *
   * @param finding whether there is one and where, as other methods here say it
   * @param cramersV Cramer's V
   * @param p the p-value as it is written
   * @param without what the test says nothing of, if it rejects
   */
  public static Verdict association(
      String label,
      String finding,
      double cramersV,
      String p,
      TestResult test,
      double alpha,
      String without) {
    boolean rejects = test.rejects(alpha);
    return Verdict.of(
            Sentences.labelled(
                label,
                say(
                    "%s; Cramer's V %s; %s.%s",
                    finding,
                    Figures.within(cramersV, 2),
                    Sentences.evidence(p, test, alpha),
                    rejects ? say(" The test says nothing of %s.", without) : "")))
        .inOwnWords()
        .rejecting(rejects);
  }

  /** Returns whether rows and columns are associated, and where. */
  public static String associated(boolean rejects, String where) {
    return say("rows and columns %s: %s", Claims.are(rejects, "associated"), where);
  }

  /** Returns whether ordered rows and columns rise together. */
  public static String linear(boolean rejects, double tau) {
    String claim =
        rejects
            ? tau > 0 ? "rows and columns rise together" : "columns fall as rows rise"
            : "rows and columns are " + Claims.shown(false) + " rise or fall together";
    return say("%s: Kendall's tau-b %s", claim, Figures.significant(tau, 2));
  }

  /** Returns whether a share rises or falls along ordered levels. */
  public static String trend(
      boolean rejects, boolean falls, String what, List<String> levels, double from, double to) {
    return say(
        "the share of %s %s from %s to %s (%s to %s)",
        what,
        rejects ? falls ? "falls" : "rises" : "is " + Claims.shown(false) + " rise or fall",
        levels.get(0),
        levels.get(levels.size() - 1),
        Figures.percent(from),
        Figures.percent(to));
  }

  /**
   * Returns which departures stand out of how many of what; if none does, the largest.
   *
   * @param found those that stand out
   * @param largest the largest departure
   * @param all how many there are
   * @param one what one of them is called
   * @param many what several are called
   */
  public static String standingOut(
      List<String> found, String largest, int all, String one, String many) {
    return found.isEmpty()
        ? say("no %s stands out alone, %s", one, largest(largest))
        : say(
            "%s %s out, after adjustment for %s",
            Figures.some(found, MOST_NAMED),
            found.size() == 1 ? "stands" : "stand",
            Figures.counted(all, one, many));
  }

  /** Returns the largest departure. */
  public static String largest(String departure) {
    return "the largest departure is " + departure;
  }

  /** Returns what is said where no cell departs. */
  public static String independent() {
    return "every cell is exactly what independence says";
  }

  /** Returns how a cell departs from what independence expects. */
  public static String departure(
      String row, String column, boolean below, long observed, double expected) {
    return say(
        "%s x %s %s (%s, expected %s)",
        row,
        column,
        Sentences.position(below),
        Figures.count(observed),
        expected < 1000 ? Figures.significant(expected, 3) : Figures.count(Math.round(expected)));
  }

  /**
   * Returns how a cell of a weighted table departs from what independence expects.
   *
   * @param share its share of the column
   * @param expected the share of its row in all columns
   */
  public static String weighted(
      String row, String column, boolean below, double share, double expected) {
    return say(
        "%s x %s %s (%s of %s, expected %s)",
        row,
        column,
        Sentences.position(below),
        Figures.percentBeside(share, expected),
        column,
        Figures.percentBeside(expected, share));
  }

  /** Concludes about the tables of several layers. */
  public static Verdict layers(
      String label, List<String> rejecting, int layers, String test, double alpha) {
    boolean some = !rejecting.isEmpty() && rejecting.size() < layers;
    return Verdict.of(
            Sentences.labelled(
                label,
                say(
                    "rows and columns are associated in %s of %s%s, %s tests at alpha %s each.",
                    rejecting.isEmpty() ? "none" : Figures.count(rejecting.size()),
                    Figures.counted(layers, "layer", "layers"),
                    some ? " (" + String.join(", ", rejecting) + ")" : "",
                    test,
                    Figures.plain(alpha))))
        .inOwnWords();
  }

  /**
   * Concludes about two groups within strata.
   *
   * @param one the first group
   * @param two the second
   * @param outcome whose odds are compared
   * @param ratio the common odds ratio
   * @param limits its interval
   * @param alike the test whether the strata have one odds ratio
   */
  public static Verdict strata(
      String label,
      String one,
      String two,
      String outcome,
      double ratio,
      Optional<Interval> limits,
      TestResult test,
      Optional<TestResult> alike,
      double alpha) {
    String strata =
        alike
            .map(
                each ->
                    say(
                        " The odds ratios of the strata %s (%s, breslow-day).",
                        Claims.differ(each.rejects(alpha)), Figures.pEquals(each.log10PValue())))
            .orElse("");
    String text =
        say(
            "within strata, %s and %s %s: the odds of %s for %s are %s times those for %s%s; %s.%s",
            one,
            two,
            Claims.differ(test.rejects(alpha)),
            outcome,
            one,
            Double.isFinite(ratio) ? Figures.significant(ratio, 3) : "infinitely many",
            two,
            limits.map(IntervalPhrases::limits).orElse(""),
            Sentences.evidence(test, alpha),
            strata);
    return Verdict.of(Sentences.labelled(label, text)).inOwnWords().rejecting(test.rejects(alpha));
  }

  /**
   * Concludes about two classifications of the same units.
   *
   * @param one the first
   * @param two the second
   * @param alike how many of the units both classify alike
   * @param kappa Cohen's kappa; NaN where chance alone would bring the agreement
   * @param limits its interval
   */
  public static Verdict agreement(
      String label,
      String one,
      String two,
      Tally alike,
      double kappa,
      Optional<Interval> limits,
      TestResult test,
      double alpha) {
    boolean leans = test.rejects(alpha);
    String beyond =
        Double.isNaN(kappa)
            ? ", which chance alone would bring too"
            : say(
                ", kappa %s%s",
                Figures.significant(kappa, 3), limits.map(IntervalPhrases::limits).orElse(""));
    String where =
        alike.failures() == 0
            ? ""
            : say(
                "; where they differ, %s to other levels than the other: %s",
                leans ? "one leans" : "neither is " + Claims.shown(true) + " lean",
                Sentences.evidence(test, alpha));
    String text =
        say(
            "%s and %s agree on %s of %s (%s)%s%s.",
            one,
            two,
            Figures.count(alike.successes()),
            Figures.counted(alike.trials(), "unit", "units"),
            Figures.percent(alike.proportion()),
            beyond,
            where);
    return Verdict.of(Sentences.labelled(label, text)).inOwnWords().rejecting(leans);
  }
}
