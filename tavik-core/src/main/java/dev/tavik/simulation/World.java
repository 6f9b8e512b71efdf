package dev.tavik.simulation;

import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** A world in which the null is true. Several threads draw from one, each with a generator. */
interface World {
  /** Counts of nothing yet. */
  Counts counts();

  /** Draws so many times. */
  void draw(XoShiRo256PlusPlus random, int draws, Counts into);

  /** Works out hits from bins, where they weren't counted draw by draw. */
  default void settle(Counts counts) {}
}
