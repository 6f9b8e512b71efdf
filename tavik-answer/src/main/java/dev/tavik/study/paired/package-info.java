/**
 * Proportions of the same units, judged twice or more often. Begin with {@link
 * dev.tavik.study.paired.PairedQuestion}.
 *
 * <pre>{@code
 * Answer answer = PairedQuestion.of("Ann", "Ben", PairedTally.of(49, 3, 10, 178)).ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.paired;

import org.jspecify.annotations.NullMarked;
