/**
 * Pictures of answers. {@link dev.tavik.chart.Chart} names them; each writes itself as PNG or SVG.
 *
 * <pre>{@code
 * Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
 * Files.write(Path.of("rate.png"), Chart.main(answer).of(answer).png());
 * }</pre>
 */
@NullMarked
package dev.tavik.chart;

import org.jspecify.annotations.NullMarked;
