/**
 * Questions and their answers. A question is immutable, has sensible defaults, and is asked once
 * everything is set; its answer holds the verdict in words and all findings behind it.
 *
 * <pre>{@code
 * Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05)
 *     .named("North kiln cracks").alternative(Alternative.LESS).ask();
 * answer.verdict().text();            // the verdict in words
 * answer.tests().get(0).pValue();      // 0.0844
 * answer.cautions();                   // what to be careful of
 * }</pre>
 *
 * <p>{@link dev.tavik.study.rate.RateQuestion} asks the same of several groups with Holm's
 * adjustment; a {@link dev.tavik.study.Study} is many questions.
 */
@NullMarked
package dev.tavik.study;

import org.jspecify.annotations.NullMarked;
