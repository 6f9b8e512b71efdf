package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.SampleDesign;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Figures;
import dev.tavik.study.Provenance;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What to be careful of because of the file that the counts came from. */
public final class DataCautions {
  private DataCautions() {}

  /**
   * Cautions about the data behind an answer.
   *
   * @param from the source
   * @param used how many units were counted
   * @return the cautions
   */
  public static List<Caution> of(Provenance from, long used) {
    List<Caution> cautions = new ArrayList<>();
    long missing = from.missing().values().stream().mapToLong(Long::longValue).sum();
    if (missing > 0) {
      cautions.add(new Caution(Code.MISSING_VALUES, missing(from, missing, used)));
    }
    cautions.addAll(weights(from));
    for (List<String> levels : from.similarLevels()) {
      cautions.add(
          new Caution(
              Code.SIMILAR_LEVELS,
              say(
                  "%s differ only in case, blanks or accents and are counted apart. If they are one"
                      + " level, mend the file.",
                  levels.stream()
                      .map(level -> "'" + told(level) + "'")
                      .collect(Collectors.joining(" and ")))));
    }
    if (!from.totals().isEmpty()) {
      cautions.add(
          new Caution(
              Code.TOTALS_LEFT_OUT,
              say(
                  "Totals and percents are no group and no outcome of their own; left out of the table:"
                      + " %s.",
                  String.join(", ", from.totals()))));
    }
    if (from.mayBeTotal() != null) {
      cautions.add(
          new Caution(
              Code.MAY_BE_TOTAL,
              say(
                  "Column %s was counted as an outcome beside the successes. Is it how many there were"
                      + " in all? Then name it as the total (total: %s).",
                  from.mayBeTotal(), from.mayBeTotal())));
    }
    return cautions;
  }

  /** Told where a column is called like a weight, and was not used as one. */
  public static List<Caution> weights(Provenance from) {
    List<Caution> cautions = new ArrayList<>();
    String count = from.count();
    if (count != null && SampleDesign.isCalledWeight(count)) {
      cautions.add(
          new Caution(
              Code.WEIGHT_UNUSED,
              say(
                  "%s, called like a weight, was taken for how often each row counts. If it holds the"
                      + " weights of a survey, rows are counted that nobody asked, and errors come out too"
                      + " small: ask by the design (design: weight=%s).",
                  count, count)));
    }
    if (!from.unusedWeight().isEmpty()) {
      cautions.add(
          new Caution(
              Code.WEIGHT_UNUSED,
              say(
                  "The data have a column %s, and every row counted the same. If these are the weights"
                      + " of a survey, rates and their errors are off without them: ask by the design"
                      + " (design: weight=%s).",
                  from.unusedWeight(), from.unusedWeight())));
    }
    return cautions;
  }

  /** With blanks and marks that can't be told from others written by their code. */
  private static String told(String level) {
    StringBuilder told = new StringBuilder();
    level
        .codePoints()
        .forEach(
            each -> {
              boolean oddBlank = each != ' ' && Character.isSpaceChar(each);
              boolean mark = Character.getType(each) == Character.NON_SPACING_MARK;
              if (oddBlank || mark) {
                told.append(say("\\u%04x", each));
              } else {
                told.appendCodePoint(each);
              }
            });
    return told.toString();
  }

  /** What every member of a family is told in the same words. */
  public static List<Caution> common(List<List<Caution>> family) {
    return family.size() == 1
        ? List.of()
        : family.get(0).stream()
            .filter(each -> family.stream().allMatch(member -> member.contains(each)))
            .toList();
  }

  /** What the Bayesian view lacks where there are very many members. */
  public static List<Caution> brief(int members, String what, String only) {
    return Extent.of(members) == Extent.WHOLE
        ? List.of()
        : List.of(
            new Caution(
                Code.BRIEF_VIEW,
                say(
                    "For %s %s the Bayesian view has the Bayes factor, the chance to be higher and the"
                        + " interval with equal tails%s; ask about a few for the rest.",
                    Figures.count(members), what, only)));
  }

  /** Groups that were left out. */
  public static List<Caution> empty(List<String> groups) {
    return groups.isEmpty()
        ? List.of()
        : List.of(
            new Caution(
                Code.EMPTY_GROUP,
                "Without any observation, and left out: " + String.join(", ", groups) + "."));
  }

  private static String missing(Provenance from, long missing, long used) {
    String columns =
        from.missing().entrySet().stream()
            .map(column -> say("%s lacks %s", column.getKey(), Figures.count(column.getValue())))
            .collect(Collectors.joining(", "));
    return say(
        "%s of %s %s left out for a missing value (%s), %s. If the missing ones are unlike"
            + " the others, the answer is off.",
        Figures.count(missing),
        Figures.count(missing + used),
        missing == 1 ? "was" : "were",
        columns,
        Figures.percent((double) missing / (missing + used)));
  }
}
