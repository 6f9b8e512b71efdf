package dev.tavik.study;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.Credible;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Quantity;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The Bayesian view of two rates.
 *
 * @param prior what was believed of each rate before the data, and of the common one
 * @param alternative the alternative whose Bayes factor it is; both directions where
 *     non-inferiority or equivalence is to be shown
 * @param logBayesFactor ln of the Bayes factor, alternative over equality
 * @param probabilityAbove the posterior probability that the first rate is higher
 * @param posteriors what is believed of difference, ratio and odds ratio after the data
 * @param region the region of the difference; null for none
 * @param probabilityInside its posterior probability; null for none
 * @param sensitivity the Bayes factor with other priors
 * @param conclusion in words what the Bayes factor favours
 */
public record CompareBayes(
    BetaPrior prior,
    Alternative alternative,
    double logBayesFactor,
    double probabilityAbove,
    List<Posterior> posteriors,
    BayesSettings.@Nullable Region region,
    @Nullable Double probabilityInside,
    List<RateBayes.Sensitivity> sensitivity,
    String conclusion) {
  private static final double[] EVEN = {0.5, 1, 2, 5};
  private static final double[] AT_COMMON = {10, 50, 200};

  /** Copies the lists. */
  public CompareBayes {
    posteriors = List.copyOf(posteriors);
    sensitivity = List.copyOf(sensitivity);
  }

  /**
   * What is believed of one measure after the data.
   *
   * @param quantity which one
   * @param mean its mean, which may be infinite
   * @param median its median
   * @param credible its interval with equal tails and the shortest one
   */
  public record Posterior(Quantity quantity, double mean, double median, List<Credible> credible) {
    /** Copies the list. */
    public Posterior {
      credible = List.copyOf(credible);
    }
  }

  static CompareBayes of(NamedTally one, NamedTally two, CompareSettings settings, Extent extent) {
    BayesSettings bayes = settings.bayes() == null ? BayesSettings.usual() : settings.bayes();
    Tally first = one.tally();
    Tally second = two.tally();
    Alternative alternative =
        settings.show() == Show.DIFFERENCE
            ? settings.hypothesis().alternative()
            : Alternative.TWO_SIDED;
    double log = ComparedRates.logBayesFactor(first, second, alternative, bayes.prior());
    ComparedRates rates = ComparedRates.of(bayes.prior(), first, second);
    BayesSettings.Region region = settings.region();
    return new CompareBayes(
        bayes.prior(),
        alternative,
        log,
        rates.above(Quantity.DIFFERENCE, 0),
        ComparedRates.MEASURES.stream()
            .limit(extent == Extent.BRIEF ? 1 : ComparedRates.MEASURES.size())
            .map(measure -> posterior(rates, measure, settings.level(), extent))
            .toList(),
        region,
        region == null ? null : rates.inside(Quantity.DIFFERENCE, region.low(), region.high()),
        priors(first, second)
            .distinct()
            .limit(extent == Extent.BRIEF ? 0 : Long.MAX_VALUE)
            .map(
                prior ->
                    new RateBayes.Sensitivity(
                        prior, ComparedRates.logBayesFactor(first, second, alternative, prior)))
            .toList(),
        words(log, alternative, one.name(), two.name()));
  }

  private static Posterior posterior(
      ComparedRates rates, Quantity measure, double level, Extent extent) {
    Credible equalTailed = rates.equalTailed(measure, level);
    return new Posterior(
        measure,
        rates.mean(measure),
        rates.median(measure),
        extent == Extent.BRIEF
            ? List.of(equalTailed)
            : List.of(equalTailed, rates.highestDensity(measure, level)));
  }

  /** From wide to strong, around one half and around the common rate that was observed. */
  private static Stream<BetaPrior> priors(Tally first, Tally second) {
    double successes = (double) first.successes() + second.successes() + 1;
    double trials = (double) first.trials() + second.trials() + 2;
    double common = Double.parseDouble(Figures.significant(successes / trials, 2));
    Stream<BetaPrior> around =
        Arrays.stream(AT_COMMON)
            .filter(
                strength ->
                    strength * Math.min(common, 1 - common) >= ComparedRates.LEAST_PARAMETER)
            .mapToObj(
                strength ->
                    new BetaPrior(
                        round(strength * common),
                        round(strength * DecimalFraction.complement(common))));
    return Stream.concat(Arrays.stream(EVEN).mapToObj(each -> new BetaPrior(each, each)), around);
  }

  private static double round(double parameter) {
    return Double.parseDouble(Figures.significant(parameter, 4));
  }

  private static String words(double log, Alternative alternative, String one, String two) {
    return Likelier.words(
        log,
        switch (alternative) {
          case TWO_SIDED -> "different rates";
          case LESS -> "a lower rate of " + one;
          case GREATER -> "a higher rate of " + one;
        },
        alternative == Alternative.TWO_SIDED ? "equal rates" : "the same rate as of " + two);
  }

  /**
   * Which hypothesis the Bayes factor favours.
   *
   * @return {@code null}, equal rates, or {@code alternative}
   */
  public String favours() {
    return logBayesFactor < 0 ? "null" : "alternative";
  }
}
