package dev.tavik.dist;

import java.util.List;

/** Writes a manual page, in the macros that every {@code man} knows. */
final class Roff {
  private final StringBuilder page = new StringBuilder();

  Roff(String name, String date, String version) {
    page.append(".TH \"%s\" 1 %s \"%s\" \"Tavik\"\n".formatted(upper(name), date, version));
    // No hyphenation, and ragged on the right: words are options, to be copied.
    page.append(".nh\n.ad l\n");
  }

  private static String upper(String name) {
    return name.toUpperCase(java.util.Locale.ROOT);
  }

  Roff section(String title) {
    page.append(".SH ").append(upper(text(title))).append('\n');
    return this;
  }

  Roff under(String title) {
    page.append(".SS ").append(text(title)).append('\n');
    return this;
  }

  Roff paragraph(String text) {
    page.append(".PP\n").append(text(text)).append('\n');
    return this;
  }

  /** A term in bold, what follows it in italics, and what it means. */
  Roff term(String bold, String italic, String meaning) {
    page.append(".TP\n\\fB").append(text(bold)).append("\\fR");
    if (!italic.isEmpty()) {
      page.append("\\fI").append(text(italic)).append("\\fR");
    }
    page.append('\n').append(text(meaning)).append('\n');
    return this;
  }

  /** Lines that stay as they are. */
  Roff lines(List<String> lines) {
    page.append(".PP\n.nf\n");
    lines.forEach(line -> page.append(text(line)).append('\n'));
    page.append(".fi\n");
    return this;
  }

  /** What would be a request, an escape or a hyphen is none. */
  private static String text(String text) {
    String escaped =
        text.replace("\\", "\\e")
            .replace("-", "\\-")
            // A line may break inside a list without blanks.
            .replaceAll("([|,])(?=\\S)", "$1\\\\:");
    return escaped.startsWith(".") || escaped.startsWith("'") ? "\\&" + escaped : escaped;
  }

  @Override
  public String toString() {
    return page.toString();
  }
}
