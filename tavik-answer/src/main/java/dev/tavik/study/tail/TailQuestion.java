package dev.tavik.study.tail;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.plot.DensityPlot;
import dev.tavik.plot.Plots;
import dev.tavik.result.Proportion;
import dev.tavik.study.tail.Tails.TailArea;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is the area beyond a value of a distribution, or the value that leaves an area?
 *
 * @param label the analyst's name for it, empty for none
 * @param tail the distribution
 * @param value a value whose areas are wanted; null for none
 * @param to with a value the upper end of what lies between; null for none
 * @param area an area whose values are wanted, strictly between 0 and 1; null for none
 */
public record TailQuestion(
    String label, Tail tail, @Nullable Double value, @Nullable Double to, @Nullable Double area)
    implements Question {
  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there isn't either a value or an area, or one is out of its
   *     range
   */
  public TailQuestion {
    if ((value == null) == (area == null)) {
      throw new IllegalArgumentException("a tail is asked for a value or for an area, one of them");
    }
    if (area != null) {
      Proportion.require("area", area);
    }
  }

  /**
   * Asks for the areas below and above a value.
   *
   * @param tail the distribution
   * @param value where it is cut
   * @return the question
   */
  public static TailQuestion beyond(Tail tail, double value) {
    return new TailQuestion("", tail, value, null, null);
  }

  /**
   * Asks for the area between two values.
   *
   * @param tail the distribution
   * @param from the lower one
   * @param to the upper one
   * @return the question
   */
  public static TailQuestion between(Tail tail, double from, double to) {
    return new TailQuestion("", tail, from, to, null);
  }

  /**
   * Asks for the values that leave an area.
   *
   * @param tail the distribution
   * @param area strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; area &lt; 1
   */
  public static TailQuestion leaving(Tail tail, double area) {
    return new TailQuestion("", tail, null, null, area);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public TailQuestion named(String name) {
    return new TailQuestion(name, tail, value, to, area);
  }

  @Override
  public Answer ask() {
    List<TailArea> lines = new ArrayList<>();
    if (area != null) {
      if (tail.counts()) {
        counts(lines, area);
      } else {
        lines.add(new TailArea(TailArea.LOWER, null, tail.valueBelow(area), Math.log(area)));
        lines.add(new TailArea(TailArea.UPPER, tail.valueAbove(area), null, Math.log(area)));
        lines.add(
            new TailArea(
                TailArea.BOTH,
                tail.valueBelow(area / 2),
                tail.valueAbove(area / 2),
                Math.log(area)));
      }
    } else if (value != null && to != null) {
      double inside = tail.between(value, to);
      lines.add(new TailArea(TailArea.BETWEEN, value, to, Math.log(inside)));
    } else if (value != null) {
      lines.add(new TailArea(TailArea.LOWER, null, value, tail.logLower(value)));
      lines.add(new TailArea(TailArea.UPPER, value, null, tail.logUpper(value)));
      lines.add(new TailArea(TailArea.BOTH, value, value, tail.logBoth(value)));
    }
    Tails found = new Tails(this, lines);
    return Answer.to(this, AnswerKind.TAIL, label)
        .add(Finding.fact("distribution", new Value.Words(tail.name())))
        .add(found)
        .concluded(Verdict.of(found.conclusion()));
  }

  /** For counts, the last value that stays within the area, and the next one, which exceeds it. */
  private void counts(List<TailArea> lines, double wanted) {
    double low = tail.valueBelow(wanted);
    double high = tail.valueAbove(wanted);
    lines.add(new TailArea(TailArea.LOWER, null, low, tail.logLower(low)));
    lines.add(new TailArea(TailArea.LOWER, null, low + 1, tail.logLower(low + 1)));
    lines.add(new TailArea(TailArea.UPPER, high, null, tail.logUpper(high)));
    lines.add(new TailArea(TailArea.UPPER, high - 1, null, tail.logUpper(high - 1)));
    double below = tail.valueBelow(wanted / 2);
    double above = tail.valueAbove(wanted / 2);
    lines.add(
        new TailArea(TailArea.BOTH, below, above, Math.log(tail.lower(below) + tail.upper(above))));
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(DensityPlot.class, () -> TailPlot.of(answer.find(Tails.class).orElseThrow()));
  }
}
