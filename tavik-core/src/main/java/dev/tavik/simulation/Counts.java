package dev.tavik.simulation;

/** The counts of one block of draws; blocks are added up in their order. */
final class Counts {
  final long[] bins;
  final long[] lower;
  final long[] upper;
  long draws;

  Counts(int bins, int methods) {
    this.bins = new long[bins];
    this.lower = new long[methods];
    this.upper = new long[methods];
  }

  void add(Counts other) {
    add(bins, other.bins);
    add(lower, other.lower);
    add(upper, other.upper);
    draws += other.draws;
  }

  private static void add(long[] to, long... more) {
    for (int i = 0; i < to.length; i++) {
      to[i] += more[i];
    }
  }
}
