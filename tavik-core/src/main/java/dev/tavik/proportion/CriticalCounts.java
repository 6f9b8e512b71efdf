package dev.tavik.proportion;

import dev.tavik.result.Method;
import org.jspecify.annotations.Nullable;

/**
 * The counts of successes that a test rejects.
 *
 * @param method the public id of the test
 * @param trials how many trials there are
 * @param atMost the largest rejected count below the null's expectation; null where none is
 * @param atLeast the smallest rejected count above the null's expectation; null where none is
 * @param size how often the test rejects a true null: the probability of these counts under it
 */
public record CriticalCounts(
    Method method, long trials, @Nullable Long atMost, @Nullable Long atLeast, double size) {}
