/**
 * The simulated view of the same questions: worlds in which the null is true, drawn many times, and
 * how often they look as extreme as the data.
 *
 * <pre>{@code
 * Simulation seen =
 *     NullWorld.ofRate(Tally.of(14, 400), Hypothesis.less(0.05)).simulate(Draws.of(100_000, 7));
 * double p = seen.tails().get(0).pValue();
 * }</pre>
 */
@NullMarked
package dev.tavik.simulation;

import org.jspecify.annotations.NullMarked;
