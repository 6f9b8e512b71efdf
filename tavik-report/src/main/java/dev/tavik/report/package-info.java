/**
 * Answers in writing. {@link dev.tavik.report.Report} has the forms: text, Markdown, HTML, JSON and
 * CSV, each made of the blocks and the figures of an answer, whatever was asked.
 *
 * <pre>{@code
 * Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
 * System.out.print(Report.TEXT.of(answer));
 * Files.writeString(Path.of("rate.html"), Report.HTML.of(answer));
 * }</pre>
 */
@NullMarked
package dev.tavik.report;

import org.jspecify.annotations.NullMarked;
