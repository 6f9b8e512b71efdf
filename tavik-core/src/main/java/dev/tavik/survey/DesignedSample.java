package dev.tavik.survey;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByCluster;
import dev.tavik.count.SurveyCounts.ByUnit;
import dev.tavik.result.NotApplicableException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;

/**
 * Estimates proportions of a sample with weights, strata and clusters, and tests tables of it. A
 * part of the sample is said by the combinations of levels that are in it; all clusters are kept.
 */
public final class DesignedSample {
  /** Standard errors of shares and logarithms below this are rounding. */
  private static final double ROUNDING = 1e-13;

  private final SurveyCounts counts;
  private final VarianceEstimator spread;
  private final List<List<String>> combinations;
  private final double[] totals;
  private final double[] squares;
  private final long[] units;

  private DesignedSample(SurveyCounts counts) {
    this.counts = counts;
    this.spread = VarianceEstimator.of(counts);
    this.combinations = counts.combinations();
    this.totals = counts.totals();
    this.squares = counts.squares();
    this.units = counts.units().counts().values().stream().mapToLong(Long::longValue).toArray();
  }

  /**
   * {@return the sample that was counted}
   *
   * @param counts its counts and sums of weights
   * @throws NotApplicableException if its variance can't be told: a stratum has one cluster, and
   *     nothing was said of such, or no stratum has more
   */
  public static DesignedSample of(SurveyCounts counts) {
    return new DesignedSample(counts);
  }

  /** {@return what was counted} */
  public SurveyCounts counts() {
    return counts;
  }

  /**
   * {@return the degrees of freedom: clusters less strata, of the strata that have rows which were
   * counted; or those of the replicates}
   */
  public double df() {
    return df(combination -> true);
  }

  /** The same of the strata that have rows of some combinations. */
  private double df(IntPredicate wanted) {
    boolean[] part = new boolean[combinations.size()];
    for (int c = 0; c < part.length; c++) {
      part[c] = wanted.test(c);
    }
    return spread.df(part);
  }

  /** {@return whether variances come from replicates} */
  public boolean replicated() {
    return spread instanceof ReplicateVariance;
  }

  /** {@return how many clusters there are, of rows where there are none; of replicates, these} */
  public long clusters() {
    return counts.sums() instanceof SurveyCounts.ByReplicate replicates
        ? replicates.replicates()
        : counts.strata().stream().mapToLong(SurveyCounts.Stratum::clusters).sum();
  }

  /**
   * {@return how many clusters hold a combination of some; rows where each is a cluster}
   *
   * @param wanted which combinations
   */
  public long clustersWith(Predicate<List<String>> wanted) {
    double[] some = new double[combinations.size()];
    long rows = 0;
    for (int c = 0; c < some.length; c++) {
      some[c] = wanted.test(combinations.get(c)) ? 1 : 0;
      rows += some[c] > 0 ? units[c] : 0;
    }
    if (!(counts.sums() instanceof ByCluster clusters)) {
      return rows;
    }
    double[] counted = counts.counted(some);
    long with = 0;
    for (int i = 0; i < clusters.clusters(); i++) {
      with += clusters.sums().any(i, counted) ? 1 : 0;
    }
    return with;
  }

  /** {@return whether each row was drawn by itself} */
  public boolean rowByRow() {
    return counts.sums() instanceof ByUnit;
  }

  /**
   * Estimates a proportion.
   *
   * @param part which combinations are in the part of the sample that is asked about
   * @param success which of these are successes
   * @return the designed proportion
   * @throws IllegalArgumentException if no row is in the part
   */
  public DesignedProportion proportion(
      Predicate<List<String>> part, Predicate<List<String>> success) {
    return proportions(List.of(share(part, success))).get(0);
  }

  /**
   * Estimates the proportion of successes in each of several groups.
   *
   * @param column the position of the column of groups, from 0
   * @param groups its levels
   * @param success which combinations are successes
   * @return the designed proportions
   * @throws IllegalArgumentException if no row is in one of them
   */
  public List<DesignedProportion> groups(
      int column, List<String> groups, Predicate<List<String>> success) {
    return proportions(ofGroups(column, groups, success));
  }

  private List<Share> ofGroups(int column, List<String> groups, Predicate<List<String>> success) {
    return groups.stream()
        .map(group -> share(unit -> unit.get(column).equals(group), success))
        .toList();
  }

  /**
   * Estimates the share of each of several levels of a column.
   *
   * @param column the position of the column, from 0
   * @param levels the levels
   * @return the designed proportions
   * @throws IllegalArgumentException if no row was counted
   */
  public List<DesignedProportion> shares(int column, List<String> levels) {
    return proportions(
        levels.stream()
            .map(level -> share(unit -> true, unit -> unit.get(column).equals(level)))
            .toList());
  }

  private Share share(Predicate<List<String>> part, Predicate<List<String>> success) {
    int[] member = new int[combinations.size()];
    for (int c = 0; c < member.length; c++) {
      boolean inside = part.test(combinations.get(c));
      member[c] = !inside ? 0 : success.test(combinations.get(c)) ? 2 : 1;
    }
    return new Share(member);
  }

  private List<DesignedProportion> proportions(List<Share> shares) {
    for (Share each : shares) {
      require(each.weight(totals) > 0, "a proportion needs a row with a weight above 0, got none");
    }
    List<Share> inside = shares.stream().filter(this::hasOdds).toList();
    double[] plain = errors(shares.stream().map(Share::plain).toList());
    double[] logit = errors(inside.stream().map(Share::logit).toList());
    List<DesignedProportion> all = new ArrayList<>();
    for (int i = 0; i < shares.size(); i++) {
      int odds = inside.indexOf(shares.get(i));
      all.add(
          proportion(shares.get(i), plain[i], odds < 0 ? Double.POSITIVE_INFINITY : logit[odds]));
    }
    return all;
  }

  private boolean hasOdds(Share share) {
    return share.value(totals) > 0 && share.complement(totals) > 0;
  }

  private DesignedProportion proportion(Share share, double error, double logitError) {
    long successes = 0;
    long rows = 0;
    double squared = 0;
    for (int c = 0; c < units.length; c++) {
      int member = share.member()[c];
      successes += member == 2 ? units[c] : 0;
      rows += member > 0 ? units[c] : 0;
      squared += member > 0 ? squares[c] : 0;
    }
    double weight = share.weight(totals);
    return new DesignedProportion(
        share.value(totals),
        share.complement(totals),
        successes,
        rows,
        error,
        logitError,
        weight * weight / squared,
        df(c -> share.member()[c] > 0));
  }

  /** The standard errors of functions; infinite where a replicate has no value of one. */
  private double[] errors(List<FunctionOfSums> statistics) {
    return Arrays.stream(spread.variances(FunctionOfSums.of(statistics)))
        .map(each -> Double.isNaN(each) ? Double.POSITIVE_INFINITY : seen(Math.sqrt(each)))
        .toArray();
  }

  /** An error no larger than what rounding leaves of one is none. */
  private static double seen(double error) {
    return error < ROUNDING ? 0 : error;
  }

  private double error(FunctionOfSums statistic) {
    return errors(List.of(statistic))[0];
  }

  /**
   * Compares the proportions of two parts.
   *
   * @param first which combinations are in the first part
   * @param second which are in the second
   * @param success which combinations are successes
   * @return the designed comparison
   * @throws IllegalArgumentException if no row is in one of them
   */
  public DesignedComparison comparison(
      Predicate<List<String>> first,
      Predicate<List<String>> second,
      Predicate<List<String>> success) {
    return comparisons(List.of(share(first, success), share(second, success))).get(0).get(1);
  }

  /**
   * Compares the proportions of each two of several groups.
   *
   * @param column the position of the column of groups, from 0
   * @param groups its levels
   * @param success which combinations are successes
   * @return for each group as the first the comparisons with each as the second, itself too
   * @throws IllegalArgumentException if no row is in one of them
   */
  public List<List<DesignedComparison>> comparisons(
      int column, List<String> groups, Predicate<List<String>> success) {
    return comparisons(ofGroups(column, groups, success));
  }

  /** Differences of functions of single shares: their covariances tell all of them. */
  private List<List<DesignedComparison>> comparisons(List<Share> shares) {
    List<DesignedProportion> each = proportions(shares);
    double[][] plain = differences(shares, share -> true, Share::plain);
    double[][] log = differences(shares, share -> share.value(totals) > 0, Share::log);
    double[][] logit = differences(shares, this::hasOdds, Share::logit);
    List<List<DesignedComparison>> all = new ArrayList<>();
    for (int i = 0; i < shares.size(); i++) {
      Share one = shares.get(i);
      all.add(new ArrayList<>());
      for (int j = 0; j < shares.size(); j++) {
        Share other = shares.get(j);
        all.get(i)
            .add(
                new DesignedComparison(
                    each.get(i),
                    each.get(j),
                    plain[i][j],
                    log[i][j],
                    logit[i][j],
                    df(c -> one.member()[c] > 0 || other.member()[c] > 0)));
      }
    }
    return all;
  }

  /** The standard errors of the differences of each two; infinite where one has no value. */
  private double[][] differences(
      List<Share> shares, Predicate<Share> has, Function<Share, FunctionOfSums> function) {
    List<Share> some = shares.stream().filter(has).toList();
    double[][] covariance =
        spread.covariance(FunctionOfSums.of(some.stream().map(function).toList()));
    double[][] errors = new double[shares.size()][shares.size()];
    for (int i = 0; i < shares.size(); i++) {
      int one = some.indexOf(shares.get(i));
      for (int j = 0; j < shares.size(); j++) {
        int other = some.indexOf(shares.get(j));
        double variance =
            one < 0 || other < 0
                ? Double.NaN
                : covariance[one][one] + covariance[other][other] - 2 * covariance[one][other];
        errors[i][j] =
            Double.isNaN(variance)
                ? Double.POSITIVE_INFINITY
                : seen(Math.sqrt(Math.max(0, variance)));
      }
    }
    return errors;
  }

  /**
   * Holds the shares of a column's levels against claimed ones.
   *
   * @param column the position of the column, from 0
   * @param levels its levels, two or more
   * @param claimed the claimed share of each, above 0, with the sum 1
   * @return the designed deviation
   * @throws IllegalArgumentException if there are fewer than two levels, or not one share for each
   */
  public DesignedDeviation deviation(int column, List<String> levels, List<Double> claimed) {
    require(levels.size() >= 2, "shares need two levels or more, got %s", levels.size());
    require(
        claimed.size() == levels.size(),
        "claimed must have one share for each of %s levels, got %s",
        levels.size(),
        claimed.size());
    int[] categoryOf =
        combinations.stream().mapToInt(each -> levels.indexOf(each.get(column))).toArray();
    CategoryShares shares = new CategoryShares(categoryOf, levels.size());
    double[] away = shares.values(totals);
    double[] expected = claimed.stream().mapToDouble(Double::doubleValue).toArray();
    for (int k = 0; k < away.length; k++) {
      away[k] -= expected[k];
    }
    return DesignedDeviation.of(
        rows(categoryOf),
        away,
        expected,
        spread.covariance(shares),
        IntStream.range(0, levels.size() - 1).toArray(),
        df(c -> categoryOf[c] >= 0));
  }

  private long rows(int[] inside) {
    return IntStream.range(0, units.length)
        .filter(c -> inside[c] >= 0)
        .mapToLong(c -> units[c])
        .sum();
  }

  /**
   * Crosses two columns. Levels whose weights sum to 0 must be left out.
   *
   * @param rowColumn the position of the column whose levels are the rows, from 0
   * @param rows its levels, two or more
   * @param columnColumn the position of the column whose levels are the columns
   * @param columns its levels, two or more
   * @param part which combinations are in the part of the sample that is asked about
   * @return the designed table
   * @throws IllegalArgumentException if there are fewer than two rows or columns, or no row of the
   *     data is in one of the columns
   */
  public DesignedTable table(
      int rowColumn,
      List<String> rows,
      int columnColumn,
      List<String> columns,
      Predicate<List<String>> part) {
    return table(
        unit -> part.test(unit) ? rows.indexOf(unit.get(rowColumn)) : -1,
        rows,
        unit -> columns.indexOf(unit.get(columnColumn)),
        columns);
  }

  /**
   * Crosses groups with success and failure, which are its columns.
   *
   * @param groupColumn the position of the column of groups, from 0
   * @param groups its levels, two or more
   * @param success which combinations are successes
   * @return the designed table
   * @throws IllegalArgumentException if there are fewer than two groups, or there is no success, or
   *     nothing else
   */
  public DesignedTable table(
      int groupColumn, List<String> groups, Predicate<List<String>> success) {
    return table(
        unit -> groups.indexOf(unit.get(groupColumn)),
        groups,
        unit -> success.test(unit) ? 0 : 1,
        List.of("success", "failure"));
  }

  private DesignedTable table(
      ToIntFunction<List<String>> rowAt,
      List<String> rows,
      ToIntFunction<List<String>> columnAt,
      List<String> columns) {
    require(
        rows.size() >= 2 && columns.size() >= 2,
        "a table needs two rows and two columns or more, got %s and %s",
        rows.size(),
        columns.size());
    int[] rowOf = combinations.stream().mapToInt(rowAt).toArray();
    int[] columnOf = combinations.stream().mapToInt(columnAt).toArray();
    IndependenceDeviation independence =
        new IndependenceDeviation(rowOf, columnOf, rows.size(), columns.size());
    double[] p = independence.shares(totals);
    double[][] covariance = spread.covariance(independence);
    double[] away = independence.values(totals);
    double[] expected = new double[away.length];
    List<Share> each = new ArrayList<>();
    for (int cell = 0; cell < away.length; cell++) {
      int row = cell / columns.size();
      int column = cell % columns.size();
      expected[cell] = p[independence.row(row)] * p[independence.column(column)];
      each.add(inColumn(rowOf, row, columnOf, column));
    }
    List<DesignedProportion> ofColumn = proportions(each);
    List<DesignedTable.Cell> cells = new ArrayList<>();
    for (int cell = 0; cell < away.length; cell++) {
      double error = Math.sqrt(covariance[cell][cell]);
      cells.add(
          new DesignedTable.Cell(
              count(rowOf, cell / columns.size(), columnOf, cell % columns.size()),
              p[cell],
              error > 0 ? away[cell] / error : Double.NaN,
              ofColumn.get(cell)));
    }
    int[] both = new int[rowOf.length];
    Arrays.setAll(both, c -> Math.min(rowOf[c], columnOf[c]));
    int[] some =
        IntStream.range(0, (rows.size() - 1) * (columns.size() - 1))
            .map(k -> k / (columns.size() - 1) * columns.size() + k % (columns.size() - 1))
            .toArray();
    DesignedDeviation deviation =
        DesignedDeviation.of(rows(both), away, expected, covariance, some, df(c -> both[c] >= 0));
    WeightedCramersV strength = new WeightedCramersV(independence);
    return new DesignedTable(
        rows,
        columns,
        inRows(cells, columns.size()),
        deviation,
        strength.values(totals)[0],
        replicated() ? error(strength) : Double.NaN);
  }

  private static <T> List<List<T>> inRows(List<T> all, int columns) {
    return IntStream.range(0, all.size() / columns)
        .mapToObj(row -> List.copyOf(all.subList(row * columns, (row + 1) * columns)))
        .toList();
  }

  private static Share inColumn(int[] rowOf, int row, int[] columnOf, int column) {
    int[] member = new int[rowOf.length];
    for (int c = 0; c < member.length; c++) {
      boolean inside = rowOf[c] >= 0 && columnOf[c] == column;
      member[c] = !inside ? 0 : rowOf[c] == row ? 2 : 1;
    }
    return new Share(member);
  }

  private long count(int[] rowOf, int row, int[] columnOf, int column) {
    return IntStream.range(0, units.length)
        .filter(c -> rowOf[c] == row && columnOf[c] == column)
        .mapToLong(c -> units[c])
        .sum();
  }
}
