package dev.tavik.study.shares;

import static dev.tavik.result.Figures.require;

import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.bayes.DirichletPrior;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How strictly counts are held against claimed shares, and by which methods.
 *
 * @param choices alpha, level, tests and intervals
 * @param prior what is believed of the shares in the Bayesian view; null to leave it out
 */
public record SharesSettings(
    InferenceOptions<SharesTest, SharesInterval> choices, @Nullable DirichletPrior prior)
    implements InferenceSettings<SharesSettings, SharesTest, SharesInterval> {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if alpha or level is not strictly between 0 and 1, or a list
   *     is empty
   */
  public SharesSettings {
    require(
        !choices.tests().isEmpty() && !choices.intervals().isEmpty(),
        "tests and intervals must name at least one method each, got none");
  }

  /**
   * The usual settings: alpha 0.05, Pearson's and the exact test, Goodman's intervals.
   *
   * @return the settings
   */
  public static SharesSettings usual() {
    return new SharesSettings(
        InferenceOptions.of(
            List.of(SharesTest.PEARSON, SharesTest.EXACT_MULTINOMIAL),
            List.of(SharesInterval.GOODMAN)),
        null);
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param before what is believed of the shares before the data, were they not as claimed
   * @return the settings
   */
  public SharesSettings prior(DirichletPrior before) {
    return new SharesSettings(choices, before);
  }

  @Override
  public SharesSettings choices(InferenceOptions<SharesTest, SharesInterval> changed) {
    return new SharesSettings(changed, prior);
  }
}
