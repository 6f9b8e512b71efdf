/**
 * Two proportions or more: do they differ, and by how much? Begin with {@link
 * dev.tavik.study.compare.CompareQuestion}.
 *
 * <pre>{@code
 * Answer answer = CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410)).groups("North", "South").ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.compare;

import org.jspecify.annotations.NullMarked;
