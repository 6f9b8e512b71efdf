package dev.tavik.examples.tasks;

import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Effect;
import dev.tavik.planning.Sizes;
import dev.tavik.proportion.TwoProportionTest;

/** Power at a size. */
public final class PowerAtSize {
  public static String run() throws Exception {
    CompareDesign design = CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08);
    return "power " + design.power(Sizes.of(400, 400), Effect.secondRate(0.05)).value();
  }
}
