package dev.tavik.simulation;

import java.util.function.LongPredicate;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** A world in which a single count is drawn; the frequencies of the counts are sufficient. */
final class CountWorld implements World {
  private final AliasCounts counts;
  private final LongPredicate[] below;
  private final LongPredicate[] above;

  /** With what counts as extreme below and above, one of each a method. */
  CountWorld(AliasCounts counts, LongPredicate[] below, LongPredicate[] above) {
    this.counts = counts;
    this.below = below;
    this.above = above;
  }

  @Override
  public Counts counts() {
    return new Counts(counts.size(), below.length);
  }

  @Override
  public void draw(XoShiRo256PlusPlus random, int draws, Counts into) {
    long[] bins = into.bins;
    for (int i = 0; i < draws; i++) {
      bins[counts.draw(random)]++;
    }
  }

  @Override
  public void settle(Counts drawn) {
    for (int method = 0; method < below.length; method++) {
      drawn.lower[method] = 0;
      drawn.upper[method] = 0;
      for (int i = 0; i < drawn.bins.length; i++) {
        long x = counts.count(i);
        if (below[method].test(x)) {
          drawn.lower[method] += drawn.bins[i];
        } else if (above[method].test(x)) {
          drawn.upper[method] += drawn.bins[i];
        }
      }
    }
  }
}
