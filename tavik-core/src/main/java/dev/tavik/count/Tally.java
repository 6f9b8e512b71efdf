package dev.tavik.count;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.math.BigInteger;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collector;
import org.jspecify.annotations.Nullable;

/**
 * Counts successes out of trials: 14 cracked tiles out of 400.
 *
 * @param successes how many trials were successes, 0 to {@code trials}
 * @param trials how many trials there were, 1 to 10¹²; Tavik's accuracy is promised to 10⁹
 */
public record Tally(long successes, long trials) {

  /** The largest number of trials, 10¹². */
  public static final long MAX_TRIALS = 1_000_000_000_000L;

  private static final Pattern FORM = Pattern.compile("([^/]*)/([^/]*)");
  private static final Pattern WHOLE = Pattern.compile("[+]?\\d+");

  /**
   * Checks the counts.
   *
   * @throws IllegalArgumentException if not 1 ≤ trials ≤ 10¹² or not 0 ≤ successes ≤ trials
   */
  public Tally {
    // Made millions of times: nothing is boxed for a message that nobody reads.
    if (trials < 1 || trials > MAX_TRIALS) {
      throw new IllegalArgumentException(
          say("trials must be between 1 and %,d, got %s", MAX_TRIALS, trials));
    }
    if (successes < 0 || successes > trials) {
      throw new IllegalArgumentException(
          say("successes must be between 0 and trials (%s), got %s", trials, successes));
    }
  }

  /**
   * A tally of exactly these counts.
   *
   * @param successes how many trials were successes, 0 to {@code trials}
   * @param trials how many trials there were, 1 to 10¹²
   * @return the tally
   * @throws IllegalArgumentException if not 1 ≤ trials ≤ 10¹² or not 0 ≤ successes ≤ trials
   */
  public static Tally of(long successes, long trials) {
    return new Tally(successes, trials);
  }

  /**
   * Counts the objects of a stream, such as {@code
   * orders.stream().collect(Tally.counting(Order::late))}.
   *
   * @param success whether an object is a success; null for an object that is left out. Where it
   *     should be told how many are, count with {@link Tabulation#counting}.
   * @param <T> the objects
   * @return a collector, which throws an {@link IllegalArgumentException} if no object is counted
   */
  public static <T extends @Nullable Object> Collector<T, ?, Tally> counting(
      Function<? super T, @Nullable Boolean> success) {
    return Collector.of(
        () -> new long[2],
        (counts, object) -> {
          Boolean found = success.apply(object);
          if (found != null) {
            counts[0] += found ? 1 : 0;
            counts[1]++;
          }
        },
        (one, other) -> new long[] {one[0] + other[0], one[1] + other[1]},
        counts -> of(counts[0], counts[1]));
  }

  /**
   * Reads a tally written as successes/trials, the inverse of {@link #toString}.
   *
   * @param text such as {@code 14/400}; blanks around the numbers are allowed
   * @return the tally
   * @throws IllegalArgumentException if it isn't two whole numbers with a slash between, or they
   *     make no tally
   */
  public static Tally parse(String text) {
    Matcher parts = FORM.matcher(text.strip());
    require(parts.matches(), "a tally must be successes/trials such as 14/400, got '%s'", text);
    long successes = whole("successes", parts.group(1).strip());
    long trials = whole("trials", parts.group(2).strip());
    require(
        (trials < 1 || successes <= trials) || successes > MAX_TRIALS,
        "successes must be between 0 and trials (%d), got %d; a tally is successes/trials,"
            + " did you mean %1$d/%2$d?",
        trials,
        successes);
    return new Tally(successes, trials);
  }

  private static long whole(String name, String text) {
    require(
        WHOLE.matcher(text).matches(),
        "%s must be a whole number of at least 0, got '%s'",
        name,
        text);
    BigInteger number = new BigInteger(text);
    require(number.bitLength() <= 62, "%s must be at most %,d, got %s", name, MAX_TRIALS, text);
    return number.longValue();
  }

  /**
   * How many trials were not successes.
   *
   * @return trials - successes
   */
  public long failures() {
    return trials - successes;
  }

  /**
   * The observed proportion.
   *
   * @return successes / trials, 0 to 1
   */
  public double proportion() {
    return (double) successes / trials;
  }

  /**
   * The text form.
   *
   * @return such as {@code 14/400}
   */
  @Override
  public String toString() {
    return successes + "/" + trials;
  }
}
