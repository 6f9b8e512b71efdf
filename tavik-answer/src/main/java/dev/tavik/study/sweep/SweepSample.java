package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.CrossTable;
import dev.tavik.count.SurveyCounts;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** The columns that are looked at, by value: tables, or counts of a designed sample. */
interface SweepSample {
  /** The tables by column; none of a designed sample. */
  default Map<String, CrossTable> tables() {
    return Map.of();
  }

  SweepData data();

  private static <T> Map<String, T> copied(Map<String, T> columns) {
    require(!columns.isEmpty(), "a sweep needs at least one column to look at, got none");
    return Collections.unmodifiableMap(new LinkedHashMap<>(columns));
  }

  /**
   * A table of each column.
   *
   * @param tables groups in rows, levels in columns; in the order of the source
   */
  record OfTables(Map<String, CrossTable> tables) implements SweepSample {
    public OfTables {
      tables = copied(tables);
    }

    @Override
    public SweepData data() {
      return new TallySweep(tables);
    }
  }

  /**
   * What was counted of each column of a designed sample.
   *
   * @param columns its levels, then the groups; in the order of the source
   */
  record Designed(Map<String, SurveyCounts> columns) implements SweepSample {
    public Designed {
      columns = copied(columns);
    }

    @Override
    public SweepData data() {
      return DesignedSweep.of(columns);
    }
  }
}
