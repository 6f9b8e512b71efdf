package dev.tavik.proportion;

import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;
import java.util.function.LongToDoubleFunction;

/**
 * The unconditional exact tests: the largest chance, over all common proportions, of a table at
 * least as extreme as the observed one. Barnard (1947, "Significance tests for 2 × 2 tables",
 * Biometrika 34, 123-138) in the form that orders tables by the pooled z (Suissa and Shuster 1985,
 * Journal of the Royal Statistical Society A 148, 317-327); Boschloo (1970, "Raised conditional
 * level of significance for the 2 × 2-table when testing the equality of two probabilities",
 * Statistica Neerlandica 24, 1-35) orders them by Fisher's p-value.
 *
 * <p>Given the total of successes s, what is at least as extreme has a hypergeometric probability
 * h(s); the chance at a common proportion is the sum of h(s) times the binomial probability of s,
 * and {@link SizeSupremum} finds its supremum. Order by z is compared in whole numbers, order by
 * Fisher's p with the relative tolerance of 10⁻⁷ that his test has.
 */
final class UnconditionalTest {
  /** Beyond this many trials in both groups the tests decline; there they take about a second. */
  static final long MOST_TRIALS = 100_000;

  private static final double TIE = 1 + 1e-7;
  private static final double NEGLIGIBLE = 1e-21;

  /** Logarithm below which the weights, which span 580 powers of ten, can't represent the tails. */
  private static final double FAR = -600;

  private final Method method;
  private final TwoTallies data;
  private final Alternative alternative;
  private final double logFisher;

  private UnconditionalTest(Method method, TwoTallies data, Hypothesis hypothesis) {
    if (data.total() > MOST_TRIALS) {
      throw new NotApplicableException(
          NotApplicableReason.TOO_MANY_FOR_UNCONDITIONAL, MOST_TRIALS, data.total());
    }
    this.method = method;
    this.data = data;
    this.alternative = hypothesis.alternative();
    this.logFisher = HypergeometricTails.logPValue(data, alternative);
  }

  static TestResult barnard(Method method, TwoTallies data, Hypothesis hypothesis) {
    return new UnconditionalTest(method, data, hypothesis).barnard();
  }

  static TestResult boschloo(Method method, TwoTallies data, Hypothesis hypothesis) {
    return new UnconditionalTest(method, data, hypothesis).boschloo();
  }

  private TestResult barnard() {
    double error = data.pooledError();
    if (error == 0) {
      return TestResult.of(method, null, 0);
    }
    TestResult.Statistic z =
        new TestResult.Statistic(TestResult.Statistic.Kind.Z, data.difference() / error);
    if (logFisher < FAR) {
      return result(z, this::logExtremeByZ);
    }
    ConditionalWeights weights = weights();
    return result(z, s -> Math.log(extremeByZ(weights, s)));
  }

  private TestResult boschloo() {
    double fisher = Math.exp(logFisher);
    TestResult.Statistic statistic =
        logFisher < FAR
            ? new TestResult.Statistic(
                TestResult.Statistic.Kind.LOG_FISHERS_P, logFisher / Math.log(10))
            : new TestResult.Statistic(TestResult.Statistic.Kind.FISHERS_P, fisher);
    if (logFisher < FAR) {
      return result(statistic, this::logExtremeByFisher);
    }
    ConditionalWeights weights = weights();
    double limit = fisher * TIE;
    return result(
        statistic,
        s -> {
          weights.of(s);
          return Math.log(weights.reject(limit, TIE, alternative));
        });
  }

  private ConditionalWeights weights() {
    return new ConditionalWeights(
        data.first().trials(), data.second().trials(), NEGLIGIBLE * Math.exp(logFisher));
  }

  private TestResult result(TestResult.Statistic statistic, LongToDoubleFunction logExtreme) {
    double[] logs = new double[(int) data.total() + 1];
    for (int s = 0; s < logs.length; s++) {
      logs[s] = logExtreme.applyAsDouble(s);
    }
    SizeSupremum largest = SizeSupremum.of(logs);
    return TestResult.of(method, statistic, largest.logSize()).withNuisance(largest.proportion());
  }

  /** The probability, given s successes in all, of a table whose z is at least as extreme. */
  private double extremeByZ(ConditionalWeights weights, long s) {
    weights.of(s);
    return weights.outside(lastBelow(s), firstAbove(s));
  }

  private long lastBelow(long s) {
    long least = Math.max(0, s - data.second().trials());
    long greatest = Math.min(data.first().trials(), s);
    return alternative == Alternative.GREATER
        ? least - 1
        : Bisection.last(least - 1, greatest, x -> extremeBelow(x, s));
  }

  private long firstAbove(long s) {
    long least = Math.max(0, s - data.second().trials());
    long greatest = Math.min(data.first().trials(), s);
    return alternative == Alternative.LESS
        ? greatest + 1
        : Bisection.first(least, greatest + 1, x -> extremeAbove(x, s));
  }

  /** The same as a logarithm, each tail by itself, however far out. */
  private double logExtremeByZ(long s) {
    CountDistribution given = given(s);
    return LogSpace.add(given.logLower(lastBelow(s)), given.logUpper(firstAbove(s)));
  }

  private double logExtremeByFisher(long s) {
    CountDistribution given = given(s);
    double limit = logFisher + Math.log(TIE);
    long low =
        alternative == Alternative.GREATER
            ? given.least() - 1
            : Bisection.last(
                given.least() - 1,
                given.greatest(),
                x -> BinomialTest.logPValue(given, x, below()) <= limit && x <= given.mode());
    long high =
        alternative == Alternative.LESS
            ? given.greatest() + 1
            : Bisection.first(
                given.least(),
                given.greatest() + 1,
                x -> BinomialTest.logPValue(given, x, above()) <= limit && x >= given.mode());
    return LogSpace.add(given.logLower(low), given.logUpper(high));
  }

  private Alternative below() {
    return alternative == Alternative.TWO_SIDED ? Alternative.TWO_SIDED : Alternative.LESS;
  }

  private Alternative above() {
    return alternative == Alternative.TWO_SIDED ? Alternative.TWO_SIDED : Alternative.GREATER;
  }

  private CountDistribution given(long s) {
    return new Hypergeometric(data.total(), s, data.first().trials());
  }

  private boolean extremeBelow(long x, long s) {
    long wanted =
        alternative == Alternative.TWO_SIDED ? -Math.abs(observedCross()) : observedCross();
    return compare(cross(x, s), s, wanted) <= 0;
  }

  private boolean extremeAbove(long x, long s) {
    long wanted =
        alternative == Alternative.TWO_SIDED ? Math.abs(observedCross()) : observedCross();
    return compare(cross(x, s), s, wanted) >= 0;
  }

  private long observedCross() {
    return cross(data.first().successes(), data.successes());
  }

  /** x₁n₂ - x₂n₁, the numerator of z; at most n₁n₂, whose square is a long here. */
  private long cross(long x, long s) {
    return x * data.total() - s * data.first().trials();
  }

  /** Compares the z of a table with that of the observed margins and a given numerator. */
  private int compare(long cross, long s, long wanted) {
    // Without variance z counts as 0.
    long variance = s * (data.total() - s);
    if (variance == 0 || Long.signum(cross) != Long.signum(wanted)) {
      return Integer.compare(variance == 0 ? 0 : Long.signum(cross), Long.signum(wanted));
    }
    long observed = data.successes() * data.failures();
    int further = compareProducts(cross * cross, observed, wanted * wanted, variance);
    return cross < 0 ? -further : further;
  }

  /** Compares ab with cd, of non-negative numbers, to the last of 128 bits. */
  private static int compareProducts(long a, long b, long c, long d) {
    int high = Long.compare(Math.multiplyHigh(a, b), Math.multiplyHigh(c, d));
    return high != 0 ? high : Long.compareUnsigned(a * b, c * d);
  }
}
