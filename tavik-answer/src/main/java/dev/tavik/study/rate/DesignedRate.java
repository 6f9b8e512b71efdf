package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.count.Tally;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.TestCautions;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.study.parts.Observed;
import dev.tavik.survey.DesignedProportion;
import java.util.ArrayList;
import java.util.List;

/**
 * One rate of a designed sample.
 *
 * @param rates the rates that it is among
 * @param group what is estimated, and whose rate it is
 */
record DesignedRate(DesignedRates rates, DesignFindings.Group group)
    implements RateData, DesignedData {
  @Override
  public DesignFindings design() {
    return rates.design();
  }

  private RateSettings settings() {
    return rates.question().settings();
  }

  private DesignedProportion proportion() {
    return group.proportion();
  }

  @Override
  public double value() {
    return proportion().value();
  }

  @Override
  public Estimate estimate(String name) {
    return group.estimate();
  }

  @Override
  public String counts() {
    return design().rows(proportion());
  }

  @Override
  public Value.Fields figures() {
    return Value.fields()
        .with("success", Value.words(rates.counted().success().stream().sorted().toList()))
        .and(DesignFindings.figures(proportion()));
  }

  @Override
  public Finding observed(Estimate estimate) {
    return Finding.say(
        Block.heading("Estimated"),
        Block.paragraph(
            say(
                "a proportion of %s with a standard error of %s points, by the design; %s of %s%s",
                Figures.finePercent(estimate.value()),
                Figures.significant(100 * estimate.standardError(), 4),
                Figures.count(proportion().successes()),
                Figures.counted(proportion().rows(), "row", "rows"),
                design().weighted()
                    ? ", which without weights is "
                        + Figures.finePercent(group.unweighted().proportion())
                    : "")));
  }

  @Override
  public List<Finding> context() {
    List<Finding> context = new ArrayList<>(List.of(design().sentence()));
    context.addAll(DesignFindings.costs(proportion()));
    return context;
  }

  @Override
  public Tests tests(String heading, double alpha) {
    return Tests.ofTables(heading, alpha);
  }

  @Override
  public Value statistic(TestResult test) {
    return Tests.shown(test.statistic(), 4, "no statistic");
  }

  @Override
  public List<Finding> beside(RateFound found) {
    List<Finding> beside = new ArrayList<>(List.of(simple()));
    if (rates.alone()) {
      beside.addAll(
          DesignFindings.planned(
              NextQuestion.of(AnswerKind.PLAN, "rate").with("expect", DesignFindings.rate(value())),
              found.interval(Side.TWO_SIDED),
              proportion().designEffect()));
    }
    return beside;
  }

  /** The answer of methods that ignore the design(). */
  private SimpleRandom simple() {
    Tally tally = group.unweighted();
    TestResult test = ProportionTest.SCORE.of(tally, settings().hypothesis());
    Interval interval = ProportionInterval.WILSON.of(tally, settings().level());
    return new SimpleRandom(
        Observed.figures(tally),
        tally.proportion(),
        test,
        settings().alpha(),
        interval,
        say(
            "As if simple random: %s, %s to %s (wilson), %s (score). That leaves weights, strata and"
                + " clusters out.",
            Figures.percent(tally.proportion()),
            Figures.percentBeside(interval.lower(), interval.upper()),
            Figures.percentBeside(interval.upper(), interval.lower()),
            Figures.pEquals(test.log10PValue())));
  }

  @Override
  public List<Condition> conditions(RateFound found) {
    return design().conditions();
  }

  @Override
  public List<Caution> cautions(RateFound rate) {
    DecisionCautions decisions = rate.decisions();
    List<Caution> cautions =
        new ArrayList<>(DecisionCautions.otherDirection(settings().hypothesis(), value()));
    if (proportion().allOrNone()) {
      cautions.add(
          DesignCautions.allOrNone(
              value() == 0, proportion().rows(), rate.basis().interval().title()));
    } else {
      cautions.addAll(decisions.noStatistic());
    }
    cautions.addAll(decisions.disagree());
    cautions.addAll(
        DecisionCautions.levelAlpha(
            settings(),
            TestCautions.rejected(settings().hypothesis().against()),
            /* eachSide= */ false));
    cautions.addAll(decisions.nearAlpha());
    return cautions;
  }
}
