/**
 * The one shape of every answer.
 *
 * <p>An {@link dev.tavik.answer.Answer} is the question, a verdict in words, its assumptions, its
 * cautions, and findings in the order in which a reader wants them. Whatever was asked, the same
 * words find a figure in it:
 *
 * <pre>{@code
 * Answer answer = CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410)).ask();
 * answer.verdict().text();
 * answer.test(TwoProportionTest.FISHER).pValue();
 * answer.interval(ComparisonInterval.DIFFERENCE_NEWCOMBE).lower();
 * answer.estimate(Estimand.DIFFERENCE).value();
 * }</pre>
 *
 * <p>A {@link dev.tavik.answer.Finding} speaks two languages. To machines it is a key and a {@link
 * dev.tavik.answer.Value}, a small tree of typed figures; to readers it is {@link
 * dev.tavik.answer.Block}s: headings, tables, sentences, commands. A format knows these two and no
 * question, so that a new question needs no printer and a new format knows no question.
 */
@NullMarked
package dev.tavik.answer;

import org.jspecify.annotations.NullMarked;
