package dev.tavik.data.study;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/** The levels of a column, as a question lists them. */
final class Levels {
  private static final Pattern POINT = Pattern.compile("-?\\d{1,18}(\\.\\d{1,18})?");
  private static final Pattern COMMA = Pattern.compile("-?\\d{1,15}(,\\d{1,15})?");

  /** May be a thousand as well as a fraction. */
  private static final Pattern UNCLEAR = Pattern.compile("-?\\d{1,3},\\d{3}");

  private Levels() {}

  /** By number where all levels are numbers, else as they first appear. */
  static List<String> ordered(List<String> levels) {
    return numbers(levels)
        ? levels.stream().sorted(Comparator.comparing(Levels::number)).toList()
        : levels;
  }

  /** Whether all levels are numbers. */
  static boolean numbers(List<String> levels) {
    return levels.stream().allMatch(level -> POINT.matcher(level).matches())
        || decimalCommas(levels);
  }

  /** Whether all levels are numbers and some certainly have a decimal comma. */
  static boolean decimalCommas(List<String> levels) {
    return levels.stream().allMatch(level -> COMMA.matcher(level).matches())
        && levels.stream()
            .anyMatch(level -> level.contains(",") && !UNCLEAR.matcher(level).matches());
  }

  /** The number that a level is. */
  static BigDecimal number(String level) {
    return new BigDecimal(level.replace(',', '.'));
  }
}
