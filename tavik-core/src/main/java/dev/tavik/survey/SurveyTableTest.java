package dev.tavik.survey;

import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import java.util.OptionalDouble;

/** Names the tests of shares and two-way tables of a designed sample. */
public enum SurveyTableTest implements Method {
  /**
   * F = X²/Σλ with (Σλ)²/Σλ² degrees of freedom above, and as many times those of the design below:
   * Pearson's statistic of the weighted table over the generalised design effects λ, corrected for
   * their being unequal.
   */
  RAO_SCOTT(
      "rao-scott",
      "Pearson's statistic over the design effects, second order, as F",
      "Rao and Scott 1984, Annals of Statistics 12, 46-60; Thomas and Rao 1987, Journal of the"
          + " American Statistical Association 82, 630-636"),
  /**
   * Chi-square = X²/λ̄ with the degrees of freedom of X²: as if all design effects were the mean.
   */
  RAO_SCOTT_MEAN(
      "rao-scott-mean",
      "Pearson's statistic over the mean design effect, first order, as chi-square",
      "Rao and Scott 1981, Journal of the American Statistical Association 76, 221-230"),
  /**
   * F = (ν - k + 1)/(νk) hᵀV⁻¹h with k and ν - k + 1 degrees of freedom, the k deviations h weighed
   * by the inverse of their own covariance. Imprecise where ν isn't much larger than k.
   */
  WALD_F(
      "wald-f",
      "deviations weighed by the inverse of their covariance, as F",
      "Koch, Freeman and Freeman 1975, International Statistical Review 43, 59-78; Fellegi 1980,"
          + " Journal of the American Statistical Association 75, 261-268");

  private final MethodInfo info;

  SurveyTableTest(String id, String description, String reference) {
    this.info = MethodInfo.of(id, description, reference, Exactness.APPROXIMATE);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests how far shares are from what a null hypothesis says.
   *
   * @param deviation the deviations
   * @return the result; its degrees of freedom are those above
   * @throws NotApplicableException if there are too few clusters for it, or the deviations don't
   *     vary
   */
  public TestResult of(DesignedDeviation deviation) {
    return switch (this) {
      case RAO_SCOTT -> RaoScott.secondOrder(this, deviation);
      case RAO_SCOTT_MEAN -> RaoScott.firstOrder(this, deviation);
      case WALD_F -> RaoScott.wald(this, deviation);
    };
  }

  /**
   * {@return the degrees of freedom below of an F; empty for a chi-square}
   *
   * @param deviation the deviations
   */
  public OptionalDouble below(DesignedDeviation deviation) {
    return switch (this) {
      case RAO_SCOTT -> OptionalDouble.of(RaoScott.above(deviation) * deviation.df());
      case RAO_SCOTT_MEAN -> OptionalDouble.empty();
      case WALD_F -> OptionalDouble.of(deviation.df() - deviation.categories() + 1);
    };
  }
}
