package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The test for a trend of rates over ordered groups of one size (Cochran 1954, Armitage 1955), by
 * the normal distribution (Nam 1987, "A simple approximation for calculating sample sizes for
 * detecting linear trend in proportions", Biometrics 43, 701-705, without the continuity
 * correction): the rates are expected as given, and there is no further effect.
 *
 * @param rates the rate expected in each group, strictly between 0 and 1, two groups or more
 * @param scores the groups' places on a scale, rising
 * @param alternative the direction, of rates with rising scores
 * @param alpha the significance level, strictly between 0 and 1
 */
public record TrendDesign(
    List<Double> rates, List<Double> scores, Alternative alternative, double alpha)
    implements PowerDesign {
  /**
   * Checks and copies the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range, the scores don't rise, or the
   *     rates have no trend in the direction
   */
  public TrendDesign {
    rates = List.copyOf(rates);
    scores = List.copyOf(scores);
    rates.forEach(rate -> Proportion.require("trend", rate));
    Proportion.require("alpha", alpha);
    require(
        rates.size() >= 2 && scores.size() == rates.size(),
        "a trend needs two rates or more and a score for each, got %d and %d",
        rates.size(),
        scores.size());
    for (int i = 1; i < scores.size(); i++) {
      require(scores.get(i) > scores.get(i - 1), "scores must rise, got %s", scores);
    }
    double slope = slope(rates, scores);
    // Rates without a trend leave nothing but rounding.
    require(
        Math.abs(slope) > 1e-12 * (scores.get(scores.size() - 1) - scores.get(0)),
        "the rates %s have no trend",
        rates);
    require(
        alternative != (slope < 0 ? Alternative.GREATER : Alternative.LESS),
        "the rates %s with the scores, but the alternative is %s",
        slope < 0 ? "fall" : "rise",
        alternative.id());
  }

  /** Σ (s - mean s)·p. */
  private static double slope(List<Double> rates, List<Double> scores) {
    double mean = mean(scores);
    return IntStream.range(0, rates.size())
        .mapToDouble(i -> (scores.get(i) - mean) * rates.get(i))
        .sum();
  }

  private static double mean(List<Double> values) {
    return values.stream().mapToDouble(Double::doubleValue).sum() / values.size();
  }

  @Override
  public String test() {
    return "trend";
  }

  @Override
  public PowerMethod theory() {
    return PowerMethod.NORMAL;
  }

  @Override
  public boolean hasEffect() {
    return false;
  }

  @Override
  public double statedFrom() {
    return 0;
  }

  @Override
  public EffectRange effects() {
    return new EffectRange(Double.NaN, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
  }

  @Override
  public Sizes sizes(double first) {
    return Sizes.equal(rates.size(), (long) Math.ceil(first));
  }

  @Override
  public long most() {
    return MOST / rates.size();
  }

  @Override
  public double smooth(double first, double effect) {
    double center = mean(scores);
    double pooled = mean(rates);
    double squares = 0;
    double own = 0;
    for (int i = 0; i < rates.size(); i++) {
      double away = scores.get(i) - center;
      squares += away * away;
      own += away * away * rates.get(i) * (1 - rates.get(i));
    }
    return NormalPower.of(
        slope(rates, scores),
        0,
        Math.sqrt(pooled * (1 - pooled) * squares / first),
        Math.sqrt(own / first),
        alternative,
        alpha);
  }

  @Override
  public Power at(Sizes sizes) {
    return new SmoothPower(this, (double) sizes.first());
  }
}
