package dev.tavik.answer;

import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/** Selects the most informative of many groups or pairs, as many as fit on a screen. */
public final class ShownMembers {
  /** Number of rows that fit on a screen beside the rest of an answer. */
  public static final int MOST_ROWS = 40;

  private ShownMembers() {}

  /**
   * {@return whether there are more members than fit}
   *
   * @param members how many there are
   */
  public static boolean needed(int members) {
    return members > MOST_ROWS;
  }

  /**
   * {@return the first in an order, as many as fit}
   *
   * @param all all of them
   * @param order which of two comes first
   * @param <T> what there is many of
   */
  public static <T> List<T> first(List<T> all, Comparator<T> order) {
    return all.stream().sorted(order).limit(MOST_ROWS).toList();
  }

  /**
   * {@return the highest and the lowest, half of the rows each}
   *
   * @param all all of them
   * @param value the value
   * @param <T> what there is many of
   */
  public static <T> List<T> ends(List<T> all, ToDoubleFunction<T> value) {
    if (!needed(all.size())) {
      return all;
    }
    List<T> sorted = all.stream().sorted(Comparator.comparingDouble(value).reversed()).toList();
    int half = MOST_ROWS / 2;
    return Stream.concat(
            sorted.stream().limit(half), sorted.stream().skip((long) sorted.size() - half))
        .toList();
  }
}
