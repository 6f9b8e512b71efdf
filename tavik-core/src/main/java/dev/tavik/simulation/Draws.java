package dev.tavik.simulation;

import static dev.tavik.result.Figures.require;

import dev.tavik.result.Proportion;
import org.jspecify.annotations.Nullable;

/**
 * The number of draws and the seed. The same seed gives the same answer on any machine and with any
 * number of threads.
 *
 * @param most how many draws, or with {@code clearOf} how many at most
 * @param seed where the random numbers start
 * @param clearOf draw only until the p-value is surely above or below this level; null to make all
 *     draws
 */
public record Draws(long most, long seed, @Nullable Double clearOf) {
  /** The largest number of draws. */
  public static final long MOST = 10_000_000_000L;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there are not 1 to 10¹⁰ draws, or the level is out of range
   */
  public Draws {
    require(
        most >= 1 && most <= MOST,
        "draws must be from 1 to 10000000000, such as 100000, got %s",
        most);
    if (clearOf != null) {
      Proportion.require("alpha", clearOf);
    }
  }

  /**
   * Creates a fixed number of draws.
   *
   * @param draws how many, 1 to 10¹⁰
   * @param seed where the random numbers start
   * @return the settings
   * @throws IllegalArgumentException if the number is out of its range
   */
  public static Draws of(long draws, long seed) {
    return new Draws(draws, seed, null);
  }

  /**
   * Stops drawing once it is clear on which side of a level the p-value lies.
   *
   * @param alpha the level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Draws untilClearOf(double alpha) {
    return new Draws(most, seed, alpha);
  }
}
