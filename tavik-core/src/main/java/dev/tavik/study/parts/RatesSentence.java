package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What is said of the rates of several groups, after adjustment: which lie above, which below. Of
 * many it names the clearest.
 *
 * @param label the analyst's name for the question; empty for none
 * @param hypothesis the null value and the direction
 * @param alpha the significance level
 * @param members the groups
 */
public record RatesSentence(
    String label, Hypothesis hypothesis, double alpha, List<Member> members) {
  private static final int ALL_NAMED = 10;
  private static final int CLEAREST = 5;

  /** A group, its rate, and the test that the verdict on it rests on. */
  public record Member(String name, double value, TestResult test) {}

  public Verdict verdict() {
    Map<String, List<Member>> byFinding = new LinkedHashMap<>();
    members.forEach(
        member -> byFinding.computeIfAbsent(finding(member), key -> new ArrayList<>()).add(member));
    List<String> parts = new ArrayList<>();
    for (String finding : List.of("above", "below", "not")) {
      List<Member> found = byFinding.getOrDefault(finding, List.of());
      if (!found.isEmpty()) {
        parts.add(words(finding) + ": " + names(finding, found));
      }
    }
    String subject = label.isEmpty() ? "Each group's rate" : label + ": each group's rate";
    return Verdict.of(
        say(
            "%s against %s. %s. %s test at alpha %s, p-values adjusted by Holm's method for %s"
                + " %s.",
            subject,
            Figures.exactPercent(hypothesis.against()),
            Sentences.capitalised(String.join("; ", parts)),
            Sentences.capitalised(members.get(0).test().method().id()),
            Figures.plain(alpha),
            Figures.count(members.size()),
            members.size() == 1 ? "group" : "groups"));
  }

  private String finding(Member member) {
    if (!member.test().rejectsAdjusted(alpha)) {
      return "not";
    }
    return member.value() < hypothesis.against() ? "below" : "above";
  }

  private String words(String finding) {
    if (!finding.equals("not")) {
      return finding;
    }
    return switch (hypothesis.alternative()) {
      case LESS -> "not shown to be below";
      case GREATER -> "not shown to be above";
      case TWO_SIDED -> "not shown to differ";
    };
  }

  /** All of few members; of many the clearest, and how many more. */
  private String names(String finding, List<Member> found) {
    if (members.size() <= ALL_NAMED) {
      return found.stream().map(this::name).collect(Collectors.joining(", "));
    }
    if (finding.equals("not")) {
      return Figures.counted(found.size(), "group", "groups");
    }
    String clearest =
        found.stream()
            .sorted(Comparator.comparingDouble(member -> member.test().log10PValue()))
            .limit(CLEAREST)
            .map(this::name)
            .collect(Collectors.joining(", "));
    int more = found.size() - CLEAREST;
    return more <= 0 ? clearest : clearest + " and " + Figures.count(more) + " more";
  }

  private String name(Member member) {
    return say(
        "%s (%s, %s)",
        member.name(),
        Figures.percentBeside(member.value(), hypothesis.against()),
        adjustedP(member.test()));
  }

  private static String adjustedP(TestResult test) {
    TestResult.@Nullable AdjustedP adjusted = test.adjusted();
    return Figures.pEquals(adjusted == null ? test.log10PValue() : adjusted.log10PValue());
  }
}
