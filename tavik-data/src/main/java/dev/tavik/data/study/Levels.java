package dev.tavik.data.study;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;

/** The levels of a column, as a question lists them. */
final class Levels {
  private Levels() {}

  /** By number where all levels are numbers, else as they first appear. */
  static List<String> ordered(List<String> levels) {
    return numbers(levels)
        ? levels.stream().sorted(Comparator.comparing(BigDecimal::new)).toList()
        : levels;
  }

  /** Whether all levels are numbers. */
  static boolean numbers(List<String> levels) {
    return levels.stream().allMatch(level -> level.matches("-?\\d{1,18}(\\.\\d+)?"));
  }
}
