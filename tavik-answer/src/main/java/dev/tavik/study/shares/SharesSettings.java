package dev.tavik.study.shares;

import dev.tavik.association.SharesTest;
import dev.tavik.bayes.DirichletPrior;
import dev.tavik.result.Method;
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
    InferenceOptions<Method, Method> choices, @Nullable DirichletPrior prior)
    implements InferenceSettings<SharesSettings, Method, Method> {
  /** The tests of counts where none is chosen. */
  public static final List<SharesTest> USUAL_TESTS =
      List.of(SharesTest.PEARSON, SharesTest.EXACT_MULTINOMIAL);

  /**
   * The usual settings: alpha 0.05, and the methods that are usual for the data. Of counts these
   * are Pearson's and the exact test, and Goodman's intervals.
   *
   * @return the settings
   */
  public static SharesSettings usual() {
    return new SharesSettings(InferenceOptions.usual(), null);
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
  public SharesSettings choices(InferenceOptions<Method, Method> changed) {
    return new SharesSettings(changed, prior);
  }
}
