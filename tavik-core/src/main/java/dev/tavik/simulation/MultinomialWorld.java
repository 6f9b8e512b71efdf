package dev.tavik.simulation;

import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import java.util.Arrays;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;
import org.jspecify.annotations.Nullable;

/**
 * Counts of several categories with claimed shares, one category after another: each is binomial,
 * of what those before it left. A table is kept for every number that may be left, so that a count
 * is one random number and two looks; where the tables would be large, it is drawn by rejection.
 */
final class MultinomialWorld implements World {
  private static final double TIE = 1e-7;

  /** Number of table places that fill some tens of megabytes. */
  private static final double MOST_PLACES = 4e6;

  /** Counts fall within so many standard deviations, both sides together. */
  private static final double REACH = 19;

  private final long total;
  private final double[] stages;
  private final double[] expected;
  private final double pearson;
  private final double likelihood;
  private final Bins bins;

  /** By what was left, for each category but the last; filled as it comes up. */
  private final @Nullable AliasCounts[][] tables;

  private final double[] timesLog;
  private final double[] logExpected;

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
    boolean tabled = places(size) <= MOST_PLACES;
    this.tables = tabled ? new AliasCounts[size - 1][(int) total + 1] : new AliasCounts[0][];
    this.timesLog = tabled ? new double[(int) total + 1] : new double[0];
    for (int y = 2; y < timesLog.length; y++) {
      timesLog[y] = y * Math.log(y);
    }
    this.logExpected = Arrays.stream(expected).map(Math::log).toArray();
  }

  /** About how many places all tables have together: as many of each as numbers may be left. */
  private double places(int size) {
    double places = 0;
    double share = 1;
    for (int i = 0; i < size - 1; i++) {
      double left = 1 + REACH * Math.sqrt(total * share * (1 - share));
      double mean = total * share;
      places += left * (1 + REACH * Math.sqrt(mean * stages[i] * (1 - stages[i])));
      share *= 1 - stages[i];
    }
    return places + (double) size * total;
  }

  private static double pearson(long count, double expected) {
    return (count - expected) * (count - expected) / expected;
  }

  private static double likelihood(long count, double expected) {
    return count == 0 ? 0 : 2 * count * Math.log(count / expected);
  }

  private double likelihood(int category, long count) {
    return timesLog.length > 0
        ? 2 * (timesLog[(int) count] - count * logExpected[category])
        : likelihood(count, expected[category]);
  }

  Bins bins() {
    return bins;
  }

  double observed() {
    return pearson;
  }

  @Override
  public int stretch() {
    return STRETCH_OF_TABLES;
  }

  @Override
  public Counts counts() {
    return new Counts(bins.number(), 2);
  }

  @Override
  public void draw(XoShiRo256PlusPlus random, int draws, Counts into) {
    double x2Least = pearson * (1 - TIE);
    double g2Least = likelihood * (1 - TIE);
    long asX2 = 0;
    long asG2 = 0;
    for (int i = 0; i < draws; i++) {
      long left = total;
      double x2 = 0;
      double g2 = 0;
      for (int j = 0; j < stages.length; j++) {
        long count = j == stages.length - 1 ? left : count(random, j, left);
        left -= count;
        double away = count - expected[j];
        x2 += away * away / expected[j];
        g2 += likelihood(j, count);
      }
      asX2 += x2 >= x2Least ? 1 : 0;
      asG2 += g2 >= g2Least ? 1 : 0;
      into.bins[(int) Math.min(bins.number() - 1, x2 / bins.width())]++;
    }
    into.upper[0] += asX2;
    into.upper[1] += asG2;
  }

  private long count(XoShiRo256PlusPlus random, int stage, long left) {
    double chance = stages[stage];
    if (tables.length == 0 || left == 0 || chance >= 1) {
      return CountDraws.binomial(random, left, chance);
    }
    @Nullable AliasCounts[] ofStage = tables[stage];
    AliasCounts table = ofStage[(int) left];
    if (table == null) {
      // Two threads may create the same table; either one is valid.
      table = new AliasCounts(new Binomial(left, DecimalFraction.exactly(chance)));
      ofStage[(int) left] = table;
    }
    return table.count(table.draw(random));
  }
}
