package dev.tavik.report;

import static dev.tavik.result.Figures.say;

import java.util.regex.Pattern;

/**
 * Makes text from data safe for a terminal. A level of a column may hold anything: a sequence that
 * colours or clears the screen, a bell, a line end, marks that turn the direction of writing. Here
 * these are seen instead of obeyed. A line end is written ⏎, other such characters by their code;
 * words of a right-to-left script are set apart, so that they don't move the figures beside them.
 */
public final class Visible {
  private static final Pattern PLAIN = Pattern.compile("[ -~\\u00A1-\\u02FF\\u2010-\\u2027]*");
  private static final String RTL =
      "[\\u0590-\\u08FF\\uFB1D-\\uFDFF\\uFE70-\\uFEFE\\x{10800}-\\x{10FFF}\\x{1E800}-\\x{1EFFF}]";
  private static final Pattern RIGHT_TO_LEFT =
      Pattern.compile(RTL + "(?:[^\\p{L}\\p{N}]*" + RTL + ")*");
  private static final String ISOLATE = "\u2068";
  private static final String END_OF_ISOLATE = "\u2069";

  private Visible() {}

  /**
   * Text in which control characters are made visible.
   *
   * @param text any text
   * @return the text, with controls and marks of direction as codes, such as {@code \\x1b}
   */
  public static String of(String text) {
    if (PLAIN.matcher(text).matches()) {
      return text;
    }
    StringBuilder safe = new StringBuilder(text.length() + 8);
    text.replace("\r\n", "\n").codePoints().forEach(each -> append(safe, each));
    return RIGHT_TO_LEFT.matcher(safe).replaceAll(ISOLATE + "$0" + END_OF_ISOLATE);
  }

  private static void append(StringBuilder safe, int character) {
    if (character == '\n' || character == '\u0085' || character == 0x2028 || character == 0x2029) {
      safe.append('⏎');
    } else if (character == '\t') {
      safe.append("\\t");
    } else if (steers(character)) {
      safe.append(character < 0x100 ? say("\\x%02x", character) : say("\\u%04x", character));
    } else {
      safe.appendCodePoint(character);
    }
  }

  /**
   * Whether a character is visible and controls nothing.
   *
   * @param character a code point
   * @return whether {@link #of} leaves it as it is
   */
  public static boolean seen(int character) {
    return !steers(character) && character != 0x2028 && character != 0x2029;
  }

  private static boolean steers(int character) {
    return switch (Character.getType(character)) {
      case Character.CONTROL, Character.SURROGATE -> true;
      // Joiners make the letters of some scripts; the others are marks that can't be seen.
      case Character.FORMAT -> character != 0x200C && character != 0x200D && character != 0xAD;
      default -> false;
    };
  }

  /**
   * How many columns of a terminal a text takes.
   *
   * @param text a text
   * @return its width: none for marks that join the letter before, two for wide letters
   */
  public static int width(String text) {
    if (PLAIN.matcher(text).matches()) {
      return text.length();
    }
    return text.codePoints().map(Visible::width).sum();
  }

  private static int width(int character) {
    return switch (Character.getType(character)) {
      case Character.NON_SPACING_MARK, Character.ENCLOSING_MARK, Character.FORMAT -> 0;
      default -> wide(character) ? 2 : 1;
    };
  }

  /** The scripts and signs that take two columns (Unicode Standard Annex 11). */
  private static boolean wide(int character) {
    return (character >= 0x1100 && character <= 0x115F)
        || (character >= 0x2E80 && character <= 0x303E)
        || (character >= 0x3041 && character <= 0xA4CF)
        || (character >= 0xAC00 && character <= 0xD7A3)
        || (character >= 0xF900 && character <= 0xFAFF)
        || (character >= 0xFE30 && character <= 0xFE6F)
        || (character >= 0xFF00 && character <= 0xFF60)
        || (character >= 0xFFE0 && character <= 0xFFE6)
        || (character >= 0x1F300 && character <= 0x1F64F)
        || (character >= 0x1F900 && character <= 0x1F9FF)
        || (character >= 0x20000 && character <= 0x3FFFD);
  }
}
