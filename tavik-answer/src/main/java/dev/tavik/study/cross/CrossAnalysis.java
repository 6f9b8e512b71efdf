package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.association.AssociationMeasure;
import dev.tavik.association.CellFigures;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.Provenance;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossSettings.RowPairs;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Holm;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Puts the answer to one question about an association together. */
final class CrossAnalysis {
  private static final int MOST_NAMED = 6;

  private final CrossQuestion question;
  private final CrossSettings settings;
  private final CrossTable table;
  private final LevelOrder order;
  private final List<List<CellFigures>> cells = new ArrayList<>();
  private final ExpectedCounts expected;
  private final List<List<AdjustedP>> standingOut = new ArrayList<>();
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final @Nullable DrawnTest drawn;
  private final TestResult test;

  CrossAnalysis(CrossQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.table = question.table();
    this.order = new LevelOrder(table, settings.ordered());
    this.expected = ExpectedCounts.of(table);
    for (int i = 0; i < table.rows().size(); i++) {
      List<CellFigures> row = new ArrayList<>();
      for (int j = 0; j < table.columns().size(); j++) {
        row.add(CellFigures.of(table, i, j));
      }
      cells.add(row);
    }
    adjustResiduals();
    for (TableTest method : methods()) {
      try {
        tests.add(made(method));
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(NotApplicable.of(method, e));
      }
    }
    boolean declined = refusals.stream().anyMatch(each -> each.method() == TableTest.FISHER);
    this.drawn = !expected.enough() && declined ? DrawnTest.of(table).orElse(null) : null;
    if (drawn != null) {
      tests.add(drawn.result());
    }
    if (tests.isEmpty()) {
      throw new IllegalArgumentException(
          say(
              "none of the tests asked for can be made: %s %s",
              refusals.get(0).method().id(), refusals.get(0).reason()));
    }
    List<Method> wanted = preferences();
    this.test =
        tests.stream()
            .filter(each -> wanted.contains(each.method()))
            .min(Comparator.comparingInt(each -> wanted.indexOf(each.method())))
            .orElse(tests.get(0));
  }

  private TestResult made(TableTest method) {
    if (method.ofOrder() && !order.allows(method)) {
      throw new NotApplicableException(order.reason(method));
    }
    return method.of(table, settings.options());
  }

  /** The ids of the tests that a verdict should rest on, the best first. */
  private List<Method> preferences() {
    List<TableTest> best = new ArrayList<>();
    if (expected.enough()) {
      order.test().ifPresent(best::add);
      best.add(TableTest.PEARSON);
    } else {
      best.add(TableTest.FISHER);
    }
    List<Method> ids = new ArrayList<>(best);
    if (drawn != null) {
      ids.add(drawn.result().method());
    }
    return ids;
  }

  /**
   * Where the chi-square approximation is poor, the exact test is shown beside what was asked for.
   */
  private List<TableTest> methods() {
    List<TableTest> methods = new ArrayList<>(settings.tests());
    if (methods.isEmpty()) {
      order.test().ifPresent(methods::add);
      methods.addAll(List.of(TableTest.PEARSON, TableTest.LIKELIHOOD_RATIO));
    }
    if (!expected.enough() && !methods.contains(TableTest.FISHER)) {
      methods.add(TableTest.FISHER);
    }
    return methods;
  }

  /** Holm's adjustment of the two-sided p-values of all adjusted residuals. */
  private void adjustResiduals() {
    List<AdjustedP> adjusted =
        Holm.ofNormal(
            cells.stream().flatMap(List::stream).map(CellFigures::adjustedResidual).toList());
    int width = table.columns().size();
    for (int i = 0; i < table.rows().size(); i++) {
      standingOut.add(adjusted.subList(i * width, (i + 1) * width));
    }
  }

  Answer answer() {
    return new CrossFindings(question, cells, standingOut)
        .begin(
            strengths(),
            rates(),
            tests,
            refusals,
            drawn,
            settings.rowPairs() == RowPairs.COMPARED
                ? new RowComparison(table, settings).pairs()
                : List.of())
        .add(Finding.fact("preferred", Value.fields().with("test", test.method().id())))
        .add(Decidable.of(new CrossReach(table, test, settings)::possible))
        .addAll(CrossBelief.of(question))
        .conditions(conditions())
        .cautions(cautions())
        .concluded(conclusion().restingOn(test.method(), null, Reasons.restsOn(test.method())));
  }

  private List<Strength> strengths() {
    List<Strength> strengths = new ArrayList<>();
    for (AssociationMeasure measure : AssociationMeasure.values()) {
      boolean fits =
          measure.ofOrder() ? order.both() : measure != AssociationMeasure.PHI || table.twoByTwo();
      if (fits) {
        strengths.add(
            new Strength(
                measure,
                measure.of(table),
                measure.interval(table, settings.level()).orElse(null)));
      }
    }
    return strengths;
  }

  /** Two rows and two columns are two rates as well. */
  private @Nullable CompareQuestion rates() {
    return table.twoByTwo()
        ? CompareQuestion.of(
                rate(0),
                rate(1),
                CompareSettings.usual().alpha(settings.alpha()).level(settings.level()))
            .named(table.columns().get(0))
        : null;
  }

  private NamedTally rate(int row) {
    return new NamedTally(
        table.rows().get(row), Tally.of(table.count(row, 0), table.rowTotal(row)));
  }

  static Value hypothesis(String quantity, double alpha) {
    return Value.fields()
        .with("quantity", quantity)
        .with("alternative", "two-sided")
        .with("alpha", alpha);
  }

  static Finding notMade(NotApplicable refusal) {
    return Finding.say(
        Block.paragraph(
            "not made: " + refusal.method().id() + " " + refusal.reason() + ".",
            Block.Style.HANGING));
  }

  static Sheet strengths(String title, double level) {
    return Sheet.read(
        title + ", level " + Figures.exactPercent(level),
        Column.words(),
        Column.numbers(""),
        Column.numbers(""),
        Column.words(),
        Column.numbers(""));
  }

  static void strength(Sheet sheet, String name, double value, @Nullable Interval interval) {
    sheet.row(
        name,
        Value.significant(value, 4),
        interval == null ? Value.none() : Value.significant(interval.lower(), 4),
        interval == null ? "" : "to",
        interval == null ? Value.none() : Value.significant(interval.upper(), 4));
  }

  private List<Condition> conditions() {
    List<String> small = expected.small();
    return List.of(
        expected.condition(
            say(
                "%s: %s",
                Figures.outOf(small.size(), (long) table.rows().size() * table.columns().size()),
                Figures.some(small, MOST_NAMED))),
        Assumptions.independentCells(/* strata= */ false));
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    if (!expected.enough()) {
      cautions.add(
          SampleCautions.smallTable(
              test.method() == TableTest.FISHER
                  ? SampleCautions.exact(test.method())
                  : drawn != null
                      ? SampleCautions.tablesDrawn(drawn.inWords())
                      : SampleCautions.mergeLevels()));
    }
    if (new HashSet<>(table.rows()).equals(new HashSet<>(table.columns()))) {
      cautions.add(SampleCautions.sameLevels());
    }
    if (!question.merged().isEmpty()) {
      cautions.add(SampleCautions.merged(question.merged()));
    }
    DecisionCautions decisions = new DecisionCautions(tests, settings.alpha(), test);
    cautions.addAll(decisions.disagree());
    cautions.addAll(decisions.nearAlpha());
    cautions.addAll(DecisionCautions.open(drawn, settings.alpha()));
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, table.total()));
    }
    cautions.addAll(DataCautions.empty(question.empty()));
    return cautions;
  }

  private Verdict conclusion() {
    boolean rejects = test.rejects(settings.alpha());
    return TableVerdicts.association(
        question.label(),
        order
            .verdict(test, rejects)
            .orElseGet(() -> TableVerdicts.associated(rejects, rejects ? whereItIs() : largest())),
        AssociationMeasure.CRAMERS_V.of(table).value(),
        DrawnTest.pEquals(test, table.rows().size() * table.columns().size()),
        test,
        settings.alpha(),
        order.isOfOrder(test) ? "cause" : "direction or cause");
  }

  private record Place(int row, int column, double size) {}

  /**
   * Sorted from the largest departure down; in a two-by-two table all are equal, and the first cell
   * comes first.
   */
  private List<Place> places() {
    List<Place> places = new ArrayList<>();
    if (table.twoByTwo()) {
      return List.of(new Place(0, 0, Math.abs(cells.get(0).get(0).adjustedResidual())));
    }
    for (int i = 0; i < cells.size(); i++) {
      for (int j = 0; j < cells.get(i).size(); j++) {
        places.add(new Place(i, j, Math.abs(cells.get(i).get(j).adjustedResidual())));
      }
    }
    places.sort(Comparator.comparingDouble(Place::size).reversed());
    return places;
  }

  /** In a two-by-two table all cells depart equally; one is named. */
  private String whereItIs() {
    if (table.twoByTwo()) {
      return departure(places().get(0));
    }
    List<String> found =
        places().stream()
            .filter(
                place -> standingOut.get(place.row()).get(place.column()).rejects(settings.alpha()))
            .map(this::departure)
            .toList();
    return TableVerdicts.standingOut(
        found,
        departure(places().get(0)),
        table.rows().size() * table.columns().size(),
        "cell",
        "cells");
  }

  private String largest() {
    Place place = places().get(0);
    return Math.abs(cells.get(place.row()).get(place.column()).adjustedResidual()) < 1e-9
        ? TableVerdicts.independent()
        : TableVerdicts.largest(departure(place));
  }

  private String departure(Place place) {
    CellFigures cell = cells.get(place.row()).get(place.column());
    return TableVerdicts.departure(
        table.rows().get(place.row()),
        table.columns().get(place.column()),
        cell.adjustedResidual() < 0,
        cell.observed(),
        cell.expected());
  }
}
