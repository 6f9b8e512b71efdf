package dev.tavik.examples;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;

/** Samples of the trade's customers are drawn as they say, and tell of all of them. */
class TradePopulationTest {
  private static List<String[]> sample(long seed) {
    return TradePopulation.all()
        .sample(RandomSource.XO_SHI_RO_256_PP.create(seed))
        .lines()
        .skip(1)
        .map(line -> line.split(",", -1))
        .toList();
  }

  @Test
  void samplesAreDrawnAsTheySay() {
    Map<String, Set<String>> dealers = new TreeMap<>();
    Map<String, Integer> customers = new HashMap<>();
    Map<String, String> weights = new HashMap<>();
    for (String[] row : sample(1)) {
      dealers.computeIfAbsent(row[0], key -> new TreeSet<>()).add(row[1]);
      customers.merge(row[1], 1, Integer::sum);
      assertThat(weights.putIfAbsent(row[1], row[5])).as(row[1]).isIn(null, row[5]);
      assertThat(Double.parseDouble(row[5])).isBetween(15.0, 900.0);
    }
    assertThat(dealers.keySet()).containsExactly("Coast", "Moors", "Uplands", "Valley");
    assertThat(dealers.values()).extracting(Set::size).containsExactly(13, 11, 11, 13);
    assertThat(customers.values()).allMatch(count -> count <= 20);
  }

  /** Over many samples weights sum to the customers there are, and the share to the true one. */
  @Test
  void weightedSamplesTellOfAll() {
    List<Double> shares = new ArrayList<>();
    double simply = 0;
    for (int seed = 0; seed < 60; seed++) {
      double all = 0;
      double reorder = 0;
      long rows = 0;
      long yes = 0;
      for (String[] row : sample(seed)) {
        if (!row[3].isEmpty()) {
          double weight = Double.parseDouble(row[5]);
          all += weight;
          rows++;
          reorder += row[3].equals("yes") ? weight : 0;
          yes += row[3].equals("yes") ? 1 : 0;
        }
      }
      shares.add(reorder / all);
      simply += (double) yes / rows / 60;
    }
    double mean = shares.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    double spread =
        Math.sqrt(
            shares.stream().mapToDouble(each -> (each - mean) * (each - mean)).sum() / 59 / 60);
    double truth = TradePopulation.all().reorders();
    assertThat(mean).isCloseTo(truth, within(4 * spread + 0.005));
    // Large dealers are less content, and each of their customers has less chance to be drawn.
    assertThat(simply).isGreaterThan(truth + 0.02);
  }

  @Test
  void thePopulationIsAlwaysTheSame() {
    TradePopulation one = TradePopulation.all();
    TradePopulation other = TradePopulation.all();
    for (String region : List.of("Coast", "Valley", "Moors", "Uplands")) {
      assertThat(one.reorders(region)).isEqualTo(other.reorders(region)).isBetween(0.4, 0.7);
    }
    assertThat(sample(7)).hasSameSizeAs(sample(7));
  }
}
