/**
 * The simulated view of the same questions: worlds in which the null is true, drawn many times, and
 * how often they look as extreme as the data.
 *
 * <pre>{@code
 * Simulation seen =
 *     NullWorld.ofRate(Tally.of(14, 400), Hypothesis.less(0.05)).simulate(Draws.of(100_000, 7));
 * double p = seen.tails().get(0).pValue();
 * }</pre>
 *
 * <h2>Inside</h2>
 *
 * <p>A {@code NullWorld} is made of the data; its {@code World} draws ({@code CountWorld} one count
 * by an alias table, {@code PooledWorld} two, {@code MultinomialWorld} one table for each number
 * that is left, {@code TableWorld} by {@code CountDraws} or {@code Shuffle}). The {@code Engine}
 * hands out stretches of draws, as long as the world says, each with a generator one jump after the
 * last, and adds up their {@code Counts} in order, so that threads don't matter; an interrupt of
 * the calling thread ends it, {@link dev.tavik.result.Progress} tells how far it is.
 */
@NullMarked
package dev.tavik.simulation;

import org.jspecify.annotations.NullMarked;
