package dev.tavik.study;

import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.HomogeneityTest;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Puts the answers about all pairs together, after the overall test, with one verdict. */
final class CompareGroupsAnalysis {
  private final CompareGroupsQuestion question;
  private final CompareSettings settings;

  CompareGroupsAnalysis(CompareGroupsQuestion question) {
    this.question = question;
    this.settings = question.settings();
  }

  CompareGroupsAnswer answer() {
    List<CompareAnswer> asked = ask(pairs());
    List<List<TestResult>> tests = Holm.adjust(asked.stream().map(CompareAnswer::tests).toList());
    List<Caution> common =
        DataCautions.common(asked.stream().map(CompareAnswer::cautions).toList());
    List<CompareAnswer> pairs =
        IntStream.range(0, asked.size())
            .mapToObj(i -> adjusted(asked.get(i).withTests(tests.get(i)), common))
            .toList();
    List<Tally> tallies = question.groups().stream().map(NamedTally::tally).toList();
    List<TestResult> overall =
        Arrays.stream(HomogeneityTest.values()).map(test -> test.of(tallies)).toList();
    return new CompareGroupsAnswer(
        question.label(),
        question.groups(),
        settings,
        question.from(),
        overall,
        pairs,
        cautions(common),
        conclusion(overall.get(0), pairs));
  }

  private List<CompareQuestion> pairs() {
    List<CompareQuestion> pairs = new ArrayList<>();
    List<NamedTally> groups = question.groups();
    for (int i = 0; i < groups.size(); i++) {
      for (int j = 0; j < groups.size(); j++) {
        String baseline = question.baseline();
        boolean wanted = baseline == null ? i < j : i != j && groups.get(j).name().equals(baseline);
        if (wanted) {
          pairs.add(CompareQuestion.of(groups.get(i), groups.get(j), settings));
        }
      }
    }
    return pairs;
  }

  private static List<CompareAnswer> ask(List<CompareQuestion> pairs) {
    boolean approximationHolds =
        pairs.stream()
            .allMatch(
                pair -> PooledExpectation.of(pair.first().tally(), pair.second().tally()).enough());
    return pairs.stream().map(pair -> pair.ask(approximationHolds)).toList();
  }

  /** What every pair would be told in the same words is told once; what Holm takes away is told. */
  private CompareAnswer adjusted(CompareAnswer pair, List<Caution> common) {
    List<Caution> cautions = new ArrayList<>(pair.cautions());
    cautions.removeAll(common);
    TestResult test = pair.preferredTest();
    TestResult.AdjustedP adjusted = test.adjusted();
    if (adjusted != null
        && test.rejects(settings.alpha())
        && !test.rejectsAdjusted(settings.alpha())) {
      cautions.add(
          new Caution(
              Code.ADJUSTED_AWAY,
              String.format(
                  "Significant alone (%s), but not among the pairs looked at together (adjusted %s).",
                  Figures.pEquals(test.log10PValue()), Figures.pEquals(adjusted.log10PValue()))));
    }
    return pair.concluded(cautions, pair.conclusion());
  }

  private List<Caution> cautions(List<Caution> common) {
    List<Caution> cautions = new ArrayList<>(common);
    CountedFrom from = question.from();
    if (from != null) {
      long used = question.groups().stream().mapToLong(group -> group.tally().trials()).sum();
      cautions.addAll(DataCautions.of(from, used));
    }
    cautions.addAll(DataCautions.empty(question.emptyGroups()));
    return cautions;
  }

  private String conclusion(TestResult overall, List<CompareAnswer> pairs) {
    double alpha = settings.alpha();
    List<String> shown =
        pairs.stream()
            .filter(pair -> pair.preferredTest().rejectsAdjusted(alpha))
            .map(this::shown)
            .toList();
    List<String> notShown =
        pairs.stream()
            .filter(pair -> !pair.preferredTest().rejectsAdjusted(alpha))
            .map(
                pair ->
                    String.format(
                        "%s and %s (%s)",
                        pair.first().name(), pair.second().name(), evidence(pair)))
            .toList();
    List<String> parts = new ArrayList<>(shown);
    if (!notShown.isEmpty()) {
      parts.add(notShownWords() + ": " + String.join(", ", notShown));
    }
    return String.format(
        "%sthe %d groups %s (pearson chi-square, %s, alpha %s). %s. %s test and %s %s intervals;"
            + " p-values, not intervals, adjusted by Holm's method for %d %s.",
        question.label().isEmpty() ? "" : question.label() + ": ",
        question.groups().size(),
        overall.rejects(alpha) ? "differ" : "are not shown to differ",
        Figures.pEquals(overall.log10PValue()),
        Figures.plain(alpha),
        String.join("; ", parts),
        pairs.get(0).preference().test(),
        Figures.exactPercent(settings.level()),
        CompareVerdict.title(settings, pairs.get(0).preferredInterval()),
        pairs.size(),
        question.baseline() == null ? "pairs" : "groups against " + question.baseline());
  }

  private String shown(CompareAnswer pair) {
    String relation =
        switch (settings.show()) {
          case EQUIVALENT -> "equivalent to";
          case NONINFERIOR -> "non-inferior to";
          case DIFFERENCE -> "against";
        };
    return String.format(
        "%s %s %s: %s (%s)",
        pair.first().name(),
        relation,
        pair.second().name(),
        CompareVerdict.range(pair.first().name(), pair.preferredInterval()),
        evidence(pair));
  }

  private String notShownWords() {
    return switch (settings.show()) {
      case EQUIVALENT -> "not shown to be equivalent";
      case NONINFERIOR -> "not shown to be non-inferior";
      case DIFFERENCE ->
          switch (settings.hypothesis().alternative()) {
            case TWO_SIDED -> "not shown to differ";
            case LESS -> "first not shown to be lower";
            case GREATER -> "first not shown to be higher";
          };
    };
  }

  private static String evidence(CompareAnswer pair) {
    TestResult test = pair.preferredTest();
    TestResult.AdjustedP adjusted = test.adjusted();
    return Figures.pEquals(adjusted == null ? test.log10PValue() : adjusted.log10PValue());
  }
}
