package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Holm;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.DesignedTable;
import java.util.List;
import java.util.function.Predicate;

/** Makes the tests of a two-way table of a designed sample. */
final class SurveyCrossAnalysis {
  private final SurveyCrossQuestion question;
  private final DesignedSample sample;
  private final Predicate<List<String>> part;

  private SurveyCrossAnalysis(
      SurveyCrossQuestion question, DesignedSample sample, Predicate<List<String>> part) {
    this.question = question;
    this.sample = sample;
    this.part = part;
  }

  static Answer answer(SurveyCrossQuestion question) {
    DesignedSample sample = DesignedSample.of(question.counts());
    return question.counts().units().columns().size() == 2
        ? new SurveyCrossAnalysis(question, sample, unit -> true)
            .answer(asked(question, question.label()), /* alone= */ true)
        : new SurveyLayers(question, sample).answer();
  }

  /**
   * The answer of one layer, whose source is told of all.
   *
   * @throws NotApplicableException if it has no table
   */
  static Answer layer(SurveyCrossQuestion question, DesignedSample sample, String layer) {
    return new SurveyCrossAnalysis(question, sample, unit -> unit.get(2).equals(layer))
        .answer(asked(question, layer), /* alone= */ false);
  }

  static CrossAsked asked(SurveyCrossQuestion question, String label) {
    return new CrossAsked(question, label, "independence", question.alpha(), question.from());
  }

  private Answer answer(CrossAsked asked, boolean alone) {
    DesignedTable table =
        sample.table(0, seen(0, question.rows()), 1, seen(1, question.columns()), part);
    DesignTests tests = DesignTests.of(table.deviation(), question.tests());
    CrossFound found =
        new CrossFound(
            asked,
            new DesignedCross(question, new DesignFindings(sample), table, tests, alone),
            tests.decided() ? tests.made() : List.of(),
            tests.refusals(),
            Holm.ofT(
                table.cells().stream()
                    .flatMap(List::stream)
                    .map(DesignedTable.Cell::residual)
                    .toList(),
                table.deviation().df()),
            tests.first().method());
    return new CrossFindings(found).answer();
  }

  /** The levels that occur in a part. */
  private List<String> seen(int column, List<String> levels) {
    List<String> seen =
        levels.stream()
            .filter(
                level ->
                    question.counts().units().counts().entrySet().stream()
                        .anyMatch(
                            each ->
                                each.getValue() > 0
                                    && part.test(each.getKey())
                                    && each.getKey().get(column).equals(level)
                                    && question.rows().contains(each.getKey().get(0))
                                    && question.columns().contains(each.getKey().get(1))))
            .toList();
    if (seen.size() < 2) {
      throw new NotApplicableException(
          NotApplicableReason.NO_TABLE,
          column == 0 ? "rows" : "columns",
          seen.isEmpty() ? "none" : "only " + seen.get(0));
    }
    return seen;
  }
}
