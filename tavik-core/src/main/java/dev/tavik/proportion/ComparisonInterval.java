package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Side;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Names the confidence intervals that compare two independent proportions: of their difference,
 * their ratio or their odds ratio, always the first against the second.
 */
public enum ComparisonInterval implements Method {
  /**
   * d ± z·SE with each proportion's own variance, clipped. Covers too seldom for small counts, and
   * degenerates to a point where both proportions are 0 or 1; here for comparison.
   */
  DIFFERENCE_WALD(
      Estimand.DIFFERENCE,
      "wald",
      "Wald",
      "d ± z SE with each group's own variance",
      Exactness.APPROXIMATE,
      TwoProportionTest.Z_SEPARATE,
      "Wald 1943, Transactions of the American Mathematical Society 54, 426-482",
      DifferenceLimits::wald),
  /** Wald's interval with 1/2n₁ + 1/2n₂ added on both sides, clipped. */
  DIFFERENCE_WALD_CC(
      Estimand.DIFFERENCE,
      "wald-cc",
      "continuity-corrected Wald",
      "wald, 1/2n₁ + 1/2n₂ wider on both sides",
      Exactness.APPROXIMATE,
      null,
      "Newcombe 1998, Statistics in Medicine 17, 873-890, method 2",
      DifferenceLimits::waldCorrected),
  /** Wald's interval after one success and one failure are added to each group, clipped. */
  DIFFERENCE_AGRESTI_CAFFO(
      Estimand.DIFFERENCE,
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
  DIFFERENCE_NEWCOMBE(
      Estimand.DIFFERENCE,
      "newcombe",
      "Newcombe",
      "the groups' Wilson limits squared and added",
      Exactness.APPROXIMATE,
      null,
      "Newcombe 1998, Statistics in Medicine 17, 873-890, method 10",
      DifferenceLimits::newcombe),
  /** The same with continuity-corrected Wilson limits. */
  DIFFERENCE_NEWCOMBE_CC(
      Estimand.DIFFERENCE,
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
  DIFFERENCE_MEE(
      Estimand.DIFFERENCE,
      "mee",
      "Mee",
      "the differences that the score test keeps",
      Exactness.APPROXIMATE,
      TwoProportionTest.SCORE,
      "Mee 1984, Biometrics 40, 1175-1176",
      DifferenceLimits::mee),
  /** The score interval with the variance larger by N/(N - 1). */
  DIFFERENCE_MIETTINEN_NURMINEN(
      Estimand.DIFFERENCE,
      "miettinen-nurminen",
      "Miettinen-Nurminen",
      "as mee, with the variance times N/(N - 1)",
      Exactness.APPROXIMATE,
      null,
      "Miettinen and Nurminen 1985, Statistics in Medicine 4, 213-226",
      DifferenceLimits::miettinenNurminen),
  /** Normal on the scale of the logarithm; unbounded where a group has no successes. */
  RATIO_LOG(
      Estimand.RATIO,
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
  RATIO_KOOPMAN(
      Estimand.RATIO,
      "koopman",
      "Koopman",
      "the ratios that the score test keeps",
      Exactness.APPROXIMATE,
      null,
      "Koopman 1984, Biometrics 40, 513-517",
      RatioLimits::koopman),
  /** The score interval with the variance larger by N/(N - 1). */
  RATIO_MIETTINEN_NURMINEN(
      Estimand.RATIO,
      "miettinen-nurminen",
      "Miettinen-Nurminen",
      "as koopman, with the variance times N/(N - 1)",
      Exactness.APPROXIMATE,
      null,
      "Miettinen and Nurminen 1985, Statistics in Medicine 4, 213-226",
      RatioLimits::miettinenNurminen),
  /**
   * Normal on the scale of the logarithm, nothing added: with a cell of 0 unbounded on both sides.
   */
  ODDS_RATIO_WOOLF(
      Estimand.ODDS_RATIO,
      "woolf",
      "Woolf",
      "normal on the scale of the logarithm; nothing added, unbounded with a count of 0",
      Exactness.APPROXIMATE,
      null,
      "Woolf 1955, Annals of Human Genetics 19, 251-253",
      OddsRatioLimits::woolf),
  /** Normal on the scale of the logarithm, after ½ is added to each of the four cells, always. */
  ODDS_RATIO_GART(
      Estimand.ODDS_RATIO,
      "gart",
      "Gart",
      "as woolf, after adding ½ to each count, always",
      Exactness.APPROXIMATE,
      null,
      "Gart 1966, Journal of the Royal Statistical Society B 28, 164-179",
      OddsRatioLimits::gart),
  /** The odds ratios that a score test doesn't reject. */
  ODDS_RATIO_SCORE(
      Estimand.ODDS_RATIO,
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
  ODDS_RATIO_CONDITIONAL_EXACT(
      Estimand.ODDS_RATIO,
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
  ODDS_RATIO_CONDITIONAL_MID_P(
      Estimand.ODDS_RATIO,
      "conditional-mid-p",
      "conditional mid-p",
      "the odds ratios that fisher-mid-p keeps",
      Exactness.NEARLY_EXACT,
      TwoProportionTest.FISHER_MID_P,
      "Mehta, Patel and Gray 1985, Journal of the American Statistical Association 80, 969-973",
      OddsRatioLimits::conditionalMidP);

  private final Estimand quantity;
  private final MethodInfo info;
  private final @Nullable TwoProportionTest inverts;
  private final ComparisonLimits limits;

  ComparisonInterval(
      Estimand quantity,
      String id,
      String title,
      String description,
      Exactness exactness,
      @Nullable TwoProportionTest inverts,
      String reference,
      ComparisonLimits limits) {
    this.quantity = quantity;
    this.info = new MethodInfo(id, title, description, reference, exactness);
    this.inverts = inverts;
    this.limits = limits;
  }

  /**
   * {@return the intervals of a quantity}
   *
   * @param quantity the difference, the ratio or the odds ratio
   */
  public static List<ComparisonInterval> ofQuantity(Estimand quantity) {
    return Arrays.stream(values()).filter(each -> each.quantity == quantity).toList();
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** {@return what it is for} */
  public Estimand quantity() {
    return quantity;
  }

  /**
   * {@return the test that this interval inverts: at level 1 - alpha it holds exactly the values
   * that the test doesn't reject at alpha; empty where it inverts none}
   */
  public Optional<TwoProportionTest> inverts() {
    return Optional.ofNullable(inverts);
  }

  /**
   * {@return a two-sided interval or a one-sided bound, infinite where it is unbounded}
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is that of the scale
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(Tally first, Tally second, double level, Side side) {
    return limits.interval(this, new TwoTallies(first, second), level, side);
  }

  /**
   * {@return a two-sided interval, infinite where it is unbounded}
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param level the confidence level, strictly between 0 and 1
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(Tally first, Tally second, double level) {
    return of(first, second, level, Side.TWO_SIDED);
  }
}
