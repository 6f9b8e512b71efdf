package dev.tavik.answer;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Is a figure, with its digits for readers and all of them for machines. The kind of value decides
 * both; a format asks for {@link #text} or for {@link #bare}.
 */
public sealed interface Value {
  /** {@return the value as a reader wants it, rounded} */
  String text();

  /**
   * Returns the value as a machine wants it.
   *
   * @return a Long, a Double (always finite), a String, a Boolean, a {@code List<Value>}, a {@code
   *     Map<String, Value>} in order; null for what doesn't exist or has no limit
   */
  @Nullable Object bare();

  /** {@return whether it is one figure, and neither a list nor fields} */
  default boolean isSingle() {
    return true;
  }

  /** How a share is rounded. */
  enum Share {
    /** Four digits, more beside 100 %. */
    FINE(Figures::finePercent),
    /** One decimal, more for what is small. */
    PLAIN(Figures::percent),
    /** As it was stated, with all its digits. */
    STATED(Figures::exactPercent),
    /** As a rate that was planned with. */
    RATE(Figures::rate),
    /** As a chance, such as power. */
    CHANCE(Figures::chance),
    /** As a probability between 0 and 1 that is told from its ends. */
    PROBABILITY(Probability::text);

    private final Function<Double, String> rounding;

    Share(Function<Double, String> rounding) {
      this.rounding = rounding;
    }

    /**
     * Rounds a share.
     *
     * @param share a share, from 0 to 1
     * @return the value
     */
    public Value of(double share) {
      return new Real(share, () -> rounding.apply(share));
    }
  }

  /**
   * A whole number.
   *
   * @param count the number
   */
  record Count(long count) implements Value {
    @Override
    public String text() {
      return Figures.count(count);
    }

    @Override
    public Object bare() {
      return count;
    }
  }

  /**
   * A number with its digits for readers.
   *
   * @param value the number
   * @param rounded how readers see it
   */
  record Real(double value, Text rounded) implements Value {
    /** Writes a number when it is asked for. */
    @FunctionalInterface
    public interface Text {
      /** {@return the number as readers see it} */
      String written();
    }

    @Override
    public String text() {
      return rounded.written();
    }

    @Override
    public @Nullable Object bare() {
      return Double.isFinite(value) ? value : null;
    }
  }

  /**
   * Words.
   *
   * @param text the words
   */
  record Words(String text) implements Value {
    @Override
    public Object bare() {
      return text;
    }
  }

  /**
   * True or false.
   *
   * @param flag which
   */
  record Flag(boolean flag) implements Value {
    @Override
    public String text() {
      return String.valueOf(flag);
    }

    @Override
    public Object bare() {
      return flag;
    }
  }

  /**
   * A value that doesn't exist, with the text that readers see in its place.
   *
   * @param text that text
   */
  record None(String text) implements Value {
    @Override
    public @Nullable Object bare() {
      return null;
    }
  }

  /**
   * Several values in order.
   *
   * @param values the values
   */
  record Listing(List<Value> values) implements Value {
    /** Keeps the values. */
    public Listing {
      values = List.copyOf(values);
    }

    @Override
    public String text() {
      return String.join(", ", values.stream().map(Value::text).toList());
    }

    @Override
    public boolean isSingle() {
      return false;
    }

    @Override
    public Object bare() {
      return values;
    }
  }

  /** Values under keys, in order. */
  final class Fields implements Value {
    private final Map<String, Value> fields = new LinkedHashMap<>();
    private final Kind kind;

    /** What fields stand for. */
    public enum Kind {
      /** An answer to one question. */
      ANSWER,
      /** One result: an estimate, a test, an interval or a decision. Tables have a row of each. */
      RESULT,
      /** Anything else. */
      DETAIL
    }

    private Fields(Kind kind) {
      this.kind = kind;
    }

    /** {@return what they stand for} */
    public Kind kind() {
      return kind;
    }

    @Override
    public boolean isSingle() {
      return false;
    }

    /**
     * Adds a value.
     *
     * @param key the key that machines see
     * @param value the value
     * @return this builder
     */
    public Fields with(String key, @Nullable Value value) {
      fields.put(key, value == null ? none() : value);
      return this;
    }

    /**
     * Adds words.
     *
     * @param key the key that machines see
     * @param words words
     * @return this builder
     */
    public Fields with(String key, @Nullable String words) {
      return with(key, words == null ? none() : new Words(words));
    }

    /**
     * Adds a number, none where it is not finite.
     *
     * @param key the key that machines see
     * @param number a number
     * @return this builder
     */
    public Fields with(String key, double number) {
      return with(key, number(number));
    }

    /**
     * Adds a number, which may be absent.
     *
     * @param key the key that machines see
     * @param number a number
     * @return this builder
     */
    public Fields with(String key, @Nullable Double number) {
      return with(key, number == null ? none() : number(number));
    }

    /**
     * Adds a whole number.
     *
     * @param key the key that machines see
     * @param count a whole number
     * @return this builder
     */
    public Fields with(String key, long count) {
      return with(key, new Count(count));
    }

    /**
     * Adds a whole number, which may be absent.
     *
     * @param key the key that machines see
     * @param count a whole number
     * @return this builder
     */
    public Fields with(String key, @Nullable Long count) {
      return with(key, count == null ? none() : new Count(count));
    }

    /**
     * Adds true or false.
     *
     * @param key the key that machines see
     * @param flag true or false
     * @return this builder
     */
    public Fields with(String key, boolean flag) {
      return with(key, new Flag(flag));
    }

    /**
     * Adds true or false, which may be absent.
     *
     * @param key the key that machines see
     * @param flag true or false
     * @return this builder
     */
    public Fields with(String key, @Nullable Boolean flag) {
      return with(key, flag == null ? none() : new Flag(flag));
    }

    /**
     * Adds all fields of another.
     *
     * @param others those others
     * @return this builder
     */
    public Fields and(Fields others) {
      fields.putAll(others.fields);
      return this;
    }

    @Override
    public String text() {
      return String.join(", ", fields.values().stream().map(Value::text).toList());
    }

    @Override
    public Map<String, Value> bare() {
      return java.util.Collections.unmodifiableMap(fields);
    }
  }

  /**
   * Makes empty fields.
   *
   * @return the fields
   */
  static Fields fields() {
    return new Fields(Fields.Kind.DETAIL);
  }

  /** {@return empty fields of one result: an estimate, a test, an interval or a decision} */
  static Fields result() {
    return new Fields(Fields.Kind.RESULT);
  }

  /** {@return empty fields of the answer to one question} */
  static Fields answer() {
    return new Fields(Fields.Kind.ANSWER);
  }

  /**
   * Makes a list of words.
   *
   * @param words words
   * @return the value
   */
  static Value words(List<String> words) {
    return list(words, Words::new);
  }

  /**
   * Makes a list of numbers, written as they are.
   *
   * @param numbers numbers
   * @return the value
   */
  static Value numbers(List<Double> numbers) {
    return list(numbers, Value::number);
  }

  /**
   * Makes a list of whole numbers.
   *
   * @param counts whole numbers
   * @return the value
   */
  static Value counts(List<Long> counts) {
    return list(counts, Count::new);
  }

  /**
   * Makes a list.
   *
   * @param each what the list is made of
   * @param value the value
   * @param <T> what there is many of
   * @return the value
   */
  static <T> Value list(List<T> each, Function<? super T, ? extends Value> value) {
    List<Value> values = new ArrayList<>(each.size());
    each.forEach(one -> values.add(value.apply(one)));
    return new Listing(values);
  }

  /**
   * Makes a number that readers see with all of its digits.
   *
   * @param number a number
   * @return the value
   */
  static Value number(double number) {
    return new Real(
        number, () -> Double.isFinite(number) ? Figures.plain(number) : unlimited(number));
  }

  /**
   * Makes a number of so many significant digits; undefined and infinite ones are said.
   *
   * @param number a number
   * @param digits how many significant digits
   * @return the value
   */
  static Value significant(double number, int digits) {
    return new Real(
        number,
        () -> Double.isFinite(number) ? Figures.significant(number, digits) : unlimited(number));
  }

  private static String unlimited(double number) {
    return Double.isNaN(number) ? "undefined" : "infinite";
  }

  /**
   * Makes a number of at most so many digits, no zero at its end.
   *
   * @param number a number
   * @param digits how many significant digits
   * @return the value
   */
  static Value upTo(double number, int digits) {
    return new Real(number, () -> Figures.upTo(number, digits));
  }

  /**
   * Makes a number of two decimals, as residuals have.
   *
   * @param number a number
   * @param mark what stands behind it, such as *
   * @return the value
   */
  static Value twoDecimals(double number, String mark) {
    return new Real(number, () -> (number == 0 ? "0" : say("%.2f", number)) + mark);
  }

  /**
   * Makes a difference of proportions in points, to four digits.
   *
   * @param difference a difference of proportions
   * @return the value
   */
  static Value points(double difference) {
    return new Real(difference, () -> Figures.significant(100 * difference, 4));
  }

  /**
   * Makes an estimate or a limit of a quantity, with the digits and units that it has.
   *
   * @param quantity of which quantity it is, which gives its units
   * @param value the value
   * @return the value
   */
  static Value of(Estimand quantity, double value) {
    return new Real(value, () -> inUnits(quantity, value));
  }

  private static String inUnits(Estimand quantity, double value) {
    if (Double.isNaN(value)) {
      return "none";
    }
    if (Double.isInfinite(value)) {
      return "no limit";
    }
    return switch (quantity) {
      case PROPORTION, SHARE -> Figures.finePercent(value);
      case DIFFERENCE -> Figures.significant(100 * value, 4);
      default -> value == 0 ? "0" : Figures.significant(value, 4);
    };
  }

  /**
   * Makes a p-value from its decimal logarithm.
   *
   * @param log10PValue the decimal logarithm of the p-value, at most 0
   * @return the value
   */
  static Value p(double log10PValue) {
    return p(log10PValue, Double.NaN);
  }

  /**
   * Makes a p-value that readers tell from a significance level.
   *
   * @param log10PValue the decimal logarithm of the p-value, at most 0
   * @param alpha the significance level
   * @return the value
   */
  static Value p(double log10PValue, double alpha) {
    return new Real(Math.pow(10, log10PValue), () -> Figures.pValue(log10PValue, alpha));
  }

  /**
   * Creates a value that doesn't exist and is blank to readers.
   *
   * @return the value
   */
  static Value none() {
    return new None("");
  }

  /**
   * Creates a value that doesn't exist, with the text that readers see in its place.
   *
   * @param shown what readers see in its place
   * @return the value
   */
  static Value none(String shown) {
    return new None(shown);
  }
}
