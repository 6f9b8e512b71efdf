package dev.tavik.association;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.CategoryCounts;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SharesTestTest {

  private static CategoryCounts counts(long... counts) {
    List<String> levels = IntStream.range(0, counts.length).mapToObj(i -> "level " + i).toList();
    List<Long> boxed = new ArrayList<>();
    for (long count : counts) {
      boxed.add(count);
    }
    return CategoryCounts.of(levels, boxed);
  }

  private static Shares ratio(String ratio) {
    return Shares.parse(List.of(ratio));
  }

  /** Every outcome of n units, by its number of ways times the product of the parts. */
  private static void outcomes(int category, int left, long[] counts, List<long[]> found) {
    if (category == counts.length - 1) {
      counts[category] = left;
      found.add(counts.clone());
      return;
    }
    for (int count = 0; count <= left; count++) {
      counts[category] = count;
      outcomes(category + 1, left - count, counts, found);
    }
  }

  private static BigInteger weight(long[] counts, Shares shares) {
    BigInteger weight = BigInteger.ONE;
    long placed = 0;
    for (int i = 0; i < counts.length; i++) {
      for (long k = 1; k <= counts[i]; k++) {
        placed++;
        weight = weight.multiply(BigInteger.valueOf(placed)).divide(BigInteger.valueOf(k));
      }
      weight = weight.multiply(shares.parts().get(i).pow((int) counts[i]));
    }
    return weight;
  }

  @ParameterizedTest
  @CsvSource({"4:3:3, 9", "1:2:5, 12", "1:1:1, 10", "1:1:1:1, 7", "1:2:3:10, 6", "2:1:1:3:1, 5"})
  void exactMultinomialAgreesWithCountsOfOutcomes(String ratio, int n) {
    Shares shares = ratio(ratio);
    List<long[]> outcomes = new ArrayList<>();
    outcomes(0, n, new long[shares.size()], outcomes);
    BigInteger all =
        outcomes.stream().map(o -> weight(o, shares)).reduce(BigInteger::add).orElseThrow();
    for (long[] observed : outcomes) {
      BigInteger own = weight(observed, shares);
      BigInteger noMore =
          outcomes.stream()
              .map(outcome -> weight(outcome, shares))
              .filter(weight -> weight.compareTo(own) <= 0)
              .reduce(BigInteger.ZERO, BigInteger::add);
      double expected =
          new BigDecimal(noMore).divide(new BigDecimal(all), MathContext.DECIMAL64).doubleValue();
      assertThat(SharesTest.EXACT_MULTINOMIAL.of(counts(observed), shares).pValue())
          .as("%s %s", ratio, counts(observed).counts())
          .isCloseTo(expected, within(1e-11 * expected));
    }
  }

  @Test
  void twoCategoriesAgreeWithARate() {
    Shares shares = Shares.parse(List.of("30%", "70%"));
    for (int n : new int[] {1, 7, 30, 400}) {
      for (int x = 0; x <= n; x += Math.max(1, n / 20)) {
        CategoryCounts counts = counts(x, n - x);
        Tally tally = Tally.of(x, n);
        Hypothesis hypothesis = Hypothesis.twoSided(0.3);
        double score = ProportionTest.SCORE.of(tally, hypothesis).pValue();
        double exact = ProportionTest.EXACT.of(tally, hypothesis).pValue();
        double ratio = ProportionTest.LIKELIHOOD_RATIO.of(tally, hypothesis).pValue();
        assertThat(SharesTest.PEARSON.of(counts, shares).pValue())
            .isCloseTo(score, within(1e-11 * score));
        assertThat(SharesTest.EXACT_MULTINOMIAL.of(counts, shares).pValue())
            .isCloseTo(exact, within(1e-11 * exact));
        assertThat(SharesTest.LIKELIHOOD_RATIO.of(counts, shares).pValue())
            .isCloseTo(ratio, within(1e-10 * ratio));
      }
    }
  }

  @Test
  void chiSquareIsTheSumOfContributions() {
    CategoryCounts tiles = counts(98, 73, 92, 28);
    TestResult pearson = SharesTest.PEARSON.of(tiles, Shares.equal(4));
    double sum = 0;
    for (int i = 0; i < 4; i++) {
      CellFigures cell = CellFigures.of(tiles, Shares.equal(4), i);
      sum += cell.contribution();
      assertThat(cell.expected()).isEqualTo(72.75);
      assertThat(cell.adjustedResidual())
          .isCloseTo((cell.observed() - 72.75) / Math.sqrt(72.75 * 0.75), within(1e-13));
      assertThat(cell.contribution())
          .isCloseTo(cell.pearsonResidual() * cell.pearsonResidual(), within(1e-13));
    }
    double statistic = Objects.requireNonNull(pearson.statistic()).value();
    assertThat(statistic).isCloseTo(sum, within(1e-12));
    assertThat(pearson.df()).isEqualTo(3.0);
    assertThat(pearson.pValue())
        .isCloseTo(ChiSquaredDistribution.of(3).survivalProbability(statistic), within(1e-19));
    // Counts of 10⁹ that differ from their expectation by one keep all digits: 2 · 1²/10⁹.
    CategoryCounts large = counts(1_000_000_001L, 999_999_999L);
    assertThat(
            Objects.requireNonNull(SharesTest.PEARSON.of(large, Shares.equal(2)).statistic())
                .value())
        .isCloseTo(2e-9, within(1e-23));
  }

  @Test
  void theExactTestDeclinesWithTheNumberOfOutcomes() {
    assertThatThrownBy(
            () ->
                SharesTest.EXACT_MULTINOMIAL.of(
                    counts(200, 200, 200, 200, 200, 200), Shares.equal(6)))
        .isInstanceOf(NotApplicableException.class)
        .hasMessageEndingWith(", 1200, 6)");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SharesTest.PEARSON.of(counts(1, 2, 3), Shares.equal(2)))
        .withMessageContaining("one share for each category");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1/8, 7/8|1 7",
        "40%, 30%, 30%|40 30 30",
        "0.4, .35, 0.25|40 35 25",
        "4:3:3|4 3 3",
        "12.5%, 87.5%|125 875",
        "1/3, 1/3, 33.333333333333333333%, 1/300000000000000000000|sum",
        "33.3%, 33.3%, 33.3%|add up to 99.9%",
        "50%, 60%|add up to 110%",
        "0%, 100%|above 0",
        "x, 1|written as",
        "1/0, 1|written as",
        "-1, 2|written as",
        "1e-1, 9e-1|1 9"
      })
  void sharesAreReadAsPeopleWriteThem(String written, String parts) {
    List<String> words = List.of(written.split(",\\s*"));
    if (!parts.matches("[\\d ]+")) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> Shares.parse(words))
          .satisfies(
              e -> assertThat(e).hasMessageContaining(parts.equals("sum") ? "share" : parts));
      return;
    }
    Shares shares = Shares.parse(words);
    double whole = 0;
    for (String part : parts.split(" ")) {
      whole += Double.parseDouble(part);
    }
    for (int i = 0; i < shares.size(); i++) {
      assertThat(shares.share(i))
          .isCloseTo(Double.parseDouble(parts.split(" ")[i]) / whole, within(1e-16));
    }
  }

  @Test
  void goodmanIsWilsonWithTheErrorShared() {
    CategoryCounts tiles = counts(31, 22, 17);
    List<Interval> goodman = SharesInterval.GOODMAN.of(tiles, 0.94);
    List<Interval> wilson = SharesInterval.WILSON.of(tiles, 0.94);
    for (int i = 0; i < 3; i++) {
      Interval each = ProportionInterval.WILSON.of(tiles.tally(i), 0.98);
      assertThat(goodman.get(i).lower()).isCloseTo(each.lower(), within(1e-14));
      assertThat(goodman.get(i).upper()).isCloseTo(each.upper(), within(1e-14));
      assertThat(wilson.get(i).lower()).isGreaterThan(goodman.get(i).lower());
      assertThat(goodman.get(i).level()).isEqualTo(0.94);
    }
  }

  /** ν(c) and ν(c + 1) by going through all outcomes, and the limits from them. */
  @ParameterizedTest
  @CsvSource({"8, 5, 7", "12, 0, 3", "1, 1, 1", "6, 6, 2"})
  void sisonGlazFollowsItsDefinition(int a, int b, int c) {
    CategoryCounts observed = counts(a, b, c);
    int n = a + b + c;
    double[] within = new double[n + 2];
    List<long[]> outcomes = new ArrayList<>();
    outcomes(0, n, new long[3], outcomes);
    for (long[] outcome : outcomes) {
      double probability = 1;
      long placed = 0;
      long away = 0;
      for (int i = 0; i < 3; i++) {
        for (long k = 1; k <= outcome[i]; k++) {
          placed++;
          probability *= observed.tally(i).proportion() * placed / k;
        }
        away = Math.max(away, Math.abs(outcome[i] - observed.counts().get(i)));
      }
      for (long reach = away; reach < within.length; reach++) {
        within[(int) reach] += probability;
      }
    }
    double level = 0.9;
    int reach = 0;
    while (within[reach + 1] < level) {
      reach++;
    }
    double gamma = (level - within[reach]) / (within[reach + 1] - within[reach]);
    List<Interval> intervals = SharesInterval.SISON_GLAZ.of(observed, level);
    for (int i = 0; i < 3; i++) {
      double share = observed.tally(i).proportion();
      assertThat(intervals.get(i).lower())
          .isCloseTo(Math.max(0, share - (double) reach / n), within(1e-12));
      assertThat(intervals.get(i).upper())
          .isCloseTo(Math.min(1, share + (reach + 2 * gamma) / n), within(1e-10));
    }
  }

  /** Of many categories, by adding one after another to what is known of those before. */
  @ParameterizedTest
  @CsvSource({"40, 11", "60, 30", "90, 7"})
  void sisonGlazOfManyCategoriesFollowsItsDefinition(int categories, int about) {
    long[] many = IntStream.range(0, categories).mapToLong(i -> about + i % 4).toArray();
    CategoryCounts observed = counts(many);
    double level = 0.9;
    int reach = 0;
    while (allWithin(observed, reach + 1) < level) {
      reach++;
    }
    double below = allWithin(observed, reach);
    double gamma = (level - below) / (allWithin(observed, reach + 1) - below);
    double n = observed.total();
    Interval first = SharesInterval.SISON_GLAZ.of(observed, level).get(0);
    assertThat(first.lower()).isCloseTo(Math.max(0, (many[0] - reach) / n), within(1e-12));
    assertThat(first.upper()).isCloseTo((many[0] + reach + 2 * gamma) / n, within(1e-11));
  }

  /** Of many categories with large counts: deviations from the counts, added one after another. */
  @ParameterizedTest
  @CsvSource({"60, 400, 0.9", "150, 90, 0.99", "80, 300, 0.5"})
  void sisonGlazOfManyLargeCountsFollowsItsDefinition(int categories, int about, double level) {
    long[] many = IntStream.range(0, categories).mapToLong(i -> about + 7L * (i % 5)).toArray();
    CategoryCounts observed = counts(many);
    int below = 0;
    int beyond = about;
    while (beyond - below > 1) {
      int middle = (below + beyond) / 2;
      if (cancelling(observed, middle) < level) {
        below = middle;
      } else {
        beyond = middle;
      }
    }
    double least = cancelling(observed, below);
    double gamma = (level - least) / (cancelling(observed, below + 1) - least);
    double n = observed.total();
    List<Interval> intervals = SharesInterval.SISON_GLAZ.of(observed, level);
    for (int i = 0; i < 5; i++) {
      assertThat(intervals.get(i).lower())
          .isCloseTo(Math.max(0, (many[i] - below) / n), within(1e-13));
      assertThat(intervals.get(i).upper())
          .isCloseTo((many[i] + below + 2 * gamma) / n, within(1e-11));
    }
  }

  /** The same as below, of large counts: only deviations within c are added, and scaled. */
  private static double cancelling(CategoryCounts observed, int c) {
    double[] sums = {1};
    double log = 0;
    for (long count : observed.counts()) {
      double[] next = new double[sums.length + 2 * c];
      double[] chances = new double[2 * c + 1];
      for (int d = -c; d <= c; d++) {
        double y = count + d;
        chances[d + c] =
            y < 0 ? 0 : Math.exp(y * Math.log((double) count) - count - LogGamma.value(y + 1));
      }
      for (int i = 0; i < sums.length; i++) {
        for (int j = 0; sums[i] > 1e-40 && j < chances.length; j++) {
          next[i + j] += sums[i] * chances[j];
        }
      }
      double most = Arrays.stream(next).max().orElseThrow();
      log += Math.log(most);
      for (int i = 0; i < next.length; i++) {
        next[i] /= most;
      }
      sums = next;
    }
    double n = observed.total();
    return Math.exp(
        log + Math.log(sums[sums.length / 2]) - n * Math.log(n) + n + LogGamma.value(n + 1));
  }

  /** How likely all counts are within c of the observed ones, their shares the observed ones. */
  private static double allWithin(CategoryCounts observed, int c) {
    int n = (int) observed.total();
    double[] ways = new double[n + 1];
    ways[0] = 1;
    for (long count : observed.counts()) {
      double[] next = new double[n + 1];
      for (int y = (int) Math.max(0, count - c); y <= count + c; y++) {
        // Poisson with the count as its mean; that the sum is n is divided out at the end.
        double chance = Math.exp(y * Math.log((double) count) - count - LogGamma.value(y + 1.0));
        for (int sum = 0; sum + y <= n; sum++) {
          next[sum + y] += ways[sum] * chance;
        }
      }
      ways = next;
    }
    return ways[n] / Math.exp(n * Math.log(n) - n - LogGamma.value(n + 1.0));
  }

  @Test
  void sisonGlazDeclinesWhereTheSumWouldTakeLong() {
    assertThat(SharesInterval.SISON_GLAZ.of(counts(40_000, 30_000, 30_000), 0.95)).hasSize(3);
    assertThatThrownBy(
            () ->
                SharesInterval.SISON_GLAZ.of(
                    counts(4_000_000_000L, 3_000_000_000L, 3_000_000_000L), 0.95))
        .isInstanceOf(NotApplicableException.class)
        .hasMessage("long-sum");
  }

  @Test
  void impossibleCountsAreRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> CategoryCounts.of(List.of("a"), List.of(1L)))
        .withMessageContaining("at least two");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> CategoryCounts.of(List.of("a", "a"), List.of(1L, 2L)))
        .withMessageContaining("different names");
    assertThatIllegalArgumentException().isThrownBy(() -> counts(-1, 2));
    assertThatIllegalArgumentException().isThrownBy(() -> counts(0, 0));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> counts(Tally.MAX_TRIALS, Tally.MAX_TRIALS));
  }
}
