/**
 * From data to counts. A {@link dev.tavik.data.CountSource} counts how often combinations of levels
 * occur, as a {@link dev.tavik.data.CountRequest} says; {@link dev.tavik.data.Sources} opens files,
 * whatever they are: that is found from their first bytes.
 *
 * <pre>{@code
 * CountSource log = Sources.open(Path.of("firing-log.csv"));
 * Tabulation counts = log.count(CountRequest.of("grade", "kiln").where("shift", "early"));
 * Tally cracked = counts.tally("grade", "cracked");
 * }</pre>
 *
 * <p>Read are delimited text, spreadsheets ({@code .xlsx}, {@code .ods}), arrays of JSON objects
 * and one object after another, each also packed by gzip or zip; Parquet files where there is a
 * {@link dev.tavik.data.ColumnEngine}. {@link dev.tavik.data.ReadOptions} says what a file doesn't:
 * its encoding, the sheet, the part of it. A {@link dev.tavik.data.Codebook} has labels, order and
 * missing codes of its columns; {@link dev.tavik.data.PastedTable} reads small tables as people
 * paste them; a {@link dev.tavik.data.Database} is counted where it is.
 *
 * <p>Plain text, of ASCII letters with no more than whole fields in quotes, is read by its bytes in
 * {@code PlainBytes}; from the first row that is not plain on {@code DelimitedFormat} hands it to
 * the readers that know all of text. A test holds both to the same counts and messages.
 *
 * <p>A kind of file is one class and one line in the registry of {@code FileSource}. What else has
 * rows extends {@link dev.tavik.data.RowSource} and says only how they are read; what is missing,
 * filtered, recoded or too much is the same for all. Trouble in data is a {@link
 * dev.tavik.data.DataException} that names the place.
 */
@NullMarked
package dev.tavik.data;

import org.jspecify.annotations.NullMarked;
