package dev.tavik.simulation;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** Two counts are drawn with the pooled rate; what matters is z, with the rate pooled anew. */
final class PooledWorld implements World {
  /** Relative difference below which values of z that are equal on paper count as equal. */
  private static final double SAME = 1e-12;

  /** The width of a bin is a multiple of this. */
  private static final double UNIT = 0.05;

  private final AliasCounts first;
  private final AliasCounts second;
  private final double firstTrials;
  private final double secondTrials;
  private final double low;
  private final double high;
  private final double observed;
  private final Bins around;

  PooledWorld(Tally first, Tally second, DecimalFraction rate, Alternative alternative) {
    this.first = new AliasCounts(new Binomial(first.trials(), rate));
    this.second = new AliasCounts(new Binomial(second.trials(), rate));
    this.firstTrials = first.trials();
    this.secondTrials = second.trials();
    this.observed = z((double) first.successes(), (double) second.successes());
    double slack = SAME * Math.max(1, Math.abs(observed));
    this.low = slack + Cuts.lower(observed, 0, alternative);
    this.high = Cuts.upper(observed, 0, alternative) - slack;
    this.around = Bins.around(1, observed, UNIT);
  }

  /** Of z-pooled; 0 where every trial was a success or none. */
  private double z(double one, double two) {
    double all = firstTrials + secondTrials;
    double pooled = (one + two) / all;
    double variance = pooled * ((all - one - two) / all) * (1 / firstTrials + 1 / secondTrials);
    double difference = one / firstTrials - two / secondTrials;
    return variance == 0 ? 0 : difference / Math.sqrt(variance);
  }

  double observed() {
    return observed;
  }

  Bins bins() {
    return around;
  }

  @Override
  public Counts counts() {
    return new Counts(around.number(), 1);
  }

  @Override
  public void draw(XoShiRo256PlusPlus random, int draws, Counts into) {
    long lower = 0;
    long upper = 0;
    for (int i = 0; i < draws; i++) {
      double z =
          z((double) first.count(first.draw(random)), (double) second.count(second.draw(random)));
      if (z <= low) {
        lower++;
      } else if (z >= high) {
        upper++;
      }
      long bin = Math.round((z - around.from()) / around.width());
      into.bins[(int) Math.max(0, Math.min(around.number() - 1, bin))]++;
    }
    into.lower[0] += lower;
    into.upper[0] += upper;
  }
}
