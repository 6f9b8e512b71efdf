package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The confidence intervals for the first proportion divided by the second. */
public enum RatioInterval implements ComparisonInterval {
  /** Normal on the scale of the logarithm; unbounded where a group has no successes. */
  LOG(
      "log",
      "log",
      null,
      "Katz, Baptista, Azen and Pike 1978, Biometrics 34, 469-474",
      RatioLimits::log),
  /**
   * The ratios that the score test doesn't reject; 0 where the first group has no successes,
   * unbounded where the second has none.
   */
  KOOPMAN("koopman", "Koopman", null, "Koopman 1984, Biometrics 40, 513-517", RatioLimits::koopman),
  /** The score interval with the variance larger by N/(N - 1). */
  MIETTINEN_NURMINEN(
      "miettinen-nurminen",
      "Miettinen-Nurminen",
      null,
      "Miettinen and Nurminen 1985, Statistics in Medicine 4, 213-226",
      RatioLimits::miettinenNurminen);

  private final String id;
  private final String title;
  private final @Nullable TwoProportionTest inverts;
  private final String reference;
  private final ComparisonLimits limits;

  RatioInterval(
      String id,
      String title,
      @Nullable TwoProportionTest inverts,
      String reference,
      ComparisonLimits limits) {
    this.id = id;
    this.title = title;
    this.inverts = inverts;
    this.reference = reference;
    this.limits = limits;
  }

  @Override
  public Interval of(Tally first, Tally second, double level, Side side) {
    return limits.interval(this, new TwoTallies(first, second), level, side);
  }

  @Override
  public Quantity quantity() {
    return Quantity.RATIO;
  }

  @Override
  public String id() {
    return id;
  }

  @Override
  public String title() {
    return title;
  }

  @Override
  public String reference() {
    return reference;
  }

  @Override
  public Optional<TwoProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }
}
