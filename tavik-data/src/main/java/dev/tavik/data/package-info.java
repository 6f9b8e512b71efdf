/**
 * Counting. A {@link dev.tavik.data.CountSource} counts how often combinations of levels occur, as
 * a {@link dev.tavik.data.CountRequest} says; {@code dev.tavik.data.file} opens files.
 *
 * <pre>{@code
 * CountSource log = Sources.open(Path.of("firing-log.csv"));
 * Tabulation counts = log.count(CountRequest.of("grade", "kiln").where("shift", "early"));
 * Tally cracked = counts.tally("grade", "cracked");
 * }</pre>
 *
 * <p>A kind of source that has rows extends {@link dev.tavik.data.RowSource} and says only how they
 * are read; what is missing, filtered, recoded or too much is the same for all. Trouble in data is
 * a {@link dev.tavik.data.DataException} that names the place.
 */
@NullMarked
package dev.tavik.data;

import org.jspecify.annotations.NullMarked;
