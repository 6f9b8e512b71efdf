package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Value;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DrawnTest;
import java.util.ArrayList;
import java.util.List;

/**
 * One column of a sweep: its table, the answer about its association with the groups, and which
 * groups have a larger share of a level than which others.
 *
 * @param name the column's name
 * @param table a row a group, a column a level
 * @param answer what a question about the table alone is answered
 * @param test the test that the answer rests on, with its p-value adjusted over all columns
 */
record Swept(String name, CrossTable table, Answer answer, TestResult test) {
  private static final double ENOUGH = 5;
  private static final List<String> NAMED = List.of(SweepQuestion.NAMED, SweepQuestion.NOT_NAMED);

  /** With its test, and its answer's, adjusted over all of some columns. */
  Swept with(TestResult adjusted, double alpha, int columns) {
    return new Swept(name, table, AdjustedAnswer.of(answer, adjusted, alpha, columns), adjusted);
  }

  /**
   * The p-value; for a test by drawing without an equally extreme draw the smallest possible one.
   */
  Value p() {
    return DrawnTest.atMost(test, table.rows().size() * table.columns().size())
        ? new Value.Words("<= " + Figures.pValue(test.log10PValue()))
        : Value.p(test.log10PValue());
  }

  /** Cramér's V, corrected for what chance alone gives to small tables. */
  double strength() {
    return answer.estimates().stream()
        .filter(each -> each.quantity() == Estimand.CRAMERS_V_CORRECTED)
        .findFirst()
        .map(each -> each.value())
        .orElse(0.0);
  }

  /** Number of levels that readers see: for one of several answers only that it was given. */
  int levelsShown() {
    List<String> levels = table.columns();
    return levels.equals(NAMED) ? 1 : levels.size();
  }

  long base(int group) {
    return table.cells().get(group).stream().mapToLong(Long::longValue).sum();
  }

  long count(int group, int level) {
    return table.cells().get(group).get(level);
  }

  double share(int group, int level) {
    return (double) count(group, level) / base(group);
  }

  /**
   * For each group, the groups whose share of a level is smaller, by tests of each two groups whose
   * p-values are adjusted by Holm's method over the pairs of the level.
   */
  List<List<Integer>> smaller(int level, double alpha) {
    List<TestResult> tests = new ArrayList<>();
    List<int[]> pairs = new ArrayList<>();
    for (int one = 0; one < table.rows().size(); one++) {
      for (int other = one + 1; other < table.rows().size(); other++) {
        pairs.add(new int[] {one, other});
        tests.add(compared(one, other, level));
      }
    }
    List<TestResult> adjusted = Adjustment.HOLM.of(tests);
    List<List<Integer>> smaller = new ArrayList<>();
    table.rows().forEach(group -> smaller.add(new ArrayList<>()));
    for (int i = 0; i < pairs.size(); i++) {
      if (adjusted.get(i).rejectsAdjusted(alpha)) {
        int one = pairs.get(i)[0];
        int other = pairs.get(i)[1];
        boolean first = share(one, level) > share(other, level);
        smaller.get(first ? one : other).add(first ? other : one);
      }
    }
    return smaller;
  }

  /** Uses the pooled z test if its approximation is adequate, else Fisher's test. */
  private TestResult compared(int one, int other, int level) {
    Tally first = Tally.of(count(one, level), base(one));
    Tally second = Tally.of(count(other, level), base(other));
    double pooled =
        (double) (first.successes() + second.successes()) / (first.trials() + second.trials());
    double least = Math.min(first.trials(), second.trials()) * Math.min(pooled, 1 - pooled);
    TwoProportionTest test =
        least >= ENOUGH ? TwoProportionTest.Z_POOLED : TwoProportionTest.FISHER;
    return test.of(first, second, Hypothesis.twoSided(0));
  }
}
