/**
 * What pictures of an answer show: words, places and figures, without ink. {@code
 * dev.tavik.answer.Answer#plot} has those of an answer.
 */
@NullMarked
package dev.tavik.plot;

import org.jspecify.annotations.NullMarked;
