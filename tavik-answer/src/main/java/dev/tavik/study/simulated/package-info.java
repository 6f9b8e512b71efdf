/**
 * Any of these questions with a simulated view beside it. Begin with {@link
 * dev.tavik.study.simulated.SimulatedQuestion}.
 *
 * <pre>{@code
 * Answer answer = SimulatedQuestion.of(question, Draws.of(100_000, 7)).ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.simulated;

import org.jspecify.annotations.NullMarked;
