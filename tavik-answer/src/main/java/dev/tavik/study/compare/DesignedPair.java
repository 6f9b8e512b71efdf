package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.count.Tally;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Undecided;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.SurveyComparisonInterval;
import java.util.ArrayList;
import java.util.List;

/**
 * Two groups of a designed sample that are compared.
 *
 * @param pairs the pairs that it is among
 * @param one the name of the first
 * @param two the name of the second
 * @param compared the estimates
 */
record DesignedPair(DesignedPairs pairs, String one, String two, DesignedComparison compared)
    implements PairData, DesignedData {
  @Override
  public DesignFindings design() {
    return pairs.design();
  }

  private CompareSettings settings() {
    return pairs.question().settings();
  }

  private Rate rate(String name, DesignedProportion proportion) {
    return new Rate(name, proportion.value(), design().rows(proportion));
  }

  @Override
  public Rate first() {
    return rate(one, compared.first());
  }

  @Override
  public Rate second() {
    return rate(two, compared.second());
  }

  List<DesignFindings.Group> groups() {
    return List.of(
        new DesignFindings.Group(one, compared.first()),
        new DesignFindings.Group(two, compared.second()));
  }

  @Override
  public List<Estimate> estimates() {
    List<Estimate> estimates = new ArrayList<>();
    groups().forEach(group -> estimates.add(group.estimate()));
    for (SurveyComparisonInterval method : SurveyComparisonInterval.values()) {
      double value = method.estimate(compared);
      estimates.add(
          switch (method) {
            case WALD -> new Estimate(method.quantity(), order(), value, compared.difference());
            case LOG_RATIO ->
                new Estimate(
                    method.quantity(),
                    one + " divided by " + two,
                    value,
                    value * compared.logRatio());
            case LOG_ODDS ->
                new Estimate(
                    method.quantity(),
                    "odds of " + one + " divided by odds of " + two,
                    value,
                    value * compared.logOddsRatio());
          });
    }
    return estimates;
  }

  @Override
  public Value.Fields figures() {
    return Value.fields()
        .with("first", named(groups().get(0)))
        .with("second", named(groups().get(1)))
        .with("order", order())
        .with("designEffect", effect());
  }

  static Value.Fields named(DesignFindings.Group group) {
    return Value.fields()
        .with("label", group.name())
        .and(DesignFindings.figures(group.proportion()));
  }

  /** The variance of the difference in units of that of two simple random samples. */
  private double effect() {
    return compared.difference()
        * compared.difference()
        / (simply(compared.first()) + simply(compared.second()));
  }

  private static double simply(DesignedProportion proportion) {
    return proportion.value() * proportion.complement() / (proportion.rows() - 1);
  }

  @Override
  public Sheet observed() {
    return DesignFindings.groups(groups());
  }

  @Override
  public String remark(Estimate effect) {
    return effect.quantity() != Estimand.DIFFERENCE
        ? effect.label()
        : say(
            "points, standard error %s, design effect %s",
            Figures.significant(100 * effect.standardError(), 4),
            effect.standardError() > 0 ? Figures.significant(effect(), 3) : "none");
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
  public List<Finding> beside(CompareFound found) {
    List<Finding> findings = new ArrayList<>();
    if (!found.decided()) {
      findings.add(Undecided.finding());
    }
    findings.add(simple());
    if (found.alone() && found.decided()) {
      findings.addAll(
          DesignFindings.planned(
              NextQuestion.of(AnswerKind.PLAN, "compare")
                  .with("base", DesignFindings.rate(compared.second().value()))
                  .with("expect", DesignFindings.rate(compared.first().value())),
              SurveyComparisonInterval.WALD.of(compared, settings().level(), Side.TWO_SIDED),
              effect()));
    }
    return findings;
  }

  /** The answer of methods that ignore the design. */
  SimpleRandom simple() {
    Tally first = groups().get(0).unweighted();
    Tally second = groups().get(1).unweighted();
    double difference = first.proportion() - second.proportion();
    Interval interval =
        ComparisonInterval.DIFFERENCE_NEWCOMBE.of(first, second, settings().level());
    TestResult test = TwoProportionTest.Z_POOLED.of(first, second, Hypothesis.noDifference());
    return new SimpleRandom(
        Value.fields()
            .with("first", Observed.figures(first))
            .with("second", Observed.figures(second)),
        difference,
        test,
        settings().alpha(),
        interval,
        say(
            "As if simple random: a difference of %s points, %s to %s (newcombe), %s (z-pooled,"
                + " two-sided). That leaves weights, strata and clusters out.",
            Figures.significant(100 * difference, 3),
            Figures.significant(100 * interval.lower(), 3),
            Figures.significant(100 * interval.upper(), 3),
            Figures.pEquals(test.log10PValue())));
  }

  @Override
  public List<Condition> conditions() {
    return design().conditions();
  }

  @Override
  public List<Caution> cautions(CompareFound found) {
    return found.decided() ? List.of() : List.of(DesignCautions.undecided(one + " and " + two));
  }
}
