package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Undecided;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedTable;
import dev.tavik.survey.SurveyInterval;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A two-way table of a designed sample.
 *
 * @param question the question about it
 * @param design the design of the sample
 * @param table what is estimated of it
 * @param tests the tests
 * @param alone whether it is the only table, and no layer
 */
record DesignedCross(
    CrossQuestion question,
    DesignFindings design,
    DesignedTable table,
    DesignTests tests,
    boolean alone)
    implements CrossData {
  private CrossSettings settings() {
    return question.settings();
  }

  private List<SurveyInterval> intervalMethods() {
    return settings().intervals().stream().map(SurveyInterval.class::cast).toList();
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
    return table.cell(row, column).residual();
  }

  @Override
  public String departure(int row, int column) {
    return TableVerdicts.weighted(
        table.rows().get(row),
        table.columns().get(column),
        residual(row, column) < 0,
        table.cell(row, column).ofColumn().value(),
        table.cells().get(row).stream().mapToDouble(DesignedTable.Cell::share).sum());
  }

  @Override
  public double cramersV() {
    return table.cramersV();
  }

  private @Nullable Interval ofStrength() {
    return table.ofStrength(settings().level());
  }

  @Override
  public List<Finding> about() {
    return List.of(design.fact());
  }

  @Override
  public List<Estimate> estimates() {
    return List.of(
        new Estimate(
            Estimand.CRAMERS_V, "of the weighted table", table.cramersV(), table.cramersError()));
  }

  @Override
  public Cells observed(CrossFound found) {
    return Cells.of(table.rows(), table.columns())
        .shown(
            design.weighted() ? "Rows of the data, without weights" : "Rows of the data",
            (i, j) -> new Value.Count(table.cell(i, j).count()))
        .shown(
            design.weighted()
                ? "Percent of each column, weighted, and its standard error (SE) in points"
                : "Percent of each column, and its standard error (SE) in points",
            (i, j) -> {
              DesignedProportion share = table.cell(i, j).ofColumn();
              return new Value.Words(
                  say(
                      "%s (SE %s)",
                      Figures.percent(share.value()),
                      Figures.significant(100 * share.standardError(), 2)));
            })
        .shown(
            "Residuals in standard errors by the design; * stands out",
            (i, j) ->
                Double.isNaN(residual(i, j))
                    ? Value.none("none")
                    : Value.twoDecimals(residual(i, j), found.standsOut(i, j) ? "*" : " "))
        .read();
  }

  @Override
  public List<Finding> context(CrossFound found) {
    if (!alone) {
      return List.of();
    }
    List<Finding> context = new ArrayList<>(Observed.source(question.from()));
    context.add(design.sentence());
    return context;
  }

  @Override
  public Tests tests(String heading, CrossFound found) {
    return tests.finding(heading, settings().alpha());
  }

  @Override
  public List<Finding> beside(CrossFound found) {
    return tests.effects();
  }

  @Override
  public Intervals intervals() {
    Intervals intervals =
        Intervals.of(
            say(
                "Intervals of the column percents, level %s, one at a time",
                Figures.exactPercent(settings().level())));
    for (SurveyInterval method : intervalMethods()) {
      for (int j = 0; j < table.columns().size(); j++) {
        for (int i = 0; i < table.rows().size(); i++) {
          row(intervals, method, i, j);
        }
      }
    }
    Interval strength = ofStrength();
    if (strength != null) {
      intervals.row(strength, "", Value.fields().with("label", "of the weighted table"));
    }
    return intervals;
  }

  private void row(Intervals to, SurveyInterval method, int row, int column) {
    DesignedProportion share = table.cell(row, column).ofColumn();
    Interval interval = DesignFindings.limits(method, share, settings().level(), to::declined);
    to.row(
        interval,
        "",
        Value.fields()
            .with("row", table.rows().get(row))
            .with("column", table.columns().get(column)),
        table.columns().get(column),
        table.rows().get(row),
        interval.method().id());
  }

  @Override
  public Finding strength() {
    Interval strength = ofStrength();
    return Finding.sentence(
        say(
            "Cramer's V of the weighted table: %s%s",
            Figures.within(table.cramersV(), 3),
            strength == null
                ? "; its interval needs replicate weights."
                : say(
                    ", %s to %s (%s, by replicates).",
                    Figures.within(strength.lower(), 3),
                    Figures.within(strength.upper(), 3),
                    Figures.exactPercent(strength.level()))));
  }

  @Override
  public Cells figures(CrossFound found) {
    return Cells.of(table.rows(), table.columns())
        .layer("observed", (i, j) -> new Value.Count(table.cell(i, j).count()))
        .layer("weightedShares", (i, j) -> Value.number(table.cell(i, j).share()))
        .layer("designResiduals", (i, j) -> Value.number(table.cell(i, j).residual()))
        .layer("adjustedPValues", (i, j) -> Value.number(found.out(i, j).pValue()))
        .layer("log10AdjustedPValues", (i, j) -> Value.number(found.out(i, j).log10PValue()))
        .layer("columnProportions", (i, j) -> Value.number(table.cell(i, j).ofColumn().value()))
        .layer(
            "columnStandardErrors",
            (i, j) -> Value.number(table.cell(i, j).ofColumn().standardError()))
        .layer("columnLower", (i, j) -> Value.number(limits(i, j).lower()))
        .layer("columnUpper", (i, j) -> Value.number(limits(i, j).upper()))
        .layer("designEffects", (i, j) -> Value.number(table.cell(i, j).ofColumn().designEffect()));
  }

  /** Limits of the percent of a column; where the usual ones have none, the binomial's. */
  private Interval limits(int row, int column) {
    return DesignFindings.limits(
        intervalMethods().get(0),
        table.cell(row, column).ofColumn(),
        settings().level(),
        declined -> {});
  }

  @Override
  public List<Finding> last(CrossFound found) {
    List<Finding> findings = new ArrayList<>(List.of(basis().finding()));
    if (!tests.decided()) {
      findings.add(Undecided.finding());
    }
    if (alone) {
      findings.addAll(
          tests.planned(
              NextQuestion.of(AnswerKind.PLAN, "table")
                  .with("shape", table.rows().size() + "x" + table.columns().size())));
    }
    return findings;
  }

  private VerdictBasis basis() {
    return tests.preference(intervalMethods().get(0));
  }

  @Override
  public List<Condition> conditions() {
    return design.conditions();
  }

  @Override
  public List<Caution> grave(CrossFound found) {
    return tests.decided() ? List.of() : List.of(DesignCautions.undecided("The table"));
  }

  @Override
  public List<Caution> further(CrossFound found) {
    List<Caution> cautions = new ArrayList<>(DecisionCautions.levelAlpha(settings()));
    if (alone) {
      int[] least = least();
      String row = table.rows().get(least[0]);
      String column = table.columns().get(least[1]);
      cautions.addAll(
          design.cautions(
              unit -> unit.get(0).equals(row) && unit.get(1).equals(column),
              row + " and " + column,
              question.from()));
    }
    return cautions;
  }

  /** The non-empty cell with the fewest rows. */
  private int[] least() {
    int[] least = {0, 0};
    long fewest = Long.MAX_VALUE;
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = 0; j < table.columns().size(); j++) {
        long count = table.cell(i, j).count();
        if (count > 0 && count < fewest) {
          fewest = count;
          least = new int[] {i, j};
        }
      }
    }
    return least;
  }

  @Override
  public Verdict resting(CrossFound found, Verdict verdict) {
    return basis().on(verdict);
  }
}
