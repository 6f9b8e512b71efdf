package dev.tavik.chart;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Failure;
import dev.tavik.study.cross.CrossQuestion;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Names the pictures that answers have: {@code Chart.main(answer).of(answer).svg()}. */
public enum Chart {
  /** Intervals of rates, of what is made of two of them, of shares. */
  INTERVALS(
      "what was estimated, with its intervals",
      Set.of("rate", "compare", "shares", "cross"),
      IntervalPicture::of),
  /** The shares of each row of a table. */
  SHARES("the shares of each row", Set.of("cross"), answer -> CrossPicture.shares(table(answer))),
  /** Where the counts of a table depart from independence. */
  MOSAIC(
      "where the counts depart from independence",
      Set.of("cross"),
      answer -> CrossPicture.mosaic(table(answer))),
  /** What to expect under the null, the p-value shaded. */
  NULL(
      "what to expect under the null, the p-value shaded",
      Set.of("rate", "compare", "shares", "cross"),
      NullPicture::of),
  /** What to believe of a rate before and after the data, or of a difference. */
  BELIEF(
      "what to believe, before and after the data",
      Set.of("rate", "compare"),
      PosteriorPicture::of),
  /** The chance of the alternative over priors from wide to strong. */
  PRIORS(
      "the chance of the alternative over priors from wide to strong",
      Set.of("rate", "compare"),
      SensitivityPicture::of),
  /** The chance of the alternative and the rate, after each observation. */
  SEQUENCE("the evidence and the rate after each observation", Set.of("rate"), SequencePicture::of),
  /** What was simulated. */
  SIMULATION(
      "what was simulated", Set.of("rate", "compare", "shares", "cross"), SimulationPicture::of),
  /** Power over the number of observations. */
  POWER("power over n", Set.of("plan"), PlanPicture::ofSizes),
  /** Power over what is expected. */
  EFFECTS("power over what is expected", Set.of("plan"), PlanPicture::ofEffects),
  /** What a test would say where nothing is there, and where what is expected is. */
  ERRORS(
      "what the test would say in both worlds, and how often",
      Set.of("plan"),
      PlanPicture::ofErrors),
  /** The true coverage of intervals over the rate. */
  COVERAGE("true coverage over the rate", Set.of("assess"), CoveragePicture::of),
  /** Areas under a distribution, shaded. */
  AREAS("the areas, shaded", Set.of("tail"), TailPicture::of);

  private final String description;
  private final Set<String> kinds;
  private final Function<Answer, Picture> drawing;

  Chart(String description, Set<String> kinds, Function<Answer, Picture> drawing) {
    this.description = description;
    this.kinds = kinds;
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
   * @param kind such as {@code compare}
   */
  public static List<Chart> of(String kind) {
    return Arrays.stream(values())
        .filter(each -> each.kinds.contains(kind))
        .sorted((one, other) -> Boolean.compare(one != main(kind), other != main(kind)))
        .toList();
  }

  private static Chart main(String kind) {
    return switch (kind) {
      case "cross" -> SHARES;
      case "plan" -> POWER;
      case "assess" -> COVERAGE;
      case "tail" -> AREAS;
      default -> INTERVALS;
    };
  }

  /**
   * {@return the main picture of an answer}
   *
   * @param answer the answer
   */
  public static Chart main(Answer answer) {
    Chart main = main(answer.kind());
    return main == SHARES && !(answer.question() instanceof CrossQuestion) ? INTERVALS : main;
  }

  /**
   * Finds a picture of a kind of question by its word.
   *
   * @param id the word
   * @param kind the kind of question
   * @return the chart
   * @throws IllegalArgumentException if it has no such picture
   */
  public static Chart named(String id, String kind) {
    Optional<Chart> found = of(kind).stream().filter(each -> each.id().equals(id)).findFirst();
    return found.orElseThrow(
        () ->
            new IllegalArgumentException(
                say(
                    "%s has no picture '%s'; it has %s",
                    kind, id, of(kind).stream().map(Chart::id).collect(Collectors.joining(", ")))));
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

  private static View<CrossQuestion> table(Answer answer) {
    if (answer.question() instanceof CrossQuestion cross) {
      return new View<>(cross, answer);
    }
    throw new IllegalArgumentException(
        "such a picture is of an association of rows and columns, not of pairs or strata");
  }
}
