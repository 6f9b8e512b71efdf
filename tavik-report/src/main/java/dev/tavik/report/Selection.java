package dev.tavik.report;

import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/** What of a long family of answers fits on a screen. */
final class Selection {
  /** Up to so many members are shown one by one. */
  static final int MOST_ROWS = 40;

  private Selection() {}

  /** Whether a family is too long for a screen, and its every row was not asked for. */
  static boolean needed(int members, Detail detail) {
    return members > MOST_ROWS && detail == Detail.FINDINGS;
  }

  /** The first members of an order, as many as fit. */
  static <T> List<T> first(List<T> all, Comparator<T> order) {
    return all.stream().sorted(order).limit(MOST_ROWS).toList();
  }

  /** All of few members in their order; of many those with the largest and the smallest values. */
  static <T> List<T> ends(List<T> all, ToDoubleFunction<T> value) {
    if (all.size() <= MOST_ROWS) {
      return all;
    }
    List<T> sorted = all.stream().sorted(Comparator.comparingDouble(value).reversed()).toList();
    int half = MOST_ROWS / 2;
    return Stream.concat(
            sorted.stream().limit(half), sorted.stream().skip((long) sorted.size() - half))
        .toList();
  }

  /** Cautions of members under their names; of many with the same code, the first and how many. */
  static List<Caution> cautions(Map<String, List<Caution>> byMember, boolean summed) {
    Map<Code, List<Caution>> byCode = new LinkedHashMap<>();
    byMember.forEach(
        (name, cautions) ->
            cautions.forEach(
                each ->
                    byCode
                        .computeIfAbsent(each.code(), key -> new ArrayList<>())
                        .add(new Caution(each.code(), name + ": " + each.message()))));
    List<Caution> shown = new ArrayList<>();
    byCode.forEach(
        (code, cautions) -> {
          Caution first = cautions.get(0);
          int others = cautions.size() - 1;
          if (!summed || others == 0) {
            shown.addAll(cautions);
          } else {
            shown.add(
                new Caution(
                    code,
                    String.format(
                        Locale.ROOT,
                        "%s (And the like of %s %s.)",
                        first.message(),
                        Figures.count(others),
                        others == 1 ? "other" : "others")));
          }
        });
    return shown;
  }
}
