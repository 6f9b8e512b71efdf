package dev.tavik.count;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Finds a name that a person typed among the names there are. */
public final class Names {
  private static final int MOST_LISTED = 12;

  private Names() {}

  /**
   * {@return all names that match: the exact one, else those that match without regard to case}
   *
   * @param typed what was typed
   * @param names the names, in order
   */
  public static List<String> matching(String typed, List<String> names) {
    if (names.contains(typed)) {
      return List.of(typed);
    }
    return names.stream().filter(name -> name.strip().equalsIgnoreCase(typed.strip())).toList();
  }

  /**
   * {@return the names between commas, without the blanks and quotes around them} One that has a
   * comma itself stands in double quotes: {@code "yes, often",no}.
   *
   * @param written the names as they were written
   */
  public static List<String> parts(String written) {
    boolean paired = written.chars().filter(each -> each == '"').count() % 2 == 0;
    List<String> parts = new ArrayList<>();
    StringBuilder part = new StringBuilder();
    boolean quoted = false;
    for (int i = 0; i < written.length(); i++) {
      char each = written.charAt(i);
      if (each == '"' && paired) {
        quoted = !quoted;
      } else if (each == ',' && !quoted) {
        parts.add(part.toString().strip());
        part.setLength(0);
      } else {
        part.append(each);
      }
    }
    parts.add(part.toString().strip());
    return parts;
  }

  /**
   * {@return a hint for a name that matches none: the nearest ones, then what there is}
   *
   * @param typed what was typed
   * @param names the names, in order
   */
  public static String hint(String typed, List<String> names) {
    String meant = meant(typed, names);
    return names.isEmpty() ? "" : (meant.isEmpty() ? "." : meant) + " There are: " + listed(names);
  }

  /**
   * {@return a question for the nearest names; nothing where none is near}
   *
   * @param typed what was typed
   * @param names the names, in order
   */
  public static String meant(String typed, List<String> names) {
    List<String> near =
        names.stream()
            .filter(name -> !name.isBlank() && near(typed, name))
            .sorted(Comparator.comparingInt(name -> distance(typed, name)))
            .limit(3)
            .toList();
    return near.isEmpty() ? "" : "; did you mean " + String.join(" or ", near) + "?";
  }

  /**
   * {@return the first of many names, with a count of the rest}
   *
   * @param names the names, in order
   */
  public static String listed(List<String> names) {
    String some =
        names.stream()
            .limit(MOST_LISTED)
            .map(name -> name.isBlank() ? "(no name)" : name)
            .collect(Collectors.joining(", "));
    return names.size() <= MOST_LISTED
        ? some
        : some + " and " + (names.size() - MOST_LISTED) + " more";
  }

  private static boolean near(String typed, String name) {
    int longer = Math.max(typed.length(), name.length());
    boolean fewChanges = distance(typed, name) <= Math.max(1, (longer + 1) / 3);
    return longer <= 100 && (fewChanges || letters(typed).equals(letters(name)));
  }

  /** The letters of a name in alphabetical order: the same for klin and kiln. */
  private static String letters(String name) {
    char[] letters = name.toLowerCase(Locale.ROOT).toCharArray();
    Arrays.sort(letters);
    return new String(letters);
  }

  /** The edit distance without regard to case (Levenshtein 1966), row by row. */
  private static int distance(String first, String second) {
    String a = first.toLowerCase(Locale.ROOT);
    String b = second.toLowerCase(Locale.ROOT);
    int[] row = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      row[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j <= b.length(); j++) {
        int substitution = diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
        diagonal = row[j];
        row[j] = Math.min(substitution, 1 + Math.min(row[j], row[j - 1]));
      }
    }
    return row[b.length()];
  }
}
