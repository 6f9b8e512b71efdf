package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Side;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Names the confidence intervals for the odds of the first divided by the odds of the second. */
public enum OddsRatioInterval implements ComparisonInterval {
  /**
   * Normal on the scale of the logarithm, nothing added: with a cell of 0 unbounded on both sides.
   */
  WOOLF(
      "woolf",
      "Woolf",
      "normal on the scale of the logarithm; nothing added, unbounded with a count of 0",
      Exactness.APPROXIMATE,
      null,
      "Woolf 1955, Annals of Human Genetics 19, 251-253",
      OddsRatioLimits::woolf),
  /** Normal on the scale of the logarithm, after ½ is added to each of the four cells, always. */
  GART(
      "gart",
      "Gart",
      "as woolf, after adding ½ to each count, always",
      Exactness.APPROXIMATE,
      null,
      "Gart 1966, Journal of the Royal Statistical Society B 28, 164-179",
      OddsRatioLimits::gart),
  /** The odds ratios that a score test doesn't reject. */
  SCORE(
      "score",
      "score",
      "the odds ratios that the score test keeps",
      Exactness.APPROXIMATE,
      null,
      "Cornfield 1956, Proceedings of the Third Berkeley Symposium 4, 135-148",
      OddsRatioLimits::score),
  /**
   * Exact, given both margins: each tail of the noncentral hypergeometric distribution is at most
   * half of 1 - level. Contains 1 exactly where the doubled Fisher test doesn't reject.
   */
  CONDITIONAL_EXACT(
      "conditional-exact",
      "conditional exact",
      "the odds ratios that fisher-doubled keeps",
      Exactness.EXACT,
      TwoProportionTest.FISHER_DOUBLED,
      "Cornfield 1956, Proceedings of the Third Berkeley Symposium 4, 135-148",
      OddsRatioLimits::conditionalExact),
  /**
   * The same with the observed table counted half; contains 1 where the mid-p test doesn't reject.
   */
  CONDITIONAL_MID_P(
      "conditional-mid-p",
      "conditional mid-p",
      "the odds ratios that fisher-mid-p keeps",
      Exactness.NEARLY_EXACT,
      TwoProportionTest.FISHER_MID_P,
      "Mehta, Patel and Gray 1985, Journal of the American Statistical Association 80, 969-973",
      OddsRatioLimits::conditionalMidP);

  private final MethodInfo info;
  private final @Nullable TwoProportionTest inverts;
  private final ComparisonLimits limits;

  OddsRatioInterval(
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
    return Estimand.ODDS_RATIO;
  }

  @Override
  public Optional<TwoProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }
}
