/**
 * Before data: how many observations, how much power, how small an effect, how narrow an interval?
 *
 * <pre>{@code
 * PowerDesign cracks = RateDesign.of(ProportionTest.SCORE, Hypothesis.twoSided(0.08), 0.05);
 * SampleSize needed = SampleSize.of(cracks, 0.05, 0.9);             // 731 tiles
 * double power = cracks.at(Sizes.of(500)).at(0.05);                 // of 500 tiles
 * List<Double> found = DetectableEffect.of(cracks, Sizes.of(500), 0.9);
 * }</pre>
 *
 * <p>A {@link dev.tavik.planning.PowerDesign} is everything but the effect and the number of
 * observations: of one rate, of two, of pairs, of a table, of a trend, or of a Bayes factor. Power
 * comes from the normal distribution or is exact ({@link dev.tavik.planning.PowerMethod}). What an
 * interval needs is in {@link dev.tavik.planning.Precision}.
 *
 * <h2>Inside</h2>
 *
 * <p>A {@code PowerDesign} is everything about a planned test but the effect and the number of
 * observations; its {@code at(sizes)} gives a {@code Power}, which knows the chance to reject at
 * any effect. Whether that is by the normal distribution or exact is its {@code PowerMethod}.
 * {@code SampleSize} bisects where power only rises, else it looks at every n from well below; a
 * {@code Power} of neighbouring sizes makes the next one quicker. {@code Precision} is the same for
 * intervals.
 */
@NullMarked
package dev.tavik.planning;

import org.jspecify.annotations.NullMarked;
