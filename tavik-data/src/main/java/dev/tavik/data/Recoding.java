package dev.tavik.data;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import java.io.Serializable;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Says what the values of a column are read as: codes as their labels, some as missing values,
 * numbers as the classes they lie in.
 *
 * <pre>{@code
 * Recoding.labels(Map.of("0", "sound", "1", "cracked"), Set.of("9"));
 * Recoding.cut("0-6=low,7-8=middle,9-10=high");
 * }</pre>
 */
public final class Recoding implements Serializable {
  private static final long serialVersionUID = 1;

  private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,15}(?:[.,]\\d{1,15})?");

  /** May be a thousand as well as a fraction. */
  private static final Pattern UNCLEAR = Pattern.compile("[+-]?\\d{1,3},\\d{3}");

  private static final String BOUND = "([+-]?\\d{1,15}(?:\\.\\d{1,15})?)";
  private static final Pattern RANGE = Pattern.compile(BOUND + "(?:-|\\.\\.)(<?)" + BOUND);
  private static final Pattern SIDE = Pattern.compile("(<=?|>=?)" + BOUND);

  /** Labels by their codes. */
  private final Map<String, String> labels;

  /** Codes of missing values. */
  private final Set<String> missing;

  /** Classes of numbers, in their order. */
  private final List<Bin> classes;

  private Recoding(Map<String, String> labels, Set<String> missing, List<Bin> classes) {
    this.labels = labels;
    this.missing = missing;
    this.classes = classes;
  }

  /** Numbers between two bounds; null where there is none. */
  private record Bin(
      String label,
      @Nullable BigDecimal from,
      boolean fromIncluded,
      @Nullable BigDecimal to,
      boolean toIncluded)
      implements Serializable {
    boolean holds(BigDecimal number) {
      int above = from == null ? 1 : number.compareTo(from);
      int below = to == null ? 1 : to.compareTo(number);
      return (above > 0 || (above == 0 && fromIncluded))
          && (below > 0 || (below == 0 && toIncluded));
    }
  }

  /**
   * Codes read as their labels.
   *
   * @param labels the label of each code, in the order of the levels; a code without one stands for
   *     itself
   * @param missing the codes that stand for missing values
   * @return the recoding
   */
  public static Recoding labels(Map<String, String> labels, Collection<String> missing) {
    return new Recoding(new LinkedHashMap<>(labels), new LinkedHashSet<>(missing), List.of());
  }

  /**
   * Numbers read as the classes they lie in.
   *
   * @param classes such as {@code 0-6=low,7-8=middle,9-10=high}, both ends included; {@code
   *     0-<7=low} leaves the upper one out, {@code <5=few}, {@code >=5=many} and {@code 7=seven}
   *     have one bound
   * @return the recoding; its levels have the order of the classes
   * @throws IllegalArgumentException if they can't be understood, or two of them overlap
   */
  public static Recoding cut(String classes) {
    List<Bin> found = new ArrayList<>();
    for (String written : classes.split(",")) {
      int equals = written.lastIndexOf('=');
      boolean bound =
          equals > 0 && (written.charAt(equals - 1) == '<' || written.charAt(equals - 1) == '>');
      require(
          equals > 0 && !bound && equals + 1 < written.strip().length(),
          "classes must be written RANGE=NAME, such as 0-6=low,7-10=high, got '%s'",
          written);
      Bin added = ranged(written.substring(0, equals).strip(), written.substring(equals + 1));
      for (Bin other : found) {
        require(
            !overlap(added, other),
            "classes must not overlap, got '%s' beside %s",
            written,
            other.label());
      }
      found.add(added);
    }
    return new Recoding(Map.of(), Set.of(), found);
  }

  private static Bin ranged(String range, String name) {
    String label = name.strip();
    Matcher both = RANGE.matcher(range);
    if (both.matches()) {
      BigDecimal from = new BigDecimal(both.group(1));
      BigDecimal to = new BigDecimal(both.group(3));
      require(from.compareTo(to) <= 0, "a range must rise, got '%s'", range);
      return new Bin(label, from, true, to, both.group(2).isEmpty());
    }
    Matcher side = SIDE.matcher(range);
    if (side.matches()) {
      BigDecimal bound = new BigDecimal(side.group(2));
      boolean included = side.group(1).endsWith("=");
      return side.group(1).startsWith("<")
          ? new Bin(label, null, true, bound, included)
          : new Bin(label, bound, included, null, true);
    }
    require(
        range.matches(BOUND),
        "a range must be written like 0-6, 0..6, 0-<7, <5, >=9 or 7, got '%s'",
        range);
    return new Bin(label, new BigDecimal(range), true, new BigDecimal(range), true);
  }

  private static boolean overlap(Bin one, Bin other) {
    return apart(one, other) >= 0 && apart(other, one) >= 0;
  }

  /** Whether the second class overlaps or touches the first; negative if it lies wholly above. */
  private static int apart(Bin lower, Bin upper) {
    if (lower.to() == null || upper.from() == null) {
      return 1;
    }
    int order = lower.to().compareTo(upper.from());
    return order == 0 && !(lower.toIncluded() && upper.fromIncluded()) ? -1 : order;
  }

  /** {@return whether numbers are read as the classes they lie in} */
  public boolean cuts() {
    return !classes.isEmpty();
  }

  /** First this, then another of what this doesn't take for missing. */
  Recoding then(Recoding other) {
    Set<String> both = new LinkedHashSet<>(missing);
    both.addAll(other.missing);
    return new Recoding(
        other.labels.isEmpty() && other.classes.isEmpty() ? labels : other.labels,
        both,
        other.classes.isEmpty() ? classes : other.classes);
  }

  /**
   * Whether a value has a label of its own.
   *
   * @param value a code
   * @return whether there is one
   */
  public boolean names(String value) {
    return labels.containsKey(value);
  }

  /**
   * What a value is read as.
   *
   * @param value the value, as it is written
   * @return what it is read as; null if it stands for a missing value
   * @throws IllegalArgumentException if it lies in no class
   */
  public @Nullable String of(String value) {
    if (missing.contains(value)) {
      return null;
    }
    if (classes.isEmpty()) {
      return labels.getOrDefault(value, value);
    }
    require(NUMBER.matcher(value).matches(), "has '%s', which is no number to cut", value);
    require(
        !UNCLEAR.matcher(value).matches(),
        "has '%s', which may be a thousand or a fraction; write it without a comma",
        value);
    BigDecimal number = new BigDecimal(value.replace(',', '.'));
    return classes.stream()
        .filter(each -> each.holds(number))
        .findFirst()
        .map(Bin::label)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    say(
                        "has %s, which lies in none of the classes %s",
                        value, String.join(", ", levels()))));
  }

  /** The level that is meant by its name or its code. */
  String meant(String level) {
    return names(level) ? String.valueOf(of(level)) : level;
  }

  /**
   * The levels in their order.
   *
   * @return the levels; none where they have no order
   */
  public List<String> levels() {
    return classes.isEmpty()
        ? labels.values().stream().distinct().toList()
        : classes.stream().map(Bin::label).distinct().toList();
  }

  /** A remark about values without a label while others have one; empty if there is none. */
  String remark(String column, List<String> values) {
    List<String> without =
        labels.isEmpty()
            ? List.of()
            : values.stream().filter(each -> !labels.containsValue(each)).toList();
    return without.isEmpty()
        ? ""
        : say(
            "%s has %s without a label in the codebook: %s",
            column, without.size() == 1 ? "a code" : "codes", Names.listed(without));
  }
}
