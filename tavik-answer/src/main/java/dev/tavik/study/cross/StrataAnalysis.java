package dev.tavik.study.cross;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.association.CommonOddsRatio;
import dev.tavik.association.StratifiedTest;
import dev.tavik.count.StratifiedTables;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts the answer about an association within strata together. */
final class StrataAnalysis {

  private final StrataQuestion question;
  private final StratifiedTables tables;
  private final double alpha;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final Estimate common;
  private final Optional<Interval> interval;
  private final Estimate together;

  StrataAnalysis(StrataQuestion question) {
    this.question = question;
    this.tables = question.tables();
    this.alpha = question.settings().alpha();
    for (StratifiedTest method : StratifiedTest.values()) {
      try {
        tests.add(method.of(tables));
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(Refusals.of(method, e));
      }
    }
    require(
        !tests.isEmpty(),
        "no stratum has units of both %s",
        String.join(" and ", tables.columns()));
    this.common = CommonOddsRatio.of(tables);
    this.interval = CommonOddsRatio.interval(tables, question.settings().level());
    this.together = oddsRatio("all strata", tables.together().get(0), tables.together().get(1));
  }

  Answer answer() {
    List<Estimate> within =
        tables.strata().stream()
            .map(each -> oddsRatio(each.name(), each.first(), each.second()))
            .toList();
    List<Estimate> estimates = new ArrayList<>(List.of(common));
    estimates.addAll(within);
    estimates.add(together);
    AnswerBuilder answer =
        new CrossAsked(question, question.label(), "odds-ratio")
            .begin(Value.fields())
            .add(new Estimates(estimates))
            .add(rates(within))
            .addAll(Observed.source(question.from()));
    tests(answer);
    answer
        .add(intervals(within))
        .add(strength())
        .add(Finding.fact("rows", Value.words(tables.rows())))
        .add(Finding.fact("columns", Value.words(tables.columns())))
        .add(
            Finding.fact(
                "strata",
                Value.list(
                    tables.strata(),
                    stratum ->
                        Value.fields()
                            .with("name", stratum.name())
                            .with("first", stratum.first().toString())
                            .with("second", stratum.second().toString()))));
    TestResult basis = test(StratifiedTest.MANTEL_HAENSZEL).orElse(tests.get(0));
    return answer
        .conditions(List.of(enough(), Assumptions.independentCells(/* strata= */ true)))
        .cautions(cautions())
        .concluded(conclusion(basis).restingOn(basis.method(), null, ""));
  }

  private Sheet strength() {
    Sheet sheet = CrossFindings.strengths("Strength", question.settings().level());
    CrossFindings.strength(sheet, "common odds ratio", common.value(), interval.orElse(null));
    return sheet;
  }

  private Sheet rates(List<Estimate> within) {
    Sheet sheet =
        Sheet.read(
            "Rates of " + tables.columns().get(0) + " in each stratum",
            Column.words(),
            Column.counts(Figures.shortened(tables.rows().get(0))),
            Column.counts(""),
            Column.counts(Figures.shortened(tables.rows().get(1))),
            Column.counts(""),
            Column.numbers("odds ratio"));
    for (int i = 0; i < tables.strata().size(); i++) {
      Stratum stratum = tables.strata().get(i);
      row(sheet, stratum.name(), stratum.first(), stratum.second(), within.get(i).value());
    }
    row(sheet, "all strata", tables.together().get(0), tables.together().get(1), together.value());
    return sheet;
  }

  private static void row(Sheet sheet, String name, Tally first, Tally second, double ratio) {
    sheet.row(
        Figures.shortened(name),
        first.toString(),
        Value.Share.PLAIN.of(first.proportion()),
        second.toString(),
        Value.Share.PLAIN.of(second.proportion()),
        Value.significant(ratio, 4));
  }

  private void tests(AnswerBuilder answer) {
    Tests made =
        Tests.ofTables(
            say(
                "Tests: nulls, no association within strata; one odds ratio in all; alpha %s",
                Figures.plain(alpha)),
            alpha);
    answer.add(made);
    for (StratifiedTest method : StratifiedTest.values()) {
      test(method)
          .ifPresent(test -> made.made(test, Tests.shown(test.statistic(), 4, "no statistic")));
      refusals.stream().filter(each -> each.method() == method).forEach(made::declined);
    }
    answer.addAll(Refusals.said(refusals));
  }

  private Intervals intervals(List<Estimate> within) {
    Intervals intervals = Intervals.of("");
    interval.ifPresent(each -> intervals.row(each, ""));
    for (int i = 0; i < within.size(); i++) {
      Stratum stratum = tables.strata().get(i);
      intervals.row(
          ComparisonInterval.ODDS_RATIO_SCORE.of(
              stratum.first(), stratum.second(), question.settings().level()),
          "",
          Value.fields().with("label", within.get(i).label()));
    }
    return intervals;
  }

  private static Estimate oddsRatio(String label, Tally first, Tally second) {
    double diagonal = (double) first.successes() * second.failures();
    double other = (double) first.failures() * second.successes();
    return new Estimate(Estimand.ODDS_RATIO, label, diagonal / other, Double.NaN);
  }

  /**
   * The counts that can go either way, summed over strata, should be at least five away from the
   * expected count (Mantel and Fleiss 1980, American Journal of Epidemiology 112, 129-134).
   */
  private Condition enough() {
    double expected = 0;
    double least = 0;
    double greatest = 0;
    for (Stratum stratum : tables.informative()) {
      double first = stratum.first().trials();
      double second = stratum.second().trials();
      double successes = (double) stratum.first().successes() + stratum.second().successes();
      expected += first * successes / (first + second);
      least += Math.max(0, successes - second);
      greatest += Math.min(successes, first);
    }
    double room = Math.min(expected - least, greatest - expected);
    return Assumptions.expectedOfStrata(room, room >= ExpectedCounts.SMALL);
  }

  private Optional<TestResult> test(StratifiedTest method) {
    return tests.stream().filter(each -> each.method() == method).findFirst();
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    test(StratifiedTest.BRESLOW_DAY)
        .filter(test -> test.rejects(alpha))
        .ifPresent(test -> cautions.add(SampleCautions.strataDiffer(test)));
    if ((together.value() - 1) * (common.value() - 1) < 0) {
      cautions.add(SampleCautions.turnedRound(together.value(), common.value()));
    }
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(
          DataCautions.of(
              from,
              tables.strata().stream()
                  .mapToLong(each -> each.first().trials() + each.second().trials())
                  .sum()));
    }
    cautions.addAll(DataCautions.empty(question.empty()));
    return cautions;
  }

  private Verdict conclusion(TestResult basis) {
    return TableVerdicts.strata(
        question.label(),
        tables.rows().get(0),
        tables.rows().get(1),
        tables.columns().get(0),
        common.value(),
        interval,
        basis,
        test(StratifiedTest.BRESLOW_DAY),
        alpha);
  }
}
