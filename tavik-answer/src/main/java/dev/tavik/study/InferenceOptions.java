package dev.tavik.study;

import dev.tavik.result.Method;
import dev.tavik.result.Proportion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The options of every inference: significance level, confidence level, tests and intervals.
 *
 * @param alpha the significance level, strictly between 0 and 1
 * @param chosenLevel the confidence level; null for the one that matches alpha
 * @param tests the tests, each once, in the order shown
 * @param intervals the intervals, each once, in the order shown
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
