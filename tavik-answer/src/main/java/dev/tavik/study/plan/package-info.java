/**
 * How many observations, how much power, how small an effect, how narrow an interval? Begin with
 * {@link dev.tavik.study.plan.PlanQuestion}.
 *
 * <pre>{@code
 * Answer answer = PlanQuestion.forSizes(design, List.of(Effect.rate(0.05)), List.of(0.8)).ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.plan;

import org.jspecify.annotations.NullMarked;
