package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Basis;
import dev.tavik.result.Card;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
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
      Basis.APPROXIMATE,
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
      Basis.APPROXIMATE,
      null,
      "Koopman 1984, Biometrics 40, 513-517",
      RatioLimits::koopman),
  /** The score interval with the variance larger by N/(N - 1). */
  MIETTINEN_NURMINEN(
      "miettinen-nurminen",
      "Miettinen-Nurminen",
      "as koopman, with the variance times N/(N - 1)",
      Basis.APPROXIMATE,
      null,
      "Miettinen and Nurminen 1985, Statistics in Medicine 4, 213-226",
      RatioLimits::miettinenNurminen);

  private final Card card;
  private final @Nullable TwoProportionTest inverts;
  private final ComparisonLimits limits;

  RatioInterval(
      String id,
      String title,
      String description,
      Basis basis,
      @Nullable TwoProportionTest inverts,
      String reference,
      ComparisonLimits limits) {
    this.card = new Card(id, title, description, reference, basis);
    this.inverts = inverts;
    this.limits = limits;
  }

  @Override
  public Card card() {
    return card;
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
  public Optional<TwoProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }
}
