package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.proportion.HomogeneityTest;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Holm;
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

  Answer answer() {
    List<CompareFound> pairs = adjusted(found(pairs()));
    List<List<Caution>> cautions = pairs.stream().map(CompareCautions::of).toList();
    List<Caution> common = cautions.isEmpty() ? List.of() : DataCautions.common(cautions);
    BayesianDetail extent = BayesianDetail.of(pairs.size());
    // Pairs are independent of each other; their order is kept.
    List<Answer> answers =
        IntStream.range(0, pairs.size())
            .parallel()
            .mapToObj(
                i ->
                    new CompareFindings(pairs.get(i))
                        .answer(
                            CompareBelief.of(pairs.get(i).question(), extent),
                            cautions(pairs.get(i), cautions.get(i), common)))
            .toList();
    List<Tally> tallies = question.groups().stream().map(NamedTally::tally).toList();
    List<TestResult> overall =
        Arrays.stream(HomogeneityTest.values()).map(test -> test.of(tallies)).toList();
    return new CompareGroupsFindings(question, pairs, answers)
        .answer(
            overall,
            cautions(common, pairs.size()),
            ComparisonVerdicts.groups(
                question.label(),
                question.groups().size(),
                question.baseline(),
                overall.get(0),
                pairs.stream().map(CompareFound::pair).toList(),
                List.of(),
                settings.claim(),
                settings.alpha()));
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

  private static List<CompareFound> found(List<CompareQuestion> pairs) {
    boolean approximationHolds =
        pairs.stream()
            .allMatch(
                pair -> PooledExpectation.of(pair.first().tally(), pair.second().tally()).enough());
    return pairs.parallelStream()
        .map(pair -> new CompareAnalysis(pair, approximationHolds).found())
        .toList();
  }

  private static List<CompareFound> adjusted(List<CompareFound> alone) {
    List<List<TestResult>> tests = Holm.adjust(alone.stream().map(CompareFound::tests).toList());
    return IntStream.range(0, alone.size())
        .mapToObj(i -> alone.get(i).withTests(tests.get(i)))
        .toList();
  }

  private List<Caution> cautions(CompareFound pair, List<Caution> own, List<Caution> common) {
    List<Caution> cautions = new ArrayList<>(own);
    cautions.removeAll(common);
    cautions.addAll(
        DecisionCautions.adjustedAway(
            pair.preferredTest(), settings.alpha(), "the pairs looked at together"));
    return cautions;
  }

  private List<Caution> cautions(List<Caution> common, int pairs) {
    List<Caution> cautions = new ArrayList<>(common);
    Provenance from = question.from();
    if (from != null) {
      long used = question.groups().stream().mapToLong(group -> group.tally().trials()).sum();
      cautions.addAll(DataCautions.of(from, used));
    }
    cautions.addAll(DataCautions.empty(question.emptyGroups()));
    if (settings.bayes() != null) {
      cautions.addAll(DataCautions.brief(pairs, /* pairs= */ true));
    }
    if (question.tooManyToPair()) {
      cautions.add(
          SampleCautions.pairsLeftOut(question.groups().size(), CompareGroupsQuestion.MOST_PAIRED));
    }
    return cautions;
  }
}
