package dev.tavik.study;

import static dev.tavik.result.Figures.require;

import dev.tavik.result.Method;
import dev.tavik.result.Proportion;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The options of every inference: significance level, confidence level, tests and intervals.
 *
 * @param alpha the significance level, strictly between 0 and 1
 * @param chosenLevel the confidence level; null for the one that matches alpha
 * @param tests the tests, each once, in the order shown; none for those that are usual for the data
 * @param intervals the intervals, each once, in the order shown; none for those that are usual
 * @param <T> the kind of tests
 * @param <I> the kind of intervals
 */
public record InferenceOptions<T extends Method, I extends Method>(
    double alpha, @Nullable Double chosenLevel, List<T> tests, List<I> intervals) {

  /**
   * Checks the levels, and drops what is named twice.
   *
   * @throws IllegalArgumentException if a level doesn't lie strictly between 0 and 1
   */
  public InferenceOptions {
    Proportion.require("alpha", alpha);
    if (chosenLevel != null) {
      Proportion.require("level", chosenLevel);
    }
    tests = tests.stream().distinct().toList();
    intervals = intervals.stream().distinct().toList();
  }

  /**
   * {@return the usual choice of alpha, 0.05, and the level that matches it}
   *
   * @param tests the tests
   * @param intervals the intervals
   * @param <T> the kind of tests
   * @param <I> the kind of intervals
   */
  public static <T extends Method, I extends Method> InferenceOptions<T, I> of(
      List<T> tests, List<I> intervals) {
    return new InferenceOptions<>(0.05, null, tests, intervals);
  }

  /**
   * {@return the usual choice of alpha, 0.05, with the methods that are usual for the data}
   *
   * @param <T> the kind of tests
   * @param <I> the kind of intervals
   */
  public static <T extends Method, I extends Method> InferenceOptions<T, I> usual() {
    return of(List.of(), List.of());
  }

  /**
   * Fills in the usual methods where none was chosen.
   *
   * @param usualTests the tests in place of none
   * @param usualIntervals the intervals in place of none
   * @return the same options with them
   */
  public InferenceOptions<T, I> orUsual(
      List<? extends T> usualTests, List<? extends I> usualIntervals) {
    return new InferenceOptions<>(
        alpha,
        chosenLevel,
        tests.isEmpty() ? List.copyOf(usualTests) : tests,
        intervals.isEmpty() ? List.copyOf(usualIntervals) : intervals);
  }

  /**
   * Checks that all methods are of families that fit the data.
   *
   * @param data the data in words, such as {@code a designed sample}
   * @param knownTests the tests that fit
   * @param knownIntervals the intervals that fit
   * @throws IllegalArgumentException if another one was chosen
   */
  public void requireAmong(String data, Method[] knownTests, Method[] knownIntervals) {
    requireAmong("tests", data, tests, knownTests);
    requireAmong("intervals", data, intervals, knownIntervals);
  }

  private static void requireAmong(
      String what, String data, List<? extends Method> chosen, Method[] known) {
    for (Method method : chosen) {
      require(
          known.length > 0,
          "%s of %s can't be chosen, because all are shown; got %s",
          what,
          data,
          method.id());
      require(
          List.of(known).contains(method),
          "%s of %s must be among %s, got %s",
          what,
          data,
          Stream.of(known).map(Method::id).collect(Collectors.joining(", ")),
          method.id());
    }
  }

  InferenceOptions<T, I> alpha(double value) {
    return new InferenceOptions<>(value, chosenLevel, tests, intervals);
  }

  InferenceOptions<T, I> level(double value) {
    return new InferenceOptions<>(alpha, value, tests, intervals);
  }

  InferenceOptions<T, I> tests(List<? extends T> methods) {
    return new InferenceOptions<>(alpha, chosenLevel, List.copyOf(methods), intervals);
  }

  InferenceOptions<T, I> intervals(List<? extends I> methods) {
    return new InferenceOptions<>(alpha, chosenLevel, tests, List.copyOf(methods));
  }
}
