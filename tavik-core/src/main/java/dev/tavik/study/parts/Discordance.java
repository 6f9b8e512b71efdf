package dev.tavik.study.parts;

import java.util.List;

/**
 * When units that were classified differently are too few for chi-square, of any paired question.
 */
public final class Discordance {
  /** What each pair of levels that exchanged any units must have exchanged. */
  public static final long ENOUGH_EACH = 10;

  /** What all of them must have. */
  public static final long ENOUGH_IN_ALL = 25;

  private Discordance() {}

  /** Whether the exact test is wanted, by how many units each pair of levels exchanged. */
  public static boolean few(List<Long> exchanged) {
    return exchanged.stream().mapToLong(Long::longValue).sum() < ENOUGH_IN_ALL
        || exchanged.stream().anyMatch(each -> each > 0 && each < ENOUGH_EACH);
  }
}
