package dev.tavik.report;

/**
 * What text is laid out for.
 *
 * @param emphasis how headings stand out
 * @param width how many columns it has; narrower ones than 60 and wider ones than 120 are taken as
 *     these: tables need some room, and the eye loses longer lines
 */
public record Screen(Emphasis emphasis, int width) {
  /** Eighty columns of plain characters, for files and pipes. */
  public static final Screen PLAIN = new Screen(Emphasis.NONE, 80);

  private static final int NARROWEST = 60;
  private static final int WIDEST = 120;

  /** Clamps a width to a readable range. */
  public Screen {
    width = Math.max(NARROWEST, Math.min(WIDEST, width));
  }
}
