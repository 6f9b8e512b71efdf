package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.SurveyCounts;
import dev.tavik.study.Provenance;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Asks which of many columns differ between the groups of another, as a sample with weights, strata
 * and clusters tells: each as {@link dev.tavik.study.cross.SurveyCrossQuestion} would.
 *
 * @param group what the groups are
 * @param columns what was counted of each column: its levels, then the groups; by its name
 * @param settings how they are tested, adjusted and ordered
 * @param label the analyst's name for it; empty for none
 * @param from how they were counted; null where they were given
 * @param leftOut columns that were left out, and why
 */
public record SurveySweepQuestion(
    String group,
    Map<String, SurveyCounts> columns,
    SweepQuestion.SweepSettings settings,
    String label,
    @Nullable Provenance from,
    Map<String, String> leftOut)
    implements Question {
  /** Copies the columns. */
  public SurveySweepQuestion {
    columns = Collections.unmodifiableMap(new LinkedHashMap<>(columns));
    leftOut = Collections.unmodifiableMap(new LinkedHashMap<>(leftOut));
    require(!columns.isEmpty(), "a sweep needs at least one column to look at, got none");
  }

  /**
   * Asks with the usual settings: alpha 0.05, Holm's adjustment, the strongest first.
   *
   * @param group what the groups are
   * @param columns what was counted of each column: its levels, then the groups
   * @return the question
   * @throws IllegalArgumentException if there is none
   */
  public static SurveySweepQuestion of(String group, Map<String, SurveyCounts> columns) {
    return new SurveySweepQuestion(
        group, columns, SweepQuestion.SweepSettings.usual(), "", null, Map.of());
  }

  @Override
  public Answer ask() {
    SweepAsked asked = new SweepAsked(this, label, group, settings, from, leftOut);
    return new SweepAnalysis(asked, DesignedSweep.of(columns)).answer();
  }
}
