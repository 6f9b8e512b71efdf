package dev.tavik.study;

import dev.tavik.result.Interval;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import java.util.List;

/**
 * An answer with its simulated view.
 *
 * @param answer the answer by formula
 * @param views what was drawn: one, or one a group or pair
 */
public record SimulatedAnswer(Answer answer, List<View> views) implements Answer {
  /** Copies the list. */
  public SimulatedAnswer {
    views = List.copyOf(views);
  }

  /**
   * One simulation beside the formulas it can be held against.
   *
   * @param label the group or pair, empty where there is only one
   * @param simulation what was drawn
   * @param formulas the decimal logarithm of the p-value by formula, one for each tail of the
   *     simulation; NaN where that test can't be made
   * @param bootstrap intervals by resampling the data; none where they vary in nothing, or for
   *     questions other than about rates and two groups
   * @param preferred the position of the tail whose test the verdict rests on, or of the first
   */
  public record View(
      String label,
      Simulation simulation,
      List<Double> formulas,
      List<Interval> bootstrap,
      int preferred) {
    /** Copies the list. */
    public View {
      formulas = List.copyOf(formulas);
      bootstrap = List.copyOf(bootstrap);
    }

    /**
     * The tail whose test the verdict rests on.
     *
     * @return that tail
     */
    public SimulatedTail tail() {
      return simulation.tails().get(preferred);
    }

    /**
     * Whether a formula agrees with what was drawn.
     *
     * @param tail the position of the tail
     * @return whether its p-value lies in the interval of the simulated one
     */
    public boolean agrees(int tail) {
      return simulation.tails().get(tail).agreesWith(Math.pow(10, formulas.get(tail)));
    }
  }

  @Override
  public String question() {
    return answer.question();
  }

  @Override
  public String label() {
    return answer.label();
  }

  @Override
  public String conclusion() {
    return answer.conclusion();
  }
}
