package dev.tavik.data;

import dev.tavik.count.Names;
import java.util.BitSet;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The level that rows must have in a column to be counted; where none has it, one that is the same
 * but for case.
 */
final class LevelFilter {
  /** How a row has the level. */
  enum Match {
    EXACT,
    NEARLY,
    NOT
  }

  private final CountedColumn column;
  private final String written;
  private final int level;
  private final BitSet near = new BitSet();
  private int compared;
  private long matched;

  LevelFilter(CountedColumn column, String written) {
    this.column = column;
    this.written = written;
    this.level = column.named(written);
  }

  /** Says whether the current row, which stands for that many, has the level. */
  Match match(long times) {
    if (column.level() == level) {
      matched += times;
      return Match.EXACT;
    }
    return nearly() ? Match.NEARLY : Match.NOT;
  }

  /** Whether the level of the current row differs from the wanted one only in case. */
  private boolean nearly() {
    while (compared < column.levels().size()) {
      if (isNear(column.levels().get(compared))) {
        near.set(compared);
      }
      compared++;
    }
    return column.level() != CountedColumn.MISSING && near.get(column.level());
  }

  private boolean isNear(String other) {
    return other.strip().equalsIgnoreCase(column.levels().get(level).strip());
  }

  /**
   * Refuses a level that no row has, or that several could be.
   *
   * @param source the name of the data
   * @param nearlyCounted whether the rows that count have it but for case
   */
  void check(String source, boolean nearlyCounted) {
    if (matched > 0) {
      return;
    }
    int alike = near.cardinality();
    if (nearlyCounted && alike > 2) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: column %s has several levels that could be '%s': %s; write the one you mean"
              + " exactly",
          source,
          column.name(),
          written,
          near.stream().skip(1).mapToObj(column.levels()::get).collect(Collectors.joining(", ")));
    }
    List<String> others = column.levels().subList(1, column.levels().size());
    if (!nearlyCounted && alike < 2 && !others.isEmpty()) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: no row has %s=%s%s",
          source,
          column.name(),
          written,
          Names.hint(written, others));
    }
  }
}
