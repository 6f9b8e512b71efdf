package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.Objects;

/** Verdicts on many columns against the same groups. */
public final class SweepVerdicts {
  private static final int MOST_COLUMNS = 4;

  private SweepVerdicts() {}

  /**
   * A column that is held against groups.
   *
   * @param name the column
   * @param measure what its strength is called
   * @param strength its strength
   * @param test its test
   */
  public record Swept(String name, String measure, double strength, TestResult test) {}

  /** Concludes about many columns against the same groups. */
  public static Verdict sweep(
      String label, String group, String adjustment, double alpha, List<Swept> columns) {
    List<String> differing =
        columns.stream()
            .filter(each -> each.test().rejectsAdjusted(alpha))
            .map(
                each ->
                    say(
                        "%s (%s %s)",
                        each.name(), each.measure(), Figures.significant(each.strength(), 2)))
            .toList();
    String none = label.isEmpty() ? "None" : "none";
    String named =
        differing.isEmpty()
            ? ""
            : ": " + String.join(", ", differing.stream().limit(MOST_COLUMNS).toList());
    String text =
        say(
            "%s of %s %s between the groups of %s%s%s; %s, alpha %s.",
            differing.isEmpty() ? none : Figures.count(differing.size()),
            Figures.counted(columns.size(), "column", "columns"),
            differing.isEmpty()
                ? "is " + Claims.shown(true) + " differ"
                : differing.size() == 1 ? "differs" : "differ",
            group,
            named,
            differing.size() > MOST_COLUMNS ? " and others" : "",
            adjustment.isEmpty()
                ? "p-values as they are"
                : say(
                    "p-values adjusted by %s over %s",
                    adjustment, columns.size() == 1 ? "one column" : "all columns"),
            Figures.plain(alpha));
    return Verdict.of(Sentences.labelled(label, text)).inOwnWords();
  }

  /** Says what the letters of groups in a table mean. */
  public static String letters(double alpha, boolean designed) {
    return say(
        "A letter in a cell: this group's share is larger than that of the group with the letter, at"
            + " alpha %s; %s, p-values adjusted by Holm's method over the pairs of a level. Where a"
            + " column as a whole is %s differ, a letter is a hint at most.",
        Figures.plain(alpha),
        designed
            ? "t tests of each two groups by the design"
            : "pooled z tests of each two groups, Fisher's where fewer than 5 are expected",
        Claims.shown(false));
  }

  /** Says that there are more groups than letters. */
  public static String noLetters() {
    return "There are more groups than letters, so that no cell says which others have less.";
  }

  /** Concludes about one column of many, after adjustment over all. */
  public static Verdict adjusted(
      Verdict alone, String label, TestResult test, double alpha, int columns) {
    TestResult.AdjustedP after = Objects.requireNonNull(test.adjusted());
    boolean rejects = test.rejectsAdjusted(alpha);
    String over = "adjusted over " + Figures.counted(columns, "column", "columns");
    String p = Figures.pEquals(after.log10PValue());
    return Verdict.of(
            test.rejects(alpha) && !rejects
                ? Sentences.labelled(
                    label,
                    say(
                        "rows and columns %s; %s by itself, but %s %s, %s test at alpha %s.",
                        Claims.are(false, "associated"),
                        Figures.pEquals(test.log10PValue()),
                        over,
                        p,
                        test.method().id(),
                        Figures.plain(alpha)))
                : say("%s %s: %s.", alone.text(), Sentences.capitalised(over), p))
        .inOwnWords()
        .rejecting(rejects);
  }
}
