package dev.tavik.survey;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.count.SampleDesign.Lone;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByCluster;
import dev.tavik.count.SurveyCounts.ByUnit;
import dev.tavik.count.SurveyCounts.Stratum;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Figures;
import java.util.Arrays;
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

  LinearisedSpread(SurveyCounts counts) {
    this.counts = counts;
    this.strata = counts.strata();
    this.lone = counts.design().lone();
    requireTwo();
    boolean[] all = new boolean[counts.combinations().size()];
    Arrays.fill(all, true);
    if (!(df(all) >= 1)) {
      throw new DeclinedException(
          "%s %s in %s %s leave no degrees of freedom: a variance needs at least two clusters of one"
              + " stratum",
          Figures.count(strata.stream().mapToLong(Stratum::clusters).sum()),
          counts.sums() instanceof ByUnit ? "rows" : "clusters",
          Figures.count(strata.size()),
          strata.size() == 1 ? "stratum" : "strata");
    }
  }

  private void requireTwo() {
    List<String> alone =
        strata.stream()
            .filter(each -> each.clusters() == 1 && each.unsampled() > 0)
            .map(each -> each.name().isEmpty() ? "the whole" : "'" + each.name() + "'")
            .toList();
    if (lone == Lone.FAIL && !alone.isEmpty() && strata.size() > 1) {
      throw new DeclinedException(
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
    boolean[] has = new boolean[strata.size()];
    if (counts.sums() instanceof ByCluster clusters) {
      for (int i = 0; i < clusters.clusters(); i++) {
        has[clusters.stratumOf(i)] |= any(clusters.sums(i), counted);
      }
    } else if (counts.sums() instanceof ByUnit units) {
      for (int h = 0; h < has.length; h++) {
        has[h] = any(units.sums(h), counted);
      }
    }
    long df = 0;
    for (int h = 0; h < has.length; h++) {
      df += has[h] ? strata.get(h).clusters() - 1 : 0;
    }
    return df;
  }

  private static boolean any(double[] sums, double[] wanted) {
    boolean any = false;
    for (int c = 0; c < sums.length; c++) {
      any |= sums[c] * wanted[c] > 0;
    }
    return any;
  }

  @Override
  public double[][] covariance(Statistic statistic) {
    double[][] slopes = statistic.slopes(counts.totals());
    double[][] counted = new double[slopes.length][];
    for (int i = 0; i < slopes.length; i++) {
      counted[i] = counts.counted(slopes[i]);
    }
    double[][] covariance = new double[slopes.length][slopes.length];
    if (counts.sums() instanceof ByCluster clusters) {
      addClusters(clusters, counted, covariance);
    } else if (counts.sums() instanceof ByUnit units) {
      for (int h = 0; h < strata.size(); h++) {
        addUnits(units.sums(h), units.squares(h), strata.get(h), counted, covariance);
      }
    }
    return Products.mirrored(covariance);
  }

  private void addClusters(ByCluster clusters, double[][] slopes, double[][] to) {
    double[][] means = new double[strata.size()][slopes.length];
    for (int i = 0; i < clusters.clusters(); i++) {
      double[] mean = means[clusters.stratumOf(i)];
      double[] z = linearised(clusters.sums(i), slopes);
      for (int v = 0; v < mean.length; v++) {
        mean[v] += z[v] / strata.get(clusters.stratumOf(i)).clusters();
      }
    }
    for (int i = 0; i < clusters.clusters(); i++) {
      Stratum stratum = strata.get(clusters.stratumOf(i));
      double[] away = linearised(clusters.sums(i), slopes);
      if (stratum.clusters() > 1) {
        double[] mean = means[clusters.stratumOf(i)];
        for (int v = 0; v < away.length; v++) {
          away[v] -= mean[v];
        }
        Products.add(away, factor(stratum), to);
      } else if (lone == Lone.CENTRE) {
        Products.add(away, stratum.unsampled(), to);
      }
    }
  }

  private static double[] linearised(double[] cluster, double[][] slopes) {
    double[] z = new double[slopes.length];
    for (int c = 0; c < cluster.length; c++) {
      double weight = cluster[c];
      if (weight != 0) {
        for (int v = 0; v < z.length; v++) {
          z[v] += weight * slopes[v][c];
        }
      }
    }
    return z;
  }

  private static double factor(Stratum stratum) {
    return stratum.unsampled() * stratum.clusters() / (stratum.clusters() - 1.0);
  }

  private void addUnits(
      double[] sums, double[] squares, Stratum stratum, double[][] slopes, double[][] to) {
    boolean single = stratum.clusters() == 1;
    double factor = single ? (lone == Lone.CENTRE ? stratum.unsampled() : 0) : factor(stratum);
    if (factor == 0) {
      return;
    }
    double[] mean = linearised(sums, slopes);
    for (int v = 0; v < slopes.length; v++) {
      for (int w = 0; w <= v; w++) {
        double sum = single ? 0 : -mean[v] * mean[w] / stratum.clusters();
        for (int c = 0; c < squares.length; c++) {
          sum += slopes[v][c] * slopes[w][c] * squares[c];
        }
        // Where all rows of a stratum are alike, rounding is left of their spread.
        to[v][w] += factor * (v == w ? Math.max(0, sum) : sum);
      }
    }
  }
}
