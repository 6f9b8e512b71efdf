package dev.tavik.simulation;

import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** Counts of several categories with claimed shares, one category after another. */
final class MultinomialWorld implements World {
  private static final double TIE = 1e-7;

  private final long total;
  private final double[] stages;
  private final double[] expected;
  private final double pearson;
  private final double likelihood;
  private final Bins bins;

  MultinomialWorld(CategoryCounts counts, Shares claimed) {
    int size = counts.size();
    this.total = counts.total();
    this.stages = new double[size];
    this.expected = new double[size];
    double rest = 0;
    for (int i = size - 1; i >= 0; i--) {
      rest += claimed.share(i);
      stages[i] = claimed.share(i) / rest;
      expected[i] = total * claimed.share(i);
    }
    double x2 = 0;
    double g2 = 0;
    for (int i = 0; i < size; i++) {
      x2 += pearson(counts.counts().get(i), expected[i]);
      g2 += likelihood(counts.counts().get(i), expected[i]);
    }
    this.pearson = x2;
    this.likelihood = g2;
    this.bins = Bins.upwards(size - 1.0, pearson);
  }

  private static double pearson(long count, double expected) {
    return (count - expected) * (count - expected) / expected;
  }

  private static double likelihood(long count, double expected) {
    return count == 0 ? 0 : 2 * count * Math.log(count / expected);
  }

  Bins bins() {
    return bins;
  }

  double observed() {
    return pearson;
  }

  @Override
  public Counts counts() {
    return new Counts(bins.number(), 2);
  }

  @Override
  public void draw(XoShiRo256PlusPlus random, int draws, Counts into) {
    double x2Least = pearson * (1 - TIE);
    double g2Least = likelihood * (1 - TIE);
    for (int i = 0; i < draws; i++) {
      long left = total;
      double x2 = 0;
      double g2 = 0;
      for (int j = 0; j < stages.length; j++) {
        long count = j == stages.length - 1 ? left : CountDraws.binomial(random, left, stages[j]);
        left -= count;
        x2 += pearson(count, expected[j]);
        g2 += likelihood(count, expected[j]);
      }
      into.upper[0] += x2 >= x2Least ? 1 : 0;
      into.upper[1] += g2 >= g2Least ? 1 : 0;
      into.bins[(int) Math.min(bins.number() - 1, x2 / bins.width())]++;
    }
  }
}
