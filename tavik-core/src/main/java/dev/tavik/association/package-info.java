/**
 * Counts of several categories: do they follow claimed shares, and where don't they? Tables of two
 * classifications: are they associated, where and how strongly, within strata too, and do two
 * classifications of the same units agree?
 *
 * <pre>{@code
 * CategoryCounts tiles = CategoryCounts.of(List.of("ash", "iron", "cobalt"), List.of(31L, 22L, 17L));
 * Shares claimed = Shares.parse(List.of("40%", "30%", "30%"));
 * TestResult test = SharesTest.PEARSON.of(tiles, claimed);
 * List<Interval> shares = SharesInterval.GOODMAN.of(tiles, 0.95);
 *
 * TestResult exact = TableTest.FISHER.of(table, TestOptions.usual().budget(30));
 * Estimate strength = AssociationMeasure.CRAMERS_V.of(table);
 * }</pre>
 *
 * <p>Tests, in {@link dev.tavik.association.SharesTest}: {@code pearson} (Pearson 1900), {@code
 * likelihood-ratio} (Wilks 1938), {@code exact-multinomial} (Freeman and Halton 1951). Intervals,
 * in {@link dev.tavik.association.SharesInterval}: {@code goodman} (1965) and {@code sison-glaz}
 * (1995), simultaneous, and {@code wilson} (1927), one at a time.
 *
 * <p>Tests of tables, in {@link dev.tavik.association.TableTest}: {@code pearson}, {@code
 * likelihood-ratio}, {@code cressie-read} (1984), {@code n-1} (Campbell 2007), {@code yates}
 * (1934), {@code fisher} (Freeman and Halton 1951; Mehta and Patel 1983), {@code trend} (Cochran
 * 1954, Armitage 1955) and {@code linear} (Mantel 1963); of strata, in {@link
 * dev.tavik.association.StratifiedTest}: {@code mantel-haenszel} (1959) and {@code breslow-day}
 * (1980, Tarone 1985); of squares, in {@link dev.tavik.association.SquareTest}: {@code bowker}
 * (1948). Strength is in {@link dev.tavik.association.AssociationMeasure}, agreement in {@link
 * dev.tavik.association.Agreement}.
 *
 * <h2>Inside</h2>
 *
 * <p>{@code ExactTable} is Fisher's test of any shape. Lengths of tables are whole numbers ({@code
 * LogFactorials}), so that equal products are equal. With up to four free cells, {@code
 * FewFreeCells} walks around the tables that don't count, cell by cell. Larger ones are cut into
 * two halves of columns ({@code TwoHalves}): a {@code ColumnBlock} knows the shortest and the
 * longest filling of each of its {@code NetworkNodes}, and lists only the {@code PathLengths} that
 * are undecided in some joint state; {@code ColumnEnumerator} goes through the ways to fill a
 * column. {@code ComputeBudget} estimates, counts, and declines past a budget.
 *
 * <p>{@link dev.tavik.association.AssociationMeasure} delegates to {@code PredictionMeasures} and
 * {@code OrderMeasures}; intervals of V come from the noncentral chi-square distribution.
 */
@NullMarked
package dev.tavik.association;

import org.jspecify.annotations.NullMarked;
