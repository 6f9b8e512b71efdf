package dev.tavik.study.paired;

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
  static final List<PairedTest> USUAL_TESTS = List.of(PairedTest.MCNEMAR, PairedTest.MCNEMAR_EXACT);
  static final List<PairedDifferenceInterval> USUAL_INTERVALS =
      List.of(PairedDifferenceInterval.TANGO, PairedDifferenceInterval.NEWCOMBE);

  /**
   * The usual settings: two-sided, alpha 0.05, McNemar's test and the exact one, Tango's and
   * Newcombe's intervals.
   *
   * @return the settings
   */
  public static PairedSettings usual() {
    return new PairedSettings(Alternative.TWO_SIDED, InferenceOptions.usual());
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
