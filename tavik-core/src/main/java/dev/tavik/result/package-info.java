/**
 * What an inference says: hypotheses going in, and tests, intervals, estimates, conditions and
 * cautions coming out. Plain values, the same for every question.
 *
 * <pre>{@code
 * Hypothesis claim = Hypothesis.less(0.05);
 * TestResult test = ProportionTest.EXACT.of(Tally.of(14, 400), claim);
 * test.pValue();          // 0.0985…
 * test.rejects(0.05);     // false
 * }</pre>
 *
 * <p>{@link dev.tavik.result.Figures} writes numbers for a reader, {@link
 * dev.tavik.result.Proportion} reads the ways in which people write a proportion.
 */
@NullMarked
package dev.tavik.result;

import org.jspecify.annotations.NullMarked;
