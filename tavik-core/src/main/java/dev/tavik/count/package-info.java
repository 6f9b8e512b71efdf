/**
 * What was counted. A {@link dev.tavik.count.Tally} is successes out of trials; a {@link
 * dev.tavik.count.Tabulation} is how often each combination of levels of some columns occurs, from
 * which tallies are taken; a {@link dev.tavik.count.DataOverview} is what a source of data holds.
 *
 * <pre>{@code
 * Tally north = Tally.of(14, 400);
 * north.proportion();                 // 0.035
 * Tally.parse("14/400").equals(north); // true
 * }</pre>
 */
@NullMarked
package dev.tavik.count;

import org.jspecify.annotations.NullMarked;
