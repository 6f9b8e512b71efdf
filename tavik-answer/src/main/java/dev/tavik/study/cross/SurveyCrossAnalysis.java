package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.Undecided;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.DesignedTable;
import dev.tavik.survey.SurveyInterval;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Puts the answer about a two-way table of a designed sample together. */
final class SurveyCrossAnalysis {
  private static final int ALL_NAMED = 3;

  private final SurveyCrossQuestion question;
  private final String label;
  private final DesignFindings design;
  private final DesignedTable table;
  private final DesignTests tests;
  private final List<AdjustedP> standingOut;

  private SurveyCrossAnalysis(
      SurveyCrossQuestion question,
      String label,
      DesignedSample sample,
      Predicate<List<String>> part) {
    this.question = question;
    this.label = label;
    this.design = new DesignFindings(sample);
    this.table =
        sample.table(
            0,
            seen(question, 0, question.rows(), part),
            1,
            seen(question, 1, question.columns(), part),
            part);
    this.tests = DesignTests.of(table.deviation(), question.tests());
    this.standingOut =
        Holm.ofT(table.residuals().stream().flatMap(List::stream).toList(), table.deviation().df());
  }

  /** The levels that occur in a part. */
  private static List<String> seen(
      SurveyCrossQuestion question, int column, List<String> levels, Predicate<List<String>> part) {
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
          "a table needs two %s or more that occur, got %s",
          column == 0 ? "rows" : "columns", seen.isEmpty() ? "none" : "only " + seen.get(0));
    }
    return seen;
  }

  static Answer answer(SurveyCrossQuestion question) {
    DesignedSample sample = DesignedSample.of(question.counts());
    return question.counts().units().columns().size() == 2
        ? new SurveyCrossAnalysis(question, question.label(), sample, unit -> true).answer(true)
        : new SurveyLayers(question, sample).answer();
  }

  /**
   * The answer of one layer.
   *
   * @throws NotApplicableException if it has no table
   */
  static Answer layer(SurveyCrossQuestion question, DesignedSample sample, String layer) {
    return new SurveyCrossAnalysis(question, layer, sample, unit -> unit.get(2).equals(layer))
        .answer(false);
  }

  private Answer answer(boolean alone) {
    boolean rejects = tests.first().rejects(question.alpha());
    SurveyInterval interval = question.intervals().get(0);
    Interval strength = table.ofStrength(question.level());
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.CROSS, label)
            .add(Finding.fact("input", Observed.input(question.from())))
            .add(
                Finding.fact(
                    "hypothesis", CrossAnalysis.hypothesis("independence", question.alpha())))
            .add(design.fact())
            .add(
                new Estimates(
                    List.of(
                        new Estimate(
                            Estimand.CRAMERS_V,
                            "of the weighted table",
                            table.cramersV(),
                            table.strength()))))
            .add(observed())
            .addAll(alone ? Observed.source(question.from()) : List.of())
            .addAll(alone ? List.of(design.sentence()) : List.of())
            .add(
                tests.finding(
                    say(
                        "Tests: null, rows and columns are independent; alpha %s",
                        Figures.plain(question.alpha())),
                    question.alpha()))
            .addAll(Refusals.said(tests.refusals()))
            .addAll(tests.effects())
            .add(intervals(strength))
            .add(
                Finding.sentence(
                    say(
                        "Cramer's V of the weighted table: %s%s",
                        Figures.within(table.cramersV(), 3),
                        strength == null
                            ? "; its interval needs replicate weights."
                            : say(
                                ", %s to %s (%s, by replicates).",
                                Figures.within(strength.lower(), 3),
                                Figures.within(strength.upper(), 3),
                                Figures.exactPercent(strength.level())))))
            .add(figures())
            .add(tests.preference(interval).finding());
    if (!tests.decided()) {
      answer.add(Undecided.finding());
    }
    if (alone) {
      answer.addAll(
          tests.planned(say("table --shape %sx%s", table.rows().size(), table.columns().size())));
    }
    return answer
        .conditions(design.conditions())
        .cautions(cautions(alone))
        .concluded(
            tests.decided()
                ? tests.preference(interval).on(conclusion(rejects))
                : TableVerdicts.undecided(label, "whether rows and columns are associated"));
  }

  private <T> T at(List<List<T>> of, int row, int column) {
    return of.get(row).get(column);
  }

  private AdjustedP out(int row, int column) {
    return standingOut.get(row * table.columns().size() + column);
  }

  private Cells observed() {
    return Cells.of(table.rows(), table.columns())
        .shown(
            design.weighted() ? "Rows of the data, without weights" : "Rows of the data",
            (i, j) -> new Value.Count(at(table.counts(), i, j)))
        .shown(
            design.weighted()
                ? "Percent of each column, weighted, and its standard error (SE) in points"
                : "Percent of each column, and its standard error (SE) in points",
            (i, j) -> {
              DesignedProportion share = at(table.ofColumn(), i, j);
              return new Value.Words(
                  say(
                      "%s (SE %s)",
                      Figures.percent(share.value()),
                      Figures.significant(100 * share.standardError(), 2)));
            })
        .shown(
            "Residuals in standard errors by the design; * stands out",
            (i, j) ->
                Double.isNaN(at(table.residuals(), i, j))
                    ? Value.none("none")
                    : Value.twoDecimals(
                        at(table.residuals(), i, j),
                        out(i, j).rejects(question.alpha()) ? "*" : " "))
        .read();
  }

  private Cells figures() {
    return Cells.of(table.rows(), table.columns())
        .layer("observed", (i, j) -> new Value.Count(at(table.counts(), i, j)))
        .layer("weightedShares", number(table.shares()))
        .layer("designResiduals", number(table.residuals()))
        .layer("adjustedPValues", (i, j) -> Value.number(out(i, j).pValue()))
        .layer("log10AdjustedPValues", (i, j) -> Value.number(out(i, j).log10PValue()))
        .layer("columnProportions", (i, j) -> Value.number(at(table.ofColumn(), i, j).value()))
        .layer(
            "columnStandardErrors",
            (i, j) -> Value.number(at(table.ofColumn(), i, j).standardError()))
        .layer("columnLower", (i, j) -> Value.number(limits(i, j).lower()))
        .layer("columnUpper", (i, j) -> Value.number(limits(i, j).upper()))
        .layer("designEffects", (i, j) -> Value.number(at(table.ofColumn(), i, j).designEffect()));
  }

  /** Limits of the percent of a column; where the usual ones have none, the binomial's. */
  private Interval limits(int row, int column) {
    DesignedProportion share = at(table.ofColumn(), row, column);
    try {
      return question.intervals().get(0).of(share, question.level(), Side.TWO_SIDED);
    } catch (NotApplicableException e) {
      return SurveyInterval.KORN_GRAUBARD.of(share, question.level(), Side.TWO_SIDED);
    }
  }

  private BiFunction<Integer, Integer, Value> number(List<List<Double>> of) {
    return (i, j) -> Value.number(at(of, i, j));
  }

  private Intervals intervals(@Nullable Interval strength) {
    Intervals intervals =
        Intervals.of(
            say(
                "Intervals of the column percents, level %s, one at a time",
                Figures.exactPercent(question.level())));
    for (SurveyInterval method : question.intervals()) {
      for (int j = 0; j < table.columns().size(); j++) {
        for (int i = 0; i < table.rows().size(); i++) {
          row(intervals, method, i, j);
        }
      }
    }
    if (strength != null) {
      intervals.row(strength, "", Value.fields().with("label", "of the weighted table"));
    }
    return intervals;
  }

  private void row(Intervals to, SurveyInterval method, int row, int column) {
    DesignedProportion share = at(table.ofColumn(), row, column);
    Interval interval = DesignFindings.limits(method, share, question.level(), to);
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

  private List<Caution> cautions(boolean alone) {
    TestResult test = tests.first();
    DecisionCautions decisions = new DecisionCautions(tests.made(), question.alpha(), test);
    List<Caution> cautions = new ArrayList<>();
    if (!tests.decided()) {
      cautions.add(DesignCautions.undecided("The table"));
    }
    cautions.addAll(decisions.disagree());
    cautions.addAll(decisions.nearAlpha());
    cautions.addAll(DecisionCautions.levelAlpha(question));
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
        long count = at(table.counts(), i, j);
        if (count > 0 && count < fewest) {
          fewest = count;
          least = new int[] {i, j};
        }
      }
    }
    return least;
  }

  /** A cell and how far it is from independence. */
  private record Place(int row, int column, double residual) {}

  private List<Place> places() {
    List<Place> places = new ArrayList<>();
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = 0; j < table.columns().size(); j++) {
        double residual = at(table.residuals(), i, j);
        places.add(new Place(i, j, Double.isNaN(residual) ? 0 : residual));
      }
    }
    places.sort((a, b) -> Double.compare(Math.abs(b.residual()), Math.abs(a.residual())));
    return table.rows().size() == 2 && table.columns().size() == 2 ? places.subList(0, 1) : places;
  }

  private Verdict conclusion(boolean rejects) {
    List<Place> places = places();
    List<String> found =
        places.stream()
            .filter(each -> out(each.row(), each.column()).rejects(question.alpha()))
            .limit(ALL_NAMED)
            .map(this::inWords)
            .toList();
    String where =
        rejects && !found.isEmpty()
            ? String.join(", ", found)
            : Math.abs(places.get(0).residual()) < 1e-9
                ? TableVerdicts.independent()
                : TableVerdicts.largest(inWords(places.get(0)));
    return TableVerdicts.association(
        label,
        TableVerdicts.associated(rejects, where),
        table.cramersV(),
        Figures.pEquals(tests.first().log10PValue()),
        tests.first(),
        question.alpha(),
        "direction or cause");
  }

  private String inWords(Place place) {
    return TableVerdicts.together(
        table.rows().get(place.row()),
        table.columns().get(place.column()),
        place.residual() < 0,
        at(table.ofColumn(), place.row(), place.column()).value());
  }
}
