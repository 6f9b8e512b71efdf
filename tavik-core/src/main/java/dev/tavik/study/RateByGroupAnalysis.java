package dev.tavik.study;

import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Puts the answers of several groups together, with one verdict after adjustment. */
final class RateByGroupAnalysis {
  /** Up to so many groups are all named. */
  private static final int ALL_NAMED = 10;

  private static final int CLEAREST = 5;

  private final RateByGroupQuestion question;
  private final RateSettings settings;
  private final List<Caution> common;
  private final List<RateAnswer> groups;

  RateByGroupAnalysis(RateByGroupQuestion question, List<RateAnswer> adjusted) {
    this.question = question;
    this.settings = question.settings();
    this.common = DataCautions.common(adjusted.stream().map(RateAnswer::cautions).toList());
    this.groups =
        adjusted.stream()
            .map(group -> group.concluded(without(common, group.cautions()), group.conclusion()))
            .map(this::withAdjustedAway)
            .toList();
  }

  private static List<Caution> without(List<Caution> common, List<Caution> cautions) {
    return cautions.stream().filter(each -> !common.contains(each)).toList();
  }

  RateByGroupAnswer answer() {
    return new RateByGroupAnswer(
        question.label(), settings, question.from(), groups, cautions(), conclusion());
  }

  private RateAnswer withAdjustedAway(RateAnswer group) {
    TestResult test = group.preferredTest();
    TestResult.@Nullable AdjustedP adjusted = test.adjusted();
    if (adjusted == null
        || !test.rejects(settings.alpha())
        || test.rejectsAdjusted(settings.alpha())) {
      return group;
    }
    List<Caution> cautions = new ArrayList<>(group.cautions());
    cautions.add(
        new Caution(
            Code.ADJUSTED_AWAY,
            String.format(
                Locale.ROOT,
                "Significant alone (%s), but not among the %d groups looked at together (adjusted"
                    + " %s).",
                Figures.pEquals(test.log10PValue()),
                question.groups().size(),
                Figures.pEquals(adjusted.log10PValue()))));
    return group.concluded(cautions, group.conclusion());
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

  private String conclusion() {
    Map<String, List<RateAnswer>> byFinding = new LinkedHashMap<>();
    groups.forEach(
        group -> byFinding.computeIfAbsent(finding(group), key -> new ArrayList<>()).add(group));
    List<String> parts = new ArrayList<>();
    for (String finding : List.of("above", "below", "not")) {
      List<RateAnswer> found = byFinding.getOrDefault(finding, List.of());
      if (!found.isEmpty()) {
        parts.add(words(finding) + ": " + names(finding, found));
      }
    }
    String subject =
        question.label().isEmpty() ? "Each group's rate" : question.label() + ": each group's rate";
    return String.format(
        Locale.ROOT,
        "%s against %s. %s. %s test at alpha %s, p-values adjusted by Holm's method for %s %s.",
        subject,
        Figures.exactPercent(settings.hypothesis().against()),
        Sentences.capitalised(String.join("; ", parts)),
        Sentences.capitalised(groups.get(0).preference().test().id()),
        Figures.plain(settings.alpha()),
        Figures.count(groups.size()),
        groups.size() == 1 ? "group" : "groups");
  }

  private String finding(RateAnswer group) {
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
  private String names(String finding, List<RateAnswer> found) {
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

  private String name(RateAnswer group) {
    return String.format(
        Locale.ROOT,
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
