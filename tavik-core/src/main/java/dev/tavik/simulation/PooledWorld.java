package dev.tavik.simulation;

import dev.tavik.result.Alternative;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** Two counts are drawn with the pooled rate; their difference is what matters. */
final class PooledWorld implements World {
  /** Differences that are equal on paper differ by less. */
  private static final double SAME = 1e-12;

  private final AliasCounts first;
  private final AliasCounts second;
  private final double firstTrials;
  private final double secondTrials;
  private final double low;
  private final double high;
  private final double from;
  private final double width;
  private final int bins;

  PooledWorld(
      AliasCounts first,
      AliasCounts second,
      double firstTrials,
      double secondTrials,
      double observed,
      Alternative alternative,
      Bins bins) {
    this.first = first;
    this.second = second;
    this.firstTrials = firstTrials;
    this.secondTrials = secondTrials;
    this.low = SAME + Cuts.lower(observed, 0, alternative);
    this.high = Cuts.upper(observed, 0, alternative) - SAME;
    this.from = bins.from();
    this.width = bins.width();
    this.bins = bins.number();
  }

  @Override
  public Counts counts() {
    return new Counts(bins, 1);
  }

  @Override
  public void draw(XoShiRo256PlusPlus random, int draws, Counts into) {
    long lower = 0;
    long upper = 0;
    for (int i = 0; i < draws; i++) {
      double difference =
          first.count(first.draw(random)) / firstTrials
              - second.count(second.draw(random)) / secondTrials;
      if (difference <= low) {
        lower++;
      } else if (difference >= high) {
        upper++;
      }
      long bin = Math.round((difference - from) / width);
      into.bins[(int) Math.max(0, Math.min(bins - 1, bin))]++;
    }
    into.lower[0] += lower;
    into.upper[0] += upper;
  }
}
