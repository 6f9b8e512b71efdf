package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.Provenance;
import org.jspecify.annotations.Nullable;

/**
 * Do two independent proportions differ, and by how much? All results compare the first with the
 * second.
 *
 * @param label the analyst's name for the question, empty for none
 * @param first the first group
 * @param second the second group
 * @param settings what is to be shown, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 */
public record CompareQuestion(
    String label,
    NamedTally first,
    NamedTally second,
    CompareSettings settings,
    @Nullable Provenance from)
    implements InferenceQuestion<
        CompareQuestion, CompareSettings, TwoProportionTest, ComparisonInterval> {

  /**
   * Creates a question with the default settings, as {@link CompareSettings#usual} says; the groups
   * are called First and Second.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @return the question
   */
  public static CompareQuestion of(Tally first, Tally second) {
    return of(
        new NamedTally("First", first), new NamedTally("Second", second), CompareSettings.usual());
  }

  /**
   * {@return a question about two groups that have names, with the usual settings}
   *
   * @param first the group that the other is taken from
   * @param second the other
   */
  public static CompareQuestion of(NamedTally first, NamedTally second) {
    return of(first, second, CompareSettings.usual());
  }

  /**
   * Creates a question about named groups.
   *
   * @param first the first group
   * @param second the second group
   * @param settings the settings
   * @return the question
   */
  public static CompareQuestion of(NamedTally first, NamedTally second, CompareSettings settings) {
    return new CompareQuestion("", first, second, settings, null);
  }

  /**
   * Returns a copy with names for both groups.
   *
   * @param firstName such as {@code North kiln}
   * @param secondName such as {@code South kiln}
   * @return the question
   */
  public CompareQuestion groups(String firstName, String secondName) {
    return new CompareQuestion(
        label,
        new NamedTally(firstName, first.tally()),
        new NamedTally(secondName, second.tally()),
        settings,
        from);
  }

  /**
   * Returns a copy with a name for the question.
   *
   * @param name such as {@code Cracked tiles}
   * @return the question
   */
  public CompareQuestion named(String name) {
    return new CompareQuestion(name, first, second, settings, from);
  }

  /**
   * Returns a copy with the provenance of the counts.
   *
   * @param source the source; null for none
   * @return the question
   */
  public CompareQuestion countedFrom(@Nullable Provenance source) {
    return new CompareQuestion(label, first, second, settings, source);
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative the direction, of the first group against the second
   * @return the question
   */
  public CompareQuestion alternative(Alternative alternative) {
    return settings(settings.alternative(alternative));
  }

  /**
   * Returns a copy with another null difference.
   *
   * @param difference the null value of first minus second, strictly between -1 and 1
   * @return the question
   * @throws IllegalArgumentException if not -1 &lt; difference &lt; 1
   */
  public CompareQuestion against(double difference) {
    return settings(settings.against(difference));
  }

  /**
   * Returns a copy that is to show that the first group isn't worse than the second by a margin or
   * more.
   *
   * @param margin the margin, strictly between 0 and 1
   * @param alternative greater where a high rate is good, less where a low one is
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; margin &lt; 1, or the alternative has no
   *     direction
   */
  public CompareQuestion noninferior(double margin, Alternative alternative) {
    return settings(settings.noninferior(margin, alternative));
  }

  /**
   * Returns a copy that is to show that both groups are within a margin of one another.
   *
   * @param margin the margin, strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; margin &lt; 1
   */
  public CompareQuestion equivalent(double margin) {
    return settings(settings.equivalent(margin));
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the prior and the region of the difference
   * @return the question
   * @throws IllegalArgumentException if there is another null difference than 0
   */
  public CompareQuestion bayes(BayesSettings view) {
    return settings(settings.bayes(view));
  }

  /**
   * Answers the question.
   *
   * @return the answer
   * @throws IllegalArgumentException if every test asked for declines
   */
  @Override
  public CompareQuestion settings(CompareSettings changed) {
    return new CompareQuestion(label, first, second, changed, from);
  }

  @Override
  public Answer ask() {
    return CompareAnalysis.answer(this);
  }

  /** {@return which is taken from which, in words} */
  public String order() {
    return first.name() + " minus " + second.name();
  }

  @Override
  public Plots plots(Answer answer) {
    return new ComparePlots(this, answer).all();
  }
}
