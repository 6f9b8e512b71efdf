package dev.tavik.survey;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.count.SampleDesign.Lone;
import dev.tavik.count.SparseRows;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByCluster;
import dev.tavik.count.SurveyCounts.ByUnit;
import dev.tavik.count.SurveyCounts.Stratum;
import dev.tavik.result.Figures;
import dev.tavik.result.NotApplicableException;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * The spread of linearised values: with z the sum over a cluster of each row's weight times the
 * slope of its combination, the covariance is Σ (1 - f) n/(n - 1) Σ (z - z̄)(z - z̄)ᵀ, over the
 * strata and their n clusters, a share f of all. Where each row is a cluster, sums of weights and
 * of their squares in each stratum are enough for it.
 *
 * <p>The slopes of a function that doesn't depend on the scale of the weights make the z of all
 * clusters sum to 0, which is the mean from which a stratum of one cluster may be measured.
 */
final class LinearisedSpread implements Spread {
  private final SurveyCounts counts;
  private final List<Stratum> strata;
  private final Lone lone;
  private final BitSet[] strataOf;

  /** The clusters stratum by stratum, and where each stratum begins. */
  private final int[] inOrder;

  private final int[] first;

  LinearisedSpread(SurveyCounts counts) {
    this.counts = counts;
    this.strata = counts.strata();
    this.lone = counts.design().lone();
    this.strataOf = strataOf(counts);
    this.first = new int[strata.size() + 1];
    this.inOrder = new int[counts.sums() instanceof ByCluster some ? some.clusters() : 0];
    if (counts.sums() instanceof ByCluster clusters) {
      order(clusters);
    }
    requireSample();
    requireTwo();
    boolean[] all = new boolean[counts.combinations().size()];
    Arrays.fill(all, true);
    if (!(df(all) >= 1)) {
      String unit = counts.sums() instanceof ByUnit ? "row" : "cluster";
      throw new NotApplicableException(
          "no degrees of freedom are left: the sample has %s in %s, and a variance needs at least two"
              + " %s of one stratum",
          Figures.counted(
              Figures.count(strata.stream().mapToLong(Stratum::clusters).sum()), unit, unit + "s"),
          Figures.counted(Figures.count(strata.size()), "stratum", "strata"),
          unit + "s");
    }
  }

  private void order(ByCluster clusters) {
    for (int h : clusters.stratumOf()) {
      first[h + 1]++;
    }
    for (int h = 0; h < strata.size(); h++) {
      first[h + 1] += first[h];
    }
    int[] next = first.clone();
    for (int i = 0; i < inOrder.length; i++) {
      inOrder[next[clusters.stratumOf().get(i)]++] = i;
    }
  }

  /** A census has no spread from sample to sample. */
  private void requireSample() {
    if (strata.stream().allMatch(each -> each.unsampled() == 0)) {
      throw new NotApplicableException(
          "every cluster of the population is in the sample, so that its rates are known and there is"
              + " nothing to test; leave the population out if it stands for a larger one");
    }
  }

  private void requireTwo() {
    List<String> alone =
        strata.stream()
            .filter(each -> each.clusters() == 1 && each.unsampled() > 0)
            .map(each -> each.name().isEmpty() ? "the whole" : "'" + each.name() + "'")
            .toList();
    if (lone == Lone.FAIL && !alone.isEmpty() && strata.size() > 1) {
      throw new NotApplicableException(
          say(
                  "%s %s only one cluster, which says nothing of how clusters of it vary. Put such a"
                      + " stratum together with another in the data, or say lone=centre (it varies as far"
                      + " as it lies from the mean of all) or lone=certain (it was drawn for certain)",
                  alone.size() == 1
                      ? "stratum " + alone.get(0) + " has"
                      : "strata " + Names.listed(alone) + " have",
                  alone.size() == 1 ? "" : "each")
              .replace("  ", " "));
    }
  }

  @Override
  public double df(boolean[] part) {
    double[] wanted = new double[part.length];
    for (int c = 0; c < part.length; c++) {
      wanted[c] = part[c] ? 1 : 0;
    }
    double[] counted = counts.counted(wanted);
    BitSet some = new BitSet();
    for (int c = 0; c < counted.length; c++) {
      if (counted[c] > 0) {
        some.or(strataOf[c]);
      }
    }
    return some.stream().mapToLong(h -> strata.get(h).clusters() - 1).sum();
  }

  /** The strata in which each combination occurs. */
  private static BitSet[] strataOf(SurveyCounts counts) {
    BitSet[] strataOf = new BitSet[counts.counted(new double[counts.combinations().size()]).length];
    Arrays.setAll(strataOf, c -> new BitSet());
    SparseRows sums =
        counts.sums() instanceof ByCluster clusters
            ? clusters.sums()
            : ((ByUnit) counts.sums()).sums();
    for (int row = 0; row < sums.rows(); row++) {
      int h = counts.sums() instanceof ByCluster clusters ? clusters.stratumOf().get(row) : row;
      for (int entry = sums.begin(row); entry < sums.begin(row + 1); entry++) {
        strataOf[sums.column(entry)].set(h);
      }
    }
    return strataOf;
  }

  @Override
  public double[][] covariance(Statistic statistic) {
    Slopes slopes = Slopes.of(statistic, counts);
    double[][] covariance = new double[slopes.values()][slopes.values()];
    if (counts.sums() instanceof ByCluster clusters) {
      addClusters(clusters, slopes, (z, weight) -> Products.add(z, weight, covariance));
    } else if (counts.sums() instanceof ByUnit units) {
      double[] mean = new double[slopes.values()];
      for (int h = 0; h < strata.size(); h++) {
        double factor = ofRows(strata.get(h));
        slopes.addProducts(units.squares(), h, factor, covariance);
        slopes.linearise(units.sums(), h, mean);
        Products.add(mean, -factor * ofMean(strata.get(h)), covariance);
      }
    }
    return Products.mirrored(covariance);
  }

  @Override
  public double[] variances(Statistic statistic) {
    Slopes slopes = Slopes.of(statistic, counts);
    double[] variances = new double[slopes.values()];
    if (counts.sums() instanceof ByCluster clusters) {
      addClusters(clusters, slopes, (z, weight) -> Products.add(z, weight, variances));
    } else if (counts.sums() instanceof ByUnit units) {
      double[] mean = new double[slopes.values()];
      for (int h = 0; h < strata.size(); h++) {
        double factor = ofRows(strata.get(h));
        slopes.addSquares(units.squares(), h, factor, variances);
        slopes.linearise(units.sums(), h, mean);
        Products.add(mean, -factor * ofMean(strata.get(h)), variances);
      }
      // Where all rows are alike, rounding is left of their spread.
      Arrays.setAll(variances, v -> variances[v] < 0 ? 0 : variances[v]);
    }
    return variances;
  }

  /** Stratum by stratum, the mean of its clusters first. */
  private void addClusters(ByCluster clusters, Slopes slopes, Take taking) {
    double[] mean = new double[slopes.values()];
    double[] z = new double[slopes.values()];
    for (int h = 0; h < strata.size(); h++) {
      Stratum stratum = strata.get(h);
      boolean single = stratum.clusters() == 1;
      double factor = ofRows(stratum);
      Arrays.fill(mean, 0);
      for (int i = first[h]; i < first[h + 1] && !single; i++) {
        slopes.linearise(clusters.sums(), inOrder[i], z);
        for (int v = 0; v < z.length; v++) {
          mean[v] += z[v] / stratum.clusters();
        }
      }
      for (int i = first[h]; i < first[h + 1] && factor > 0; i++) {
        slopes.linearise(clusters.sums(), inOrder[i], z);
        for (int v = 0; v < z.length; v++) {
          z[v] -= mean[v];
        }
        taking.product(z, factor);
      }
    }
  }

  /** Takes the products of a vector with itself, weighed. */
  private interface Take {
    void product(double[] vector, double weight);
  }

  /** What the squared distances of a stratum's clusters count: of a single one as was said. */
  private double ofRows(Stratum stratum) {
    return stratum.clusters() == 1
        ? lone == Lone.CENTRE ? stratum.unsampled() : 0
        : stratum.unsampled() * stratum.clusters() / (stratum.clusters() - 1.0);
  }

  /** What the squared sum of a stratum counts against its squares. */
  private static double ofMean(Stratum stratum) {
    return stratum.clusters() == 1 ? 0 : 1.0 / stratum.clusters();
  }
}
