/**
 * Counts of several categories: do they follow claimed shares, and where don't they?
 *
 * <pre>{@code
 * CategoryCounts tiles = CategoryCounts.of(List.of("ash", "iron", "cobalt"), List.of(31L, 22L, 17L));
 * Shares claimed = Shares.parse(List.of("40%", "30%", "30%"));
 * TestResult test = SharesTest.PEARSON.of(tiles, claimed);
 * List<Interval> shares = SharesInterval.GOODMAN.of(tiles, 0.95);
 * }</pre>
 *
 * <p>Tests, in {@link dev.tavik.association.SharesTest}: {@code pearson} (Pearson 1900), {@code
 * likelihood-ratio} (Wilks 1938), {@code exact-multinomial} (Freeman and Halton 1951). Intervals,
 * in {@link dev.tavik.association.SharesInterval}: {@code goodman} (1965) and {@code sison-glaz}
 * (1995), simultaneous, and {@code wilson} (1927), one at a time.
 */
@NullMarked
package dev.tavik.association;

import org.jspecify.annotations.NullMarked;
