package dev.tavik.study.cross;

import dev.tavik.association.AssociationMeasure;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.Optional;

/**
 * The tests that the order of a table's levels allows. Two levels count as ordered if the other
 * classification is ordered.
 */
record LevelOrder(CrossTable table, Ordered ordered) {
  private boolean rows() {
    return ordered.rows() || (ordered.columns() && table.rows().size() == 2);
  }

  private boolean columns() {
    return ordered.columns() || (ordered.rows() && table.columns().size() == 2);
  }

  /** Whether rows and columns are ordered. */
  boolean both() {
    return rows() && columns();
  }

  private boolean twoLevels() {
    return table.rows().size() == 2 || table.columns().size() == 2;
  }

  boolean allows(TableTest test) {
    return both() && (test == TableTest.LINEAR || twoLevels());
  }

  /** Why a test of order can't be made. */
  String reason(TableTest test) {
    return test == TableTest.TREND && !twoLevels()
        ? "is for tables with two rows or two columns; use linear"
        : "needs ordered levels; say which are: rows, columns or both";
  }

  /** The test that uses the order best. */
  Optional<TableTest> test() {
    return both()
        ? Optional.of(twoLevels() ? TableTest.TREND : TableTest.LINEAR)
        : Optional.empty();
  }

  boolean isOfOrder(TestResult test) {
    return test.method() == TableTest.TREND || test.method() == TableTest.LINEAR;
  }

  /** The verdict of a test of order, in words. */
  Optional<String> verdict(TestResult test, boolean rejects) {
    if (!isOfOrder(test)) {
      return Optional.empty();
    }
    if (test.method() == TableTest.LINEAR) {
      return Optional.of(
          TableVerdicts.linear(rejects, AssociationMeasure.KENDALLS_TAU_B.of(table).value()));
    }
    boolean rowsScored = table.columns().size() == 2;
    List<String> levels = rowsScored ? table.rows() : table.columns();
    TestResult.Statistic z = test.statistic();
    return Optional.of(
        TableVerdicts.trend(
            rejects,
            /* falls= */ z != null && z.value() < 0,
            rowsScored ? table.columns().get(0) : table.rows().get(0),
            levels,
            share(rowsScored, 0),
            share(rowsScored, levels.size() - 1)));
  }

  private double share(boolean ofRow, int level) {
    return ofRow
        ? (double) table.count(level, 0) / table.rowTotal(level)
        : (double) table.count(0, level) / table.columnTotal(level);
  }
}
