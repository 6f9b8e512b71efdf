package dev.tavik.study.sweep;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.SampleData;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The columns that are looked at, and what is said of all of them together. */
interface SweepData extends SampleData {
  /** The columns by name, in the order of the source. */
  Map<String, ColumnData> columns();

  /** What only such data add to the input. */
  default Value.Fields input(Letters letters) {
    return Value.fields();
  }

  /** The shares of all columns, for programs, where the answer about each doesn't have them. */
  default List<Finding> shares(List<Swept> columns, double alpha) {
    return List.of();
  }

  /** How the columns are looked at, for the heading of the table. */
  default String how() {
    return "";
  }

  /** The heading of the number of rows. */
  String rows();

  /** The measure of association. */
  String measure();

  /** What the tables of shares show. */
  List<Finding> legend(Letters letters, double alpha);

  List<Condition> conditions();

  List<Caution> cautions(@Nullable Provenance from);
}
