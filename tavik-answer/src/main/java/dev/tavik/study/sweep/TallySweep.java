package dev.tavik.study.sweep;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.count.CrossTable;
import dev.tavik.phrase.Assumptions;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Columns that were counted.
 *
 * @param tables a table of each column
 */
record TallySweep(Map<String, CrossTable> tables) implements SweepData {
  @Override
  public Map<String, ColumnData> columns() {
    Map<String, ColumnData> columns = new LinkedHashMap<>();
    tables.forEach((name, table) -> columns.put(name, new TallyColumn(table)));
    return columns;
  }

  @Override
  public Value.Fields input(Letters letters) {
    return Value.fields().with("groups", Value.words(letters.groups()));
  }

  @Override
  public List<Finding> shares(List<Swept> columns, double alpha) {
    return List.of(new ColumnShares(columns, alpha));
  }

  @Override
  public String rows() {
    return "n";
  }

  @Override
  public String measure() {
    return "corrected V";
  }

  @Override
  public List<Finding> legend(Letters letters, double alpha) {
    return List.of(Finding.sentence(letters.note(alpha, /* designed= */ false)));
  }

  @Override
  public List<Condition> conditions() {
    return List.of(Assumptions.independentColumns());
  }

  @Override
  public List<Caution> cautions(@Nullable Provenance from) {
    return from == null ? List.of() : DataCautions.weights(from);
  }
}
