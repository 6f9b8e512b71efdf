package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.Locale;

/** The parts that sentences of every kind share. */
public final class Sentences {
  private Sentences() {}

  /** Returns a text with a capital letter at its beginning. */
  public static String capitalised(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, text.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT)
            + text.substring(text.offsetByCodePoints(0, 1));
  }

  /** Returns a text behind the analyst's name for the question, if there is one. */
  public static String labelled(String label, String text) {
    return label.isEmpty() ? text : label + ": " + text;
  }

  /** Returns what a test found: its p-value, its method and alpha. */
  public static String evidence(TestResult test, double alpha) {
    return evidence(Figures.pEquals(test.log10PValue(), alpha), test, alpha);
  }

  /** Returns what a test found, with its p-value as it is written. */
  static String evidence(String p, TestResult test, double alpha) {
    return say("%s, %s test at alpha %s", p, test.method().id(), Figures.plain(alpha));
  }

  /** Returns the p-value of a test, adjusted if it was. */
  static String adjustedP(TestResult test) {
    TestResult.AdjustedP adjusted = test.adjusted();
    return Figures.pEquals(adjusted == null ? test.log10PValue() : adjusted.log10PValue());
  }

  /** Returns what an alternative claims of a subject. */
  public static String alternative(Alternative alternative, String differ, String subject) {
    return alternative == Alternative.TWO_SIDED
        ? differ
        : subject + " is " + comparative(alternative);
  }

  /** Returns lower or higher, as a directional alternative says. */
  static String comparative(Alternative alternative) {
    return comparative(alternative == Alternative.LESS);
  }

  static String comparative(boolean less) {
    return less ? "lower" : "higher";
  }

  static String position(boolean less) {
    return less ? "below" : "above";
  }

  /** Returns names as a series: {@code a, b and c}. */
  public static String series(List<String> names) {
    int last = names.size() - 1;
    return last < 1
        ? String.join("", names)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }

  /** Returns the sentence that tells a two-sided test's reader which way the data point. */
  static String directionSeen(String subject, boolean lower, String asked) {
    return say(
        " %s looks %s; the two-sided test asked only whether %s.",
        subject, comparative(lower), asked);
  }
}
