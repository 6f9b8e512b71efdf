package dev.tavik.study.parts;

import dev.tavik.answer.Value;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.result.TestResult.Statistic.Kind;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Holm's adjustment within one question, and how it is shown. */
public final class Holm {
  private Holm() {}

  /** Adjusts each method over all members of a family that have it. */
  public static List<List<TestResult>> adjust(List<List<TestResult>> family) {
    Set<Method> methods = new LinkedHashSet<>();
    family.forEach(tests -> tests.forEach(test -> methods.add(test.method())));
    List<List<TestResult>> adjusted = new ArrayList<>();
    family.forEach(tests -> adjusted.add(new ArrayList<>(tests)));
    for (Method method : methods) {
      List<TestResult> same = new ArrayList<>();
      family.forEach(
          tests -> tests.stream().filter(test -> test.method() == method).forEach(same::add));
      Iterator<TestResult> next = Adjustment.HOLM.of(same).iterator();
      adjusted.forEach(
          tests -> tests.replaceAll(test -> test.method() == method ? next.next() : test));
    }
    return adjusted;
  }

  /** Adjusts the two-sided p-values of statistics that are standard normal under their nulls. */
  public static List<AdjustedP> ofNormal(List<Double> statistics) {
    return Adjustment.HOLM.ofPValues(
        statistics.stream()
            .map(z -> AdjustedP.ofLog(Math.log(2) + Normal.logUpper(Math.abs(z))))
            .toList());
  }

  /**
   * Adjusts the two-sided p-values of statistics that have Student's distribution under their
   * nulls.
   *
   * @param statistics the statistics; NaN where there is none, which has a p-value of 1
   * @param df the degrees of freedom
   */
  public static List<AdjustedP> ofT(List<Double> statistics, double df) {
    return Adjustment.HOLM.ofPValues(
        statistics.stream()
            .map(t -> AdjustedP.ofLog(Double.isFinite(t) ? Tail.t(df).logBoth(t) : 0))
            .toList());
  }

  /** Returns an adjusted p-value, blank where there is none. */
  public static Value shown(TestResult test) {
    AdjustedP adjusted = test.adjusted();
    return adjusted == null ? Value.none() : Value.p(adjusted.log10PValue());
  }

  /** Returns a test's z, blank where its statistic is another. */
  public static Value z(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic == null || statistic.kind() != Kind.Z
        ? Value.none()
        : Value.significant(statistic.value(), 4);
  }
}
