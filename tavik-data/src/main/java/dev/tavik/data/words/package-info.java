/**
 * One catalogue of the words of questions. {@link dev.tavik.data.words.CommandSchemas} has a
 * vocabulary for each kind; the options of the command line, the keys of studies, the refusals of
 * unknown words and the tables of the guides are made of it.
 */
@NullMarked
package dev.tavik.data.words;

import org.jspecify.annotations.NullMarked;
