package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Answers a question about two groups, or puts the answers about all pairs together, after the
 * overall test, with one verdict.
 *
 * @param asked what is asked of each pair
 * @param data what is compared
 */
record CompareAnalysis(CompareAsked asked, PairsData data) {
  Answer answer() {
    List<CompareFound> pairs = data.pairs();
    return data.names().size() == 2 ? alone(pairs.get(0)) : several(CompareFound.adjusted(pairs));
  }

  private Answer alone(CompareFound found) {
    return Answer.to(asked.question(), AnswerKind.COMPARE, asked.label())
        .worded(
            found.tests(),
            found.intervals(),
            () -> {
              List<Caution> cautions = new ArrayList<>(CompareCautions.of(found));
              cautions.addAll(data.cautions(1));
              return new CompareFindings(data.believed(found)).answer(cautions);
            });
  }

  private Answer several(List<CompareFound> pairs) {
    List<List<Caution>> cautions = pairs.stream().map(CompareCautions::of).toList();
    List<Caution> common = cautions.isEmpty() ? List.of() : DataCautions.common(cautions);
    // Pairs are independent of each other; their order is kept.
    List<Answer> answers =
        IntStream.range(0, pairs.size())
            .parallel()
            .mapToObj(
                i ->
                    new CompareFindings(data.believed(pairs.get(i)))
                        .answer(cautions(pairs.get(i), cautions.get(i), common)))
            .toList();
    List<Caution> ofAll = new ArrayList<>(common);
    ofAll.addAll(data.cautions(pairs.size()));
    return new CompareGroupsFindings(asked, data, pairs, answers).answer(ofAll);
  }

  private List<Caution> cautions(CompareFound pair, List<Caution> own, List<Caution> common) {
    List<Caution> cautions = new ArrayList<>(own);
    cautions.removeAll(common);
    if (pair.decided()) {
      cautions.addAll(
          DecisionCautions.adjustedAway(
              pair.test(), asked.alpha(), "the pairs looked at together"));
    }
    return cautions;
  }
}
