/**
 * Ways in. A {@link dev.tavik.data.CountSource} counts how often combinations of levels occur; a
 * {@link dev.tavik.data.StudyFile} holds questions; a {@link dev.tavik.data.Spec} is one question
 * as options or keys wrote it.
 *
 * <pre>{@code
 * CountSource log = Sources.open(Path.of("firing-log.csv"));
 * Tabulation counts = log.count(CountRequest.of("grade", "kiln").where("shift", "early"));
 * Tally cracked = counts.tally("grade", "cracked");
 * }</pre>
 *
 * <p>Trouble in data is a {@link dev.tavik.data.DataException} that names the place.
 */
@NullMarked
package dev.tavik.data;

import org.jspecify.annotations.NullMarked;
