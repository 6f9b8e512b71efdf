package dev.tavik.result;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {

  @ParameterizedTest
  @CsvSource({
    "0, 1",
    "-0.00001, above 0.9995",
    "-1.0739957068602537, 0.0843",
    "-2.1307682802690238, 0.00740",
    "-3.999, 0.000100",
    "-4.30103, 5.00e-5",
    "-11.508638306165727, 3.10e-12",
    "-5.0000001, 1.00e-5",
    "-411.5, 3.16e-412",
    "-542867542867.3, 1e-542867542867"
  })
  void pValuesAreNeverBareZeros(double log10, String text) {
    assertThat(Figures.pValue(log10)).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0%",
    "1, 100%",
    "0.035, 3.5%",
    "0.05788, 5.8%",
    "0.5, 50.0%",
    "0.00082, 0.082%",
    "0.9997, 99.970%",
    "1e-9, 0.00000010%",
    "3e-12, 3.0e-10%"
  })
  void percentagesKeepTwoDigits(double proportion, String text) {
    assertThat(Figures.percent(proportion)).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({
    "0.0498, 0.05, 4.98%",
    "0.05018, 0.05022, 5.018%",
    "0.05, 0.05, 5.0%",
    "0.03, 0.05, 3.0%",
    "0.04999, 0.05, 4.999%"
  })
  void neighboursAreToldApart(double proportion, double other, String text) {
    assertThat(Figures.percentBeside(proportion, other)).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({
    "-1.3764944032, 4, -1.376",
    "0.0091889879, 4, 0.009189",
    "20, 4, 20.00",
    "123456, 3, 123000",
    "0.0000012345, 3, 1.23e-6",
    "9.9996, 4, 10.00",
    "0, 4, 0"
  })
  void significantDigitsStay(double value, int digits, String text) {
    assertThat(Figures.significant(value, digits)).isEqualTo(text);
  }

  /** Half up, as a decimal reads; and never the significance level where it isn't. */
  @Test
  void halvesGoUpAndPIsToldFromAlpha() {
    assertThat(Figures.percent(13 / 400.0)).isEqualTo("3.3%");
    assertThat(Figures.percent(0.0725)).isEqualTo("7.3%");
    assertThat(Figures.significant(0.125, 2)).isEqualTo("0.13");
    assertThat(Figures.significant(Double.NaN, 3)).isEqualTo("none");
    assertThat(Figures.pValue(Math.log10(0.050001))).isEqualTo("0.050001");
    assertThat(Figures.pValue(Math.log10(0.04999))).isEqualTo("0.04999");
    assertThat(Figures.pValue(Math.log10(0.05))).isEqualTo("0.0500");
    assertThat(Figures.pValue(Math.log10(0.0400002), 0.04)).isEqualTo("0.0400002");
    assertThat(Figures.pValue(Math.log10(0.0400002))).isEqualTo("0.0400");
  }

  @ParameterizedTest
  @CsvSource({
    "0.05, 5%",
    "0.0025, 0.25%",
    "0.3333333333333333, 1/3",
    "0.16666666666666666, 1/6",
    "0.333333333333, 33.3333333333%",
    "0.999, 99.9%",
    "0.9999999999999, 99.99999999999%"
  })
  void givenValuesAreEchoedInFull(double value, String text) {
    assertThat(Figures.exactPercent(value)).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({
    "0.05, 0.05",
    "5%, 0.05",
    "5 %, 0.05",
    ".5, 0.5",
    "1/20, 0.05",
    "2.5%, 0.025",
    "1e-3, 0.001",
    "1/3, 0.3333333333333333",
    "0.07%, 0.0007",
    "99.9%, 0.999"
  })
  void proportionsAreReadAsPeopleWriteThem(String text, double value) {
    assertThat(Proportion.parse("against", text)).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "5 | got 5; did you mean 5%?",
        "95 | did you mean 95%?",
        "0 | strictly between 0 and 1",
        "1 | did you mean 1%?",
        "100% | strictly between 0 and 1",
        "500% | got 500%",
        "-0.1 | strictly between 0 and 1",
        "0,05 | did you mean 0.05?",
        "5,5% | did you mean 5.5%?",
        "1/0 | must be a proportion such as 0.05, 5% or 1/20, got '1/0'",
        "twenty | got 'twenty'",
        "NaN | got 'NaN'"
      })
  void whatIsNoProportionIsRefusedWithWhatWasMeant(String text, String message) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Proportion.parse("against", text))
        .withMessageStartingWith("against must")
        .withMessageContaining(message);
  }
}
