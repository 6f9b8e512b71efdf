package dev.tavik.report;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Text in lines that fit a screen. */
final class Lines {
  private static final String JOINT = "\u00a0";
  private static final Pattern UNBROKEN =
      Pattern.compile("(?<=\\bp) (?=[=>])|(?<=\\bp [=>]) |(?<=\\d) (?=of \\d)|(?<=\\d of) (?=\\d)");

  private final Screen screen;
  private final StringBuilder text = new StringBuilder();

  Lines(Screen screen) {
    this.screen = screen;
  }

  int width() {
    return screen.width();
  }

  /** A heading, after an empty line. */
  Lines heading(String heading) {
    if (!text.isEmpty()) {
      text.append('\n');
    }
    wrapped(heading, "", "").forEach(line -> text.append(screen.emphasis().of(line)).append('\n'));
    return this;
  }

  /** An emphasised paragraph. */
  Lines strong(String paragraph) {
    wrapped(paragraph, "", "")
        .forEach(line -> text.append(screen.emphasis().of(line)).append('\n'));
    return this;
  }

  /** A paragraph whose first line starts with one prefix and its others with another. */
  Lines paragraph(String first, String others, String paragraph) {
    wrapped(paragraph, first, others).forEach(line -> text.append(line).append('\n'));
    return this;
  }

  /** A line as it is. */
  Lines line(String line) {
    laidOut(Visible.of(line));
    return this;
  }

  /** A line whose parts are visible already. */
  private void laidOut(String line) {
    text.append(line.stripTrailing()).append('\n');
  }

  /** A related command on one line to copy; left out if it is too long. */
  Lines command(String why, String command) {
    String line = "  " + why + ": " + command;
    if (Visible.width(line) <= width()) {
      blank();
      line(line);
    }
    return this;
  }

  Lines table(TextTable table) {
    table.lines(width() - 2).forEach(line -> laidOut("  " + line));
    return this;
  }

  Lines blank() {
    text.append('\n');
    return this;
  }

  @Override
  public String toString() {
    return text.toString();
  }

  /** Wraps at blanks, but not inside {@code p = 0.05} and {@code x of n}. */
  private List<String> wrapped(String paragraph, String first, String others) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder(first);
    boolean empty = true;
    for (String each :
        UNBROKEN.matcher(Visible.of(paragraph.strip())).replaceAll(JOINT).split("\\s+")) {
      String word = each.replace(JOINT, " ");
      if (!empty && Visible.width(line.toString()) + 1 + Visible.width(word) > width()) {
        lines.add(line.toString().stripTrailing());
        line = new StringBuilder(others);
        empty = true;
      }
      line.append(empty ? "" : " ").append(word);
      empty = false;
    }
    lines.add(line.toString().stripTrailing());
    return lines;
  }
}
