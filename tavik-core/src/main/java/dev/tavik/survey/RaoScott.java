package dev.tavik.survey;

import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic;
import dev.tavik.tail.Tail;

/**
 * The tests of deviations by a design (Rao and Scott 1984, "On Chi-Squared Tests for Multiway
 * Contingency Tables with Cell Proportions Estimated from Survey Data", Annals of Statistics 12,
 * 46-60, with the reference distribution of Thomas and Rao 1987; Fellegi 1980).
 */
final class RaoScott {
  private RaoScott() {}

  /** X²/Σλ. */
  static TestResult secondOrder(Method method, DesignedDeviation deviation) {
    double effects = deviation.effects();
    requireVariance(deviation);
    double above = above(deviation);
    return f(method, deviation.pearson() / effects, above, above * deviation.df());
  }

  private static void requireVariance(DesignedDeviation deviation) {
    if (!(deviation.effects() > 0 && deviation.effects() < Double.POSITIVE_INFINITY)) {
      throw new NotApplicableException(
          deviation.effects() == 0
              ? NotApplicableReason.NO_VARIANCE
              : NotApplicableReason.SHARE_WITHOUT_WEIGHT);
    }
  }

  /** (Σλ)²/Σλ², as many categories as would vary alike. */
  static double above(DesignedDeviation deviation) {
    return deviation.effects() * deviation.effects() / deviation.squaredEffects();
  }

  /** X²/λ̄. */
  static TestResult firstOrder(Method method, DesignedDeviation deviation) {
    requireVariance(deviation);
    double chiSquare = deviation.pearson() / deviation.meanEffect();
    return TestResult.of(
            method,
            new Statistic(Statistic.Kind.CHI_SQUARE, chiSquare),
            Tail.chiSquare(deviation.categories()).logUpper(chiSquare))
        .withDf(deviation.categories());
  }

  /** (ν - k + 1)/(νk) hᵀV⁻¹h. */
  static TestResult wald(Method method, DesignedDeviation deviation) {
    int k = deviation.categories();
    double below = deviation.df() - k + 1;
    if (!(below >= 1) || Double.isNaN(deviation.wald())) {
      throw new NotApplicableException(NotApplicableReason.TOO_FEW_CLUSTERS, deviation.df(), k);
    }
    return f(method, deviation.wald() * below / (deviation.df() * k), k, below);
  }

  private static TestResult f(Method method, double statistic, double above, double below) {
    return TestResult.of(
            method,
            new Statistic(Statistic.Kind.F, statistic),
            Tail.f(above, below).logUpper(statistic))
        .withDf(above);
  }
}
