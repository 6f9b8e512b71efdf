package dev.tavik.study.paired;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.MatchedTallies;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.NullPlots;
import org.jspecify.annotations.Nullable;

/**
 * Do several judgements of the same units have the same rate of successes, and which two differ?
 *
 * @param label what counts as success, empty for none
 * @param tallies the judgements, at least three
 * @param alpha the significance level, strictly between 0 and 1
 * @param from where the counts came from; null when they were given as counts
 */
public record MatchedQuestion(
    String label, MatchedTallies tallies, double alpha, @Nullable Provenance from)
    implements Question {

  /**
   * Creates a question at alpha 0.05.
   *
   * @param tallies the judgements
   * @return the question
   */
  public static MatchedQuestion of(MatchedTallies tallies) {
    return new MatchedQuestion("", tallies, 0.05, null);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public MatchedQuestion named(String name) {
    return new MatchedQuestion(name, tallies, alpha, from);
  }

  /**
   * Changes the significance level; 0.05 unless changed.
   *
   * @param value strictly between 0 and 1
   * @return another question
   */
  public MatchedQuestion alpha(double value) {
    return new MatchedQuestion(label, tallies, value, from);
  }

  @Override
  public Answer ask() {
    return new MatchedAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(
        NullPlot.class,
        () -> NullPlots.chiSquare(answer.tests().get(0), "if all have the same rate", alpha));
  }
}
