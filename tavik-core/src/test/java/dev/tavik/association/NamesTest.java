package dev.tavik.association;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.tavik.result.Method;
import java.math.BigInteger;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What methods, measures, shares and options are called and how they are written. */
class NamesTest {
  static Stream<List<Method>> methods() {
    return Stream.of(
        List.of(TableTest.values()),
        List.of(SharesTest.values()),
        List.of(SquareTest.values()),
        List.of(StratifiedTest.values()),
        List.of(StrengthInterval.values()),
        List.of(SharesInterval.values()));
  }

  @ParameterizedTest
  @MethodSource("methods")
  void methodsGoByTheirIds(List<Method> methods) {
    assertThat(methods).extracting(Method::id).doesNotHaveDuplicates();
    for (Method method : methods) {
      assertThat(method.id())
          .isEqualTo(method.info().id())
          .isEqualTo(
              ((Enum<?>) method)
                  .name()
                  .toLowerCase(Locale.ROOT)
                  .replace('_', '-')
                  .replace("minus-", ""));
      assertThat(method.info().description()).isNotBlank();
      assertThat(method.info().reference()).matches(".*\\b[12][0-9]{3}\\b.*");
    }
  }

  @Test
  void measuresHaveTitlesWithTheirDirection() {
    assertThat(AssociationMeasure.values())
        .extracting(AssociationMeasure::title)
        .containsExactly(
            "phi",
            "Cramer's V",
            "Cramer's V, corrected for bias",
            "contingency coefficient",
            "Cohen's w",
            "lambda, columns from rows",
            "lambda, rows from columns",
            "Theil's U, columns from rows",
            "Theil's U, rows from columns",
            "gamma",
            "Kendall's tau-b",
            "Somers' d, columns from rows",
            "Somers' d, rows from columns");
    assertThat(Arrays.stream(AssociationMeasure.values()).filter(AssociationMeasure::ofOrder))
        .containsExactly(
            AssociationMeasure.GAMMA,
            AssociationMeasure.KENDALLS_TAU_B,
            AssociationMeasure.SOMERS_D_COLUMNS,
            AssociationMeasure.SOMERS_D_ROWS);
    assertThat(Arrays.stream(TableTest.values()).filter(TableTest::ofOrder))
        .containsExactlyInAnyOrder(TableTest.TREND, TableTest.LINEAR);
    assertThat(Agreement.values())
        .extracting(Agreement::inWords)
        .containsExactly("kappa", "kappa, linear weights", "kappa, quadratic weights");
    assertThat(Agreement.values()).extracting(Agreement::quantity).doesNotHaveDuplicates();
    assertThat(Arrays.stream(SharesInterval.values()).filter(SharesInterval::simultaneous))
        .doesNotContain(SharesInterval.WILSON)
        .hasSize(SharesInterval.values().length - 1);
  }

  @Test
  void sharesAreTheSameHoweverTheyAreWritten() {
    Shares ratio = Shares.ratio(8, 6, 6);
    assertThat(ratio)
        .isEqualTo(Shares.of(0.4, 0.3, 0.3))
        .isEqualTo(Shares.parse(List.of("40%", "3/10", "0.3")))
        .hasSameHashCodeAs(Shares.parse(List.of("4:3:3")))
        .isNotEqualTo(Shares.ratio(3, 4, 3))
        .isNotEqualTo(List.of(4, 3, 3))
        .hasToString("Shares[parts=[4, 3, 3]]");
    assertThat(ratio.hashCode()).isNotZero();
    assertThat(ratio.parts()).containsExactly(big(4), big(3), big(3));
    assertThat(Shares.equal(3).size()).isEqualTo(3);
    assertThat(ratio.share(0)).isEqualTo(0.4);
  }

  private static BigInteger big(long value) {
    return BigInteger.valueOf(value);
  }

  @Test
  void budgetsAndScoresAreHeldToTheirRange() {
    assertThat(TestOptions.usual().budget(2.5).budget()).isEqualTo(2.5);
    for (double budget : new double[] {0, -1, Double.NaN, Double.POSITIVE_INFINITY}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> TestOptions.usual().budget(budget))
          .withMessageContaining("above 0 seconds");
    }
    assertThat(TestOptions.usual().rowScores(List.of(0.0, 2.0)).ofRows(2)).containsExactly(0, 2);
    for (List<Double> scores :
        List.of(List.of(1.0, 1.0), List.of(1.0, Double.POSITIVE_INFINITY), List.of(2.0, 1.0))) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> TestOptions.usual().columnScores(scores))
          .withMessageContaining("increase from level to level");
    }
  }
}
