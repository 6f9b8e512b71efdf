package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.association.AssociationMeasure;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.Optional;

/**
 * What the order of a table's levels allows to ask. Two levels count as ordered as soon as the
 * other classification is.
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
      double tau = AssociationMeasure.KENDALLS_TAU_B.of(table).value();
      String found = "Kendall's tau-b " + Figures.significant(tau, 2);
      return Optional.of(
          rejects
              ? (tau > 0 ? "rows and columns rise together: " : "columns fall as rows rise: ")
                  + found
              : "rows and columns are not shown to rise or fall together: " + found);
    }
    boolean rowsScored = table.columns().size() == 2;
    List<String> two = rowsScored ? table.columns() : table.rows();
    List<String> levels = rowsScored ? table.rows() : table.columns();
    TestResult.Statistic z = test.statistic();
    String way = z != null && z.value() < 0 ? "falls" : "rises";
    int last = levels.size() - 1;
    return Optional.of(
        say(
            "the share of %s %s from %s to %s (%s to %s)",
            two.get(0),
            rejects ? way : "is not shown to rise or fall",
            levels.get(0),
            levels.get(last),
            share(rowsScored, 0),
            share(rowsScored, last)));
  }

  private String share(boolean ofRow, int level) {
    return Figures.percent(
        ofRow
            ? (double) table.count(level, 0) / table.rowTotal(level)
            : (double) table.count(0, level) / table.columnTotal(level));
  }
}
