package dev.tavik.answer;

import dev.tavik.bayes.Evidence;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * Holds the Bayesian view: how much likelier the data are under one claim, and what to believe
 * then.
 */
public final class Posterior implements Finding {
  private final String title;
  private final double logBayesFactor;
  private final String conclusion;
  private final Value.Fields fields;
  private final List<PosteriorSummary> beliefs = new ArrayList<>();
  private final List<Value> beliefFigures = new ArrayList<>();
  private @Nullable Double above;
  private @Nullable Double inside;
  private List<Double> sequence = List.of();
  private List<Double> sensitivity = List.of();
  private String alternative = "the alternative";
  private String none = "the null";

  private Posterior(String title, Value.Fields before, double logBayesFactor, String conclusion) {
    this.title = title;
    this.logBayesFactor = logBayesFactor;
    this.conclusion = conclusion;
    double times = Math.exp(Math.abs(logBayesFactor));
    this.fields =
        before
            .with("logBayesFactor", logBayesFactor)
            .with("bayesFactor", times)
            .with("inverse", Math.exp(-Math.abs(logBayesFactor)))
            .with("favours", favours())
            .with("evidence", Evidence.of(logBayesFactor).words());
  }

  /**
   * Begins a view.
   *
   * @param title the heading, with the prior in words
   * @param before the prior, and what else comes before the factor
   * @param logBayesFactor the natural logarithm of the Bayes factor, alternative over null
   * @param conclusion the factor in words
   * @return the posterior
   */
  public static Posterior of(
      String title, Value.Fields before, double logBayesFactor, String conclusion) {
    return new Posterior(title, before, logBayesFactor, conclusion);
  }

  /**
   * Sets what is compared with what, in words.
   *
   * @param alternativeInWords the alternative, in words
   * @param noneInWords the null, in words
   * @return this builder
   */
  public Posterior between(String alternativeInWords, String noneInWords) {
    alternative = alternativeInWords;
    none = noneInWords;
    return this;
  }

  /** {@return the alternative in words} */
  public String alternative() {
    return alternative;
  }

  /** {@return the null in words} */
  public String none() {
    return none;
  }

  /**
   * Adds a belief.
   *
   * @param belief what is believed
   * @return this builder
   */
  public Posterior belief(PosteriorSummary belief) {
    return belief(belief, null, null);
  }

  /**
   * Adds a belief that may be truncated to the alternative, and has a mode.
   *
   * @param belief what is believed
   * @param truncated whether it is cut to the alternative, null where that is not asked
   * @param mode its mode, null for none
   * @return this builder
   */
  public Posterior belief(
      PosteriorSummary belief, @Nullable Boolean truncated, @Nullable Double mode) {
    beliefs.add(belief);
    beliefFigures.add(belief.figures(truncated, mode));
    fields.with("posterior", new Value.Listing(beliefFigures));
    return this;
  }

  /**
   * Adds the probability that the rate is above the null value, or the first above the second.
   *
   * @param probability from 0 to 1
   * @return this builder
   */
  public Posterior above(double probability) {
    above = probability;
    fields.with("probabilityAbove", probability);
    return this;
  }

  /**
   * Adds the probability of a region.
   *
   * @param low the lower end
   * @param high the upper end
   * @param probability from 0 to 1
   * @return this builder
   */
  public Posterior inside(double low, double high, double probability) {
    inside = probability;
    fields.with("region", Value.numbers(List.of(low, high))).with("probabilityInside", probability);
    return this;
  }

  /**
   * Adds the factor's logarithm after each observation.
   *
   * @param logs natural logarithms, one after each observation
   * @return this builder
   */
  public Posterior sequence(List<Double> logs) {
    sequence = List.copyOf(logs);
    fields.with("sequence", Value.numbers(sequence));
    return this;
  }

  /**
   * Adds the factor under other priors.
   *
   * @param figures what machines see
   * @param logs its natural logarithms
   * @return this builder
   */
  public Posterior sensitivity(Value figures, List<Double> logs) {
    sensitivity = List.copyOf(logs);
    fields.with("sensitivity", figures);
    return this;
  }

  /** {@return the factor's natural logarithm under other priors} */
  public List<Double> sensitivity() {
    return sensitivity;
  }

  /**
   * Adds further figures.
   *
   * @param name the name
   * @param value the value
   * @return this builder
   */
  public Posterior with(String name, Value value) {
    fields.with(name, value);
    return this;
  }

  /** {@return the natural logarithm of the Bayes factor, alternative over null} */
  public double logBayesFactor() {
    return logBayesFactor;
  }

  /**
   * {@return the side that the data favour, {@code null}, {@code alternative} or {@code neither}}
   */
  public String favours() {
    if (Evidence.even(logBayesFactor)) {
      return "neither";
    }
    return logBayesFactor < 0 ? "null" : "alternative";
  }

  /** {@return the factor in words} */
  public String conclusion() {
    return conclusion;
  }

  /** {@return what to believe of each quantity} */
  public List<PosteriorSummary> beliefs() {
    return List.copyOf(beliefs);
  }

  /** {@return the probability of being above the null value, or of the first above the second} */
  public OptionalDouble above() {
    return above == null ? OptionalDouble.empty() : OptionalDouble.of(above);
  }

  /** {@return the probability of the region that was asked about} */
  public Optional<Double> inside() {
    return Optional.ofNullable(inside);
  }

  /** {@return the factor's logarithm after each observation; empty unless it was followed} */
  public List<Double> sequence() {
    return sequence;
  }

  @Override
  public String key() {
    return "bayes";
  }

  @Override
  public Value figures() {
    Value.Fields all = Value.fields().and(fields);
    return all.with("conclusion", conclusion);
  }

  @Override
  public List<Block> reading() {
    return title.isEmpty() ? List.of() : List.of(Block.heading(title), Block.paragraph(conclusion));
  }
}
