package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;

/** Fisher's p of two tallies. */
public final class FisherOfTwoByTwo {
  public static String run() throws Exception {
    Tally north = Tally.of(3, 20);
    Tally south = Tally.of(11, 22);
    return "p = " + TwoProportionTest.FISHER.of(north, south, Alternative.LESS).pValue();
  }
}
