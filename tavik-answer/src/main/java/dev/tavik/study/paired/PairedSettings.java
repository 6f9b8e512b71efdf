package dev.tavik.study.paired;

import static dev.tavik.result.Figures.require;

import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import java.util.List;

/**
 * How two proportions of the same units are to be compared; the null is no difference.
 *
 * @param alternative the direction, of the first against the second
 * @param choices alpha, level, tests and intervals
 */
public record PairedSettings(
    Alternative alternative, InferenceOptions<PairedTest, PairedDifferenceInterval> choices)
    implements InferenceSettings<PairedSettings, PairedTest, PairedDifferenceInterval> {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if alpha or level is not strictly between 0 and 1, or a list
   *     is empty
   */
  public PairedSettings {
    require(
        !choices.tests().isEmpty() && !choices.intervals().isEmpty(),
        "tests and intervals must name at least one method each, got none");
  }

  /**
   * The usual settings: two-sided, alpha 0.05, McNemar's test and the exact one, Tango's and
   * Newcombe's intervals.
   *
   * @return the settings
   */
  public static PairedSettings usual() {
    return new PairedSettings(
        Alternative.TWO_SIDED,
        InferenceOptions.of(
            List.of(PairedTest.MCNEMAR, PairedTest.MCNEMAR_EXACT),
            List.of(PairedDifferenceInterval.TANGO, PairedDifferenceInterval.NEWCOMBE)));
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param direction of the first against the second
   * @return the settings
   */
  public PairedSettings alternative(Alternative direction) {
    return new PairedSettings(direction, choices);
  }

  @Override
  public PairedSettings choices(InferenceOptions<PairedTest, PairedDifferenceInterval> changed) {
    return new PairedSettings(alternative, changed);
  }
}
