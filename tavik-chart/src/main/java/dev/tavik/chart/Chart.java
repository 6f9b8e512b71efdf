package dev.tavik.chart;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Failure;
import dev.tavik.plot.TablePlot;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Names the pictures that answers have: {@code Chart.main(answer).of(answer).svg()}. */
public enum Chart {
  /** Intervals of rates, of what is made of two of them, of shares. */
  INTERVALS("what was estimated, with its intervals", IntervalPicture::of),
  /** The shares of each row of a table. */
  SHARES("the shares of each row", answer -> CrossPicture.shares(table(answer))),
  /** Where the counts of a table depart from independence. */
  MOSAIC("where the counts depart from independence", answer -> CrossPicture.mosaic(table(answer))),
  /** What to expect under the null, the p-value shaded. */
  NULL("what to expect under the null, the p-value shaded", NullPicture::of),
  /** What to believe of a rate before and after the data, or of a difference. */
  BELIEF("what to believe, before and after the data", BeliefPicture::of),
  /** The chance of the alternative over priors from wide to strong. */
  PRIORS("the chance of the alternative over priors from wide to strong", SensitivityPicture::of),
  /** The chance of the alternative and the rate, after each observation. */
  SEQUENCE("the evidence and the rate after each observation", SequencePicture::of),
  /** What was simulated. */
  SIMULATION("what was simulated", SimulationPicture::of),
  /** Power over the number of observations. */
  POWER("power over n", PlanPicture::ofSizes),
  /** Power over what is expected. */
  EFFECTS("power over what is expected", PlanPicture::ofEffects),
  /** What a test would say where nothing is there, and where what is expected is. */
  ERRORS("what the test would say in both worlds, and how often", ErrorsPicture::of),
  /** The true coverage of intervals over the rate. */
  COVERAGE("true coverage over the rate", CoveragePicture::of),
  /** Areas under a distribution, shaded. */
  AREAS("the areas, shaded", TailPicture::of);

  private final String description;
  private final Function<Answer, Picture> drawing;

  Chart(String description, Function<Answer, Picture> drawing) {
    this.description = description;
    this.drawing = drawing;
  }

  /** {@return the word by which the picture is chosen} */
  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** {@return what it shows, in one phrase} */
  public String description() {
    return description;
  }

  /**
   * {@return the pictures of a kind of question, the main one first}
   *
   * @param kind the kind
   */
  public static List<Chart> of(AnswerKind kind) {
    return switch (kind) {
      case RATE -> List.of(INTERVALS, NULL, BELIEF, PRIORS, SEQUENCE, SIMULATION);
      case COMPARE -> List.of(INTERVALS, NULL, BELIEF, PRIORS, SIMULATION);
      case SHARES -> List.of(INTERVALS, NULL, SIMULATION);
      case CROSS -> List.of(SHARES, INTERVALS, MOSAIC, NULL, SIMULATION);
      case PLAN -> List.of(POWER, EFFECTS, ERRORS);
      case ASSESS -> List.of(COVERAGE);
      case TAIL -> List.of(AREAS);
      case SWEEP, FORECAST -> List.of();
    };
  }

  /**
   * {@return the pictures of answers of its kind, the main one first}
   *
   * @param answer the answer
   */
  static List<Chart> all(Answer answer) {
    return AnswerKind.of(answer.kind()).map(Chart::of).orElse(List.of());
  }

  /**
   * {@return the main picture of an answer}
   *
   * @param answer the answer, of a kind that has pictures
   */
  public static Chart main(Answer answer) {
    Chart main = all(answer).get(0);
    return main == SHARES && answer.plot(TablePlot.class).isEmpty() ? INTERVALS : main;
  }

  /**
   * Finds a picture of a kind of question by its word.
   *
   * @param id the word
   * @param kind the kind of question
   * @return the chart
   * @throws IllegalArgumentException if it has no such picture
   */
  public static Chart named(String id, AnswerKind kind) {
    Optional<Chart> found = of(kind).stream().filter(each -> each.id().equals(id)).findFirst();
    return found.orElseThrow(
        () ->
            new IllegalArgumentException(
                say(
                    "%s has no picture '%s'; it has %s",
                    kind.id(),
                    id,
                    of(kind).stream().map(Chart::id).collect(Collectors.joining(", ")))));
  }

  /**
   * Draws the picture.
   *
   * @param answer the answer
   * @return the picture
   * @throws IllegalArgumentException if the answer has nothing of the kind to draw
   */
  public Picture of(Answer answer) {
    require(
        !answer.find(Failure.class).isPresent(),
        "there is nothing to draw: %s",
        answer.verdict().text());
    return drawing.apply(answer);
  }

  /**
   * Draws the picture in memory.
   *
   * @param answer the answer
   * @param width its width, 240 to 4,000 units, of which the image has two pixels each
   * @param height its height, as much
   * @return the image
   * @throws IllegalArgumentException if the answer has nothing of the kind to draw, or a size is
   *     out of its range
   */
  public BufferedImage image(Answer answer, int width, int height) {
    return of(answer).sized(width, height).image();
  }

  private static TablePlot table(Answer answer) {
    return answer
        .plot(TablePlot.class)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "such a picture is of an association of rows and columns, not of pairs or"
                        + " strata"));
  }
}
