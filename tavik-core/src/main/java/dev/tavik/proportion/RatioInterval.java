package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Side;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Names the confidence intervals for the first proportion divided by the second. */
public enum RatioInterval implements ComparisonInterval {
  /** Normal on the scale of the logarithm; unbounded where a group has no successes. */
  LOG(
      "log",
      "log",
      "normal on the scale of the logarithm",
      Exactness.APPROXIMATE,
      null,
      "Katz, Baptista, Azen and Pike 1978, Biometrics 34, 469-474",
      RatioLimits::log),
  /**
   * The ratios that the score test doesn't reject; 0 where the first group has no successes,
   * unbounded where the second has none.
   */
  KOOPMAN(
      "koopman",
      "Koopman",
      "the ratios that the score test keeps",
      Exactness.APPROXIMATE,
      null,
      "Koopman 1984, Biometrics 40, 513-517",
      RatioLimits::koopman),
  /** The score interval with the variance larger by N/(N - 1). */
  MIETTINEN_NURMINEN(
      "miettinen-nurminen",
      "Miettinen-Nurminen",
      "as koopman, with the variance times N/(N - 1)",
      Exactness.APPROXIMATE,
      null,
      "Miettinen and Nurminen 1985, Statistics in Medicine 4, 213-226",
      RatioLimits::miettinenNurminen);

  private final MethodInfo info;
  private final @Nullable TwoProportionTest inverts;
  private final ComparisonLimits limits;

  RatioInterval(
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
    return Estimand.RATIO;
  }

  @Override
  public Optional<TwoProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }
}
