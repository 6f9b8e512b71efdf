/**
 * Counts of several categories, held against claimed shares. Begin with {@link
 * dev.tavik.study.shares.SharesQuestion}.
 *
 * <pre>{@code
 * Answer answer = SharesQuestion.of(counts, Shares.of(0.4, 0.3, 0.3)).ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.shares;

import org.jspecify.annotations.NullMarked;
