package dev.tavik.examples.tasks;

import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Effect;
import dev.tavik.proportion.TwoProportionTest;

/** The size for a power. */
public final class SizeForPower {
  public static String run() throws Exception {
    CompareDesign design = CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08);
    return "n = " + design.sizeFor(Effect.difference(-0.03), 0.9).first();
  }
}
