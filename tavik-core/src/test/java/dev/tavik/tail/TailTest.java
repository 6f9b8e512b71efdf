package dev.tavik.tail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class TailTest {
  /** Areas from the definitions with fifty digits (mpmath). */
  static Stream<Arguments> areas() {
    return Stream.of(
        Arguments.of(Tail.normal(0, 1).upper(1.96), 0.024997895148220435),
        Arguments.of(Tail.normal(0, 1).upper(37), 5.725571222524577e-300),
        Arguments.of(Tail.normal(0, 1).upper(-3), 0.9986501019683699),
        Arguments.of(Tail.normal(10, 2).lower(6.08), 0.024997895148220435),
        Arguments.of(Tail.chiSquare(3).upper(7.8), 0.05033109785985335),
        Arguments.of(Tail.chiSquare(3).upper(1300), 1.4717437106980104e-281),
        Arguments.of(Tail.chiSquare(40).lower(0.001), 3.9180381738785937e-85),
        Arguments.of(Tail.chiSquare(0.5).lower(1e-9), 0.005217006974544691),
        Arguments.of(Tail.t(12).upper(2.2), 0.02406840672251127),
        Arguments.of(Tail.t(12).lower(-2.2), 0.02406840672251127),
        Arguments.of(Tail.t(1).upper(1e100), 3.183098861837907e-101),
        Arguments.of(Tail.t(300).upper(60), 1.9397509696702426e-169),
        Arguments.of(Tail.f(2, 30).upper(3.3158), 0.05000120802856589),
        Arguments.of(Tail.f(7, 3).upper(5000), 4.3098978756844645e-06),
        Arguments.of(Tail.poisson(3.5).upper(8), 0.02673892209131969),
        Arguments.of(Tail.poisson(3.5).upper(160), 7.361124506399561e-200),
        Arguments.of(Tail.poisson(1000).lower(500), POISSON_FAR));
  }

  private static final double POISSON_FAR = 8.30383406699052e-69;

  @ParameterizedTest
  @MethodSource("areas")
  void areasAgreeWithReferences(double found, double expected) {
    assertThat(found).isCloseTo(expected, within(1e-10 * expected));
  }

  /** Logarithms of both tails with forty digits (mpmath), at parameters of all sizes. */
  @ParameterizedTest
  @CsvSource({
    "4.0, 1000000000000.0, 1.0e-11, -0.010389838604739972, -4.572117429144904",
    "4.0, 1000000000000.0, 3.0e-12, -1.0419443466337368, -0.43505064254157866",
    "0.5, 1000000000000.0, 2.0e-12, -0.046567912292305315, -3.0900371531238666",
    "0.5, 60.5, 0.02, -0.12635088628679875, -2.1312027728154668",
    "0.1, 0.1, 0.3, -0.7704512385100225, -0.6213926068346596",
    "0.5, 0.5, 0.999, -0.02034051439755801, -3.9052936169690375",
    "1500.0, 1000000000.0, 1.6e-6, -0.00563233449433886, -5.182046115587366",
    "2.0, 1.0, 0.999999, -2.0000010000006668e-06, -13.122363877404455",
    "0.001, 1000000000.0, 1.0e-12, -0.006332360432875487, -5.065246725579832",
    "1.0e-6, 3.0, 0.2, -4.894382196339905e-07, -14.53000783882676",
    "3.0, 1.0e-6, 0.2, -19.577911349832952, -3.1435555142106065e-09"
  })
  void betaTailsHaveTheirDigits(double a, double b, double x, double below, double above) {
    Tail tail = Tail.beta(a, b);
    assertThat(tail.logLower(x)).isCloseTo(below, within(1e-12 * Math.max(1, -below)));
    assertThat(tail.logUpper(x)).isCloseTo(above, within(1e-12 * Math.max(1, -above)));
  }

  static Stream<Tail> continuous() {
    return Stream.of(
        Tail.normal(0, 1),
        Tail.normal(-30, 0.01),
        Tail.t(1.5),
        Tail.t(200),
        Tail.chiSquare(1),
        Tail.chiSquare(250),
        Tail.f(3, 11),
        Tail.beta(3, 2.5),
        Tail.beta(2, 3800));
  }

  /** A critical value leaves its area; between and outside make one. */
  @ParameterizedTest
  @MethodSource("continuous")
  void valuesLeaveTheirAreas(Tail tail) {
    for (double area : new double[] {1e-12, 0.001, 0.05, 0.5, 0.9}) {
      assertThat(tail.lower(tail.valueBelow(area))).isCloseTo(area, within(3e-10 * area));
      assertThat(tail.upper(tail.valueAbove(area))).isCloseTo(area, within(3e-10 * area));
    }
    double low = tail.valueBelow(0.2);
    double high = tail.valueAbove(0.07);
    assertThat(tail.between(low, high)).isCloseTo(0.73, within(1e-9));
    assertThat(Math.exp(tail.logBoth(low))).isCloseTo(0.4, within(1e-9));
    assertThat(tail.lower(tail.least())).isZero();
    assertThat(tail.upper(tail.greatest())).isZero();
  }

  /** Far out too, unless the value is none that a double tells from the end of its range. */
  @ParameterizedTest
  @MethodSource("continuous")
  void farValuesLeaveTheirAreas(Tail tail) {
    int found = 0;
    for (double area : new double[] {1e-300, 1e-290, 1e-150, 1e-40}) {
      try {
        double below = tail.logLower(tail.valueBelow(area));
        assertThat(below).isCloseTo(Math.log(area), within(1e-11 * -Math.log(area)));
        found++;
        double above = tail.logUpper(tail.valueAbove(area));
        assertThat(above).isCloseTo(Math.log(area), within(1e-11 * -Math.log(area)));
      } catch (IllegalArgumentException e) {
        assertThat(e).hasMessageStartingWith("the value with such an area lies");
      }
    }
    assertThat(found).as(tail.name()).isGreaterThanOrEqualTo(2);
  }

  /** Sums of Poisson-weighted central tails, the definition. */
  @Test
  void noncentralTailsAreMixtures() {
    Tail tail = Tail.chiSquare(3, 7.5);
    for (double x : new double[] {0.4, 5, 12, 40}) {
      double sum = 0;
      double weight = Math.exp(-3.75);
      for (int k = 0; k < 80; k++) {
        sum += weight * Tail.chiSquare(3 + 2 * k).upper(x);
        weight *= 3.75 / (k + 1);
      }
      assertThat(tail.upper(x)).isCloseTo(sum, within(1e-11 * sum));
    }
    assertThat(tail.upper(tail.valueAbove(0.05))).isCloseTo(0.05, within(1e-10));
    assertThat(tail.lower(tail.valueBelow(0.05))).isCloseTo(0.05, within(1e-10));
  }

  /** Every count of small distributions against whole-number ways. */
  @Test
  void countsAgreeWithWays() {
    Tail binomial = Tail.binomial(12, 0.25);
    Tail drawn = Tail.hypergeometric(20, 7, 9);
    BigDecimal below = BigDecimal.ZERO;
    BigInteger chosen = BigInteger.ZERO;
    for (int x = 0; x <= 12; x++) {
      below =
          below.add(
              new BigDecimal(ways(12, x).multiply(BigInteger.valueOf(3).pow(12 - x)))
                  .divide(new BigDecimal(BigInteger.valueOf(4).pow(12))));
      assertThat(binomial.lower(x)).isCloseTo(below.doubleValue(), within(1e-13));
      assertThat(binomial.upper(x + 1))
          .isCloseTo(BigDecimal.ONE.subtract(below).doubleValue(), within(1e-13));
      if (x <= 7) {
        chosen = chosen.add(ways(7, x).multiply(ways(13, 9 - x)));
        assertThat(drawn.lower(x))
            .isCloseTo(chosen.doubleValue() / ways(20, 9).doubleValue(), within(1e-13));
      }
    }
    assertThat(binomial.between(2, 4))
        .isCloseTo(binomial.lower(4) - binomial.lower(1), within(1e-14));
    assertThat(binomial.lower(3.7)).isEqualTo(binomial.lower(3));
    assertThat(binomial.upper(3.2)).isEqualTo(binomial.upper(4));
  }

  private static BigInteger ways(int n, int k) {
    BigInteger product = k > n ? BigInteger.ZERO : BigInteger.ONE;
    for (int j = 0; j < Math.min(k, n); j++) {
      product = product.multiply(BigInteger.valueOf(n - j)).divide(BigInteger.valueOf(j + 1L));
    }
    return product;
  }

  @Test
  void criticalCountsStayWithinTheirArea() {
    for (Tail tail :
        new Tail[] {
          Tail.binomial(400, 0.05), Tail.hypergeometric(500, 25, 60), Tail.poisson(3.5)
        }) {
      for (double area : new double[] {1e-9, 0.01, 0.05, 0.3}) {
        double low = tail.valueBelow(area);
        assertThat(tail.lower(low)).isLessThanOrEqualTo(area);
        assertThat(tail.lower(low + 1)).isGreaterThan(area);
        double high = tail.valueAbove(area);
        assertThat(tail.upper(high)).isLessThanOrEqualTo(area);
        assertThat(tail.upper(high - 1)).isGreaterThan(area);
      }
    }
    assertThat(Tail.poisson(0.5).valueBelow(0.1)).isEqualTo(-1);
  }

  @Test
  void whatIsNoDistributionIsRefused() {
    for (Supplier<Tail> wrong :
        Stream.<Supplier<Tail>>of(
                () -> Tail.normal(0, 0),
                () -> Tail.normal(Double.NaN, 1),
                () -> Tail.t(-1),
                () -> Tail.chiSquare(2, -1),
                () -> Tail.f(2, Double.POSITIVE_INFINITY),
                () -> Tail.binomial(0, 0.5),
                () -> Tail.binomial(10, 1),
                () -> Tail.hypergeometric(10, 11, 3),
                () -> Tail.poisson(0))
            .toList()) {
      assertThatIllegalArgumentException().isThrownBy(wrong::get).withMessageContaining("must ");
    }
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Tail.t(3).between(2, 1))
        .withMessageContaining("upwards");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Tail.t(3).valueBelow(1))
        .withMessageContaining("area");
  }
}
