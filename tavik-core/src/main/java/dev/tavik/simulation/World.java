package dev.tavik.simulation;

import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** A world in which the null is true. Several threads draw from it, each with its own generator. */
interface World {
  /** Block length for worlds whose draws take long. */
  int STRETCH_OF_TABLES = 1 << 12;

  /** Creates empty counts. */
  Counts counts();

  /**
   * How many draws one thread makes at a time, with a generator of its own: fewer where a draw
   * takes longer, so that all processors have something to do. What is drawn depends on it.
   */
  default int stretch() {
    return 1 << 16;
  }

  /** Makes a number of draws. */
  void draw(XoShiRo256PlusPlus random, int draws, Counts into);

  /** Computes the hits from the bins if they were not counted draw by draw. */
  default void settle(Counts counts) {}
}
