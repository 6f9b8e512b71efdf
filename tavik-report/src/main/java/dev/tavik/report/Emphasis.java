package dev.tavik.report;

/** How headings and the verdict are emphasised. No information is conveyed by emphasis alone. */
public enum Emphasis {
  /** Plain characters, for files and pipes. */
  NONE("", ""),
  /** Bold, by the standard terminal codes. */
  TERMINAL("\u001b[1m", "\u001b[0m");

  private final String on;
  private final String off;

  Emphasis(String on, String off) {
    this.on = on;
    this.off = off;
  }

  String of(String text) {
    return on + text + off;
  }
}
