package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import java.util.BitSet;

/**
 * The rejected pairs of the z test with separate standard errors against a difference other than 0,
 * each pair asked about by itself: next to the corners, where the standard error vanishes, counts
 * further from the null may be rejected less, so that there are no two ends to find.
 */
final class CellwiseRegion implements CriticalPairs {
  /** Statistics so near to the critical value, relatively, are left to the test itself. */
  private static final double NEAR = 1e-5;

  private final int first;
  private final int second;
  private final BitSet rejected;

  private CellwiseRegion(int first, int second) {
    this.first = first;
    this.second = second;
    this.rejected = new BitSet((first + 1) * (second + 1));
  }

  static CellwiseRegion separate(long trials, long others, Hypothesis hypothesis, double alpha) {
    int first = (int) trials;
    int second = (int) others;
    CellwiseRegion cells = new CellwiseRegion(first, second);
    Alternative alternative = hypothesis.alternative();
    double critical =
        Normal.upperQuantile(alternative == Alternative.TWO_SIDED ? alpha / 2 : alpha);
    for (int y = 0; y <= second; y++) {
      double p2 = (double) y / second;
      for (int x = 0; x <= first; x++) {
        double p1 = (double) x / first;
        double away = p1 - p2 - hypothesis.against();
        double z = away / Math.sqrt(p1 * (1 - p1) / first + p2 * (1 - p2) / second);
        double extreme =
            switch (alternative) {
              case TWO_SIDED -> Math.abs(z);
              case LESS -> -z;
              case GREATER -> z;
            };
        boolean near = !(Math.abs(extreme - critical) > NEAR * critical) || Double.isInfinite(z);
        boolean rejects =
            near
                ? TwoProportionTest.Z_SEPARATE
                    .of(Tally.of(x, first), Tally.of(y, second), hypothesis)
                    .rejects(alpha)
                : extreme > critical;
        cells.rejected.set(y * (first + 1) + x, rejects);
      }
    }
    return cells;
  }

  @Override
  public double chance(double p1, double p2) {
    return chance(rejected, p1, p2);
  }

  /** The chance that this test rejects and another too. */
  double chanceOfBoth(CellwiseRegion other, double p1, double p2) {
    BitSet both = (BitSet) rejected.clone();
    both.and(other.rejected);
    return chance(both, p1, p2);
  }

  private double chance(BitSet cells, double p1, double p2) {
    BinomialPmfTable ones = new BinomialPmfTable(first, Proportion.require("first", p1));
    BinomialPmfTable twos = new BinomialPmfTable(second, Proportion.require("second", p2));
    double sum = 0;
    for (int y = twos.from(); y <= twos.to(); y++) {
      int row = y * (first + 1);
      double inRow = 0;
      int from = cells.nextSetBit(row + ones.from());
      for (int cell = from;
          cell >= 0 && cell <= row + ones.to();
          cell = cells.nextSetBit(cell + 1)) {
        inRow += ones.of(cell - row);
      }
      sum += twos.of(y) * inRow;
    }
    return Math.min(1, sum);
  }
}
