package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.cross.CrossSettings;
import dev.tavik.study.parts.DrawnTest;
import java.util.ArrayList;
import java.util.List;

/**
 * A column that was counted.
 *
 * @param table a row a group, a column a level
 */
record TallyColumn(CrossTable table) implements ColumnData {
  /** Seconds that an exact test of one table may take; there may be a thousand tables. */
  private static final double BUDGET = 0.1;

  private static final double ENOUGH = 5;
  private static final List<String> NAMED = List.of(SweepQuestion.NAMED, SweepQuestion.NOT_NAMED);

  @Override
  public long rows() {
    return table.total();
  }

  @Override
  public List<String> groups() {
    return table.rows();
  }

  List<String> levels() {
    return table.columns();
  }

  @Override
  public Answer ask(String name, double alpha) {
    CrossSettings settings =
        CrossSettings.usual().alpha(alpha).options(TestOptions.usual().budget(BUDGET));
    return CrossQuestion.of(table).settings(settings).named(name).ask();
  }

  /** Cramér's V, corrected for what chance alone gives to small tables. */
  @Override
  public double strength(Answer alone) {
    return alone.estimates().stream()
        .filter(each -> each.quantity() == Estimand.CRAMERS_V_CORRECTED)
        .findFirst()
        .map(each -> each.value())
        .orElse(0.0);
  }

  /**
   * The p-value; for a test by drawing without an equally extreme draw the smallest possible one.
   */
  @Override
  public Value p(TestResult test) {
    return DrawnTest.atMost(test, table.rows().size() * table.columns().size())
        ? new Value.Words("<= " + Figures.pValue(test.log10PValue()))
        : Value.p(test.log10PValue());
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

  /** For each group, the groups whose share of a level is smaller. */
  List<List<String>> smaller(int level, double alpha) {
    return new GroupPairs(groups(), alpha)
        .smaller((one, other) -> compared(one, other, level), group -> share(group, level));
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

  @Override
  public Finding shares(Swept column, Letters letters, double alpha) {
    // Of one of several answers only that it was given is shown.
    List<String> levels = new ArrayList<>(levels().equals(NAMED) ? NAMED.subList(0, 1) : levels());
    List<List<Value>> cells = new ArrayList<>();
    for (int level = 0; level < levels.size(); level++) {
      List<List<String>> smaller = smaller(level, alpha);
      List<Value> row = new ArrayList<>();
      for (int group = 0; group < groups().size(); group++) {
        row.add(
            new Value.Words(Figures.percent(share(group, level)) + letters.of(smaller.get(group))));
      }
      cells.add(row);
    }
    List<Value> bases = new ArrayList<>();
    for (int group = 0; group < groups().size(); group++) {
      bases.add(new Value.Count(base(group)));
    }
    cells.add(bases);
    levels.add("n");
    return Finding.say(
        Block.heading(column.name()),
        new Block.Grid(levels, groups().stream().map(letters::headed).toList(), cells));
  }
}
