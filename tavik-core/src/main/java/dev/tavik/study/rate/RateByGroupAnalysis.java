package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Verdict;
import dev.tavik.result.Caution;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Extent;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Sentences;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Puts the answers of several groups together, with one verdict after adjustment. */
final class RateByGroupAnalysis {
  private static final int ALL_NAMED = 10;
  private static final int CLEAREST = 5;

  private final RateByGroupQuestion question;
  private final RateSettings settings;
  private final List<RateFound> groups;
  private final List<List<Caution>> cautionsOfEach;
  private final List<Caution> common;

  RateByGroupAnalysis(RateByGroupQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.groups = adjusted(found());
    this.cautionsOfEach = groups.stream().map(RateCautions::of).toList();
    this.common = DataCautions.common(cautionsOfEach);
  }

  private List<RateFound> found() {
    boolean approximationHolds =
        question.groups().values().stream()
            .allMatch(tally -> NormalApproximation.of(tally, settings.hypothesis()).holds());
    return question.groups().entrySet().stream()
        .map(group -> RateQuestion.of(group.getValue(), settings).named(group.getKey()))
        .map(group -> new RateAnalysis(group, approximationHolds).found())
        .toList();
  }

  private static List<RateFound> adjusted(List<RateFound> alone) {
    List<List<TestResult>> tests = Holm.adjust(alone.stream().map(RateFound::tests).toList());
    return IntStream.range(0, alone.size())
        .mapToObj(group -> alone.get(group).withTests(tests.get(group)))
        .toList();
  }

  Answer answer() {
    Extent extent = Extent.of(groups.size());
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < groups.size(); i++) {
      RateFound group = groups.get(i);
      answers.add(
          new RateFindings(group)
              .answer(RateBelief.of(group.question(), extent), cautions(group, i)));
    }
    return new RateByGroupFindings(question, groups, answers)
        .answer(cautions(), groups.get(0).preference().onEach(verdict(), "group", ""));
  }

  private List<Caution> cautions(RateFound group, int position) {
    List<Caution> cautions = new ArrayList<>(cautionsOfEach.get(position));
    cautions.removeAll(common);
    cautions.addAll(
        DecisionCautions.adjustedAway(
            group.preferredTest(),
            settings.alpha(),
            "the " + question.groups().size() + " groups looked at together"));
    return cautions;
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>(common);
    CountedFrom from = question.from();
    if (from != null) {
      // Where every level is a group of its own, each has all units.
      boolean everyLevel = from.success().isEmpty();
      long used =
          everyLevel
              ? question.groups().values().iterator().next().trials()
              : question.groups().values().stream().mapToLong(tally -> tally.trials()).sum();
      cautions.addAll(DataCautions.of(from, used));
    }
    cautions.addAll(DataCautions.empty(question.emptyGroups()));
    if (settings.bayes() != null) {
      cautions.addAll(DataCautions.brief(groups.size(), "groups", ""));
    }
    return cautions;
  }

  private Verdict verdict() {
    Map<String, List<RateFound>> byFinding = new LinkedHashMap<>();
    groups.forEach(
        group -> byFinding.computeIfAbsent(finding(group), key -> new ArrayList<>()).add(group));
    List<String> parts = new ArrayList<>();
    for (String finding : List.of("above", "below", "not")) {
      List<RateFound> found = byFinding.getOrDefault(finding, List.of());
      if (!found.isEmpty()) {
        parts.add(words(finding) + ": " + names(finding, found));
      }
    }
    String subject =
        question.label().isEmpty() ? "Each group's rate" : question.label() + ": each group's rate";
    return Verdict.of(
        say(
            "%s against %s. %s. %s test at alpha %s, p-values adjusted by Holm's method for %s"
                + " %s.",
            subject,
            Figures.exactPercent(settings.hypothesis().against()),
            Sentences.capitalised(String.join("; ", parts)),
            Sentences.capitalised(groups.get(0).preference().test().id()),
            Figures.plain(settings.alpha()),
            Figures.count(groups.size()),
            groups.size() == 1 ? "group" : "groups"));
  }

  private String finding(RateFound group) {
    if (!group.preferredTest().rejectsAdjusted(settings.alpha())) {
      return "not";
    }
    return group.tally().proportion() < settings.hypothesis().against() ? "below" : "above";
  }

  private String words(String finding) {
    if (!finding.equals("not")) {
      return finding;
    }
    return switch (settings.hypothesis().alternative()) {
      case LESS -> "not shown to be below";
      case GREATER -> "not shown to be above";
      case TWO_SIDED -> "not shown to differ";
    };
  }

  /** All of few groups; of many the clearest, and how many more. */
  private String names(String finding, List<RateFound> found) {
    if (groups.size() <= ALL_NAMED) {
      return found.stream().map(this::name).collect(Collectors.joining(", "));
    }
    if (finding.equals("not")) {
      return Figures.count(found.size()) + (found.size() == 1 ? " group" : " groups");
    }
    String clearest =
        found.stream()
            .sorted(Comparator.comparingDouble(group -> group.preferredTest().log10PValue()))
            .limit(CLEAREST)
            .map(this::name)
            .collect(Collectors.joining(", "));
    int more = found.size() - CLEAREST;
    return more <= 0 ? clearest : clearest + " and " + Figures.count(more) + " more";
  }

  private String name(RateFound group) {
    return say(
        "%s (%s, %s)",
        group.label(),
        Figures.percentBeside(group.tally().proportion(), settings.hypothesis().against()),
        adjustedP(group.preferredTest()));
  }

  private static String adjustedP(TestResult test) {
    TestResult.@Nullable AdjustedP adjusted = test.adjusted();
    return Figures.pEquals(adjusted == null ? test.log10PValue() : adjusted.log10PValue());
  }
}
