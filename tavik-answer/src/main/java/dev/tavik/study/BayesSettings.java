package dev.tavik.study;

import static dev.tavik.result.Figures.require;

import dev.tavik.bayes.BetaPrior;
import org.jspecify.annotations.Nullable;

/**
 * Settings of the Bayesian view of one or two rates.
 *
 * @param prior what is believed of a rate before the data
 * @param region the values, or differences, that are as good as the null value; null for none
 */
public record BayesSettings(BetaPrior prior, @Nullable Region region) {
  /**
   * A region of practical equivalence, of a rate or of a difference.
   *
   * @param low its lower end
   * @param high its upper end
   */
  public record Region(double low, double high) {
    /**
     * Checks the ends.
     *
     * @throws IllegalArgumentException if not -1 ≤ low &lt; high ≤ 1
     */
    public Region {
      require(
          low >= -1 && low < high && high <= 1,
          "region must run upwards, such as 4%%,6%% for a rate or -2%%,2%% for a difference,"
              + " got %s to %s",
          low,
          high);
    }
  }

  /**
   * The default: a uniform prior and no region.
   *
   * @return the settings
   */
  public static BayesSettings usual() {
    return new BayesSettings(BetaPrior.UNIFORM, null);
  }
}
