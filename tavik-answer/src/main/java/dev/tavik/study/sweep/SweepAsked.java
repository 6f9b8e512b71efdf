package dev.tavik.study.sweep;

import dev.tavik.answer.Question;
import dev.tavik.result.Adjustment;
import dev.tavik.study.Provenance;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of columns, whatever their data are.
 *
 * @param question the question
 * @param label the analyst's name for it; empty for none
 * @param group what the groups are
 * @param settings how columns are tested, adjusted and ordered
 * @param from how they were counted; null where they were given
 * @param leftOut columns that were left out, and why
 */
record SweepAsked(
    Question question,
    String label,
    String group,
    SweepQuestion.SweepSettings settings,
    @Nullable Provenance from,
    Map<String, String> leftOut) {

  boolean isAdjusted() {
    return settings.adjustment() != Adjustment.NONE;
  }
}
