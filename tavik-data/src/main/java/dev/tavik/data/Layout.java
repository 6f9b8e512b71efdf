package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How delimited text is laid out, found by looking at its beginning: the delimiter is the one of
 * comma, semicolon, tab and vertical bar that splits most of the first lines into equally many
 * fields, and among those that do so alike the one that makes most fields. Titles above a table and
 * decimal commas thus lose to what holds the columns apart. Delimiters and line ends inside quotes
 * don't count. A first line {@code sep=;} says the delimiter.
 *
 * @param delimiter what stands between fields
 * @param above how many lines stand above the header
 * @param header the line of names, as far as it was looked at
 * @param remarks what is to be said of them
 */
record Layout(char delimiter, int above, String header, List<String> remarks) {
  private static final char[] CANDIDATES = {',', ';', '\t', '|'};
  private static final int LINES = 30;
  private static final int MOST_TITLES = 10;
  private static final int LONGEST_TITLE = 60;
  private static final Pattern SAID = Pattern.compile("(?i)\"?sep=(.)\"?[,;\t|]*");

  static Layout of(String beginning) {
    List<String> lines = lines(beginning);
    Matcher said = SAID.matcher(lines.isEmpty() ? "" : lines.get(0));
    boolean saying = said.matches();
    int first = saying ? 1 : 0;
    int comments = 0;
    while (first + comments < lines.size() && lines.get(first + comments).startsWith("#")) {
      comments++;
    }
    List<String> table = lines.subList(first + comments, lines.size());
    if (table.isEmpty()) {
      table = lines.subList(first, lines.size());
      comments = 0;
    }
    char delimiter = saying ? said.group(1).charAt(0) : best(table);
    int width = width(table, delimiter);
    if (comments > 0 && isHeader(lines.get(first + comments - 1), delimiter, width)) {
      comments--;
    }
    int above = first + comments;
    List<String> remarks = new ArrayList<>();
    if (comments > 0) {
      remarks.add(
          comments == 1
              ? "a comment line above the header is passed over"
              : say("%d comment lines above the header are passed over", comments));
    }
    for (int titles = titles(lines.subList(above, lines.size()), delimiter, width);
        titles > 0;
        titles--) {
      String title = lines.get(above).replaceAll("[" + delimiter + "\\s]+$", "").strip();
      above++;
      if (!title.isEmpty()) {
        remarks.add(say("the title '%s' above the header is passed over", shortened(title)));
      }
    }
    while (above < lines.size() - 1 && lines.get(above).isBlank()) {
      above++;
    }
    String header = above < lines.size() ? lines.get(above) : "";
    return new Layout(delimiter, above, header, remarks);
  }

  static String shortened(String title) {
    return title.length() > LONGEST_TITLE ? title.substring(0, LONGEST_TITLE) + "..." : title;
  }

  /** A header line that begins with a number sign, such as {@code #,kiln}. */
  private static boolean isHeader(String line, char delimiter, int width) {
    return width > 1 && fields(line, delimiter).size() == width && !line.startsWith("# ");
  }

  /**
   * How many lines with fewer fields stand above a line of names that has as many as the rows. What
   * has several fields may be a header that lacks some, and is a title only if it is surely none.
   */
  private static int titles(List<String> lines, char delimiter, int width) {
    int titles = 0;
    boolean surely = false;
    boolean several = false;
    while (titles < Math.min(MOST_TITLES, lines.size() - 1) && width > 1) {
      List<String> fields = fields(lines.get(titles), delimiter);
      boolean alone = fields.stream().skip(1).allMatch(String::isBlank);
      if (fields.size() >= width && (!alone || fields.get(0).isBlank())) {
        break;
      }
      surely |= fields.size() == width || !alone;
      several |= !alone;
      titles++;
    }
    boolean named =
        titles > 0
            && areNames(lines.subList(titles, lines.size()), delimiter, width, surely)
            && (!several || titles > 1 || recursNowhere(lines, delimiter));
    return named ? titles : 0;
  }

  /** Whether a line is one of names: as many as there are columns, and surely no values. */
  private static boolean areNames(List<String> lines, char delimiter, int width, boolean surely) {
    List<String> fields = fields(lines.get(0), delimiter);
    boolean sure =
        new HashSet<>(fields).size() == width
            && fields.stream().noneMatch(each -> each.strip().matches("|[-+]?[\\d.,]+%?"));
    return fields.size() == width && (sure || !surely);
  }

  /** Whether no value of the second line occurs in the lines below, as is the case for names. */
  private static boolean recursNowhere(List<String> lines, char delimiter) {
    HashSet<String> names = new HashSet<>(fields(lines.get(1), delimiter));
    return lines.size() > 4
        && lines.stream()
            .skip(2)
            .flatMap(line -> fields(line, delimiter).stream())
            .noneMatch(names::contains);
  }

  private static char best(List<String> lines) {
    char best = CANDIDATES[0];
    long bestScore = 0;
    for (char candidate : CANDIDATES) {
      long score = score(counts(lines, candidate));
      if (score > bestScore) {
        best = candidate;
        bestScore = score;
      }
    }
    return best;
  }

  /** Number of lines with each number of delimiters. */
  private static Map<Integer, Integer> counts(List<String> lines, char delimiter) {
    Map<Integer, Integer> counts = new HashMap<>();
    for (String line : lines.subList(0, Math.min(LINES, lines.size()))) {
      counts.merge(fields(line, delimiter).size() - 1, 1, Integer::sum);
    }
    return counts;
  }

  /** How many lines have equally many, the most common number of them; then that number. */
  private static long score(Map<Integer, Integer> counts) {
    return counts.entrySet().stream()
        .filter(each -> each.getKey() > 0)
        .mapToLong(each -> 1000L * each.getValue() + Math.min(each.getKey(), 999))
        .max()
        .orElse(0);
  }

  /** How many fields most lines have; one where no two agree. */
  private static int width(List<String> lines, char delimiter) {
    return counts(lines, delimiter).entrySet().stream()
            .filter(each -> each.getValue() > 1)
            .max(
                Map.Entry.<Integer, Integer>comparingByValue()
                    .thenComparing(Map.Entry.comparingByKey()))
            .map(Map.Entry::getKey)
            .orElse(0)
        + 1;
  }

  /** The first lines; a line end inside quotes doesn't end a line, except in comments. */
  private static List<String> lines(String text) {
    List<String> lines = new ArrayList<>();
    boolean quoted = false;
    int start = 0;
    for (int i = 0; i <= text.length() && lines.size() < LINES + MOST_TITLES; i++) {
      char c = i < text.length() ? text.charAt(i) : '\n';
      if (c == '"' && text.charAt(start) != '#') {
        quoted = !quoted;
      } else if (c == '\n' && (!quoted || i == text.length()) && (i > start || i < text.length())) {
        String line = text.substring(start, i);
        lines.add(line.endsWith("\r") ? line.substring(0, line.length() - 1) : line);
        start = i + 1;
      }
    }
    return lines;
  }

  private static List<String> fields(String line, char delimiter) {
    List<String> fields = new ArrayList<>();
    boolean quoted = false;
    int start = 0;
    for (int i = 0; i < line.length(); i++) {
      char c = line.charAt(i);
      if (c == '"') {
        quoted = !quoted;
      } else if (c == delimiter && !quoted) {
        fields.add(line.substring(start, i));
        start = i + 1;
      }
    }
    fields.add(line.substring(start));
    return fields;
  }

  String inWords() {
    return switch (delimiter) {
      case ',' -> "separated by commas";
      case ';' -> "separated by semicolons";
      case '\t' -> "separated by tabs";
      case '|' -> "separated by vertical bars";
      default -> "separated by '" + delimiter + "'";
    };
  }
}
