package dev.tavik.bench;

import java.lang.management.ManagementFactory;
import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Times two pieces of work in turn, batch by batch, so that whatever else the machine does falls on
 * both alike, and tells how much one call of the second allocates.
 *
 * <p>A batch is long enough to measure; batches go on until two agree, then those that count begin.
 * What the work returns is added up and kept, so that no compiler can leave it out, and each call
 * gets a number that changes, from which it varies its arguments.
 *
 * <p>A well-known benchmark library would do more (forks, profilers), but drags in a package of
 * hypothesis tests, which no module of Tavik depends on.
 */
final class SideBySide {
  private static final com.sun.management.ThreadMXBean THREADS =
      (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
  private static final com.sun.management.OperatingSystemMXBean PROCESS =
      (com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();

  private static final long BATCH_NANOS = 40_000_000;
  private static final long PROCESS_BATCH_NANOS = 400_000_000;
  private static final int MOST_WARM_UPS = 12;
  private static final int LEAST_WARM_UPS = 6;
  private static final double AGREED = 0.05;
  private static final int MEASURED = 7;

  private static volatile double kept;

  private final boolean allThreads;

  private SideBySide(boolean allThreads) {
    this.allThreads = allThreads;
  }

  /**
   * Nanoseconds of processor time a call, the medians of the batches; bytes are those of the
   * second. Without a first its time is not a number.
   */
  record Times(double anchor, double tavik, double bytes) {
    double ratio() {
      return tavik / anchor;
    }
  }

  /** Of this thread, or of all threads of the process where the work has more than one. */
  static Times of(
      @Nullable IntToDoubleFunction anchor, IntToDoubleFunction tavik, boolean allThreads) {
    return new SideBySide(allThreads).measure(anchor, tavik);
  }

  /** One call, for what takes seconds. */
  static Times once(IntToDoubleFunction work) {
    long before = THREADS.getCurrentThreadAllocatedBytes();
    long taken = new SideBySide(false).batch(work, 1);
    return new Times(
        Double.NaN, (double) taken, (double) (THREADS.getCurrentThreadAllocatedBytes() - before));
  }

  private Times measure(@Nullable IntToDoubleFunction anchor, IntToDoubleFunction tavik) {
    int anchorCalls = anchor == null ? 0 : warm(anchor);
    int calls = warm(tavik);
    double[] first = new double[MEASURED];
    double[] second = new double[MEASURED];
    long before = THREADS.getCurrentThreadAllocatedBytes();
    long allocated = 0;
    for (int i = 0; i < MEASURED; i++) {
      first[i] = anchor == null ? Double.NaN : (double) batch(anchor, anchorCalls) / anchorCalls;
      before = THREADS.getCurrentThreadAllocatedBytes();
      second[i] = (double) batch(tavik, calls) / calls;
      allocated += THREADS.getCurrentThreadAllocatedBytes() - before;
    }
    Arrays.sort(first);
    Arrays.sort(second);
    return new Times(
        first[MEASURED / 2], second[MEASURED / 2], (double) allocated / MEASURED / calls);
  }

  /** How many calls make a batch, once two batches take about as long. */
  private int warm(IntToDoubleFunction work) {
    long wanted = allThreads ? PROCESS_BATCH_NANOS : BATCH_NANOS;
    int calls = 1;
    double last = 0;
    for (int i = 0; i < MOST_WARM_UPS; i++) {
      long taken = batch(work, calls);
      while (taken < wanted && calls < 1 << 28) {
        calls *= 2;
        taken = batch(work, calls);
      }
      if (i >= LEAST_WARM_UPS && Math.abs(taken - last) <= AGREED * taken) {
        break;
      }
      last = taken;
    }
    return calls;
  }

  private long batch(IntToDoubleFunction work, int calls) {
    double sum = 0;
    long start = now();
    for (int i = 0; i < calls; i++) {
      sum += work.applyAsDouble(i);
    }
    long taken = now() - start;
    kept = sum;
    return taken;
  }

  private long now() {
    return allThreads ? PROCESS.getProcessCpuTime() : THREADS.getCurrentThreadCpuTime();
  }

  /** What the last batch added up to. */
  static double kept() {
    return kept;
  }
}
