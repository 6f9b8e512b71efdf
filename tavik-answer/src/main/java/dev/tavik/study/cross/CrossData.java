package dev.tavik.study.cross;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.result.Estimate;
import java.util.List;
import java.util.Optional;

/** What an association is asked of: a table of counts, or a designed sample. */
interface CrossData {
  List<String> rows();

  List<String> columns();

  /** How far a cell is from independence, in standard errors; NaN where there are none. */
  double residual(int row, int column);

  /** How a cell departs from independence, in words. */
  String departure(int row, int column);

  double cramersV();

  /** The figures of the data, for programs. */
  default Value.Fields input() {
    return Value.fields();
  }

  /** Facts about the data, for programs. */
  default List<Finding> about() {
    return List.of();
  }

  List<Estimate> estimates();

  Cells observed(CrossFound found);

  /** The source of the data, and what is said of them. */
  List<Finding> context(CrossFound found);

  /** The tests that were made and that declined. */
  Tests tests(String heading, CrossFound found);

  /** What only such data add to the tests. */
  List<Finding> beside(CrossFound found);

  Intervals intervals();

  /** How strong the association is. */
  Finding strength();

  /** The figures of every cell, for programs. */
  Cells figures(CrossFound found);

  /** What only such data add at the end. */
  List<Finding> last(CrossFound found);

  /** What a test of order says; empty for any other test. */
  default Optional<String> ofOrder(CrossFound found) {
    return Optional.empty();
  }

  List<Condition> conditions();

  /** What is graver than a decision. */
  List<Caution> grave(CrossFound found);

  /** What else to be careful of. */
  List<Caution> further(CrossFound found);

  /** The verdict with the methods that it rests on. */
  Verdict resting(CrossFound found, Verdict verdict);
}
