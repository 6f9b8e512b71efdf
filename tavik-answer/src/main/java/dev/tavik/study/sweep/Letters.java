package dev.tavik.study.sweep;

import dev.tavik.phrase.SweepVerdicts;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A letter for each group: the cell of a group shows the letters of the groups whose share is
 * smaller. If there are more groups than letters, there are none.
 */
record Letters(List<String> groups) {
  private static final int MOST = 26;

  private boolean enough() {
    return groups.size() <= MOST;
  }

  private String letter(String group) {
    return String.valueOf((char) ('a' + groups.indexOf(group)));
  }

  /** A group's name with its letter. */
  String headed(String group) {
    return enough() ? letter(group) + " " + group : group;
  }

  /** The letters of groups, after a blank. */
  String of(List<String> smaller) {
    return !enough() || smaller.isEmpty()
        ? ""
        : " " + smaller.stream().map(this::letter).sorted().collect(Collectors.joining());
  }

  /**
   * What the letters mean.
   *
   * @param designed whether the tests are those of a design
   */
  String note(double alpha, boolean designed) {
    return enough() ? SweepVerdicts.letters(alpha, designed) : SweepVerdicts.noLetters();
  }
}
