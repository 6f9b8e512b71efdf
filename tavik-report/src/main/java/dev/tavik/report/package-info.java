/**
 * Ways out. {@link dev.tavik.report.TextReport} writes an answer for a reader at a terminal, {@link
 * dev.tavik.report.JsonReport} for a program, {@link dev.tavik.report.IntervalPicture} draws its
 * intervals.
 *
 * <pre>{@code
 * RateAnswer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
 * System.out.print(new TextReport(Emphasis.NONE, Detail.FINDINGS).of(answer));
 * Files.write(Path.of("rate.png"), IntervalPicture.of(answer).png());
 * }</pre>
 */
@NullMarked
package dev.tavik.report;

import org.jspecify.annotations.NullMarked;
