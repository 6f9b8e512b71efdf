package dev.tavik.planning;

import dev.tavik.bayes.BetaPrior;

/** Plans for a Bayes factor to reach a threshold; where the null is expected, for the null. */
public sealed interface BayesFactorDesign extends PowerDesign
    permits EvidenceDesign, ComparedEvidenceDesign {
  /**
   * What is believed of a rate, if it isn't the null's.
   *
   * @return the prior
   */
  BetaPrior prior();

  /**
   * What the Bayes factor is to reach.
   *
   * @return how many times likelier one hypothesis is to be made, above 1
   */
  double threshold();

  @Override
  default String test() {
    return "bayes-factor";
  }

  @Override
  default PowerMethod theory() {
    return PowerMethod.EXACT;
  }

  /** There is none. */
  @Override
  default double alpha() {
    return Double.NaN;
  }
}
