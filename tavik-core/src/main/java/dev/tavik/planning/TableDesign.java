package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.numeric.NoncentralChiSquare;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Proportion;
import dev.tavik.tail.Tail;
import java.util.Optional;

/**
 * A chi-square test of any degrees of freedom; the effect is w = √Σ (p₁ - p₀)²/p₀ over the cells
 * (Cohen 1988, Statistical Power Analysis for the Behavioral Sciences, chapter 7). Power is the
 * upper tail of the noncentral chi-square distribution with noncentrality n·w².
 *
 * @param df the degrees of freedom, from 1
 * @param alpha the significance level, strictly between 0 and 1
 * @param greatest the largest w that there can be; infinity if it isn't known
 */
public record TableDesign(int df, double alpha, double greatest) implements PowerDesign {
  private static final int MOST_DF = 100_000;

  private static final double NEARLY_NONE = 1e-4;
  private static final double DRAWN = 1e-4;

  /** No larger effect is looked for. */
  private static final double FARTHEST = 1e3;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   */
  public TableDesign {
    require(
        df >= 1 && df <= MOST_DF, "df must be from 1 to %s, got %s", Figures.count(MOST_DF), df);
    Proportion.require("alpha", alpha);
    require(greatest > 0, "the largest w must be above 0, got %s", greatest);
  }

  @Override
  public String test() {
    return "pearson";
  }

  @Override
  public PowerMethod theory() {
    return PowerMethod.NORMAL;
  }

  @Override
  public Alternative alternative() {
    return Alternative.GREATER;
  }

  @Override
  public double statedFrom() {
    return 0;
  }

  @Override
  public EffectRange effects() {
    return new EffectRange(0, 0, Math.min(FARTHEST, Math.nextUp(greatest)));
  }

  private double critical() {
    return Tail.chiSquare(df).valueAbove(alpha);
  }

  @Override
  public double smooth(double first, double effect) {
    return NoncentralChiSquare.upper(critical(), df, first * effect * effect);
  }

  @Override
  public Power at(Sizes sizes) {
    double critical = critical();
    double n = sizes.first();
    return new Power() {
      @Override
      public double at(double effect) {
        return NoncentralChiSquare.upper(critical, df, n * effect * effect);
      }

      @Override
      public double size() {
        return alpha;
      }
    };
  }

  @Override
  public Optional<Errors> errors(Sizes sizes, double effect) {
    double lambda = sizes.first() * effect * effect;
    Tail central = Tail.chiSquare(df);
    Tail noncentral = Tail.chiSquare(df, lambda);
    return Optional.of(
        new Errors(
            "chi-square",
            new Errors.World(Double.NaN, x -> density(central, x)),
            new Errors.World(Double.NaN, x -> density(noncentral, x)),
            new Errors.Range(Double.NEGATIVE_INFINITY, critical()),
            new Errors.Range(0, noncentral.valueAbove(NEARLY_NONE))));
  }

  /** A difference quotient; good enough to draw. */
  private static double density(Tail tail, double x) {
    double h = DRAWN * Math.max(x, 1);
    double from = Math.max(0, x - h);
    return (tail.lower(x + h) - tail.lower(from)) / (x + h - from);
  }
}
