package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.result.Estimand;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Puts the answers about all pairs together, after the overall test, with one verdict.
 *
 * @param asked what is asked of each pair
 * @param data what is compared
 * @param quantities what the intervals shown are of
 */
record CompareGroupsAnalysis(CompareAsked asked, PairsData data, Set<Estimand> quantities) {
  Answer answer(List<CompareFound> alone) {
    List<CompareFound> pairs = CompareFound.adjusted(alone);
    List<List<Caution>> cautions = pairs.stream().map(CompareCautions::of).toList();
    List<Caution> common = cautions.isEmpty() ? List.of() : DataCautions.common(cautions);
    // Pairs are independent of each other; their order is kept.
    List<Answer> answers =
        IntStream.range(0, pairs.size())
            .parallel()
            .mapToObj(
                i ->
                    new CompareFindings(pairs.get(i))
                        .answer(cautions(pairs.get(i), cautions.get(i), common)))
            .toList();
    List<Caution> ofAll = new ArrayList<>(common);
    ofAll.addAll(data.cautions(pairs.size()));
    return new CompareGroupsFindings(asked, data, quantities, pairs, answers).answer(ofAll);
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

  /**
   * The pairs to compare, by the positions of their groups.
   *
   * @param groups how many groups there are
   * @param baseline the position of the group that every other one is compared with, as the second;
   *     null to compare each with each
   * @param pair what is made of the first and the second
   */
  static <T> List<T> pairs(
      int groups, @Nullable Integer baseline, BiFunction<Integer, Integer, T> pair) {
    List<T> pairs = new ArrayList<>();
    for (int i = 0; i < groups; i++) {
      for (int j = 0; j < groups; j++) {
        if (baseline == null ? i < j : i != j && j == baseline) {
          pairs.add(pair.apply(i, j));
        }
      }
    }
    return pairs;
  }
}
