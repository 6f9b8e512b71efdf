package dev.tavik.survey;

import dev.tavik.result.Basis;
import dev.tavik.result.Card;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic;
import dev.tavik.tail.Tail;

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
   * by the inverse of their own covariance. Unsteady where ν isn't much larger than k.
   */
  WALD_F(
      "wald-f",
      "deviations weighed by the inverse of their covariance, as F",
      "Koch, Freeman and Freeman 1975, International Statistical Review 43, 59-78; Fellegi 1980,"
          + " Journal of the American Statistical Association 75, 261-268");

  private final Card card;

  SurveyTableTest(String id, String description, String reference) {
    this.card = Card.of(id, description, reference, Basis.APPROXIMATE);
  }

  @Override
  public Card card() {
    return card;
  }

  /**
   * Tests how far shares are from what a null hypothesis says.
   *
   * @param deviation the deviations
   * @return the result; its degrees of freedom are those above
   * @throws DeclinedException if there are too few clusters for it, or the deviations don't vary
   */
  public TestResult of(DesignedDeviation deviation) {
    double effects = deviation.effects();
    if (this != WALD_F && !(effects > 0)) {
      return TestResult.of(this, null, 0).withDf(deviation.categories());
    }
    return switch (this) {
      case RAO_SCOTT -> {
        double above = effects * effects / deviation.squaredEffects();
        yield f(deviation.pearson() / effects, above, above * deviation.df());
      }
      case RAO_SCOTT_MEAN -> {
        double chiSquare = deviation.pearson() / deviation.meanEffect();
        yield TestResult.of(
                this,
                new Statistic("chi-square", chiSquare),
                Tail.chiSquare(deviation.categories()).logUpper(chiSquare))
            .withDf(deviation.categories());
      }
      case WALD_F -> {
        int k = deviation.categories();
        double below = deviation.df() - k + 1;
        if (!(below >= 1) || Double.isNaN(deviation.wald())) {
          throw new DeclinedException(
              "needs more clusters than there are free cells, and cells that vary, got %s degrees of"
                  + " freedom for %s; use rao-scott",
              Figures.upTo(deviation.df(), 4), k);
        }
        yield f(deviation.wald() * below / (deviation.df() * k), k, below);
      }
    };
  }

  private TestResult f(double statistic, double above, double below) {
    return TestResult.of(
            this, new Statistic("F", statistic), Tail.f(above, below).logUpper(statistic))
        .withDf(above);
  }
}
