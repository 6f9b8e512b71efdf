package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Illustration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Draws the pictures of an answer for a report: {@code Report.HTML.of(answer, Charts.of(answer))}.
 */
public final class Charts {
  private Charts() {}

  /**
   * Draws all pictures that an answer has, the main one first.
   *
   * @param answer the answer
   * @return the illustrations
   */
  public static List<Illustration> of(Answer answer) {
    List<Illustration> drawn = new ArrayList<>();
    for (Chart chart : Chart.all(answer)) {
      drawn(chart, answer).ifPresent(drawn::add);
    }
    return drawn;
  }

  /**
   * Draws the main picture of an answer; none where it has none.
   *
   * @param answer the answer
   * @return the illustrations
   */
  public static List<Illustration> main(Answer answer) {
    return Chart.all(answer).isEmpty()
        ? List.of()
        : drawn(Chart.main(answer), answer).stream().toList();
  }

  private static Optional<Illustration> drawn(Chart chart, Answer answer) {
    if (answer.find(Failure.class).isPresent()) {
      return Optional.empty();
    }
    try {
      Picture picture = chart.of(answer);
      String shows = chart.description();
      return Optional.of(
          new Illustration(
              chart.id(),
              picture.title(),
              shows.substring(0, 1).toUpperCase(Locale.ROOT) + shows.substring(1),
              picture.svgElement()));
    } catch (IllegalArgumentException e) {
      // Not every answer has every picture.
      return Optional.empty();
    }
  }
}
