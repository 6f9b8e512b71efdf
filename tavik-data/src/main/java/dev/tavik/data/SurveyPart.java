package dev.tavik.data;

import dev.tavik.count.Replication;
import dev.tavik.count.SurveyCounts;
import java.util.Arrays;

/** What is counted of one request of a designed sample: its combinations and their sums. */
final class SurveyPart {
  private final RowCounter counts;

  /** Of rows that have the very levels of the filters, and of those that have them but for case. */
  private final Sums exact = new Sums();

  private final Sums nearly = new Sums();

  /** Sums of combinations, by cluster, stratum or replicate. */
  private static final class Sums {
    private final WeightSums weights = new WeightSums();
    private final GrowingSums sums = new GrowingSums();
    private final GrowingSums squares = new GrowingSums();
    private double[] full = new double[8];
  }

  SurveyPart(RowCounter counts) {
    this.counts = counts;
  }

  RowCounter counts() {
    return counts;
  }

  private Sums at() {
    return counts.near() ? nearly : exact;
  }

  private Sums counted() {
    return counts.nearlyCounted() ? nearly : exact;
  }

  /** Records the weights of the last row, or of merged rows. */
  void weigh(SurveyRow row, double factor) {
    WeightSums weights = at().weights;
    weights.add(counts.combination(), counts.units(), factor * row.sum(), factor * row.squares());
    weights.seen(row.least(), row.greatest());
  }

  /** Adds to the sums of a row; returns whether the limit of stored sums is exceeded. */
  boolean add(int element, double amount, long most) {
    return at().sums.add(element, counts.combination(), amount, most);
  }

  /** Adds to the sums of squared weights. */
  boolean addSquare(int element, double amount, long most) {
    return at().squares.add(element, counts.combination(), amount, most);
  }

  /** Adds to the sums of the full sample beside its replicates. */
  void addFull(double amount) {
    Sums sums = at();
    int combination = counts.combination();
    if (combination >= sums.full.length) {
      sums.full = Arrays.copyOf(sums.full, Math.max(combination + 1, 2 * sums.full.length));
    }
    sums.full[combination] += amount;
  }

  SurveyCounts.Weights weights(int combinations, long zero, long missing) {
    return counted().weights.weights(combinations, zero, missing);
  }

  SurveyCounts.Sums byCluster(Frame frame) {
    return frame.byCluster(counted().sums);
  }

  SurveyCounts.Sums byUnit(Frame frame) {
    return frame.byUnit(counted().sums, counted().squares);
  }

  SurveyCounts.Sums byReplicate(int replicates, int combinations, Replication replication) {
    double[][] each = new double[replicates][];
    for (int r = 0; r < replicates; r++) {
      each[r] = counted().sums.whole(r, combinations);
    }
    return new SurveyCounts.ByReplicate(
        Arrays.copyOf(counted().full, combinations), each, replication);
  }
}
