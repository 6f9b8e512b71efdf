package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.proportion.HomogeneityTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Reach;
import dev.tavik.study.parts.Sentences;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The verdict on several groups: all together, then what is shown of which pair, against which null
 * and in which direction. Of many pairs it counts, and names the clearest.
 */
final class CompareGroupsVerdict {
  /** Up to so many pairs are all named. */
  private static final int ALL_NAMED = 10;

  private static final int CLEAREST = 5;

  private final String label;
  private final int groups;
  private final @Nullable String baseline;
  private final CompareSettings settings;
  private final TestResult overall;
  private final List<Compared> pairs;

  CompareGroupsVerdict(
      String label,
      int groups,
      @Nullable String baseline,
      CompareSettings settings,
      TestResult overall,
      List<Compared> pairs) {
    this.label = label;
    this.groups = groups;
    this.baseline = baseline;
    this.settings = settings;
    this.overall = overall;
    this.pairs = pairs;
  }

  String text() {
    String together =
        say(
            "%sthe %s groups %s (%s, %s, alpha %s).",
            label.isEmpty() ? "" : label + ": ",
            Figures.count(groups),
            overall.rejects(settings.alpha()) ? "differ" : "are not shown to differ",
            together(),
            Figures.pEquals(overall.log10PValue()),
            Figures.plain(settings.alpha()));
    return pairs.isEmpty() ? together : together + " " + findings() + ". " + methods();
  }

  /** The overall test, by what it is known as. */
  private String together() {
    return overall.method() == HomogeneityTest.PEARSON
        ? "pearson chi-square"
        : overall.method().id() + " test";
  }

  private String findings() {
    List<Compared> shown = pairs.stream().filter(this::rejects).toList();
    List<Compared> notShown = pairs.stream().filter(pair -> !rejects(pair)).toList();
    if (pairs.size() > ALL_NAMED) {
      return counted(shown, notShown.size());
    }
    List<String> parts = new ArrayList<>();
    shown.forEach(pair -> parts.add(shown(pair)));
    if (!notShown.isEmpty()) {
      parts.add(
          (shown.isEmpty() ? "Not " : "not ")
              + shownWords()
              + ": "
              + notShown.stream().map(this::notShown).collect(Collectors.joining(", ")));
    }
    return String.join("; ", parts);
  }

  private String counted(List<Compared> shown, int notShown) {
    String pairs = baseline == null ? "pairs" : "groups against " + baseline;
    String many =
        say(
            "Of %s %s %s %s %s, %s %s",
            Figures.count(this.pairs.size()),
            pairs,
            shown.isEmpty() ? "none" : Figures.count(shown.size()),
            shown.size() == 1 ? "is" : "are",
            shownWords(),
            Figures.count(notShown),
            notShown == 1 ? "is not" : "are not");
    if (shown.isEmpty()) {
      return many;
    }
    return say(
        "%s. %s%s",
        many,
        shown.size() > CLEAREST ? "The clearest: " : "",
        shown.stream()
            .sorted(Comparator.comparingDouble(pair -> pair.test().log10PValue()))
            .limit(CLEAREST)
            .map(this::shown)
            .collect(Collectors.joining("; ")));
  }

  private boolean rejects(Compared pair) {
    return pair.test().rejectsAdjusted(settings.alpha());
  }

  /** A pair that is shown to be what was asked, by how much, and how sure. */
  private String shown(Compared pair) {
    String one = pair.one();
    String two = pair.two();
    boolean onlyDiffer =
        settings.plain() && settings.hypothesis().alternative() == Alternative.TWO_SIDED;
    return say(
        "%s: %s (%s)",
        onlyDiffer
            ? one + " against " + two
            : CompareVerdict.claim(settings, one, two, /* rejects= */ true),
        Reach.range(one, two, pair.interval()),
        evidence(pair));
  }

  private String notShown(Compared pair) {
    String joint =
        switch (settings.show()) {
          case EQUIVALENT -> " and ";
          case NONINFERIOR -> " to ";
          case DIFFERENCE ->
              settings.hypothesis().against() != 0
                  ? " minus "
                  : settings.hypothesis().alternative() == Alternative.TWO_SIDED
                      ? " and "
                      : " than ";
        };
    return pair.one() + joint + pair.two() + " (" + evidence(pair) + ")";
  }

  private String shownWords() {
    Alternative alternative = settings.hypothesis().alternative();
    Double margin = settings.margin();
    if (settings.show() != Show.DIFFERENCE && margin != null) {
      return settings.show() == Show.EQUIVALENT
          ? "shown to be equivalent within " + points(margin)
          : say(
              "shown to be non-inferior (%s by less than %s)",
              alternative == Alternative.GREATER ? "lower" : "higher", points(margin));
    }
    double against = settings.hypothesis().against();
    if (against == 0) {
      return switch (alternative) {
        case TWO_SIDED -> "shown to differ";
        case LESS -> "shown to be lower";
        case GREATER -> "shown to be higher";
      };
    }
    return switch (alternative) {
          case TWO_SIDED -> "shown to differ from ";
          case LESS -> "shown to be below ";
          case GREATER -> "shown to be above ";
        }
        + points(against);
  }

  private static String points(double difference) {
    return Figures.percentagePoints(difference);
  }

  private String methods() {
    return say(
        "%s test and %s %s intervals; p-values, not intervals, adjusted by Holm's method for"
            + " %s %s.",
        Sentences.capitalised(pairs.get(0).test().method().id()),
        Figures.exactPercent(settings.level()),
        pairs.get(0).interval().method().title(),
        Figures.count(pairs.size()),
        baseline == null
            ? pairs.size() == 1 ? "pair" : "pairs"
            : (pairs.size() == 1 ? "group against " : "groups against ") + baseline);
  }

  private static String evidence(Compared pair) {
    TestResult test = pair.test();
    TestResult.AdjustedP adjusted = test.adjusted();
    return Figures.pEquals(adjusted == null ? test.log10PValue() : adjusted.log10PValue());
  }
}
