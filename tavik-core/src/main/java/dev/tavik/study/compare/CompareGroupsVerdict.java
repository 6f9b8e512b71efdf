package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Reach;
import dev.tavik.study.parts.Sentences;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The verdict on several groups: all together, then what is shown of which pair, against which null
 * and in which direction. Of many pairs it counts, and names the clearest.
 */
final class CompareGroupsVerdict {
  /** Up to so many pairs are all named. */
  private static final int ALL_NAMED = 10;

  private static final int CLEAREST = 5;

  private final CompareGroupsQuestion question;
  private final CompareSettings settings;
  private final TestResult overall;
  private final List<CompareFound> pairs;

  CompareGroupsVerdict(
      CompareGroupsQuestion question, TestResult overall, List<CompareFound> pairs) {
    this.question = question;
    this.settings = question.settings();
    this.overall = overall;
    this.pairs = pairs;
  }

  String text() {
    String together =
        say(
            "%sthe %s groups %s (pearson chi-square, %s, alpha %s).",
            question.label().isEmpty() ? "" : question.label() + ": ",
            Figures.count(question.groups().size()),
            overall.rejects(settings.alpha()) ? "differ" : "are not shown to differ",
            Figures.pEquals(overall.log10PValue()),
            Figures.plain(settings.alpha()));
    return pairs.isEmpty() ? together : together + " " + findings() + ". " + methods();
  }

  private String findings() {
    List<CompareFound> shown = pairs.stream().filter(this::rejects).toList();
    List<CompareFound> notShown = pairs.stream().filter(pair -> !rejects(pair)).toList();
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

  private String counted(List<CompareFound> shown, int notShown) {
    String pairs = question.baseline() == null ? "pairs" : "groups against " + question.baseline();
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
            .sorted(Comparator.comparingDouble(pair -> pair.preferredTest().log10PValue()))
            .limit(CLEAREST)
            .map(this::shown)
            .collect(Collectors.joining("; ")));
  }

  private boolean rejects(CompareFound pair) {
    return pair.preferredTest().rejectsAdjusted(settings.alpha());
  }

  /** A pair that is shown to be what was asked, by how much, and how sure. */
  private String shown(CompareFound pair) {
    String one = pair.first().name();
    String two = pair.second().name();
    boolean onlyDiffer =
        settings.plain() && settings.hypothesis().alternative() == Alternative.TWO_SIDED;
    return say(
        "%s: %s (%s)",
        onlyDiffer
            ? one + " against " + two
            : CompareVerdict.claim(settings, one, two, /* rejects= */ true),
        Reach.range(one, two, pair.preferredInterval()),
        evidence(pair));
  }

  private String notShown(CompareFound pair) {
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
    return pair.first().name() + joint + pair.second().name() + " (" + evidence(pair) + ")";
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
        Sentences.capitalised(pairs.get(0).preference().test().id()),
        Figures.exactPercent(settings.level()),
        pairs.get(0).preferredInterval().method().title(),
        Figures.count(pairs.size()),
        question.baseline() == null ? "pairs" : "groups against " + question.baseline());
  }

  private static String evidence(CompareFound pair) {
    TestResult test = pair.preferredTest();
    TestResult.AdjustedP adjusted = test.adjusted();
    return Figures.pEquals(adjusted == null ? test.log10PValue() : adjusted.log10PValue());
  }
}
