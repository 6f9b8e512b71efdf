package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.association.AssociationMeasure;
import dev.tavik.association.CellFigures;
import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.DrawnMethod;
import dev.tavik.study.Provenance;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossSettings.RowPairs;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.GroupEstimates;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A table of counts. */
final class TallyTable implements CrossData {
  private static final int MOST_NAMED = 6;

  private final CrossQuestion question;
  private final CrossSample.OfCounts sample;
  private final CrossSettings settings;
  private final CrossTable table;
  private final LevelOrder order;
  private final ExpectedCounts expected;
  private final List<List<CellFigures>> cells;
  private final @Nullable DrawnTest drawn;
  private final List<Strength> strengths;
  private final @Nullable CompareQuestion rates;
  private final List<Interval> ofRates;

  TallyTable(
      CrossQuestion question,
      CrossSample.OfCounts sample,
      LevelOrder order,
      ExpectedCounts expected,
      List<List<CellFigures>> cells,
      @Nullable DrawnTest drawn) {
    this.question = question;
    this.sample = sample;
    this.settings = question.settings();
    this.table = sample.table();
    this.order = order;
    this.expected = expected;
    this.cells = cells;
    this.drawn = drawn;
    this.strengths = strengths();
    this.rates = rates();
    this.ofRates = rates == null ? List.of() : intervals(rates);
  }

  @Override
  public List<String> rows() {
    return table.rows();
  }

  @Override
  public List<String> columns() {
    return table.columns();
  }

  @Override
  public double residual(int row, int column) {
    return cells.get(row).get(column).adjustedResidual();
  }

  @Override
  public String departure(int row, int column) {
    CellFigures cell = cells.get(row).get(column);
    return TableVerdicts.departure(
        table.rows().get(row),
        table.columns().get(column),
        cell.adjustedResidual() < 0,
        cell.observed(),
        cell.expected());
  }

  @Override
  public double cramersV() {
    return AssociationMeasure.CRAMERS_V.of(table).value();
  }

  @Override
  public Value.Fields input() {
    TestOptions options = settings.options();
    return settings.ordered() == Ordered.NONE
        ? Value.fields()
        : Value.fields()
            .with("ordered", settings.ordered().id())
            .with("rowScores", Value.numbers(options.rowScores()))
            .with("columnScores", Value.numbers(options.columnScores()));
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
        ? CompareQuestion.of(rate(0), rate(1))
            .alpha(settings.alpha())
            .level(settings.level())
            .named(table.columns().get(0))
        : null;
  }

  private NamedTally rate(int row) {
    return new NamedTally(
        table.rows().get(row), Tally.of(table.count(row, 0), table.rowTotal(row)));
  }

  private List<Interval> intervals(CompareQuestion asked) {
    return asked.settings().intervals().stream()
        .map(
            method ->
                ((ComparisonInterval) method)
                    .of(rate(0).tally(), rate(1).tally(), settings.level()))
        .toList();
  }

  @Override
  public List<Estimate> estimates() {
    List<Estimate> estimates = new ArrayList<>(strengths.stream().map(Strength::estimate).toList());
    if (rates != null) {
      estimates.addAll(GroupEstimates.of(rate(0), rate(1)));
    }
    return estimates;
  }

  @Override
  public Cells observed(CrossFound found) {
    return Cells.of(table.rows(), table.columns())
        .withTotals("Observed", (i, j) -> new Value.Count(count(i, j)))
        .read();
  }

  private long count(int row, int column) {
    boolean lastRow = row == table.rows().size();
    boolean lastColumn = column == table.columns().size();
    if (lastRow && lastColumn) {
      return table.total();
    }
    if (lastRow) {
      return table.columnTotal(column);
    }
    return lastColumn ? table.rowTotal(row) : table.count(row, column);
  }

  @Override
  public List<Finding> context(CrossFound found) {
    List<Finding> context = new ArrayList<>(Observed.source(question.from()));
    Cells layers = Cells.of(table.rows(), table.columns()).read();
    for (CellTable shown : settings.shown()) {
      layers.shown(shown.title(), (i, j) -> figure(shown, found, i, j));
    }
    context.add(layers);
    return context;
  }

  private Value figure(CellTable shown, CrossFound found, int row, int column) {
    double count = table.count(row, column);
    CellFigures cell = cells.get(row).get(column);
    return switch (shown) {
      case ROW_PERCENTS -> Value.Share.PLAIN.of(count / table.rowTotal(row));
      case COLUMN_PERCENTS -> Value.Share.PLAIN.of(count / table.columnTotal(column));
      case TOTAL_PERCENTS -> Value.Share.PLAIN.of(count / table.total());
      case EXPECTED -> Value.significant(cell.expected(), 4);
      case RESIDUALS ->
          Value.twoDecimals(cell.adjustedResidual(), found.standsOut(row, column) ? "*" : " ");
      case PEARSON_RESIDUALS -> Value.twoDecimals(cell.pearsonResidual(), "");
      case CONTRIBUTIONS -> Value.twoDecimals(cell.contribution(), "");
    };
  }

  @Override
  public Tests tests(String heading, CrossFound found) {
    Tests made =
        Tests.ofTables(heading, settings.alpha())
            .inOrderOf(
                Stream.<Method>concat(
                        Arrays.stream(TableTest.values()), Stream.of(DrawnMethod.FISHER))
                    .toList());
    for (TestResult test : found.tests()) {
      made.made(
          test,
          Tests.shown(
              test.statistic(),
              4,
              test.method() == TableTest.FISHER
                  ? "tables no more probable"
                  : test.method() == DrawnMethod.FISHER
                      ? "tables drawn, no more probable"
                      : "no statistic"));
    }
    found.refusals().forEach(made::declined);
    return made;
  }

  @Override
  public List<Finding> beside(CrossFound found) {
    List<Finding> findings = new ArrayList<>();
    if (drawn != null) {
      findings.add(drawn.finding());
    }
    findings.addAll(scores("rows", settings.options().rowScores()));
    findings.addAll(scores("columns", settings.options().columnScores()));
    return findings;
  }

  private static List<Finding> scores(String what, List<Double> scores) {
    return scores.isEmpty()
        ? List.of()
        : List.of(
            Finding.say(
                Block.paragraph(
                    say(
                        "scores of the %s: %s",
                        what,
                        scores.stream().map(Figures::plain).collect(Collectors.joining(", "))),
                    Block.Style.HANGING)));
  }

  @Override
  public Intervals intervals() {
    Intervals intervals = Intervals.of("");
    for (Strength strength : strengths) {
      Interval interval = strength.interval();
      if (interval != null) {
        intervals.row(interval, "", Value.fields().with("label", strength.estimate().label()));
      }
    }
    ofRates.forEach(each -> intervals.row(each, ""));
    return intervals;
  }

  @Override
  public Finding strength() {
    Sheet sheet = CrossFindings.strengths("Strength", settings.level());
    strengths.forEach(
        each ->
            CrossFindings.strength(
                sheet, each.measure().title(), each.estimate().value(), each.interval()));
    return sheet;
  }

  @Override
  public Cells figures(CrossFound found) {
    return Cells.of(table.rows(), table.columns())
        .layer("observed", (i, j) -> new Value.Count(table.count(i, j)))
        .layer("expected", (i, j) -> cell(i, j, CellFigures::expected))
        .layer("pearsonResiduals", (i, j) -> cell(i, j, CellFigures::pearsonResidual))
        .layer("adjustedResiduals", (i, j) -> cell(i, j, CellFigures::adjustedResidual))
        .layer("contributions", (i, j) -> cell(i, j, CellFigures::contribution))
        .layer("adjustedPValues", (i, j) -> Value.number(found.out(i, j).pValue()))
        .layer("log10AdjustedPValues", (i, j) -> Value.number(found.out(i, j).log10PValue()))
        .layer("rowProportions", (i, j) -> figure(CellTable.ROW_PERCENTS, found, i, j))
        .layer("columnProportions", (i, j) -> figure(CellTable.COLUMN_PERCENTS, found, i, j))
        .layer("totalProportions", (i, j) -> figure(CellTable.TOTAL_PERCENTS, found, i, j));
  }

  private Value cell(int row, int column, ToDoubleFunction<CellFigures> figure) {
    return Value.number(figure.applyAsDouble(cells.get(row).get(column)));
  }

  @Override
  public List<Finding> last(CrossFound found) {
    List<Finding> findings = new ArrayList<>();
    if (rates != null) {
      findings.add(TableAsRates.sheet(rates, ofRates));
      findings.add(TableAsRates.withDirection(rates));
    }
    if (settings.rowPairs() == RowPairs.COMPARED) {
      findings.add(Finding.fact("adjustment", new Value.Words("holm")));
      findings.add(new RowComparison(table, settings).sheet());
    }
    findings.add(Finding.fact("preferred", Value.fields().with("test", found.preferred().id())));
    findings.add(Decidable.of(new CrossReach(table, found.test(), settings)::possible));
    findings.addAll(CrossBelief.of(question));
    return findings;
  }

  @Override
  public Optional<String> ofOrder(CrossFound found) {
    return order.verdict(found.test(), found.test().rejects(settings.alpha()));
  }

  @Override
  public List<Condition> conditions() {
    List<String> small = expected.small();
    return List.of(
        expected.condition(
            say(
                "%s: %s",
                Figures.outOf(small.size(), (long) table.rows().size() * table.columns().size()),
                Figures.some(small, MOST_NAMED))),
        Assumptions.independentCells(/* strata= */ false));
  }

  @Override
  public List<Caution> grave(CrossFound found) {
    List<Caution> cautions = new ArrayList<>();
    if (!expected.enough()) {
      cautions.add(
          SampleCautions.smallTable(
              found.preferred() == TableTest.FISHER
                  ? SampleCautions.exact(found.preferred())
                  : drawn != null
                      ? SampleCautions.tablesDrawn(drawn.inWords())
                      : SampleCautions.mergeLevels()));
    }
    if (new HashSet<>(table.rows()).equals(new HashSet<>(table.columns()))) {
      cautions.add(SampleCautions.sameLevels());
    }
    if (!sample.merged().isEmpty()) {
      cautions.add(SampleCautions.merged(sample.merged()));
    }
    return cautions;
  }

  @Override
  public List<Caution> further(CrossFound found) {
    List<Caution> cautions = new ArrayList<>(DecisionCautions.open(drawn, settings.alpha()));
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, table.total()));
    }
    cautions.addAll(DataCautions.empty(sample.empty()));
    return cautions;
  }

  @Override
  public Verdict resting(CrossFound found, Verdict verdict) {
    return verdict.restingOn(found.preferred(), null, Reasons.restsOn(found.preferred()));
  }
}
