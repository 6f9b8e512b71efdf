package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.Locale;

/** How parts become sentences. */
public final class Sentences {
  private Sentences() {}

  /** With a capital letter at its beginning. */
  public static String capitalised(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, text.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT)
            + text.substring(text.offsetByCodePoints(0, 1));
  }

  /** Says what a test found: p, method, alpha. */
  public static String evidence(TestResult test, double alpha) {
    return say(
        "%s, %s test at alpha %s",
        Figures.pEquals(test.log10PValue(), alpha), test.method().id(), Figures.plain(alpha));
  }

  /** Says what an alternative claims of a subject. */
  public static String alternative(Alternative alternative, String differ, String subject) {
    return switch (alternative) {
      case TWO_SIDED -> differ;
      case LESS -> subject + " is lower";
      case GREATER -> subject + " is higher";
    };
  }
}
