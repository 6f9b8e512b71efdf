package dev.tavik.study.tail;

import dev.tavik.plot.DensityPlot;
import dev.tavik.plot.NullPlot.Point;
import dev.tavik.result.Figures;
import dev.tavik.study.tail.Tails.TailArea;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Plots a distribution with the areas that were looked up. */
final class TailPlot {
  private static final int POINTS = 500;
  private static final int MOST_BARS = 200;
  private static final double SHOWN = 0.0005;
  private static final Pattern LONG = Pattern.compile("([ ≤≥<>] ?)(-?\\d+\\.\\d{5,})(?=[ )])");

  private final Tails answer;
  private final Tail tail;
  private final double left;
  private final double right;
  private final double step;

  private TailPlot(Tails answer) {
    this.answer = answer;
    this.tail = answer.asked().tail();
    double low = tail.valueBelow(SHOWN);
    double high = tail.valueAbove(SHOWN);
    double reach = 2 * (high - low);
    for (TailArea line : answer.lines()) {
      for (Double value : new Double[] {line.from(), line.to()}) {
        if (value != null && value > low - reach && value < high + reach) {
          low = Math.min(low, value - 0.1 * (high - low));
          high = Math.max(high, value + 0.1 * (high - low));
        }
      }
    }
    this.step =
        tail.counts() ? Math.max(1, Math.ceil((high - low) / MOST_BARS)) : (high - low) / POINTS;
    this.left = Math.max(tail.least(), tail.counts() ? Math.floor(low) : low);
    this.right = Math.min(tail.greatest(), tail.counts() ? Math.ceil(high) : high);
  }

  static DensityPlot of(Tails answer) {
    return new TailPlot(answer).plot();
  }

  private DensityPlot plot() {
    String name = tail.name();
    return new DensityPlot(
        answer.asked().label().isEmpty()
            ? Character.toUpperCase(name.charAt(0)) + name.substring(1)
            : answer.asked().label() + ": " + name,
        "shaded: " + described(),
        tail.counts(),
        step,
        outline(null, null),
        shaded().stream()
            .map(
                line ->
                    new DensityPlot.Shaded(
                        line.from(), line.to(), words(line), outline(line.from(), line.to())))
            .toList());
  }

  /** A density by the area around; at the ends of the support a little inside. */
  private double height(double x) {
    if (tail.counts()) {
      return tail.between(x, x + step - 1);
    }
    double half = step / 4;
    double from = Math.max(tail.least(), x - half);
    double to = Math.min(tail.greatest(), x + half);
    return tail.between(from, to) / (to - from);
  }

  private List<Point> outline(@Nullable Double from, @Nullable Double to) {
    List<Point> points = new ArrayList<>();
    if (tail.counts()) {
      for (double x = left; x <= right; x += step) {
        if ((from == null || x >= from) && (to == null || x <= to)) {
          points.add(new Point(x, height(x)));
        }
      }
      return points;
    }
    double start = Math.max(left, from == null ? left : from);
    double end = Math.max(start, Math.min(right, to == null ? right : to));
    int steps = Math.max(8, (int) Math.ceil((end - start) / step));
    for (int i = 0; i <= steps; i++) {
      double x = start + (end - start) * i / steps;
      points.add(new Point(x, height(x)));
    }
    return points;
  }

  /**
   * The smaller tail of a value, both one-sided tails of an area, or what lies between two values.
   */
  private List<TailArea> shaded() {
    TailArea first = answer.lines().get(0);
    if (first.side().equals(TailArea.BETWEEN)) {
      return List.of(first);
    }
    TailArea second =
        answer.lines().stream()
            .filter(line -> line.side().equals(TailArea.UPPER))
            .findFirst()
            .orElseThrow();
    if (answer.asked().area() != null) {
      return List.of(first, second);
    }
    return List.of(first.logArea() <= second.logArea() ? first : second);
  }

  private String described() {
    TailArea both = answer.lines().get(answer.lines().size() - 1);
    String shown = shaded().stream().map(this::words).collect(Collectors.joining("; "));
    return both.side().equals(TailArea.BOTH) ? shown + "; both: " + words(both) : shown;
  }

  /** A critical value is written with ten digits in a table, and with five in a picture. */
  private String words(TailArea line) {
    return LONG.matcher(Tails.words(answer.asked(), line))
        .replaceAll(
            value -> value.group(1) + Figures.significant(Double.parseDouble(value.group(2)), 5));
  }
}
