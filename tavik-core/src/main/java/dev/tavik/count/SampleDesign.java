package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Says how a sample was drawn: which columns of its data hold weights, strata and clusters, or
 * replicate weights in place of both.
 *
 * <pre>{@code
 * SampleDesign.weighted("weight").strata("region").clusters("dealer");
 * SampleDesign.weighted("weight").replicates(Replication.of(Replication.Kind.JACKKNIFE, "rw_*"));
 * }</pre>
 *
 * @param weight the column of weights, each the number of units of the population that a row stands
 *     for, or in proportion to it; null where all weigh the same
 * @param strata the column of strata, from each of which a sample was drawn by itself; null for one
 * @param clusters the columns of clusters, the first stage first; the variance rests on the first,
 *     whatever was drawn within; none where rows were drawn one by one
 * @param nested whether clusters of different strata that have one name are different ones
 * @param population how many clusters (rows, where there are none) the population has: a column
 *     that says it for the stratum, or a number; null for very many
 * @param lone what becomes of a stratum with a single cluster
 * @param replication the replicate weights; null for none
 */
public record SampleDesign(
    @Nullable String weight,
    @Nullable String strata,
    List<String> clusters,
    boolean nested,
    @Nullable String population,
    Lone lone,
    @Nullable Replication replication) {

  private static final Pattern WEIGHT =
      Pattern.compile(
          "(?:.*[_. -])?(?:weights?|wt|wgt|gewicht|poids|peso)(?:[_. -]?\\d+)?",
          Pattern.CASE_INSENSITIVE);

  /** What becomes of a stratum with a single cluster, whose variance can't be seen. */
  public enum Lone {
    /** The question is refused, and the stratum named. */
    FAIL,
    /** Its distance from the mean of all clusters stands for that from its stratum's mean. */
    CENTRE,
    /** It counts as drawn for certain, and adds nothing to the variance. */
    CERTAIN
  }

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there is neither weight nor strata nor cluster, or
   *     replicate weights stand beside strata, clusters or a population
   */
  public SampleDesign {
    clusters = List.copyOf(clusters);
    require(
        weight != null || strata != null || !clusters.isEmpty(),
        "a design must name a column of weights, strata or clusters, got none");
    require(
        replication == null || (strata == null && clusters.isEmpty() && population == null),
        "replicate weights must stand without strata, clusters and population, which they carry"
            + " already");
    require(
        replication == null || weight != null,
        "replicate weights must stand beside the full sample's weight, got none");
  }

  /**
   * {@return whether a column is called like weights of a survey, by itself or with more before or
   * a number behind}
   *
   * @param column its name
   */
  public static boolean isCalledWeight(String column) {
    return WEIGHT.matcher(column).matches();
  }

  /**
   * {@return a design of weights alone}
   *
   * @param column the name of the column
   */
  public static SampleDesign weighted(String column) {
    return new SampleDesign(column, null, List.of(), false, null, Lone.FAIL, null);
  }

  /**
   * {@return a design of clusters whose rows all weigh the same; the first stage first}
   *
   * @param columns the columns, in order
   */
  public static SampleDesign clustered(String... columns) {
    return new SampleDesign(null, null, List.of(columns), false, null, Lone.FAIL, null);
  }

  /**
   * {@return a design of strata whose rows all weigh the same}
   *
   * @param column the name of the column
   */
  public static SampleDesign stratified(String column) {
    return new SampleDesign(null, column, List.of(), false, null, Lone.FAIL, null);
  }

  /**
   * {@return this design with strata}
   *
   * @param column the name of the column
   */
  public SampleDesign strata(String column) {
    return new SampleDesign(weight, column, clusters, nested, population, lone, replication);
  }

  /**
   * {@return this design with clusters, the first stage first}
   *
   * @param columns the columns, in order
   */
  public SampleDesign clusters(String... columns) {
    return new SampleDesign(
        weight, strata, List.of(columns), nested, population, lone, replication);
  }

  /** {@return this design with clusters that are different ones in each stratum} */
  public SampleDesign nest() {
    return new SampleDesign(weight, strata, clusters, true, population, lone, replication);
  }

  /**
   * {@return this design drawn from a finite population}
   *
   * @param columnOrNumber how many clusters it has (rows, where there are none): a column that says
   *     so for each stratum, or a whole number
   */
  public SampleDesign population(String columnOrNumber) {
    return new SampleDesign(weight, strata, clusters, nested, columnOrNumber, lone, replication);
  }

  /**
   * {@return this design with a rule for strata of one cluster}
   *
   * @param rule what becomes of a stratum with one cluster
   */
  public SampleDesign lone(Lone rule) {
    return new SampleDesign(weight, strata, clusters, nested, population, rule, replication);
  }

  /**
   * {@return this design with replicate weights}
   *
   * @param weights the replicate weights
   * @throws IllegalArgumentException if there are strata, clusters or a population
   */
  public SampleDesign replicates(Replication weights) {
    return new SampleDesign(weight, strata, clusters, nested, population, lone, weights);
  }

  /** {@return the number of the population where it isn't said by a column} */
  public @Nullable Double populationSize() {
    return population != null && population.matches("\\d{1,15}")
        ? Double.valueOf(population)
        : null;
  }
}
