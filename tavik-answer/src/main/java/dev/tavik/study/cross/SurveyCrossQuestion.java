package dev.tavik.study.cross;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Are two classifications associated, as a sample with weights, strata and clusters tells? With a
 * third column it is asked within each of its levels, called layers: strata are what a sample was
 * drawn from.
 *
 * @param label the analyst's name for the question, empty for none
 * @param counts what was counted: rows, columns and perhaps layers
 * @param rows the levels of the rows, two or more, in order
 * @param columns the levels of the columns, two or more, in order
 * @param choices alpha, level, tests and intervals
 * @param from where the counts came from; null when they were given
 */
public record SurveyCrossQuestion(
    String label,
    SurveyCounts counts,
    List<String> rows,
    List<String> columns,
    InferenceOptions<SurveyTableTest, SurveyInterval> choices,
    @Nullable Provenance from)
    implements Question, InferenceSettings<SurveyCrossQuestion, SurveyTableTest, SurveyInterval> {

  /** The largest number of cells. */
  public static final int MOST_CELLS = 1_000;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there are fewer than two rows or columns, more than {@value
   *     #MOST_CELLS} cells, or a list is empty
   */
  public SurveyCrossQuestion {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    require(rows.size() >= 2, "a table needs two rows or more, got %s", rows.size());
    require(columns.size() >= 2, "a table needs two columns or more, got %s", columns.size());
    require(
        rows.size() * columns.size() <= MOST_CELLS,
        "a table must have at most %s cells here, got %s",
        MOST_CELLS,
        rows.size() * columns.size());
    require(!choices.tests().isEmpty(), "tests must name at least one method, got none");
    require(!choices.intervals().isEmpty(), "intervals must name at least one method, got none");
  }

  /**
   * Asks with the usual methods: alpha 0.05, Rao and Scott's test, logit intervals.
   *
   * @param counts what was counted: rows, columns and perhaps layers
   * @return the question
   * @throws IllegalArgumentException as the constructor says
   */
  public static SurveyCrossQuestion of(SurveyCounts counts) {
    return new SurveyCrossQuestion(
        "",
        counts,
        counts.units().levels(0),
        counts.units().levels(1),
        InferenceOptions.of(
            List.of(SurveyTableTest.RAO_SCOTT, SurveyTableTest.WALD_F),
            List.of(SurveyInterval.LOGIT)),
        null);
  }

  /**
   * {@return the same question with a name, used in the answer}
   *
   * @param name the name
   */
  public SurveyCrossQuestion named(String name) {
    return new SurveyCrossQuestion(name, counts, rows, columns, choices, from);
  }

  @Override
  public SurveyCrossQuestion choices(InferenceOptions<SurveyTableTest, SurveyInterval> changed) {
    return new SurveyCrossQuestion(label, counts, rows, columns, changed, from);
  }

  @Override
  public Answer ask() {
    return SurveyCrossAnalysis.answer(this);
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(IntervalPlot.class, () -> CrossPlots.designed(this, answer));
  }
}
