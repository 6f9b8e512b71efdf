package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.result.Estimand;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.SampleData;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/** What several groups are compared of, beyond what is said of each pair. */
interface PairsData extends SampleData {
  /** What was found of each pair that is looked at, tests not adjusted. */
  List<CompareFound> pairs();

  /** The same results with the Bayesian view beside, where it is wanted. */
  default CompareFound believed(CompareFound found) {
    return found;
  }

  /** What the intervals that are shown of all pairs are of. */
  Set<Estimand> quantities();

  /**
   * The pairs to compare, by the positions of their groups.
   *
   * @param pair what is made of the first and the second
   */
  default <T> List<T> each(BiFunction<Integer, Integer, T> pair) {
    int groups = names().size();
    Integer second = baseline() == null ? null : names().indexOf(baseline());
    List<T> pairs = new ArrayList<>();
    for (int i = 0; i < groups; i++) {
      for (int j = 0; j < groups; j++) {
        if (second == null ? i < j : i != j && j == second) {
          pairs.add(pair.apply(i, j));
        }
      }
    }
    return pairs;
  }

  /** The names of the groups, in order. */
  List<String> names();

  /** The group that every other one is compared with; null for all pairs. */
  @Nullable String baseline();

  /** The figures of the groups, for programs. */
  Value figures();

  /** The table of what was observed in each group. */
  Sheet observed();

  /** The table of the highest and the lowest rates, where there are too many to read. */
  Sheet ends();

  /** The tests of all groups together; the first counts. */
  List<TestResult> overall();

  /** The column of statistics in the table of tests. */
  Column statistic();

  /** The statistic of a test, as its column shows it. */
  Value statistic(TestResult test);

  /** Adds an interval of a pair, with its name, beside those of the methods. */
  default void beside(CompareFound pair, String name, Sheet to) {}

  /** What only such data add at the end. */
  default List<Finding> after(List<CompareFound> pairs, List<Answer> answers) {
    return List.of();
  }

  List<Condition> conditions(List<CompareFound> pairs);

  /** What to be careful of in all groups. */
  List<Caution> cautions(int pairs);
}
