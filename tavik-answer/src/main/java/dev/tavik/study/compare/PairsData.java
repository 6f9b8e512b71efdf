package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.SampleData;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What several groups are compared of, beyond what is said of each pair. */
interface PairsData extends SampleData {
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
