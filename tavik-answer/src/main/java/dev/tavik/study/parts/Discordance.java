package dev.tavik.study.parts;

import java.util.List;

/** The rule for when too few units were classified differently for the chi-square approximation. */
public final class Discordance {
  /** Minimum for each pair of levels that exchanged any units. */
  public static final long ENOUGH_EACH = 10;

  /** Minimum for all pairs of levels together. */
  public static final long ENOUGH_IN_ALL = 25;

  private Discordance() {}

  /** Whether the exact test is wanted, by how many units each pair of levels exchanged. */
  public static boolean few(List<Long> exchanged) {
    return exchanged.stream().mapToLong(Long::longValue).sum() < ENOUGH_IN_ALL
        || exchanged.stream().anyMatch(each -> each > 0 && each < ENOUGH_EACH);
  }
}
