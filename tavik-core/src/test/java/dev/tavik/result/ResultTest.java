package dev.tavik.result;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ResultTest {
  @ParameterizedTest
  @CsvSource({"0.1,-2", "0.5,0", "0,-5", "1.5,0", "-0.1,0", "NaN,0", "0.5,NaN", "0.01,-2.1"})
  void aProbabilityAndItsLogarithmMustAgree(double p, double log) {
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                new TestResult(
                    dev.tavik.proportion.ProportionTest.SCORE, null, null, p, log, null, null));
  }

  @ParameterizedTest
  @CsvSource({"0.1,-1", "0,-400", "1,0", "1e-320,-320"})
  void thoseThatAgreeAreKept(double p, double log) {
    TestResult result =
        new TestResult(dev.tavik.proportion.ProportionTest.SCORE, null, null, p, log, null, null);
    assertThat(result.rejects(0.1)).isEqualTo(p <= 0.1);
  }

  /** 1/10 as it comes out of sums, and alphas as they are written. */
  @ParameterizedTest
  @CsvSource({
    "0.1,0.1,true",
    "0.10000000000000002,0.1,true",
    "0.1000000001,0.1,true",
    "0.100001,0.1,false",
    "0.0499999,0.05,true",
    "0.05001,0.05,false",
    "0,1e-300,true"
  })
  void aTieRejects(double p, double alpha, boolean rejects) {
    assertThat(Significance.reached(p, alpha)).isEqualTo(rejects);
    assertThat(p <= Significance.largest(alpha)).isEqualTo(rejects);
  }

  @ParameterizedTest
  @CsvSource({
    "1.96,1.96",
    "-3,-3",
    "+.5,0.5",
    "1e+30,1e30",
    "1e-19,1e-19",
    "1e19,1e19",
    "45%,0.45",
    "1/3,0.3333333333333333",
    "0.3333333333333333,0.3333333333333333"
  })
  void numbersAreReadHoweverTheyAreWritten(String written, double value) {
    assertThat(Numbers.parse("value", written)).isCloseTo(value, within(Math.abs(value) * 1e-15));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "1,5", "1e999999999", "NaN", "1/0", "--3", "0x1F", "1_000", "½"})
  void whatIsNoNumberIsRefusedByName(String written) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Numbers.parse("value", written))
        .withMessageContaining("value")
        .withMessageContaining(written);
  }
}
