package dev.tavik.bench;

import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * One line of the table: what is done, the least that any program must do for it, Tavik's way, and
 * how many times the least is wanted.
 *
 * @param name what is done
 * @param anchor a plain kernel, or null where a line is only watched
 * @param tavik the same through Tavik's public methods
 * @param before the ratio at the last change of methods, as it was measured then
 * @param wanted the ratio that is wanted, as people write it
 * @param threads whose processor time counts
 */
record Benchmark(
    String name,
    @Nullable IntToDoubleFunction anchor,
    IntToDoubleFunction tavik,
    String before,
    String wanted,
    Threads threads) {

  /** Whose time counts. */
  enum Threads {
    ONE,
    ALL,
    /** Of one, in a single call: what takes seconds. */
    ONE_CALL
  }

  static Benchmark of(
      String name,
      IntToDoubleFunction anchor,
      IntToDoubleFunction tavik,
      String before,
      String wanted) {
    return new Benchmark(name, anchor, tavik, before, wanted, Threads.ONE);
  }

  static Benchmark watched(String name, IntToDoubleFunction tavik, String before, String wanted) {
    return new Benchmark(name, null, tavik, before, wanted, Threads.ONE);
  }

  Benchmark once() {
    return new Benchmark(name, anchor, tavik, before, wanted, Threads.ONE_CALL);
  }

  Benchmark onAllThreads() {
    return new Benchmark(name, anchor, tavik, before, wanted, Threads.ALL);
  }
}
