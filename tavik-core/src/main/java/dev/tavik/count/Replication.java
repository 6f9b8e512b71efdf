package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Says how replicate weights were made, and so how a variance follows from them: the sum, over the
 * replicates, of a scale times the squared distance of a replicate's estimate from the full
 * sample's.
 *
 * @param columns the columns of replicate weights; {@code *} in a name stands for any letters
 * @param kind how they were made
 * @param fay of balanced ones, by how much a half sample's weights were kept, from 0 to below 1
 * @param scale the scale, one for all or one for each; none for the one of the kind
 * @param df the degrees of freedom; null for those of the kind
 */
public record Replication(
    List<String> columns, Kind kind, double fay, List<Double> scale, @Nullable Double df) {

  /** How replicate weights were made. */
  public enum Kind {
    /**
     * One cluster was left out at a time, R in all without strata: (R - 1)/R, R - 1 degrees of
     * freedom (Quenouille 1956, Biometrika 43, 353-360).
     */
    JACKKNIFE("jackknife"),
    /**
     * One of R random groups was left out at a time: (R - 1)/R, R - 1 degrees of freedom (Kott
     * 2001, Journal of Official Statistics 17, 521-526).
     */
    DELETE_GROUP("delete-group-jackknife"),
    /**
     * Balanced half samples, by Fay's method where the other half keeps some of its weight: 1/(R (1
     * - ε)²), R degrees of freedom (McCarthy 1969, Review of the International Statistical
     * Institute 37, 239-264; Judkins 1990, Journal of Official Statistics 6, 223-239).
     */
    BALANCED("balanced"),
    /**
     * Clusters were drawn with replacement: 1/R, R - 1 degrees of freedom (Rao, Wu and Yue 1992,
     * Survey Methodology 18, 209-217).
     */
    BOOTSTRAP("bootstrap");

    private final String id;

    Kind(String id) {
      this.id = id;
    }

    /** {@return the word by which it is chosen} */
    public String id() {
      return id;
    }
  }

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there is no column, or a number is out of its range
   */
  public Replication {
    columns = List.copyOf(columns);
    scale = List.copyOf(scale);
    require(!columns.isEmpty(), "replicates must name columns, such as rw_*, got none");
    require(fay >= 0 && fay < 1, "balanced-fay must be from 0 to below 1, got %s", fay);
    for (double each : scale) {
      require(each > 0 && each < 1e6, "scale must be a number above 0, got %s", each);
    }
    require(df == null || df >= 1, "df must be at least 1, got %s", df);
  }

  /**
   * {@return replicate weights of a kind, with its own scale and degrees of freedom}
   *
   * @param kind which kind
   * @param columns the columns, in order
   */
  public static Replication of(Kind kind, String... columns) {
    return new Replication(List.of(columns), kind, 0, List.of(), null);
  }

  /**
   * {@return balanced half samples by Fay's method}
   *
   * @param kept by how much the weights of a half sample were kept, from 0 to below 1
   * @param columns the columns, in order
   */
  public static Replication fay(double kept, String... columns) {
    return new Replication(List.of(columns), Kind.BALANCED, kept, List.of(), null);
  }

  /**
   * {@return the scale of a replicate}
   *
   * @param replicate its position, from 0
   * @param count how many there are, at least 2
   */
  public double scale(int replicate, int count) {
    if (!scale.isEmpty()) {
      return scale.get(scale.size() == 1 ? 0 : replicate);
    }
    return switch (kind) {
      case JACKKNIFE, DELETE_GROUP -> (count - 1.0) / count;
      case BALANCED -> 1 / (count * (1 - fay) * (1 - fay));
      case BOOTSTRAP -> 1.0 / count;
    };
  }

  /**
   * {@return the degrees of freedom of so many replicates}
   *
   * @param count a whole number
   */
  public double df(int count) {
    return df != null ? df : kind == Kind.BALANCED ? count : count - 1;
  }
}
