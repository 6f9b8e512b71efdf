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
    requireSample();
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

  /** A census has no spread from sample to sample. */
  private void requireSample() {
    if (strata.stream().allMatch(each -> each.unsampled() == 0)) {
      throw new DeclinedException(
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
        for (int entry = clusters.begin(i); entry < clusters.begin(i + 1); entry++) {
          has[clusters.stratumOf(i)] |= counted[clusters.combination(entry)] > 0;
        }
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
    double[][] slopes = counted(statistic);
    double[][] covariance = new double[slopes.length][slopes.length];
    if (counts.sums() instanceof ByCluster clusters) {
      addClusters(clusters, slopes, (z, weight) -> Products.add(z, weight, covariance));
    } else if (counts.sums() instanceof ByUnit units) {
      for (int h = 0; h < strata.size(); h++) {
        double[] mean = linearised(units.sums(h), slopes);
        for (int v = 0; v < slopes.length; v++) {
          for (int w = 0; w <= v; w++) {
            covariance[v][w] +=
                units(units.squares(h), strata.get(h), slopes[v], slopes[w], mean[v] * mean[w]);
          }
        }
      }
    }
    return Products.mirrored(covariance);
  }

  @Override
  public double[] variances(Statistic statistic) {
    double[][] slopes = counted(statistic);
    double[] variances = new double[slopes.length];
    if (counts.sums() instanceof ByCluster clusters) {
      addClusters(clusters, slopes, (z, weight) -> Products.add(z, weight, variances));
    } else if (counts.sums() instanceof ByUnit units) {
      for (int h = 0; h < strata.size(); h++) {
        double[] mean = linearised(units.sums(h), slopes);
        for (int v = 0; v < variances.length; v++) {
          // Where all rows of a stratum are alike, rounding is left of their spread.
          variances[v] +=
              Math.max(
                  0,
                  units(
                      units.squares(h), strata.get(h), slopes[v], slopes[v], mean[v] * mean[v]));
        }
      }
    }
    return variances;
  }

  /** The slopes for combinations as they were counted. */
  private double[][] counted(Statistic statistic) {
    double[][] slopes = statistic.slopes(counts.totals());
    double[][] counted = new double[slopes.length][];
    for (int i = 0; i < slopes.length; i++) {
      counted[i] = counts.counted(slopes[i]);
    }
    return counted;
  }

  private void addClusters(ByCluster clusters, double[][] slopes, Take taking) {
    double[][] means = new double[strata.size()][slopes.length];
    double[] z = new double[slopes.length];
    for (int i = 0; i < clusters.clusters(); i++) {
      Stratum stratum = strata.get(clusters.stratumOf(i));
      linearise(clusters, i, slopes, z);
      for (int v = 0; v < z.length; v++) {
        means[clusters.stratumOf(i)][v] += z[v] / stratum.clusters();
      }
    }
    for (int i = 0; i < clusters.clusters(); i++) {
      Stratum stratum = strata.get(clusters.stratumOf(i));
      linearise(clusters, i, slopes, z);
      if (stratum.clusters() > 1) {
        double[] mean = means[clusters.stratumOf(i)];
        for (int v = 0; v < z.length; v++) {
          z[v] -= mean[v];
        }
        taking.product(z, factor(stratum));
      } else if (lone == Lone.CENTRE) {
        taking.product(z, stratum.unsampled());
      }
    }
  }

  /** Takes the products of a vector with itself, weighed. */
  private interface Take {
    void product(double[] vector, double weight);
  }

  private static void linearise(ByCluster clusters, int cluster, double[][] slopes, double[] z) {
    Arrays.fill(z, 0);
    for (int entry = clusters.begin(cluster); entry < clusters.begin(cluster + 1); entry++) {
      double weight = clusters.sum(entry);
      int combination = clusters.combination(entry);
      for (int v = 0; v < z.length; v++) {
        z[v] += weight * slopes[v][combination];
      }
    }
  }

  private static double[] linearised(double[] sums, double[][] slopes) {
    double[] z = new double[slopes.length];
    for (int v = 0; v < z.length; v++) {
      for (int c = 0; c < sums.length; c++) {
        z[v] += sums[c] * slopes[v][c];
      }
    }
    return z;
  }

  private static double factor(Stratum stratum) {
    return stratum.unsampled() * stratum.clusters() / (stratum.clusters() - 1.0);
  }

  /** What a stratum of rows adds to a covariance. */
  private double units(
      double[] squares, Stratum stratum, double[] one, double[] other, double meanSquare) {
    boolean single = stratum.clusters() == 1;
    double factor = single ? (lone == Lone.CENTRE ? stratum.unsampled() : 0) : factor(stratum);
    double sum = single ? 0 : -meanSquare / stratum.clusters();
    for (int c = 0; c < squares.length; c++) {
      sum += one[c] * other[c] * squares[c];
    }
    return factor * sum;
  }
}
