package dev.tavik.count;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * Holds what was counted of a designed sample: how often each combination of levels occurs, and the
 * sums of its weights by stratum and cluster. Rows that a filter or a missing value leaves out are
 * in no combination, but their clusters are kept: a part of a population varies by how much of it
 * each cluster happens to hold.
 */
public final class SurveyCounts {
  /** The place of a combination that a renaming left out. */
  private static final int NONE = -1;

  private final SampleDesign design;
  private final Tabulation units;
  private final Weights weights;
  private final Sums sums;
  private final int[] places;

  /**
   * Tells of the weights of the rows that were counted.
   *
   * @param rows how many rows have a weight above 0
   * @param least the smallest weight above 0
   * @param greatest the largest
   * @param sum the sum of all
   * @param squares of each combination, the sum of the squared weights
   * @param zero how many rows weigh 0
   * @param missing how many have no weight
   */
  public record Weights(
      long rows,
      double least,
      double greatest,
      double sum,
      List<Double> squares,
      long zero,
      long missing) {
    /** Copies the parts. */
    public Weights {
      squares = List.copyOf(squares);
    }
  }

  /**
   * Tells of a stratum.
   *
   * @param name its name; empty where there are no strata
   * @param clusters how many clusters of it are in the sample, of rows where there are none
   * @param population how many it has in all; infinite where that isn't known
   */
  public record Stratum(String name, long clusters, double population) {
    /** {@return the share of it that is not in the sample} */
    public double unsampled() {
      return clusters >= population ? 0 : 1 - clusters / population;
    }
  }

  /** Holds sums of weights of every combination, by what the variance is made of. */
  public sealed interface Sums {}

  /**
   * Holds sums by cluster.
   *
   * @param strata the strata
   * @param stratumOf the position of the stratum of each cluster, from 0
   * @param sums of each cluster the sums of weights, a column a combination
   */
  public record ByCluster(List<Stratum> strata, List<Integer> stratumOf, SparseRows sums)
      implements Sums {
    /** Copies the parts. */
    public ByCluster {
      strata = List.copyOf(strata);
      stratumOf = List.copyOf(stratumOf);
    }

    /** {@return how many clusters there are} */
    public int clusters() {
      return stratumOf.size();
    }

    /**
     * {@return the same sums of strata with other sizes}
     *
     * @param others those others
     */
    public ByCluster strata(List<Stratum> others) {
      return new ByCluster(others, stratumOf, sums);
    }
  }

  /**
   * Holds sums where each row is a cluster of its own.
   *
   * @param strata the strata
   * @param sums of each stratum the sums of weights, a column a combination
   * @param squares the sums of squared weights
   */
  public record ByUnit(List<Stratum> strata, SparseRows sums, SparseRows squares) implements Sums {
    /** Copies the parts. */
    public ByUnit {
      strata = List.copyOf(strata);
    }

    /**
     * {@return the same sums of strata with other sizes}
     *
     * @param others those others
     */
    public ByUnit strata(List<Stratum> others) {
      return new ByUnit(others, sums, squares);
    }
  }

  /** Holds sums of replicate weights. */
  public static final class ByReplicate implements Sums {
    private final double[] full;
    private final double[][] sums;
    private final Replication replication;

    /**
     * Keeps the sums, as they are.
     *
     * @param full those of the full sample's weights, one for each combination
     * @param sums those of each replicate's
     * @param replication how they were made
     */
    public ByReplicate(double[] full, double[][] sums, Replication replication) {
      this.full = full;
      this.sums = sums;
      this.replication = replication;
    }

    /** {@return the sums of the full sample's weights, not to be changed} */
    public double[] full() {
      return full;
    }

    /** {@return how many replicates there are} */
    public int replicates() {
      return sums.length;
    }

    /**
     * {@return the sums of a replicate, not to be changed}
     *
     * @param replicate which replicate, from 0
     */
    public double[] sums(int replicate) {
      return sums[replicate];
    }

    /** {@return how they were made} */
    public Replication replication() {
      return replication;
    }
  }

  private SurveyCounts(
      SampleDesign design, Tabulation units, Weights weights, Sums sums, int[] places) {
    this.design = design;
    this.units = units;
    this.weights = weights;
    this.sums = sums;
    this.places = places;
  }

  /**
   * Puts together what was counted.
   *
   * @param design how the sample was drawn
   * @param units how many rows there are of each combination, weights left aside
   * @param weights the weights
   * @param sums their sums, combinations in the order of {@code units}
   * @return the survey counts
   */
  public static SurveyCounts of(SampleDesign design, Tabulation units, Weights weights, Sums sums) {
    int[] places = new int[units.counts().size()];
    for (int i = 0; i < places.length; i++) {
      places[i] = i;
    }
    return new SurveyCounts(design, units, weights, sums, places);
  }

  /** {@return how the sample was drawn} */
  public SampleDesign design() {
    return design;
  }

  /** {@return how many rows there are of each combination, weights left aside} */
  public Tabulation units() {
    return units;
  }

  /** {@return what is known of the weights} */
  public Weights weights() {
    return weights;
  }

  /** {@return the sums of weights of the combinations as they were counted} */
  public Sums sums() {
    return sums;
  }

  /** {@return the combinations, in the order in which the others number them} */
  public List<List<String>> combinations() {
    return List.copyOf(units.counts().keySet());
  }

  /** {@return the strata; one without a name where replicates stand for them} */
  public List<Stratum> strata() {
    return sums instanceof ByCluster some
        ? some.strata()
        : sums instanceof ByUnit each
            ? each.strata()
            : List.of(new Stratum("", units.rows(), Double.POSITIVE_INFINITY));
  }

  /**
   * {@return a figure of every combination as it was counted, from those of the combinations as
   * they are called now}
   *
   * @param figures one for each of {@link #combinations}
   */
  public double[] counted(double[] figures) {
    double[] counted = new double[places.length];
    for (int i = 0; i < places.length; i++) {
      counted[i] = places[i] < 0 ? 0 : figures[places[i]];
    }
    return counted;
  }

  /**
   * {@return sums for the combinations as they are called now}
   *
   * @param counted one for each combination as it was counted; missing ones at the end are 0
   */
  public double[] summed(double[] counted) {
    double[] sums = new double[units.counts().size()];
    for (int i = 0; i < counted.length; i++) {
      if (places[i] >= 0) {
        sums[places[i]] += counted[i];
      }
    }
    return sums;
  }

  /** {@return the sums of weights of the combinations as they are called now} */
  public double[] totals() {
    double[] all = new double[places.length];
    if (sums instanceof ByCluster some) {
      some.sums().addTo(all);
    } else if (sums instanceof ByUnit each) {
      each.sums().addTo(all);
    } else if (sums instanceof ByReplicate replicates) {
      add(replicates.full(), all);
    }
    return summed(all);
  }

  private static void add(double[] some, double[] to) {
    for (int i = 0; i < some.length; i++) {
      to[i] += some[i];
    }
  }

  /**
   * {@return the same with units that know more levels, or are told more of}
   *
   * @param told the units, with the same combinations in the same order
   * @throws IllegalArgumentException if the combinations are others
   */
  public SurveyCounts units(Tabulation told) {
    if (!List.copyOf(told.counts().keySet()).equals(List.copyOf(units.counts().keySet()))) {
      throw new IllegalArgumentException("units must have the same combinations");
    }
    return new SurveyCounts(design, told, weights, sums, places);
  }

  /**
   * {@return the same with its levels renamed, merged or in another order}
   *
   * @param renaming what becomes of a tabulation; a combination that it leaves out is in none
   */
  public SurveyCounts renamed(UnaryOperator<Tabulation> renaming) {
    Tabulation whole = renaming.apply(units);
    Map<List<String>, Integer> numbers = new LinkedHashMap<>();
    whole.counts().keySet().forEach(each -> numbers.put(each, numbers.size()));
    List<Integer> moved = new ArrayList<>();
    units
        .counts()
        .forEach(
            (combination, count) -> {
              Tabulation alone =
                  new Tabulation(
                      units.source(),
                      units.columns(),
                      Map.of(combination, count),
                      units.rows(),
                      0,
                      Map.of(),
                      units.known(),
                      List.of(),
                      "");
              Map<List<String>, Long> now = renaming.apply(alone).counts();
              moved.add(
                  now.isEmpty()
                      ? NONE
                      : numbers.getOrDefault(now.keySet().iterator().next(), NONE));
            });
    int[] now = new int[places.length];
    for (int i = 0; i < now.length; i++) {
      now[i] = places[i] < 0 ? NONE : moved.get(places[i]);
    }
    return new SurveyCounts(design, whole, weights, sums, now);
  }

  /** {@return the sum of squared weights of each combination as it is called now} */
  public double[] squares() {
    return summed(weights.squares().stream().mapToDouble(Double::doubleValue).toArray());
  }
}
