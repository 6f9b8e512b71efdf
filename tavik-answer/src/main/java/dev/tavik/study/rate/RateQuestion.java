package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tally;
import dev.tavik.plot.Plots;
import dev.tavik.result.Alternative;
import dev.tavik.result.Method;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.InferenceQuestion;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Is a proportion different from a value? It is asked of a tally, of the tallies of several groups,
 * or of a sample with weights, strata and clusters, alone or by group. Every group gets an answer
 * of its own, and p-values adjusted by Holm's method for the number of groups.
 *
 * <p>The tests and intervals of tallies are {@link dev.tavik.proportion.ProportionTest} and {@link
 * dev.tavik.proportion.ProportionInterval}; those of a designed sample {@link
 * dev.tavik.survey.SurveyTest} and {@link dev.tavik.survey.SurveyInterval}.
 */
public final class RateQuestion
    extends InferenceQuestion<RateQuestion, RateSettings, Method, Method> {
  private final RateSample sample;

  private RateQuestion(Frame<RateSettings> frame, RateSample sample) {
    super(frame.with(sample.complete(frame.settings())), sample);
    this.sample = sample;
  }

  private static RateQuestion of(RateSample sample, RateSettings settings) {
    return new RateQuestion(Frame.of(settings), sample);
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
   * @throws IllegalArgumentException if a method isn't for tallies
   */
  public static RateQuestion of(Tally tally, RateSettings settings) {
    return of(TallySample.of(tally, null), settings);
  }

  /**
   * Creates a question about the rate of each of several groups.
   *
   * @param groups a tally for each group, in the order in which answers are wanted
   * @param settings the settings
   * @return the question
   * @throws IllegalArgumentException if there is no group, or a method isn't for tallies, or a lot
   *     is given: each group would need its own
   */
  public static RateQuestion of(Map<String, Tally> groups, RateSettings settings) {
    return of(new TallySample(groups, List.of(), false, null), settings);
  }

  /**
   * Creates a question about the rate of each of several groups, with the default settings.
   *
   * @param groups the groups, in the order in which answers are wanted
   * @param against the null value, strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if there is no group, or two of the same name
   */
  public static RateQuestion of(List<NamedTally> groups, double against) {
    Map<String, Tally> tallies = new LinkedHashMap<>();
    for (NamedTally group : groups) {
      require(
          tallies.put(group.name(), group.tally()) == null,
          "groups must have different names, got %s twice",
          group.name());
    }
    return of(tallies, RateSettings.against(against));
  }

  /**
   * Creates a question about a designed sample: two-sided, alpha 0.05, t test on the logit and
   * logit interval, with Korn and Graubard's beside.
   *
   * @param counts what was counted: the outcome, and a second column where there are groups
   * @param against the null value, strictly between 0 and 1
   * @param success the levels of the outcome that count as success
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1, no level is a success, or there
   *     are more than two columns
   */
  public static RateQuestion of(SurveyCounts counts, double against, String... success) {
    return of(counts, RateSettings.against(against), Set.of(success));
  }

  /**
   * Creates a question about a designed sample with given settings.
   *
   * @param counts what was counted: the outcome, and a second column where there are groups
   * @param settings the settings, without lot and Bayesian view
   * @param success the levels of the outcome that count as success
   * @return the question
   * @throws IllegalArgumentException if a setting isn't for a designed sample, no level is a
   *     success, or there are more than two columns
   */
  public static RateQuestion of(SurveyCounts counts, RateSettings settings, Set<String> success) {
    return of(new DesignedRateSample(counts, success), settings);
  }

  /** {@return the tally, where one alone is asked about} */
  public Optional<Tally> tally() {
    return sample.tally();
  }

  /** The tally of a question that has one alone. */
  Tally only() {
    return sample.tally().orElseThrow();
  }

  @Nullable OutcomeSequence sequence() {
    return sample.sequence();
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
    if (!sample.tally().equals(Optional.of(order.tally()))) {
      throw new IllegalArgumentException(
          say(
              "a sequence must be of the same counts, got %s for %s",
              order.tally(), sample.tally().map(Tally::toString).orElse("several rates")));
    }
    RateSettings seen =
        settings().bayes() == null ? settings().bayes(BayesSettings.usual()) : settings();
    return new RateQuestion(frame().with(seen), TallySample.of(order.tally(), order));
  }

  /**
   * Returns a copy that names groups without any observation, which the answer tells.
   *
   * @param names the groups
   * @return the question
   * @throws IllegalArgumentException if it isn't about the tallies of groups
   */
  public RateQuestion withEmptyGroups(List<String> names) {
    if (!(sample instanceof TallySample tallies) || tallies.alone()) {
      throw new IllegalArgumentException("only a question about tallies by group has empty groups");
    }
    return new RateQuestion(frame(), new TallySample(tallies.groups(), names, false, null));
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative the direction
   * @return the question
   */
  public RateQuestion alternative(Alternative alternative) {
    return settings(settings().alternative(alternative));
  }

  /**
   * Returns a copy about a finite lot, from which the trials were drawn without replacement.
   *
   * @param units how many units the lot has, more than the trials, at most 10¹²
   * @return the question
   * @throws IllegalArgumentException if there are several groups, or a designed sample
   */
  public RateQuestion lot(long units) {
    // Data that know no lot are refused first; else the message would be about their tests.
    RateSettings unchosen = settings().tests(List.of()).intervals(List.of());
    sample.complete(unchosen.lot(units));
    return settings(settings().lot(units));
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the prior and the region
   * @return the question
   * @throws IllegalArgumentException if there is a lot, or a designed sample
   */
  public RateQuestion bayes(BayesSettings view) {
    return settings(settings().bayes(view));
  }

  @Override
  protected RateQuestion with(Frame<RateSettings> changed) {
    return new RateQuestion(changed, sample);
  }

  @Override
  public Answer ask() {
    return new RatesAnalysis(this, sample.rates(this)).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return sample.plots(this, answer);
  }
}
