package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Claims;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import dev.tavik.survey.DesignedProportion;
import java.util.List;

/** Puts the answer about rates of a designed sample together. */
final class SurveyRateFindings {
  private final SurveyRateQuestion question;
  private final DesignFindings design;

  SurveyRateFindings(SurveyRateQuestion question, DesignFindings design) {
    this.question = question;
    this.design = design;
  }

  Answer one(SurveyRate rate, List<Caution> cautions, Verdict verdict) {
    DesignedProportion proportion = rate.proportion();
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.RATE, rate.name())
            .add(Finding.fact("input", input(rate)))
            .add(Finding.fact("hypothesis", hypothesis()))
            .add(design.fact())
            .add(new Estimates(List.of(rate.group().estimate())))
            .add(observed(rate))
            .addAll(Observed.source(question.from()))
            .add(design.sentence())
            .addAll(DesignFindings.costs(proportion))
            .add(tests(rate))
            .addAll(Refusals.said(rate.made().refusals()))
            .add(intervals(rate))
            .addAll(Refusals.said(rate.made().without()))
            .add(simple(rate));
    if (rate.level().isEmpty()) {
      answer.addAll(
          DesignFindings.planned(
              "rate --expect " + DesignFindings.rate(proportion.value()),
              rate.interval(Side.TWO_SIDED),
              proportion.designEffect()));
    }
    return answer
        .add(rate.preference().finding())
        .conditions(design.conditions())
        .cautions(cautions)
        .concluded(verdict);
  }

  private Value input(SurveyRate rate) {
    return Observed.input(question.from())
        .with("success", Value.words(question.success().stream().sorted().toList()))
        .and(DesignFindings.figures(rate.proportion()));
  }

  private Value hypothesis() {
    return Value.fields()
        .with("quantity", Estimand.PROPORTION.id())
        .with("against", question.hypothesis().against())
        .with("alternative", question.hypothesis().alternative().id())
        .with("alpha", question.alpha());
  }

  private String claim() {
    return Claims.hypotheses(question.hypothesis(), question.alpha());
  }

  private Finding observed(SurveyRate rate) {
    DesignedProportion proportion = rate.proportion();
    return Finding.say(
        Block.heading("Estimated"),
        Block.paragraph(
            say(
                "a proportion of %s with a standard error of %s points, by the design; %s of %s%s",
                Figures.finePercent(proportion.value()),
                Figures.significant(100 * proportion.standardError(), 4),
                Figures.count(proportion.successes()),
                Figures.counted(proportion.rows(), "row", "rows"),
                design.weighted()
                    ? ", which without weights is "
                        + Figures.finePercent(rate.group().unweighted().proportion())
                    : "")));
  }

  private Tests tests(SurveyRate rate) {
    Tests tests = Tests.ofTables("Tests: " + claim(), question.alpha());
    rate.made()
        .tests()
        .forEach(test -> tests.made(test, Tests.shown(test.statistic(), 4, "no statistic")));
    rate.made().refusals().forEach(tests::declined);
    return tests;
  }

  private Intervals intervals(SurveyRate rate) {
    Alternative alternative = question.hypothesis().alternative();
    Intervals intervals =
        Intervals.of(
                say(
                    "Intervals, level %s%s",
                    Figures.exactPercent(question.level()),
                    alternative == Alternative.TWO_SIDED
                        ? ""
                        : ", and the one-sided bound for '" + alternative.id() + "'"))
            .pairs(rate.made().intervals(), interval -> new String[] {interval.method().id()});
    rate.made().without().forEach(intervals::declined);
    return intervals;
  }

  /** The answer of methods that ignore the design. */
  private SimpleRandom simple(SurveyRate rate) {
    Tally tally = rate.group().unweighted();
    TestResult test = ProportionTest.SCORE.of(tally, question.hypothesis());
    Interval interval = ProportionInterval.WILSON.of(tally, question.level());
    return new SimpleRandom(
        Observed.figures(tally),
        tally.proportion(),
        test,
        question.alpha(),
        interval,
        say(
            "As if simple random: %s, %s to %s (wilson), %s (score). That leaves weights, strata and"
                + " clusters out.",
            Figures.percent(tally.proportion()),
            Figures.percentBeside(interval.lower(), interval.upper()),
            Figures.percentBeside(interval.upper(), interval.lower()),
            Figures.pEquals(test.log10PValue())));
  }

  Answer several(
      List<SurveyRate> rates, List<Answer> answers, List<Caution> cautions, Verdict verdict) {
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.RATE, question.label())
            .add(Finding.fact("input", Observed.input(question.from())))
            .add(Finding.fact("hypothesis", hypothesis()))
            .add(design.fact())
            .add(Finding.fact("adjustment", new Value.Words("holm")))
            .add(new SubAnswers("groups", rates.stream().map(SurveyRate::name).toList(), answers));
    Depth whole = Depth.ALWAYS;
    if (ShownMembers.needed(rates.size())) {
      whole = Depth.WHOLE;
      answer
          .add(estimates(ShownMembers.ends(rates, rate -> rate.proportion().value())).at(Depth.CUT))
          .add(
              Finding.say(
                      new Block.Rest(
                          say(
                              "The highest and the lowest of %s rates; every group, test and"
                                  + " interval",
                              Figures.count(rates.size()))))
                  .at(Depth.CUT));
    }
    return answer
        .add(estimates(rates).at(whole))
        .addAll(Observed.source(question.from()))
        .add(design.sentence())
        .add(tests(rates).at(whole))
        .add(intervals(rates).at(whole))
        .conditions(design.conditions())
        .cautions(cautions)
        .concluded(verdict);
  }

  private static Sheet estimates(List<SurveyRate> rates) {
    return DesignFindings.groups(rates.stream().map(SurveyRate::group).toList());
  }

  private Sheet tests(List<SurveyRate> rates) {
    Sheet sheet =
        Sheet.read(
            "Tests: " + claim(),
            Column.words(),
            Column.words(),
            Column.words(),
            Column.numbers("p"),
            Column.numbers("Holm p"),
            Column.words("after adjustment"));
    for (SurveyRate rate : rates) {
      for (TestResult test : rate.made().tests()) {
        sheet.row(
            rate.name(),
            test.method().id(),
            Tests.shown(test.statistic(), 4, "no statistic"),
            Value.p(test.log10PValue()),
            Holm.shown(test),
            test.rejectsAdjusted(question.alpha()) ? "rejects" : "does not reject");
      }
    }
    return sheet;
  }

  private Intervals intervals(List<SurveyRate> rates) {
    Intervals intervals =
        Intervals.read(
            "Intervals, level " + Figures.exactPercent(question.level()) + ", each for itself");
    for (SurveyRate rate : rates) {
      intervals.pairs(
          rate.made().intervals(), interval -> new String[] {rate.name(), interval.method().id()});
      intervals.row(
          ProportionInterval.WILSON.of(rate.group().unweighted(), question.level(), Side.TWO_SIDED),
          "as if simple random",
          rate.name(),
          "");
    }
    return intervals;
  }
}
