package dev.tavik.study.simulated;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.simulation.Draws;
import java.util.Arrays;
import java.util.List;

/**
 * Asks a question with its simulated view beside: worlds in which the null is true are drawn, and
 * it is counted how often they look as extreme as the data.
 *
 * @param question the question
 * @param draws how much is drawn; of several groups or pairs each has a seed of its own, one more
 *     than the one before
 * @param nullModel what is held when two groups are compared
 * @param stop when drawing ends
 */
public record SimulatedQuestion(Question question, Draws draws, NullModel nullModel, Stop stop)
    implements Question {
  /** The model of two groups without a difference. */
  public enum NullModel {
    /** The outcomes are shuffled over the units; both margins are held. */
    SHUFFLE("shuffle"),
    /** Both groups are drawn with the pooled rate; only their sizes are held. */
    POOLED("pooled");

    private final String id;

    NullModel(String id) {
      this.id = id;
    }

    /**
     * The public name.
     *
     * @return such as {@code shuffle}
     */
    public String id() {
      return id;
    }

    /**
     * The model of this name.
     *
     * @param id {@code shuffle} or {@code pooled}
     * @return the model
     * @throws IllegalArgumentException for any other name
     */
    public static NullModel of(String id) {
      return Arrays.stream(values())
          .filter(model -> model.id.equals(id))
          .findFirst()
          .orElseThrow(
              () ->
                  new IllegalArgumentException(
                      say(
                          "null-model must be one of %s, got '%s'",
                          String.join(", ", List.of("shuffle", "pooled")), id)));
    }
  }

  /** When drawing ends. */
  public enum Stop {
    /** Drawing ends after the given number of draws. */
    AFTER_ALL,
    /** Drawing ends once it is clear on which side of alpha the p-value lies. */
    WHEN_CLEAR
  }

  /**
   * Creates a question with a fixed number of draws and shuffled groups.
   *
   * @param question the question
   * @param draws how much is drawn
   * @return the question with its simulated view
   */
  public static SimulatedQuestion of(Question question, Draws draws) {
    return new SimulatedQuestion(question, draws, NullModel.SHUFFLE, Stop.AFTER_ALL);
  }

  /**
   * Answers the question, then draws.
   *
   * @return the answer, and what was drawn
   * @throws IllegalArgumentException if such a question has no simulated view
   */
  @Override
  public Answer ask() {
    Answer answer = question.ask();
    return new SimulationAnalysis(this).beside(answer);
  }
}
