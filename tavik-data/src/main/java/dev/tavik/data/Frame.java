package dev.tavik.data;

import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.Stratum;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The strata and clusters of a sample, numbered by first appearance. */
final class Frame {
  private static final int UNSEEN = -1;

  private final boolean nested;
  private final LevelTable strata = new LevelTable();
  private final LevelTable names = new LevelTable();
  private final CombinationCounts pairs = new CombinationCounts();

  /** Of each name of a cluster its stratum, or of each pair of both. */
  private int[] stratumOf = filled(64);

  private int clusters;
  private long[] units = new long[8];
  private double[] populations = filledDoubles(8);

  Frame(boolean nested) {
    this.nested = nested;
  }

  LevelTable strata() {
    return strata;
  }

  LevelTable names() {
    return names;
  }

  /** A stratum without a name, where there are no strata. */
  void only() {
    strata.number("");
  }

  /** Counts rows of a stratum. */
  void count(int stratum, long rows) {
    if (stratum >= units.length) {
      units = Arrays.copyOf(units, 2 * stratum);
    }
    units[stratum] += rows;
  }

  /** The number of a cluster; below 0 where it lies in another stratum too. */
  int cluster(int stratum, int name) {
    int cluster = nested ? pairs.number(((long) stratum << 32) | name) : name;
    if (cluster >= stratumOf.length) {
      int old = stratumOf.length;
      stratumOf = Arrays.copyOf(stratumOf, Math.max(2 * old, cluster + 1));
      Arrays.fill(stratumOf, old, stratumOf.length, UNSEEN);
    }
    if (stratumOf[cluster] == UNSEEN) {
      stratumOf[cluster] = stratum;
      clusters = Math.max(clusters, cluster + 1);
    }
    return stratumOf[cluster] == stratum ? cluster : UNSEEN;
  }

  /** The name of the stratum in which a cluster was seen first. */
  String stratumOf(int name) {
    return strata.levels().get(stratumOf[name]);
  }

  /** Stores the size of a stratum; returns the previous one, or NaN. */
  double population(int stratum, double size) {
    if (stratum >= populations.length) {
      int old = populations.length;
      populations = Arrays.copyOf(populations, 2 * stratum);
      Arrays.fill(populations, old, populations.length, Double.NaN);
    }
    double before = populations[stratum];
    populations[stratum] = size;
    return before;
  }

  private double size(int stratum) {
    double size = stratum < populations.length ? populations[stratum] : Double.NaN;
    return Double.isNaN(size) ? Double.POSITIVE_INFINITY : size;
  }

  /** The strata that have rows, where each is a cluster, and their sums. */
  SurveyCounts.ByUnit byUnit(GrowingSums sums, GrowingSums squares) {
    int[] places = filled(strata.size());
    List<Stratum> kept = new ArrayList<>();
    for (int h = 0; h < places.length; h++) {
      if (h < units.length && units[h] > 0) {
        places[h] = kept.size();
        kept.add(new Stratum(strata.levels().get(h), units[h], size(h)));
      }
    }
    return new SurveyCounts.ByUnit(
        kept, sums.sparse(places, kept.size()), squares.sparse(places, kept.size()));
  }

  /** The clusters that have a row with a weight above 0, and their sums. */
  SurveyCounts.ByCluster byCluster(GrowingSums sums) {
    int[] places = filled(clusters);
    long[] each = new long[strata.size()];
    int count = 0;
    for (int cluster = 0; cluster < clusters; cluster++) {
      if (stratumOf[cluster] >= 0) {
        each[stratumOf[cluster]]++;
        places[cluster] = count++;
      }
    }
    int[] numbers = new int[each.length];
    List<Stratum> kept = new ArrayList<>();
    for (int h = 0; h < each.length; h++) {
      numbers[h] = kept.size();
      if (each[h] > 0) {
        kept.add(new Stratum(strata.levels().get(h), each[h], size(h)));
      }
    }
    List<Integer> keptStrata = new ArrayList<>();
    for (int cluster = 0; cluster < clusters; cluster++) {
      if (stratumOf[cluster] >= 0) {
        keptStrata.add(numbers[stratumOf[cluster]]);
      }
    }
    return new SurveyCounts.ByCluster(kept, keptStrata, sums.sparse(places, count));
  }

  private static int[] filled(int length) {
    int[] all = new int[length];
    Arrays.fill(all, UNSEEN);
    return all;
  }

  private static double[] filledDoubles(int length) {
    double[] all = new double[length];
    Arrays.fill(all, Double.NaN);
    return all;
  }
}
