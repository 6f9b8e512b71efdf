package dev.tavik.study.parts;

import dev.tavik.association.CellFigures;
import dev.tavik.count.CrossTable;

/**
 * The common rule for the chi-square approximation: no expected count under 1, and at most a fifth
 * of them under 5 (Cochran 1954, Biometrics 10, 417-451).
 */
public final class ExpectedCounts {
  public static final double SMALL = 5;
  private static final double FEW = 0.2;

  private ExpectedCounts() {}

  public static boolean enough(CrossTable table) {
    int small = 0;
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = 0; j < table.columns().size(); j++) {
        double expected = CellFigures.of(table, i, j).expected();
        if (expected < 1) {
          return false;
        }
        small += expected < SMALL ? 1 : 0;
      }
    }
    return small <= FEW * table.rows().size() * table.columns().size();
  }
}
