/**
 * Two classifications: are they associated, within strata too, do they agree? Begin with {@link
 * dev.tavik.study.cross.CrossQuestion}.
 *
 * <pre>{@code
 * Answer answer = CrossQuestion.of(CrossTable.of(new long[][] {{12, 5}, {7, 9}})).ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.cross;

import org.jspecify.annotations.NullMarked;
