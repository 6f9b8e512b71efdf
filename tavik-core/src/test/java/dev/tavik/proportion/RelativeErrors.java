package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * Gathers relative errors, so that the worst and the root mean square can be held against bounds:
 * the second catches a broad drift that hides below the first.
 */
final class RelativeErrors {
  private final String what;
  private double worst;
  private double squares;
  private int number;
  private String where = "";

  RelativeErrors(String what) {
    this.what = what;
  }

  void add(double expected, double actual, String at) {
    add(expected == actual ? 0 : Math.abs(actual - expected) / Math.abs(expected), at);
  }

  void add(double error, String at) {
    assertThat(error).as("%s at %s", what, at).isNotNaN();
    if (error > worst) {
      worst = error;
      where = at;
    }
    squares += error * error;
    number++;
  }

  void assertBelow(double worstBound, double rootMeanSquareBound) {
    assertThat(number).as("number of %s", what).isPositive();
    assertThat(worst).as("worst relative error of %s, at %s", what, where).isLessThan(worstBound);
    assertThat(Math.sqrt(squares / number))
        .as("root mean square relative error of %s", what)
        .isLessThan(rootMeanSquareBound);
  }
}
