package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Holm;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.DesignedTable;
import dev.tavik.survey.SurveyTableTest;
import java.util.List;
import java.util.function.Predicate;

/** Makes the tests of a two-way table of a designed sample. */
final class DesignedCrossMethods {
  private final CrossQuestion question;
  private final CrossSample.Designed counted;
  private final DesignedSample sample;
  private final Predicate<List<String>> part;

  private DesignedCrossMethods(
      CrossQuestion question,
      CrossSample.Designed counted,
      DesignedSample sample,
      Predicate<List<String>> part) {
    this.question = question;
    this.counted = counted;
    this.sample = sample;
    this.part = part;
  }

  static Answer answer(CrossQuestion question, CrossSample.Designed counted) {
    DesignedSample sample = DesignedSample.of(counted.counts());
    return counted.layered()
        ? new DesignedLayers(question, counted, sample).answer()
        : new DesignedCrossMethods(question, counted, sample, unit -> true)
            .answer(asked(question, question.label()), /* alone= */ true);
  }

  /**
   * The answer of one layer, whose source is told of all.
   *
   * @throws NotApplicableException if it has no table
   */
  static Answer layer(
      CrossQuestion question, CrossSample.Designed counted, DesignedSample sample, String layer) {
    return new DesignedCrossMethods(question, counted, sample, unit -> unit.get(2).equals(layer))
        .answer(asked(question, layer), /* alone= */ false);
  }

  static CrossAsked asked(CrossQuestion question, String label) {
    return new CrossAsked(question, label, "independence");
  }

  private Answer answer(CrossAsked asked, boolean alone) {
    DesignedTable table =
        sample.table(0, seen(0, counted.rows()), 1, seen(1, counted.columns()), part);
    DesignTests tests =
        DesignTests.of(
            table.deviation(),
            question.settings().tests().stream().map(SurveyTableTest.class::cast).toList());
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
                    counted.counts().units().counts().entrySet().stream()
                        .anyMatch(
                            each ->
                                each.getValue() > 0
                                    && part.test(each.getKey())
                                    && each.getKey().get(column).equals(level)
                                    && counted.rows().contains(each.getKey().get(0))
                                    && counted.columns().contains(each.getKey().get(1))))
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
