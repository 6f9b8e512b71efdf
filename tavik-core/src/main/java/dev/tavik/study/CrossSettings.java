package dev.tavik.study;

import dev.tavik.association.TableTest;
import dev.tavik.result.Proportion;
import java.util.List;

/**
 * How strictly an association is to be judged, and by which tests.
 *
 * @param alpha the significance level, strictly between 0 and 1
 * @param tests the tests to show, at least one
 */
public record CrossSettings(double alpha, List<TableTest> tests) {
  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if alpha is not strictly between 0 and 1, or there is no test
   */
  public CrossSettings {
    Proportion.require("alpha", alpha);
    tests = tests.stream().distinct().toList();
    if (tests.isEmpty()) {
      throw new IllegalArgumentException("tests must name at least one method, got none");
    }
  }

  /**
   * The usual settings: alpha 0.05, Pearson's and the likelihood-ratio test.
   *
   * @return the settings
   */
  public static CrossSettings usual() {
    return new CrossSettings(0.05, List.of(TableTest.PEARSON, TableTest.LIKELIHOOD_RATIO));
  }

  /**
   * With another significance level.
   *
   * @param value the significance level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public CrossSettings alpha(double value) {
    return new CrossSettings(value, tests);
  }

  /**
   * With these tests only.
   *
   * @param methods the tests, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public CrossSettings tests(List<TableTest> methods) {
    return new CrossSettings(alpha, methods);
  }
}
