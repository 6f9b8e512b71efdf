/**
 * Files. {@link dev.tavik.data.file.Sources} opens one, whatever it is: its kind is found from its
 * first bytes. A kind is one class and one line in the registry of {@code FileSource}.
 *
 * <p>Read are delimited text, spreadsheets ({@code .xlsx}, {@code .ods}), arrays of JSON objects
 * and one object after another, each also packed by gzip or zip. {@link
 * dev.tavik.data.file.Reading} says what a file doesn't: its encoding, the sheet, the part of it. A
 * {@link dev.tavik.data.file.Codebook} has labels, order and missing codes of its columns; {@link
 * dev.tavik.data.file.TextTable} reads small tables as people paste them.
 */
@NullMarked
package dev.tavik.data.file;

import org.jspecify.annotations.NullMarked;
