package dev.tavik.study.paired;

import dev.tavik.answer.Answer;
import dev.tavik.count.PairedTally;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.study.InferenceQuestion;
import java.util.List;

/**
 * Do two proportions of the same units differ? Two judges of the same tiles, the same customers
 * before and after: whatever is said is about the first against the second.
 */
public final class PairedQuestion
    extends InferenceQuestion<
        PairedQuestion, PairedSettings, PairedTest, PairedDifferenceInterval> {
  private final String first;
  private final String second;
  private final PairedTally tally;

  private PairedQuestion(
      Frame<PairedSettings> frame, String first, String second, PairedTally tally) {
    super(
        frame.with(
            frame.settings().orUsual(PairedSettings.USUAL_TESTS, PairedSettings.USUAL_INTERVALS)),
        List.of(first, second, tally));
    this.first = first;
    this.second = second;
    this.tally = tally;
  }

  /**
   * Creates a question with the default settings.
   *
   * @param first the name of the first judgement
   * @param second the name of the second judgement
   * @param tally the paired counts
   * @return the question
   */
  public static PairedQuestion of(String first, String second, PairedTally tally) {
    return new PairedQuestion(Frame.of(PairedSettings.usual()), first, second, tally);
  }

  /**
   * {@return a question about pairs with the usual settings; the judgements are called First and
   * Second}
   *
   * @param tally the pairs
   */
  public static PairedQuestion of(PairedTally tally) {
    return of("First", "Second", tally);
  }

  /**
   * Names the judgements.
   *
   * @param firstName what the first is called
   * @param secondName what the second is called
   * @return the question
   */
  public PairedQuestion groups(String firstName, String secondName) {
    return new PairedQuestion(frame(), firstName, secondName, tally);
  }

  /** {@return the paired counts} */
  public PairedTally tally() {
    return tally;
  }

  /** {@return the name of the first judgement} */
  public String first() {
    return first;
  }

  /** {@return the name of the second judgement} */
  public String second() {
    return second;
  }

  @Override
  protected PairedQuestion with(Frame<PairedSettings> changed) {
    return new PairedQuestion(changed, first, second, tally);
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative which way the first differs from the second
   * @return another question
   */
  public PairedQuestion alternative(Alternative alternative) {
    return settings(settings().alternative(alternative));
  }

  @Override
  public Answer ask() {
    return new PairedAnalysis(this).answer();
  }

  /** {@return which is taken from which, in words} */
  public String order() {
    return first + " minus " + second;
  }

  @Override
  public Plots plots(Answer answer) {
    return new PairedPlots(this, answer).all();
  }
}
