package dev.tavik.study.parts;

import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;

/**
 * One of the two one-sided tests behind equivalence.
 *
 * @param hypothesis its null value and direction
 * @param result what it says
 */
public record DirectedTest(Hypothesis hypothesis, TestResult result) {}
