package dev.tavik.data;

import dev.tavik.count.Tabulation;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** One column as it is counted against groups: its levels, and a count for each with each group. */
final class SweptColumn {
  static final int MOST_LEVELS = 1_000;
  static final int MISSING = -1;

  private final String name;
  private final int place;
  private final Missing policy;
  private final ShortLevels first;
  private LevelTable levels = new LevelTable();
  private long[][] counts = new long[8][];
  private long missing;
  private boolean open = true;

  SweptColumn(String name, int place, Missing policy, ShortLevels first) {
    this.name = name;
    this.place = place;
    this.policy = policy;
    this.first = first;
  }

  String name() {
    return name;
  }

  /** Whether it may still be a classification. */
  boolean open() {
    return open;
  }

  /** Whether another level is still accepted. */
  boolean room() {
    return open && levels.size() < MOST_LEVELS - 1;
  }

  /** The level of a value, by its number; below 0 where it is none. */
  int level(char[] buffer, int offset, int length, boolean quoted) {
    return further(buffer, offset, length, quoted, 0);
  }

  private int further(char[] buffer, int offset, int length, boolean quoted, long key) {
    int level;
    if (length == 0 || (!quoted && Missing.isMissing(buffer, offset, length))) {
      level = policy == Missing.LEVEL ? levels.number(Missing.LEVEL_NAME) : MISSING;
    } else {
      level = levels.number(buffer, offset, length);
    }
    if (level >= MOST_LEVELS) {
      close();
      return MISSING;
    }
    first.keep(place, key, level);
    return level;
  }

  /** Marks the column as having too many levels to be a classification. */
  void close() {
    open = false;
    counts = new long[0][];
    levels = new LevelTable();
    first.forget(place);
  }

  /** The level of a short value, by its key. */
  int level(long key) {
    int known = first.level(place, key);
    if (known != ShortLevels.UNKNOWN) {
      return known;
    }
    char[] characters = ShortLevels.characters(key);
    return further(characters, 0, characters.length, ShortLevels.quoted(key), key);
  }

  /** Counts a level for a group. */
  void add(int group, int level, long units) {
    if (level < 0) {
      missing += units;
    } else if (ShortLevels.counts(group, level)) {
      first.add(place, group, level, units);
    } else {
      addFurther(group, level, units);
    }
  }

  private void addFurther(int group, int level, long units) {
    if (group >= counts.length) {
      counts = Arrays.copyOf(counts, Math.max(2 * counts.length, group + 1));
    }
    long[] ofGroup = counts[group] == null ? new long[8] : counts[group];
    if (level >= ofGroup.length) {
      ofGroup = Arrays.copyOf(ofGroup, Math.max(2 * ofGroup.length, level + 1));
    }
    ofGroup[level] += units;
    counts[group] = ofGroup;
  }

  private long count(int group, int level) {
    boolean further = group < counts.length && counts[group] != null;
    return first.count(place, group, level)
        + (further && level < counts[group].length ? counts[group][level] : 0);
  }

  Tabulation tabulation(String source, SweptColumn groups, long rows, long filtered) {
    Map<List<String>, Long> combinations = new LinkedHashMap<>();
    List<String> names = groups.levels.levels();
    for (int level = 0; level < levels.size(); level++) {
      for (int group = 0; group < names.size(); group++) {
        long count = count(group, level);
        if (count > 0) {
          combinations.put(List.of(levels.levels().get(level), names.get(group)), count);
        }
      }
    }
    Map<String, Long> lacking = new LinkedHashMap<>();
    if (missing > 0) {
      lacking.put(name, missing);
    }
    if (groups.missing > 0) {
      lacking.put(groups.name, groups.missing);
    }
    return Tabulation.of(source, List.of(name, groups.name), combinations, rows, filtered, lacking)
        .ordered(List.of(List.of(), names));
  }
}
