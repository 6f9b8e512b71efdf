package dev.tavik.study.parts;

import dev.tavik.answer.Value;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Holm's adjustment of several p-values (1979, "A simple sequentially rejective multiple test
 * procedure", Scandinavian Journal of Statistics 6, 65-70): the k-th smallest of m is multiplied by
 * m - k + 1, and none may fall below one before it. Worked on logarithms, so that a p-value that
 * has underflowed keeps its order.
 */
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
      Iterator<TestResult> next = adjusted(same).iterator();
      adjusted.forEach(
          tests -> tests.replaceAll(test -> test.method() == method ? next.next() : test));
    }
    return adjusted;
  }

  private static List<TestResult> adjusted(List<TestResult> raw) {
    List<TestResult> adjusted = new ArrayList<>(raw);
    List<Integer> ascending =
        IntStream.range(0, raw.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> raw.get(i).log10PValue()))
            .toList();
    double floor = Double.NEGATIVE_INFINITY;
    double floorP = 0;
    for (int rank = 0; rank < raw.size(); rank++) {
      int factor = raw.size() - rank;
      TestResult test = raw.get(ascending.get(rank));
      floor = Math.min(0, Math.max(floor, test.log10PValue() + Math.log10(factor)));
      floorP = Math.min(1, Math.max(floorP, test.pValue() * factor));
      adjusted.set(ascending.get(rank), test.withAdjusted(new AdjustedP(floorP, floor)));
    }
    return adjusted;
  }

  /** Returns an adjusted p-value, blank where there is none. */
  public static Value shown(TestResult test) {
    AdjustedP adjusted = test.adjusted();
    return adjusted == null ? Value.none() : Value.p(adjusted.log10PValue());
  }

  /** Returns a test's z, blank where its statistic is another. */
  public static Value z(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic == null || !statistic.name().equals("z")
        ? Value.none()
        : Value.significant(statistic.value(), 4);
  }
}
