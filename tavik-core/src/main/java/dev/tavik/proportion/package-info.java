/**
 * Tests and confidence intervals for one proportion. Every method of a family is a constant of one
 * enum, so that they can be listed and compared.
 *
 * <pre>{@code
 * Tally cracked = Tally.of(14, 400);
 * TestResult test = ProportionTest.SCORE.of(cracked, Hypothesis.less(0.05));
 * Interval interval = ProportionInterval.WILSON.of(cracked, 0.95);
 * }</pre>
 *
 * <table>
 * <caption>Methods</caption>
 * <tr><th>id</th><th>method</th><th>paper</th></tr>
 * <tr><td>{@code score}</td><td>z with the null's standard error</td><td>Wilson 1927</td></tr>
 * <tr><td>{@code exact}</td><td>binomial, ordered by probability</td><td>Sterne 1954</td></tr>
 * <tr><td>{@code wilson}</td><td>inverts the score test</td><td>Wilson 1927</td></tr>
 * <tr><td>{@code clopper-pearson}</td><td>inverts the two one-sided exact tests</td><td>Clopper and
 * Pearson 1934</td></tr>
 * </table>
 */
@NullMarked
package dev.tavik.proportion;

import org.jspecify.annotations.NullMarked;
