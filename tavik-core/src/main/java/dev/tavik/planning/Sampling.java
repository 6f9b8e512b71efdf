package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.result.Figures;
import org.jspecify.annotations.Nullable;

/**
 * What a sample tells compared with as many independent draws.
 *
 * @param population how many units there are in each group; null where there is no end
 * @param designEffect how many times larger the variance is than that of a simple random sample,
 *     such as 1.5 where units come in clusters; at least 0.1
 */
public record Sampling(@Nullable Long population, double designEffect) {
  private static final double LEAST = 0.1;
  private static final double MOST = 100;

  /**
   * Checks the numbers.
   *
   * @throws IllegalArgumentException if one is out of its range
   */
  public Sampling {
    if (population != null && (population < 2 || population > PowerDesign.MOST)) {
      throw new IllegalArgumentException("lot must be from 2 to 10^12, got " + population);
    }
    require(
        allows(designEffect),
        "design-effect must be from 0.1 to 100, such as 1.5, got %s",
        Figures.plain(designEffect));
  }

  /**
   * Whether a design effect can be planned with.
   *
   * @param designEffect how many times larger the variance is
   * @return whether it is from 0.1 to 100
   */
  public static boolean allows(double designEffect) {
    return designEffect >= LEAST && designEffect <= MOST;
  }

  /**
   * Independent draws without end.
   *
   * @return the sampling
   */
  public static Sampling simple() {
    return new Sampling(null, 1);
  }

  /** As many independent draws tell the same: n/deff·(N - 1)/(N - n). */
  double effective(double n) {
    double left = population == null ? 1 : (population - n) / (population - 1.0);
    return left <= 0 ? Double.POSITIVE_INFINITY : n / designEffect / left;
  }

  long most() {
    return population == null ? PowerDesign.MOST : population;
  }
}
