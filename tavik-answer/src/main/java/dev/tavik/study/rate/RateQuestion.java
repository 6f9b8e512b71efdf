package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.Provenance;
import org.jspecify.annotations.Nullable;

/**
 * Is one proportion different from a value?
 *
 * @param label the analyst's name for the rate, empty for none
 * @param tally successes and trials
 * @param settings against which value, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param sequence the outcomes in their order, for the Bayesian view to follow; null for none
 */
public record RateQuestion(
    String label,
    Tally tally,
    RateSettings settings,
    @Nullable Provenance from,
    @Nullable OutcomeSequence sequence)
    implements InferenceQuestion<RateQuestion, RateSettings, ProportionTest, ProportionInterval> {

  /**
   * Checks that order and counts belong together.
   *
   * @throws IllegalArgumentException if the sequence isn't of the same successes and trials
   */
  public RateQuestion {
    if (sequence != null && !sequence.tally().equals(tally)) {
      throw new IllegalArgumentException(
          "a sequence must be of the same counts, got " + sequence.tally() + " for " + tally);
    }
  }

  /**
   * Creates a question with the default settings, as {@link RateSettings#against} says.
   *
   * @param tally successes and trials
   * @param against the null value, strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1
   */
  public static RateQuestion of(Tally tally, double against) {
    return of(tally, RateSettings.against(against));
  }

  /**
   * Creates a question with given settings.
   *
   * @param tally successes and trials
   * @param settings the settings
   * @return the question
   */
  public static RateQuestion of(Tally tally, RateSettings settings) {
    return new RateQuestion("", tally, settings, null, null);
  }

  /**
   * Returns a copy with a name for the rate.
   *
   * @param name the analyst's name for it, such as {@code North kiln cracks}
   * @return the question
   */
  public RateQuestion named(String name) {
    return new RateQuestion(name, tally, settings, from, sequence);
  }

  /**
   * Returns a copy that follows the evidence observation by observation; the Bayesian view is
   * shown, with a uniform prior unless another was chosen.
   *
   * @param order the outcomes in their order
   * @return the question
   * @throws IllegalArgumentException if it isn't of the same successes and trials
   */
  public RateQuestion following(OutcomeSequence order) {
    RateSettings seen = settings.bayes() == null ? settings.bayes(BayesSettings.usual()) : settings;
    return new RateQuestion(label, tally, seen, from, order);
  }

  /**
   * Returns a copy with the provenance of the counts.
   *
   * @param source the source
   * @return the question
   */
  public RateQuestion countedFrom(Provenance source) {
    return new RateQuestion(label, tally, settings, source, sequence);
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative the direction
   * @return the question
   */
  public RateQuestion alternative(Alternative alternative) {
    return settings(settings.alternative(alternative));
  }

  /**
   * Returns a copy about a finite lot, from which the trials were drawn without replacement.
   *
   * @param units how many units the lot has, more than the trials, at most 10¹²
   * @return the question
   */
  public RateQuestion lot(long units) {
    return settings(settings.lot(units));
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the prior and the region
   * @return the question
   * @throws IllegalArgumentException if there is a lot
   */
  public RateQuestion bayes(BayesSettings view) {
    return settings(settings.bayes(view));
  }

  @Override
  public RateQuestion settings(RateSettings changed) {
    return new RateQuestion(label, tally, changed, from, sequence);
  }

  @Override
  public Answer ask() {
    return RateAnalysis.answer(this);
  }

  @Override
  public Plots plots(Answer answer) {
    return new RatePlots(this, answer).all();
  }
}
