package dev.tavik.simulation;

import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;
import org.jspecify.annotations.Nullable;

/**
 * Makes draws in stretches of fixed length. Each stretch has a generator of its own, a jump of 2¹²⁸
 * numbers after that of the stretch before, so that who computes it doesn't matter; memory doesn't
 * grow with the number of draws. Interrupting the thread ends it after the stretches at hand, with
 * what was drawn.
 */
final class Engine {
  private static final int AT_ONCE = 32;
  private static final int AT_ONCE_LARGE = 4;
  private static final int LARGE = 1 << 15;

  /** The chance of stopping on the wrong side of a level. */
  private static final double WRONG = 0.001;

  private final World world;
  private final Draws settings;
  private final XoShiRo256PlusPlus source;
  private final Counts all;
  private @Nullable Boolean clear;

  Engine(World world, Draws settings) {
    this.world = world;
    this.settings = settings;
    this.source = generator(settings.seed());
    this.all = world.counts();
    this.clear = settings.clearOf() == null ? null : Boolean.FALSE;
  }

  static XoShiRo256PlusPlus generator(long seed) {
    return new XoShiRo256PlusPlus(seed(seed));
  }

  /** Four numbers from one (Steele, Lea and Flood 2014, "Fast splittable generators"). */
  private static long[] seed(long seed) {
    long[] state = new long[4];
    long counter = seed;
    for (int i = 0; i < state.length; i++) {
      counter += 0x9E3779B97F4A7C15L;
      long mixed = (counter ^ (counter >>> 30)) * 0xBF58476D1CE4E5B9L;
      mixed = (mixed ^ (mixed >>> 27)) * 0x94D049BB133111EBL;
      state[i] = mixed ^ (mixed >>> 31);
    }
    return state;
  }

  Counts run() {
    int atOnce = all.bins.length > LARGE ? AT_ONCE_LARGE : AT_ONCE;
    long handedOut = 0;
    while (handedOut < settings.most()) {
      List<XoShiRo256PlusPlus> generators = new ArrayList<>();
      List<Integer> lengths = new ArrayList<>();
      while (generators.size() < atOnce && handedOut < settings.most()) {
        generators.add((XoShiRo256PlusPlus) source.jump());
        int length = (int) Math.min(world.stretch(), settings.most() - handedOut);
        lengths.add(length);
        handedOut += length;
      }
      List<Counts> stretches =
          IntStream.range(0, generators.size())
              .parallel()
              .mapToObj(i -> stretch(generators.get(i), lengths.get(i)))
              .toList();
      for (Counts stretch : stretches) {
        all.add(stretch);
        if (isClear()) {
          clear = true;
          return settled();
        }
      }
      Progress.tell(Progress.Task.DRAWING, all.draws, settings.most());
      if (Thread.currentThread().isInterrupted()) {
        break;
      }
    }
    return settled();
  }

  private Counts stretch(XoShiRo256PlusPlus random, int length) {
    Counts counts = world.counts();
    world.draw(random, length, counts);
    counts.draws = length;
    return counts;
  }

  /**
   * Robbins's confidence sequence: (n + 1) times the binomial probability of the hits at the true
   * p-value is ever below a bound with a chance of no more than that bound, however long one looks
   * (Lai 1976, Annals of Statistics 4, 265-280; Ding, Gandy and Hahn 2020, Computational Statistics
   * 35, 1373-1392).
   */
  private boolean isClear() {
    Double level = settings.clearOf();
    if (level == null) {
      return false;
    }
    Counts now = settled();
    return new Binomial(now.draws, DecimalFraction.of(level)).logMass(now.lower[0] + now.upper[0])
        <= Math.log(WRONG) - Math.log(now.draws + 1.0);
  }

  private Counts settled() {
    world.settle(all);
    return all;
  }

  @Nullable Boolean clear() {
    return clear;
  }
}
