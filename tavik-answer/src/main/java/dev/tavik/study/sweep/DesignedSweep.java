package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.count.SurveyCounts;
import dev.tavik.result.Figures;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.survey.DesignedSample;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Columns of a designed sample.
 *
 * @param counts what was counted of each column
 * @param design the design of the sample
 */
record DesignedSweep(Map<String, SurveyCounts> counts, DesignFindings design)
    implements SweepData, DesignedData {
  static DesignedSweep of(Map<String, SurveyCounts> counts) {
    SurveyCounts first = counts.values().iterator().next();
    return new DesignedSweep(counts, new DesignFindings(DesignedSample.of(first)));
  }

  @Override
  public Map<String, ColumnData> columns() {
    Map<String, ColumnData> columns = new LinkedHashMap<>();
    counts.forEach((name, each) -> columns.put(name, new DesignedColumn(each)));
    return columns;
  }

  @Override
  public String how() {
    return ", by the design";
  }

  @Override
  public String rows() {
    return "rows";
  }

  @Override
  public String measure() {
    return "V";
  }

  @Override
  public List<Finding> legend(Letters letters, double alpha) {
    return List.of(
        Finding.sentence(
            say(
                "Percents are weighted; in brackets their %s intervals by the design, one at a"
                    + " time.",
                Figures.exactPercent(1 - alpha))),
        Finding.sentence(letters.note(alpha, /* designed= */ true)));
  }

  @Override
  public List<Condition> conditions() {
    return design.conditions();
  }

  @Override
  public List<Caution> cautions(@Nullable Provenance from) {
    return design.cautions(unit -> true, "rows that were counted");
  }
}
