package dev.tavik.study.cross;

import dev.tavik.association.AssociationMeasure;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import org.jspecify.annotations.Nullable;

/**
 * How strong an association is by one measure.
 *
 * @param measure the measure
 * @param estimate its value
 * @param interval its interval; null where theory gives none
 */
record Strength(AssociationMeasure measure, Estimate estimate, @Nullable Interval interval) {}
