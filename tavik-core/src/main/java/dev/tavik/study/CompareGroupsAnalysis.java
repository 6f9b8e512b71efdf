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
import java.util.Locale;
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
        asked.isEmpty()
            ? List.of()
            : DataCautions.common(asked.stream().map(CompareAnswer::cautions).toList());
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
        new CompareGroupsVerdict(question, overall.get(0), pairs).text());
  }

  private List<CompareQuestion> pairs() {
    List<CompareQuestion> pairs = new ArrayList<>();
    List<NamedTally> groups = question.groups();
    if (question.tooManyToPair()) {
      return pairs;
    }
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
    Extent extent = Extent.of(pairs.size());
    // Pairs don't depend on one another; their order stays.
    return pairs.parallelStream().map(pair -> pair.ask(approximationHolds, extent)).toList();
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
                  Locale.ROOT,
                  "Significant alone (%s), but not among the pairs looked at together (adjusted %s).",
                  Figures.pEquals(test.log10PValue()),
                  Figures.pEquals(adjusted.log10PValue()))));
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
    if (settings.bayes() != null) {
      cautions.addAll(DataCautions.brief(pairs().size(), "pairs", ", of the difference only"));
    }
    if (question.tooManyToPair()) {
      int groups = question.groups().size();
      cautions.add(
          new Caution(
              Code.PAIRS_LEFT_OUT,
              String.format(
                  Locale.ROOT,
                  "%s groups make %s pairs, too many to read; pairs are compared for up to %d groups."
                      + " Name a baseline to hold each group against one, or choose a coarser"
                      + " grouping.",
                  Figures.count(groups),
                  Figures.count((long) groups * (groups - 1) / 2),
                  CompareGroupsQuestion.MOST_PAIRED)));
    }
    return cautions;
  }
}
