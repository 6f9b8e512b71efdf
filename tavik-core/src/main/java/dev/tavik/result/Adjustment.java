package dev.tavik.result;

import dev.tavik.result.TestResult.AdjustedP;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Adjustments of the p-values of several tests that are made together. Worked on logarithms, so
 * that a p-value that has underflowed keeps its order; none is above 1.
 */
public enum Adjustment implements Method {
  /** The k-th smallest of m times m - k + 1, none below one before it. */
  HOLM(
      new MethodInfo(
          "holm",
          "Holm's method",
          "the chance of one false rejection or more is at most alpha, however tests depend",
          "Holm 1979, Scandinavian Journal of Statistics 6, 65-70",
          Exactness.EXACT)),
  /** The same factors, none above one after it. */
  HOCHBERG(
      new MethodInfo(
          "hochberg",
          "Hochberg's method",
          "the chance of one false rejection or more is at most alpha, for independent tests and"
              + " tests that depend positively",
          "Hochberg 1988, Biometrika 75, 800-802",
          Exactness.EXACT)),
  /** The k-th smallest of m times m / k, none above one after it. */
  BENJAMINI_HOCHBERG(
      new MethodInfo(
          "benjamini-hochberg",
          "the method of Benjamini and Hochberg",
          "of all rejections, the share that is false is at most alpha on average, for independent"
              + " tests and tests that depend positively",
          "Benjamini and Hochberg 1995, Journal of the Royal Statistical Society B 57, 289-300",
          Exactness.EXACT)),
  /** None: every p-value stands as it is. */
  NONE(
      new MethodInfo(
          "none",
          "nothing",
          "every test stands for itself; of many true nulls some are rejected",
          "The p-values as they are",
          Exactness.EXACT));

  private final MethodInfo info;

  Adjustment(MethodInfo info) {
    this.info = info;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** What the p-value of a rank, from 1 for the smallest, is multiplied by. */
  private double factor(int rank, int tests) {
    return switch (this) {
      case HOLM, HOCHBERG -> tests - rank + 1.0;
      case BENJAMINI_HOCHBERG -> (double) tests / rank;
      case NONE -> 1;
    };
  }

  /**
   * Adjusts the p-values of tests that are made together.
   *
   * @param tests the tests, in any order
   * @return the tests with their adjusted p-values, in the same order
   */
  public List<TestResult> of(List<TestResult> tests) {
    List<AdjustedP> adjusted =
        ofPValues(
            tests.stream().map(test -> new AdjustedP(test.pValue(), test.log10PValue())).toList());
    return IntStream.range(0, tests.size())
        .mapToObj(i -> tests.get(i).withAdjusted(adjusted.get(i)))
        .toList();
  }

  /**
   * Adjusts p-values that belong together.
   *
   * @param each the p-values as they are, in any order
   * @return the adjusted p-values, in the same order
   */
  public List<AdjustedP> ofPValues(List<AdjustedP> each) {
    if (this == NONE) {
      return List.copyOf(each);
    }
    List<Integer> ascending = new ArrayList<>(IntStream.range(0, each.size()).boxed().toList());
    ascending.sort(Comparator.comparingDouble(i -> each.get(i).log10PValue()));
    boolean upwards = this == HOLM;
    if (!upwards) {
      Collections.reverse(ascending);
    }
    List<AdjustedP> adjusted = new ArrayList<>(each);
    double bound = upwards ? Double.NEGATIVE_INFINITY : 0;
    double boundP = upwards ? 0 : 1;
    for (int i = 0; i < each.size(); i++) {
      AdjustedP own = each.get(ascending.get(i));
      double factor = factor(upwards ? i + 1 : each.size() - i, each.size());
      double log = Math.min(0, own.log10PValue() + Math.log10(factor));
      double p = Math.min(1, own.pValue() * factor);
      bound = upwards ? Math.max(bound, log) : Math.min(bound, log);
      boundP = upwards ? Math.max(boundP, p) : Math.min(boundP, p);
      adjusted.set(ascending.get(i), new AdjustedP(boundP, bound));
    }
    return adjusted;
  }
}
