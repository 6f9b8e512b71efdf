package dev.tavik.result;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.proportion.ProportionTest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** An adjusted p-value is at most alpha where the procedure of the paper rejects at alpha. */
class AdjustmentTest {
  private static List<TestResult> tests(double... ps) {
    List<TestResult> tests = new ArrayList<>();
    for (double p : ps) {
      tests.add(TestResult.of(ProportionTest.SCORE, null, Math.log(p)));
    }
    return tests;
  }

  private static TestResult.AdjustedP after(TestResult test) {
    return Objects.requireNonNull(test.adjusted());
  }

  /** The procedures as the papers word them: by steps, at one alpha. */
  private static List<Boolean> rejected(Adjustment adjustment, double[] ps, double alpha) {
    int m = ps.length;
    List<Integer> order =
        IntStream.range(0, m).boxed().sorted(Comparator.comparingDouble(i -> ps[i])).toList();
    int count = 0;
    for (int k = 1; k <= m; k++) {
      double p = ps[order.get(k - 1)];
      boolean within =
          switch (adjustment) {
            case HOLM, HOCHBERG -> p <= alpha / (m - k + 1);
            case BENJAMINI_HOCHBERG -> p <= alpha * k / m;
            case NONE -> p <= alpha;
          };
      if (within && (adjustment != Adjustment.HOLM || count == k - 1)) {
        count = k;
      }
    }
    int rejections = count;
    return IntStream.range(0, m).mapToObj(i -> order.indexOf(i) < rejections).toList();
  }

  @ParameterizedTest
  @EnumSource(Adjustment.class)
  void adjustedValuesRejectWhatTheProcedureRejects(Adjustment adjustment) {
    Random random = new Random(17);
    for (int round = 0; round < 400; round++) {
      double[] ps = random.doubles(1 + random.nextInt(9)).map(u -> u * u * u).toArray();
      List<TestResult> adjusted = adjustment.of(tests(ps));
      for (double alpha : new double[] {0.003, 0.01, 0.05, 0.2, 0.7}) {
        assertThat(adjusted.stream().map(each -> after(each).pValue() <= alpha).toList())
            .isEqualTo(rejected(adjustment, ps, alpha));
      }
      for (int i = 0; i < ps.length; i++) {
        TestResult.AdjustedP after = after(adjusted.get(i));
        assertThat(after.pValue()).isBetween(ps[i] * (1 - 1e-12), 1.0);
        assertThat(Math.pow(10, after.log10PValue())).isCloseTo(after.pValue(), within(1e-12));
      }
    }
  }

  /** What has underflowed keeps its order, and a family of one is as it was. */
  @ParameterizedTest
  @EnumSource(Adjustment.class)
  void tinyValuesKeepTheirOrder(Adjustment adjustment) {
    List<TestResult> tiny =
        List.of(
            TestResult.of(ProportionTest.SCORE, null, -2000),
            TestResult.of(ProportionTest.SCORE, null, -3000));
    List<TestResult> adjusted = adjustment.of(tiny);
    assertThat(after(adjusted.get(1)).log10PValue())
        .isLessThan(after(adjusted.get(0)).log10PValue());
    assertThat(after(adjustment.of(tests(0.04)).get(0)).pValue()).isCloseTo(0.04, within(1e-15));
    assertThat(adjustment.of(List.of())).isEmpty();
  }
}
