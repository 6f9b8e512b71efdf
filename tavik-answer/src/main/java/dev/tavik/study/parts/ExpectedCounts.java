package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Condition;
import dev.tavik.association.CellFigures;
import dev.tavik.count.CrossTable;
import dev.tavik.phrase.Assumptions;
import dev.tavik.result.Figures;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The common rule for the chi-square approximation: no expected count under 1, and at most a fifth
 * of them under 5 (Cochran 1954, Biometrics 10, 417-451).
 */
public final class ExpectedCounts {
  public static final double SMALL = 5;
  private static final double FEW = 0.2;

  private final Map<String, Double> byName;

  private ExpectedCounts(Map<String, Double> byName) {
    this.byName = byName;
  }

  public static ExpectedCounts of(CrossTable table) {
    Map<String, Double> byName = new LinkedHashMap<>();
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = 0; j < table.columns().size(); j++) {
        String name = table.rows().get(i) + " x " + table.columns().get(j);
        byName.put(name, CellFigures.of(table, i, j).expected());
      }
    }
    return new ExpectedCounts(byName);
  }

  public static ExpectedCounts of(List<String> levels, List<CellFigures> cells) {
    Map<String, Double> byName = new LinkedHashMap<>();
    for (int i = 0; i < cells.size(); i++) {
      byName.put(levels.get(i), cells.get(i).expected());
    }
    return new ExpectedCounts(byName);
  }

  /** Whether the approximation may be relied on. */
  public boolean enough() {
    return byName.values().stream().allMatch(expected -> expected >= 1)
        && small().size() <= FEW * byName.size();
  }

  /** The cells that are expected to hold fewer than five, each with its expected count. */
  public List<String> small() {
    return byName.entrySet().stream()
        .filter(each -> each.getValue() < SMALL)
        .map(each -> say("%s (%s)", each.getKey(), Figures.significant(each.getValue(), 3)))
        .toList();
  }

  /**
   * The condition in words.
   *
   * @param small the small ones in words
   */
  public Condition condition(String small) {
    return Assumptions.expectedOfCells(enough(), small().isEmpty() ? "" : small);
  }
}
