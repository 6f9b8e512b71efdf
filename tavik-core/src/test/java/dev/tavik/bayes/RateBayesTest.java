package dev.tavik.bayes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.bayes.Credible.Kind;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RateBayesTest {
  private static final MathContext DIGITS = new MathContext(80);

  /** Natural logarithms to twenty digits from the definition, with sixty (mpmath). */
  @ParameterizedTest
  @CsvSource({
    "14, 400, 0.05, 1, 1, two-sided, -2.7136770436808008637",
    "14, 400, 0.05, 1, 1, less, 0.17991332963844124034",
    "14, 400, 0.05, 1, 1, greater, -4.9944122839258744614",
    "31, 410, 0.05, 0.5, 0.5, two-sided, -0.77227848532782073933",
    "31, 410, 0.05, 0.5, 0.5, less, -3.2382309878537675959",
    "31, 410, 0.05, 0.5, 0.5, greater, -0.62956784806630510977",
    "0, 60, 0.05, 1, 1, two-sided, -1.0332762009202792432",
    "0, 60, 0.05, 1, 1, less, 1.9177031234441550371",
    "0, 60, 0.05, 1, 1, greater, -4.1108738641733112488",
    "45, 120, 0.3, 2, 3, two-sided, -0.11284584524606551994",
    "45, 120, 0.3, 2, 3, less, -2.3771025846975605737",
    "45, 120, 0.3, 2, 3, greater, 0.27846307743706253321",
    "60, 60, 0.9, 1, 1, greater, 4.5117235497639133874",
    "5023, 100000, 0.05, 1, 1, two-sided, -6.3032531819406966122",
    "9, 10, 0.1, 1, 1, greater, 16.23350650146964753",
    "52000, 1000000, 0.05, 1, 1, two-sided, 34.090053756072573066",
    "600000, 1000000, 0.05, 1, 1, two-sided, 1144938.3125024986653"
  })
  void bayesFactorsAgreeWithReferences(
      long successes,
      long trials,
      double against,
      double a,
      double b,
      String alternative,
      double expected) {
    double log =
        RateBayesFactor.log(
            Tally.of(successes, trials),
            new Hypothesis(against, Alternative.of(alternative)),
            new BetaPrior(a, b));
    assertThat(log).isCloseTo(expected, within(1e-11 * Math.max(0.1, Math.abs(expected))));
  }

  /** P(p ≤ q) of a beta with whole parameters is a binomial tail, a rational number. */
  private static BigDecimal betaLower(int alpha, int beta, BigDecimal q) {
    int n = alpha + beta - 1;
    BigDecimal sum = BigDecimal.ZERO;
    BigInteger ways = BigInteger.ONE;
    for (int j = 0; j <= n; j++) {
      if (j >= alpha) {
        sum =
            sum.add(
                new BigDecimal(ways)
                    .multiply(q.pow(j))
                    .multiply(BigDecimal.ONE.subtract(q).pow(n - j)));
      }
      ways = ways.multiply(BigInteger.valueOf(n - j)).divide(BigInteger.valueOf(j + 1L));
    }
    return sum;
  }

  /** Every tally of some sizes, by whole-number beta functions and rational tails. */
  @ParameterizedTest
  @CsvSource({"6, 0.3", "11, 0.05", "17, 0.5"})
  void wholeParametersGiveRationalNumbers(int trials, String written) {
    BigDecimal q = new BigDecimal(written);
    for (int x = 0; x <= trials; x++) {
      Tally tally = Tally.of(x, trials);
      // With a uniform prior the data have probability 1/(n + 1), whatever the count.
      BigInteger ways = BigInteger.ONE;
      for (int j = 0; j < x; j++) {
        ways = ways.multiply(BigInteger.valueOf(trials - j)).divide(BigInteger.valueOf(j + 1L));
      }
      BigDecimal likelihood =
          new BigDecimal(ways)
              .multiply(q.pow(x))
              .multiply(BigDecimal.ONE.subtract(q).pow(trials - x));
      double two =
          BigDecimal.ONE
              .divide(BigDecimal.valueOf(trials + 1L), DIGITS)
              .divide(likelihood, DIGITS)
              .doubleValue();
      double below = betaLower(x + 1, trials - x + 1, q).doubleValue();
      Hypothesis point = Hypothesis.twoSided(q.doubleValue());
      assertThat(Math.exp(RateBayesFactor.log(tally, point, BetaPrior.UNIFORM)))
          .isCloseTo(two, within(1e-12 * two));
      double less = two * below / q.doubleValue();
      assertThat(
              Math.exp(
                  RateBayesFactor.log(tally, Hypothesis.less(q.doubleValue()), BetaPrior.UNIFORM)))
          .isCloseTo(less, within(1e-12 * less));
      double above = BetaPrior.UNIFORM.posterior(tally).probabilityAbove(q.doubleValue());
      double expected = BigDecimal.ONE.subtract(betaLower(x + 1, trials - x + 1, q)).doubleValue();
      assertThat(above).isCloseTo(expected, within(1e-12 * expected));
    }
  }

  @ParameterizedTest
  @CsvSource({"15, 387", "1, 61", "0.5, 60.5", "2, 2", "0.7, 1.9", "61, 1", "50001, 950001"})
  void limitsHaveTheirTailsAndEqualDensities(double alpha, double beta) {
    BetaPosterior posterior = BetaPosterior.of(alpha, beta);
    for (double probability : new double[] {1e-9, 0.025, 0.5, 0.975, 1 - 1e-9}) {
      assertThat(posterior.probabilityAbove(posterior.quantile(probability)))
          .as("quantile " + probability)
          .isCloseTo(1 - probability, within(1e-12));
    }
    BetaDistribution other = BetaDistribution.of(alpha, beta);
    for (double level : new double[] {0.1, 0.5, 0.95, 0.999}) {
      Credible equal = posterior.equalTailed(level);
      assertThat(equal.kind()).isEqualTo(Kind.EQUAL_TAILED);
      assertThat(other.cumulativeProbability(equal.lower()))
          .isCloseTo((1 - level) / 2, within(1e-10));
      assertThat(other.survivalProbability(equal.upper()))
          .isCloseTo((1 - level) / 2, within(1e-10));
      Credible highest = posterior.highestDensity(level).orElseThrow();
      assertThat(other.probability(highest.lower(), highest.upper()))
          .isCloseTo(level, within(1e-9));
      assertThat(highest.upper() - highest.lower())
          .isLessThanOrEqualTo((equal.upper() - equal.lower()) * (1 + 1e-12));
      if (alpha > 1 && beta > 1) {
        assertThat(other.logDensity(highest.lower()))
            .isCloseTo(other.logDensity(highest.upper()), within(1e-6));
      } else {
        assertThat(alpha < beta ? highest.lower() : 1 - highest.upper()).isZero();
      }
    }
    assertThat(other.cumulativeProbability(posterior.median())).isCloseTo(0.5, within(1e-10));
    assertThat(posterior.mean()).isCloseTo(alpha / (alpha + beta), within(1e-15));
    assertThat(posterior.inside(0.1, 0.4)).isCloseTo(other.probability(0.1, 0.4), within(1e-11));
    assertThat(posterior.inside(0, 1)).isEqualTo(1);
  }

  /** Simpson's rule on the density, whatever the cut. */
  private static double integral(double from, double to, DoubleUnaryOperator f) {
    int steps = 20_000;
    double h = (to - from) / steps;
    double sum = f.applyAsDouble(from) + f.applyAsDouble(to);
    for (int i = 1; i < steps; i++) {
      sum += (i % 2 == 1 ? 4 : 2) * f.applyAsDouble(from + i * h);
    }
    return sum * h / 3;
  }

  @ParameterizedTest
  @ValueSource(strings = {"less", "greater"})
  void aCutPosteriorIsRenormalised(String side) {
    Alternative alternative = Alternative.of(side);
    BetaPosterior cut = BetaPosterior.of(15, 387).within(alternative, 0.05);
    BetaDistribution whole = BetaDistribution.of(15, 387);
    double from = alternative == Alternative.LESS ? 0 : 0.05;
    double to = alternative == Alternative.LESS ? 0.05 : 1;
    double mass = integral(from, to, whole::density);
    assertThat(cut.truncated()).isTrue();
    assertThat(cut.mean())
        .isCloseTo(integral(from, to, p -> p * whole.density(p)) / mass, within(1e-9));
    Credible equal = cut.equalTailed(0.9);
    assertThat(integral(from, equal.lower(), whole::density) / mass).isCloseTo(0.05, within(1e-8));
    assertThat(integral(equal.upper(), to, whole::density) / mass).isCloseTo(0.05, within(1e-8));
    Credible highest = cut.highestDensity(0.9).orElseThrow();
    assertThat(integral(highest.lower(), highest.upper(), whole::density) / mass)
        .isCloseTo(0.9, within(1e-8));
    assertThat(cut.mode()).isEqualTo(alternative == Alternative.LESS ? 14 / 400.0 : 0.05);
    if (alternative == Alternative.GREATER) {
      assertThat(highest.lower()).isEqualTo(0.05);
      assertThat(cut.probabilityAbove(0.04)).isEqualTo(1);
    } else {
      assertThat(cut.probabilityAbove(0.06)).isZero();
    }
  }

  /** Whole parameters: a density is a polynomial, so that every region is a sum of powers. */
  @ParameterizedTest
  @CsvSource({"3, 5, 0.3", "7, 2, 0.6", "15, 387, 0.05", "2, 40, 0.2"})
  void regionsOfWholeAndCutPosteriorsAgreeWithTheirIntegrals(int a, int b, double at) {
    BetaPosterior whole = BetaPosterior.of(a, b);
    BetaDistribution beta = BetaDistribution.of(a, b);
    assertThat(whole.truncated()).isFalse();
    double[] ends = {0, at / 8, at / 2, at, (1 + at) / 2, (7 + at) / 8, 1};
    for (Alternative side : Alternative.values()) {
      BetaPosterior posterior = side == Alternative.TWO_SIDED ? whole : whole.within(side, at);
      double from = side == Alternative.GREATER ? at : 0;
      double to = side == Alternative.LESS ? at : 1;
      double left = mass(beta, from, to);
      for (int i = 0; i < ends.length; i++) {
        for (int j = i + 1; j < ends.length; j++) {
          double expected = mass(beta, Math.max(from, ends[i]), Math.min(to, ends[j])) / left;
          assertThat(posterior.inside(ends[i], ends[j]))
              .as("%s from %s to %s", side, ends[i], ends[j])
              .isCloseTo(expected, within(1e-9 * expected + 1e-300));
        }
        if (ends[i] > 0 && ends[i] < 1) {
          double above = mass(beta, Math.max(from, ends[i]), to) / left;
          assertThat(posterior.probabilityAbove(ends[i])).isCloseTo(above, within(1e-10 * above));
        }
      }
      assertThat(posterior.density(at))
          .isCloseTo(beta.density(at), within(1e-9 * beta.density(at)));
      double median = posterior.median();
      assertThat(posterior.inside(0, median)).isCloseTo(0.5, within(1e-10));
    }
  }

  /** P(from < p ≤ to), from the smaller tail. */
  private static double mass(BetaDistribution beta, double from, double to) {
    if (from >= to) {
      return 0;
    }
    return beta.cumulativeProbability(to) <= 0.5
        ? beta.cumulativeProbability(to) - beta.cumulativeProbability(from)
        : beta.survivalProbability(from) <= 0.5
            ? beta.survivalProbability(from) - beta.survivalProbability(to)
            : 1 - beta.cumulativeProbability(from) - beta.survivalProbability(to);
  }

  @ParameterizedTest
  @CsvSource({
    "3, 5, 0.3333333333333333, -Infinity, -Infinity",
    "1, 4, 0, 1.3862943611198906, -Infinity",
    "4, 1, 1, -Infinity, 1.3862943611198906",
    "0.5, 2, 0, Infinity, -Infinity",
    "2, 0.5, 1, -Infinity, Infinity",
    "1, 0.5, 1, -0.6931471805599453, Infinity",
    "0.5, 1, 0, Infinity, -0.6931471805599453",
    "1, 1, NaN, 0, 0",
    "2, 2, 0.5, -Infinity, -Infinity",
    "0.5, 0.7, NaN, Infinity, Infinity"
  })
  void modesAndEndsFollowTheParameters(
      double a, double b, double mode, double atZero, double atOne) {
    BetaPosterior posterior = BetaPosterior.of(a, b);
    assertThat(posterior.mode()).isEqualTo(Double.valueOf(mode));
    assertThat(posterior.logDensity(0)).isEqualTo(atZero);
    assertThat(posterior.logDensity(1)).isEqualTo(atOne);
    if (Double.isNaN(mode)) {
      assertThat(posterior.highestDensity(0.9)).isEmpty();
    } else {
      Credible highest = posterior.highestDensity(0.9).orElseThrow();
      assertThat(posterior.inside(highest.lower(), highest.upper())).isCloseTo(0.9, within(1e-10));
      assertThat(highest.lower() == 0).isEqualTo(mode == 0);
      assertThat(highest.upper() == 1).isEqualTo(mode == 1);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "3, BARE, 3.00",
    "3.01, POSITIVE, 3.01",
    "20, POSITIVE, 20.0",
    "20.1, STRONG, 20.1",
    "150, STRONG, 150",
    "151, VERY_STRONG, 151",
    "123456, VERY_STRONG, 123000"
  })
  void evidenceHasItsWordsAndItsSize(double factor, Evidence evidence, String times) {
    for (double sign : new double[] {-1, 1}) {
      assertThat(Evidence.of(sign * Math.log(factor))).isEqualTo(evidence);
      assertThat(new java.math.BigDecimal(Evidence.times(sign * Math.log(factor)).replace(",", "")))
          .isEqualByComparingTo(times);
    }
    assertThat(evidence.words()).isNotBlank();
    assertThat(Evidence.times(1000 * Math.log(10) + Math.log(2.5))).isEqualTo("2.50e1000");
    assertThat(Evidence.times(1000 * Math.log(10) - 1e-9)).isEqualTo("1.00e1000");
    assertThat(Evidence.times(999.5 * Math.log(10))).isEqualTo("3.16e999");
  }

  @Test
  void priorsAndRegionsOutOfRangeAreRefused() {
    for (String text : new String[] {"0,1", "-1,1", "1", "1,1,1", "a,b", "NaN,1", "1,1e400"}) {
      assertThatIllegalArgumentException()
          .as(text)
          .isThrownBy(() -> BetaPrior.parse("prior", text))
          .withMessageContaining("prior must");
    }
    assertThat(BetaPrior.parse("prior", "0.5, 20")).isEqualTo(new BetaPrior(0.5, 20));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> BetaPosterior.of(1, 2).inside(0.4, 0.3))
        .withMessageContaining("upwards");
    assertThatIllegalArgumentException().isThrownBy(() -> BetaPosterior.of(1, 2).inside(0.3, 0.3));
    assertThatIllegalArgumentException().isThrownBy(() -> BetaPosterior.of(1, 2).inside(0, 1.1));
    assertThat(BetaPosterior.of(0.5, 0.5).highestDensity(0.95)).isEmpty();
    assertThat(BetaPosterior.of(1, 1).highestDensity(0.95)).isEmpty();
    assertThat(Evidence.of(-Math.log(19))).isEqualTo(Evidence.POSITIVE);
    assertThat(Evidence.of(Math.log(151))).isEqualTo(Evidence.VERY_STRONG);
  }

  @Test
  void priorsHaveTheirRangeAndTheirNames() {
    for (double parameter : new double[] {1e-6, 0.3, 1e9}) {
      assertThat(new BetaPrior(parameter, 1).a()).isEqualTo(parameter);
      assertThat(new BetaPrior(1, parameter).b()).isEqualTo(parameter);
    }
    for (double parameter : new double[] {Math.nextDown(1e-6), Math.nextUp(1e9)}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> new BetaPrior(parameter, 1))
          .withMessageContaining("from 0.000001 to 1e9");
      assertThatIllegalArgumentException().isThrownBy(() -> new BetaPrior(1, parameter));
    }
    assertThat(new BetaPrior(0.5, 20)).hasToString("Beta(0.5, 20)");
    assertThat(new DirichletPrior(List.of(1.0, 2.5))).hasToString("Dirichlet(1, 2.5)");
    assertThat(Kind.values())
        .extracting(Kind::id)
        .containsExactly("equal-tailed", "highest-density");
  }

  /** From the definition, Γ functions with fifty digits (mpmath). */
  @ParameterizedTest
  @CsvSource({
    "'31,22,17', '4,3,3', '1,1,1', -2.8568119691766436163",
    "'310,220,170,0', '1,1,1,1', '0.5,0.5,0.5,0.5', 212.96307120384550493",
    "'400000,300100,299900', '4,3,3', '1,2,3', -13.124326718084139251"
  })
  void sharesAgreeWithReferencesInAnyOrder(
      String written, String claimed, String prior, double expected) {
    List<Long> counts = Arrays.stream(written.split(",")).map(Long::valueOf).toList();
    List<BigInteger> parts = Arrays.stream(claimed.split(",")).map(BigInteger::new).toList();
    List<Double> parameters = Arrays.stream(prior.split(",")).map(Double::valueOf).toList();
    double tolerance = 1e-11 * Math.max(0.1, Math.abs(expected));
    assertThat(new DirichletPrior(parameters).logBayesFactor(counts(counts), parts))
        .isCloseTo(expected, within(tolerance));
    assertThat(
            new DirichletPrior(turned(parameters))
                .logBayesFactor(counts(turned(counts)), turned(parts)))
        .isCloseTo(expected, within(tolerance));
  }

  private static CategoryCounts counts(List<Long> counts) {
    List<String> levels = IntStream.range(0, counts.size()).mapToObj(i -> "c" + i).toList();
    return CategoryCounts.of(levels, counts);
  }

  private static <T> List<T> turned(List<T> list) {
    List<T> turned = new ArrayList<>(list);
    Collections.reverse(turned);
    return turned;
  }

  @Test
  void twoSharesAreOneRate() {
    CategoryCounts two = counts(List.of(14L, 386L));
    DirichletPrior prior = new DirichletPrior(List.of(2.0, 3.0));
    List<BigInteger> claimed = List.of(BigInteger.ONE, BigInteger.valueOf(19));
    assertThat(prior.logBayesFactor(two, claimed))
        .isCloseTo(
            RateBayesFactor.log(Tally.of(14, 400), Hypothesis.twoSided(0.05), new BetaPrior(2, 3)),
            within(1e-14));
    assertThat(prior.posterior(two, 0).mean()).isCloseTo(16 / 405.0, within(1e-15));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> DirichletPrior.uniform(3).logBayesFactor(two, claimed))
        .withMessageContaining("as many counts");
    assertThatIllegalArgumentException().isThrownBy(() -> DirichletPrior.uniform(1));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new DirichletPrior(List.of(1.0, 0.0)))
        .withMessageContaining("parameters from");
  }
}
