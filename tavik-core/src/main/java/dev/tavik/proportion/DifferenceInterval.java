package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Side;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Names the confidence intervals for the first proportion minus the second, within -1 to 1. */
public enum DifferenceInterval implements ComparisonInterval {
  /**
   * d ± z·SE with each proportion's own variance, clipped. Covers too seldom for small counts, and
   * degenerates to a point where both proportions are 0 or 1; here for comparison.
   */
  WALD(
      "wald",
      "Wald",
      "d ± z SE with each group's own variance",
      Exactness.APPROXIMATE,
      TwoProportionTest.Z_SEPARATE,
      "Wald 1943, Transactions of the American Mathematical Society 54, 426-482",
      DifferenceLimits::wald),
  /** Wald's interval with 1/2n₁ + 1/2n₂ added on both sides, clipped. */
  WALD_CC(
      "wald-cc",
      "continuity-corrected Wald",
      "wald, 1/2n₁ + 1/2n₂ wider on both sides",
      Exactness.APPROXIMATE,
      null,
      "Newcombe 1998, Statistics in Medicine 17, 873-890, method 2",
      DifferenceLimits::waldCorrected),
  /** Wald's interval after one success and one failure are added to each group, clipped. */
  AGRESTI_CAFFO(
      "agresti-caffo",
      "Agresti-Caffo",
      "wald after adding one success and one failure to each group",
      Exactness.APPROXIMATE,
      null,
      "Agresti and Caffo 2000, The American Statistician 54, 280-288",
      DifferenceLimits::agrestiCaffo),
  /**
   * The distances to both groups' Wilson limits, squared and added. Closed form, good at all sizes.
   */
  NEWCOMBE(
      "newcombe",
      "Newcombe",
      "the groups' Wilson limits squared and added",
      Exactness.APPROXIMATE,
      null,
      "Newcombe 1998, Statistics in Medicine 17, 873-890, method 10",
      DifferenceLimits::newcombe),
  /** The same with continuity-corrected Wilson limits. */
  NEWCOMBE_CC(
      "newcombe-cc",
      "continuity-corrected Newcombe",
      "the groups' continuity-corrected Wilson limits squared and added",
      Exactness.APPROXIMATE,
      null,
      "Newcombe 1998, Statistics in Medicine 17, 873-890, method 11",
      DifferenceLimits::newcombeCorrected),
  /**
   * The differences that the score test doesn't reject. Limits by search, right to 10⁻¹²
   * absolutely.
   */
  MEE(
      "mee",
      "Mee",
      "the differences that the score test keeps",
      Exactness.APPROXIMATE,
      TwoProportionTest.SCORE,
      "Mee 1984, Biometrics 40, 1175-1176",
      DifferenceLimits::mee),
  /** The score interval with the variance larger by N/(N - 1). */
  MIETTINEN_NURMINEN(
      "miettinen-nurminen",
      "Miettinen-Nurminen",
      "as mee, with the variance times N/(N - 1)",
      Exactness.APPROXIMATE,
      null,
      "Miettinen and Nurminen 1985, Statistics in Medicine 4, 213-226",
      DifferenceLimits::miettinenNurminen);

  private final MethodInfo info;
  private final @Nullable TwoProportionTest inverts;
  private final ComparisonLimits limits;

  DifferenceInterval(
      String id,
      String title,
      String description,
      Exactness exactness,
      @Nullable TwoProportionTest inverts,
      String reference,
      ComparisonLimits limits) {
    this.info = new MethodInfo(id, title, description, reference, exactness);
    this.inverts = inverts;
    this.limits = limits;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  @Override
  public Interval of(Tally first, Tally second, double level, Side side) {
    return limits.interval(this, new TwoTallies(first, second), level, side);
  }

  @Override
  public Estimand quantity() {
    return Estimand.DIFFERENCE;
  }

  @Override
  public Optional<TwoProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }
}
