package dev.tavik.study.paired;

import dev.tavik.answer.Answer;
import dev.tavik.count.PairedTally;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.Provenance;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Do two proportions of the same units differ? Two judges of the same tiles, the same customers
 * before and after: whatever is said is about the first against the second.
 *
 * @param label the analyst's name for the question, empty for none
 * @param first the name of the first judgement
 * @param second the name of the second judgement
 * @param tally the paired counts
 * @param settings the direction, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 */
public record PairedQuestion(
    String label,
    String first,
    String second,
    PairedTally tally,
    PairedSettings settings,
    @Nullable Provenance from)
    implements InferenceQuestion<
        PairedQuestion, PairedSettings, PairedTest, PairedDifferenceInterval> {

  /** Checks that all parts are there. */
  public PairedQuestion {
    Objects.requireNonNull(tally, "tally");
    Objects.requireNonNull(settings, "settings");
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
    return new PairedQuestion("", first, second, tally, PairedSettings.usual(), null);
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
    return new PairedQuestion(label, firstName, secondName, tally, settings, from);
  }

  @Override
  public PairedQuestion settings(PairedSettings changed) {
    return new PairedQuestion(label, first, second, tally, changed, from);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public PairedQuestion named(String name) {
    return new PairedQuestion(name, first, second, tally, settings, from);
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative which way the first differs from the second
   * @return another question
   */
  public PairedQuestion alternative(Alternative alternative) {
    return settings(settings.alternative(alternative));
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
