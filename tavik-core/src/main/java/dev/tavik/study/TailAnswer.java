package dev.tavik.study;

import dev.tavik.result.Figures;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link TailQuestion}.
 *
 * @param asked the question
 * @param lines the areas of a value, or the values of an area
 */
public record TailAnswer(TailQuestion asked, List<Line> lines) implements Answer {
  private static final MathContext SHOWN = new MathContext(10);

  /** Copies the list. */
  public TailAnswer {
    lines = List.copyOf(lines);
  }

  /**
   * One area.
   *
   * @param side {@code lower}, {@code upper}, {@code both} or {@code between}
   * @param from for an upper area its lower end, for both the end of the lower tail is {@code from}
   *     and that of the upper one {@code to}; null for a lower area
   * @param to the upper end of a lower area or of what lies between; null for an upper area
   * @param logArea the natural logarithm of the area
   */
  public record Line(String side, @Nullable Double from, @Nullable Double to, double logArea) {
    /** Up to a value. */
    public static final String LOWER = "lower";

    /** From a value on. */
    public static final String UPPER = "upper";

    /** Both tails; of one value twice the smaller one. */
    public static final String BOTH = "both";

    /** From one value to another. */
    public static final String BETWEEN = "between";

    /**
     * The area's decimal logarithm.
     *
     * @return log10 of the area
     */
    public double log10Area() {
      return logArea / Math.log(10);
    }
  }

  @Override
  public String question() {
    return "tail";
  }

  @Override
  public String label() {
    return asked.label();
  }

  @Override
  public String conclusion() {
    return Character.toUpperCase(asked.tail().name().charAt(0))
        + asked.tail().name().substring(1)
        + ": "
        + words(asked, lines.get(0))
        + (lines.size() > 1
            ? ", " + words(asked, lines.get(asked.tail().counts() && asked.area() != null ? 2 : 1))
            : "")
        + ".";
  }

  /**
   * An area in words.
   *
   * @param asked what was asked
   * @param line the area
   * @return such as {@code P(X > 1.96) = 0.0250}
   */
  public static String words(TailQuestion asked, Line line) {
    return words(asked.tail().counts(), line) + " " + Figures.relation(line.log10Area());
  }

  /**
   * What an area is of.
   *
   * @param counts whether the distribution is of counts
   * @param line the area
   * @return such as {@code P(X > 1.96)}
   */
  public static String words(boolean counts, Line line) {
    String more = counts ? "≥" : ">";
    Double from = line.from();
    Double to = line.to();
    if (from == null) {
      return "P(X ≤ " + number(to) + ")";
    }
    if (to == null) {
      return "P(X " + more + " " + number(from) + ")";
    }
    if (line.side().equals(Line.BETWEEN)) {
      return "P(" + number(from) + " ≤ X ≤ " + number(to) + ")";
    }
    return from.equals(to)
        ? "twice the smaller tail"
        : "P(X ≤ " + number(from) + " or X " + more + " " + number(to) + ")";
  }

  private static String number(@Nullable Double value) {
    if (value == null) {
      return "none";
    }
    return Figures.plain(new BigDecimal(value).round(SHOWN).doubleValue());
  }
}
