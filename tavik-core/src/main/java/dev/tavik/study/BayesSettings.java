package dev.tavik.study;

import dev.tavik.bayes.BetaPrior;
import org.jspecify.annotations.Nullable;

/**
 * How a rate is seen the Bayesian way.
 *
 * @param prior what is believed before the data
 * @param region the values that are as good as the null value; null for none
 */
public record BayesSettings(BetaPrior prior, @Nullable Region region) {
  /**
   * A region of practical equivalence.
   *
   * @param low its lower end
   * @param high its upper end
   */
  public record Region(double low, double high) {
    /**
     * Checks the ends.
     *
     * @throws IllegalArgumentException if not 0 ≤ low &lt; high ≤ 1
     */
    public Region {
      if (!(low >= 0 && low < high && high <= 1)) {
        throw new IllegalArgumentException(
            "region must run upwards between 0 and 1, such as 4%,6%, got " + low + " to " + high);
      }
    }
  }

  /**
   * The usual: all proportions alike before the data, no region.
   *
   * @return the settings
   */
  public static BayesSettings usual() {
    return new BayesSettings(BetaPrior.uniform(), null);
  }
}
