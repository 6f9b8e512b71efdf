package dev.tavik.bench;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.Arrays;
import java.util.function.IntToDoubleFunction;

/**
 * Times one piece of work by the processor time of this thread, which other programs on the machine
 * disturb less than the clock.
 *
 * <p>The work runs in batches long enough to measure, after as many to warm up; its results are
 * added up and kept, so that no compiler can leave it out. A call gets a number that changes each
 * time, from which it can vary its arguments.
 *
 * <p>A well-known benchmark library would do more (forks, profilers), but drags in a package of
 * hypothesis tests, which no module of Tavik depends on.
 */
final class Timing {
  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();
  private static final long BATCH_NANOS = 60_000_000;
  private static final int WARM_UP = 8;
  private static final int MEASURED = 15;

  private static volatile double kept;

  private final double[] nanos = new double[MEASURED];

  private Timing() {}

  /** Microseconds a call: the smallest, the median and the largest of the batches. */
  record Result(double least, double median, double greatest) {}

  static Result of(IntToDoubleFunction work) {
    return new Timing().measure(work);
  }

  private Result measure(IntToDoubleFunction work) {
    int calls = 1;
    while (batch(work, calls) < BATCH_NANOS && calls < 1 << 28) {
      calls *= 2;
    }
    for (int i = 0; i < WARM_UP; i++) {
      batch(work, calls);
    }
    for (int i = 0; i < MEASURED; i++) {
      nanos[i] = (double) batch(work, calls) / calls;
    }
    Arrays.sort(nanos);
    return new Result(nanos[0] / 1e3, nanos[MEASURED / 2] / 1e3, nanos[MEASURED - 1] / 1e3);
  }

  private static long batch(IntToDoubleFunction work, int calls) {
    double sum = 0;
    long start = THREADS.getCurrentThreadCpuTime();
    for (int i = 0; i < calls; i++) {
      sum += work.applyAsDouble(i);
    }
    long taken = THREADS.getCurrentThreadCpuTime() - start;
    kept = sum;
    return taken;
  }

  /** What the last batch added up to. */
  static double kept() {
    return kept;
  }
}
