package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Figures;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A small letter for each group: in the cell of a group stand those of the groups whose share is
 * smaller. More groups than there are letters have none.
 */
record Letters(List<String> groups) {
  private static final int MOST = 26;
  private static final String TOO_MANY =
      "There are more groups than letters, so that no cell says which others have less.";

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

  /** What the letters of a designed sample mean. */
  String noteByDesign(double alpha) {
    return enough()
        ? say(
            "A letter in a cell: this group's share is larger than that of the group with the"
                + " letter, at alpha %s; t tests of each two groups by the design, p-values"
                + " adjusted by Holm's method over the pairs of a level. Where a column as a whole"
                + " is not shown to differ, a letter is a hint at most.",
            Figures.plain(alpha))
        : TOO_MANY;
  }

  String note(double alpha) {
    return enough()
        ? say(
            "A letter in a cell: this group's share is larger than that of the group with the"
                + " letter, at alpha %s; pooled z tests of each two groups, Fisher's where fewer"
                + " than 5 are expected, p-values adjusted by Holm's method over the pairs of a"
                + " level. Where a column as a whole is not shown to differ, a letter is a hint at"
                + " most.",
            Figures.plain(alpha))
        : TOO_MANY;
  }
}
