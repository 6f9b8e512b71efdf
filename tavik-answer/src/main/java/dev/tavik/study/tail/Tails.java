package dev.tavik.study.tail;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.result.Figures;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Holds areas and values of a distribution.
 *
 * @param asked the question
 * @param lines an area each
 */
public record Tails(TailQuestion asked, List<TailArea> lines) implements Finding {
  private static final double FEW = 1e-4;
  private static final int DIGITS = 10;

  private static final MathContext SHOWN = new MathContext(10);

  /** Copies the list. */
  public Tails {
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
  public record TailArea(String side, @Nullable Double from, @Nullable Double to, double logArea) {
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

  String conclusion() {
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
  public static String words(TailQuestion asked, TailArea line) {
    return words(asked.tail().counts(), line) + " " + Figures.relation(line.log10Area());
  }

  /**
   * What an area is of.
   *
   * @param counts whether the distribution is of counts
   * @param line the area
   * @return such as {@code P(X > 1.96)}
   */
  public static String words(boolean counts, TailArea line) {
    String more = counts ? "≥" : ">";
    Double from = line.from();
    Double to = line.to();
    if (from == null) {
      return "P(X ≤ " + number(to) + ")";
    }
    if (to == null) {
      return "P(X " + more + " " + number(from) + ")";
    }
    if (line.side().equals(TailArea.BETWEEN)) {
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

  @Override
  public String key() {
    return "lines";
  }

  @Override
  public Value figures() {
    return sheet("").figures();
  }

  @Override
  public List<Block> reading() {
    boolean counts = asked.tail().counts();
    Double area = asked.area();
    List<Block> blocks =
        new ArrayList<>(
            sheet(
                    area == null
                        ? "Areas"
                        : say(
                            "Values for an area of %s%s",
                            Figures.exactPercent(area),
                            counts ? ", with the area that is attained" : ""))
                .reading());
    blocks.add(Block.paragraph(both(counts)));
    return blocks;
  }

  private Sheet sheet(String title) {
    Sheet sheet =
        Sheet.of(
            "lines",
            title,
            Column.words().keyed("side"),
            Column.words(),
            Column.words(),
            Column.hidden("from"),
            Column.hidden("to"),
            Column.hidden("area"),
            Column.hidden("log10Area"));
    for (TailArea line : lines) {
      sheet.row(
          line.side(),
          words(asked.tail().counts(), line),
          area(line),
          end(line.from()),
          end(line.to()),
          Value.number(Math.exp(line.logArea())),
          Value.number(line.log10Area()));
    }
    return sheet;
  }

  private static Value end(@Nullable Double value) {
    return value == null ? Value.none() : Value.number(value);
  }

  private static String area(TailArea line) {
    double area = Math.exp(line.logArea());
    return area < FEW || line.logArea() == 0
        ? Figures.pValue(line.log10Area())
        : Figures.upTo(area, DIGITS);
  }

  private String both(boolean counts) {
    if (asked.area() != null) {
      return counts
          ? "Of each tail first the last count within the area, then the next, which goes beyond;"
              + " both has at most half the area in each tail."
          : "Both has half the area in each tail.";
    }
    if (asked.to() != null) {
      return counts ? "Both ends are counted in." : "What lies outside is one minus that.";
    }
    return counts
        ? "Both tails include the value itself; the two-sided probability is twice the smaller tail,"
            + " at most 1."
        : "The two-sided probability is twice the smaller tail, at most 1.";
  }
}
