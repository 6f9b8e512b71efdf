package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Caution.Code;
import dev.tavik.result.Figures;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What to be careful of because of the data that counts came from. */
public final class SourceCautions {
  private SourceCautions() {}

  /** Says how many rows were left out for missing values, of which columns. */
  public static Caution missing(Map<String, Long> columns, long used) {
    long missing = columns.values().stream().mapToLong(Long::longValue).sum();
    return new Caution(
        Code.MISSING_VALUES,
        say(
            "%s of %s %s left out for a missing value (%s), %s. If the missing ones are unlike the"
                + " others, the answer is off.",
            Figures.count(missing),
            Figures.count(missing + used),
            missing == 1 ? "was" : "were",
            columns.entrySet().stream()
                .map(each -> say("%s lacks %s", each.getKey(), Figures.count(each.getValue())))
                .collect(Collectors.joining(", ")),
            Figures.percent((double) missing / (missing + used))));
  }

  /** Says that levels may be one. */
  public static Caution similarLevels(List<String> levels) {
    return new Caution(
        Code.SIMILAR_LEVELS,
        say(
            "%s differ only in case, blanks or accents and are counted apart. If they are one level,"
                + " mend the file.",
            levels.stream()
                .map(level -> "'" + visible(level) + "'")
                .collect(Collectors.joining(" and "))));
  }

  /** With blanks and marks that can't be told from others written by their code. */
  private static String visible(String level) {
    StringBuilder visible = new StringBuilder();
    level
        .codePoints()
        .forEach(
            each -> {
              boolean oddBlank = each != ' ' && Character.isSpaceChar(each);
              boolean mark = Character.getType(each) == Character.NON_SPACING_MARK;
              if (oddBlank || mark) {
                visible.append(say("\\u%04x", each));
              } else {
                visible.appendCodePoint(each);
              }
            });
    return visible.toString();
  }

  /** Says that totals were left out of a table. */
  public static Caution totals(List<String> totals) {
    return new Caution(
        Code.TOTALS_LEFT_OUT,
        say(
            "Totals and percents are no group and no outcome of their own; left out of the table:"
                + " %s.",
            String.join(", ", totals)));
  }

  /** Says that a column may be a total. */
  public static Caution mayBeTotal(String column) {
    return new Caution(
        Code.MAY_BE_TOTAL,
        say(
            "Column %s was counted as an outcome beside the successes. Is it how many there were in"
                + " all? Then name it as the total (total: %s).",
            column, column));
  }

  /** Says that a weight was taken for a count. */
  public static Caution weightAsCount(String column) {
    return new Caution(
        Code.WEIGHT_UNUSED,
        say(
            "%s, called like a weight, was taken for how often each row counts. If it holds the"
                + " weights of a survey, rows are counted that nobody asked, and errors come out"
                + " too small: ask by the design (design: weight=%s).",
            column, column));
  }

  /** Says that a weight was not used. */
  public static Caution weightUnused(String column) {
    return new Caution(
        Code.WEIGHT_UNUSED,
        say(
            "The data have a column %s, and every row counted the same. If these are the weights of"
                + " a survey, rates and their errors are off without them: ask by the design"
                + " (design: weight=%s).",
            column, column));
  }

  /**
   * Says what the Bayesian view of very many lacks.
   *
   * @param many how many groups or pairs there are, with their noun
   * @param pairs whether they are pairs
   */
  public static Caution brief(String many, boolean pairs) {
    return new Caution(
        Code.BRIEF_VIEW,
        say(
            "For %s the Bayesian view has the Bayes factor, the chance to be higher and the interval"
                + " with equal tails%s; ask about a few for the rest.",
            many, pairs ? ", of the difference only" : ""));
  }

  /** Says which groups were left out. */
  public static Caution empty(List<String> groups) {
    return new Caution(
        Code.EMPTY_GROUP,
        "Without any observation, and left out: " + String.join(", ", groups) + ".");
  }

  /** Says that rows look sorted by their outcome. */
  public static Caution sorted(long changes, double expected) {
    return new Caution(
        Code.SORTED_BY_OUTCOME,
        say(
            "The rows look sorted by the outcome: it changes %s along the file, where a shuffled"
                + " order has about %s. Sort them by time before following the Bayes factor; its"
                + " end doesn't depend on the order, its path does.",
            Figures.counted(changes, "time", "times"), Figures.significant(expected, 3)));
  }
}
