/**
 * One rate, or several, held against a value, and how far evidence about one may reach. Begin with
 * {@link dev.tavik.study.rate.RateQuestion}.
 *
 * <pre>{@code
 * Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).alternative(Alternative.LESS).ask();
 * }</pre>
 */
@NullMarked
package dev.tavik.study.rate;

import org.jspecify.annotations.NullMarked;
