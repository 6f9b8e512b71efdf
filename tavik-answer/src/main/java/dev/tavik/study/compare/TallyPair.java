package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Workings;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.proportion.ComparisonEstimate;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Derivation;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.GroupEstimates;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.TailCommands;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Two tallies that are compared.
 *
 * @param question the question about them
 * @param belief the Bayesian view; empty for none
 */
record TallyPair(CompareQuestion question, List<Finding> belief) implements PairData {
  private CompareSettings settings() {
    return question.settings();
  }

  private Tally one() {
    return question.first().tally();
  }

  private Tally two() {
    return question.second().tally();
  }

  private static Rate rate(NamedTally group) {
    Tally tally = group.tally();
    return new Rate(
        group.name(), tally.proportion(), Figures.outOf(tally.successes(), tally.trials()));
  }

  @Override
  public Rate first() {
    return rate(question.first());
  }

  @Override
  public Rate second() {
    return rate(question.second());
  }

  @Override
  public List<Estimate> estimates() {
    return GroupEstimates.of(question.first(), question.second());
  }

  @Override
  public Value.Fields figures() {
    return Value.fields()
        .with("first", Observed.figures(question.first()))
        .with("second", Observed.figures(question.second()))
        .with("order", order());
  }

  @Override
  public Sheet observed() {
    return Observed.groups("Observed", List.of(question.first(), question.second()));
  }

  @Override
  public String remark(Estimate effect) {
    return switch (effect.quantity()) {
      case DIFFERENCE -> "points, " + effect.label();
      case ODDS_RATIO -> "cross product a d / (b c)";
      case CONDITIONAL_ODDS_RATIO -> "conditional maximum likelihood";
      case COHENS_H -> "";
      default -> effect.label();
    };
  }

  /** From the interval of the difference that the verdict rests on, else from the last. */
  @Override
  public Optional<NumberNeeded> numberNeeded(CompareFound found) {
    return found.intervals().stream()
        .filter(each -> each.quantity() == Estimand.DIFFERENCE && each.side() == Side.TWO_SIDED)
        .reduce((last, next) -> next.method() == found.basis().interval() ? next : last)
        .map(
            interval ->
                NumberNeeded.of(ComparisonEstimate.DIFFERENCE.of(one(), two()).value(), interval));
  }

  @Override
  public Tests tests(String heading, double alpha) {
    return Tests.of(heading, alpha);
  }

  @Override
  public Value statistic(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic != null && statistic.isCount()
        ? new Value.Words(tail(test.method()))
        : Tests.shown(statistic, 4, "no statistic");
  }

  private String tail(Method method) {
    String count = Figures.count(one().successes());
    String half = method == TwoProportionTest.FISHER_MID_P ? ", " + count + " half" : "";
    return switch (settings().hypothesis().alternative()) {
      case LESS -> count + " or fewer in the first" + half;
      case GREATER -> count + " or more in the first" + half;
      case TWO_SIDED ->
          method == TwoProportionTest.FISHER
              ? "tables as improbable, or more so"
              : "twice the smaller tail" + half;
    };
  }

  @Override
  public List<Finding> after(CompareFound found) {
    List<Finding> findings = new ArrayList<>(List.of(Decidable.of(() -> mayReject(found))));
    findings.addAll(belief);
    findings.addAll(asTable());
    findings.add(Workings.of(this::working));
    findings.addAll(TailCommands.of(one(), two(), found.tests()));
    return findings;
  }

  /** Whether it would reject where one group has all successes and the other none. */
  private boolean mayReject(CompareFound found) {
    Tally none = Tally.of(0, one().trials());
    Tally all = Tally.of(one().trials(), one().trials());
    Tally othersNone = Tally.of(0, two().trials());
    Tally othersAll = Tally.of(two().trials(), two().trials());
    return !(found.basis().test() instanceof TwoProportionTest test)
        || settings().claim().goal() == ComparisonGoal.EQUIVALENT
        || test.of(none, othersAll, settings().hypothesis()).rejects(settings().alpha())
        || test.of(all, othersNone, settings().hypothesis()).rejects(settings().alpha());
  }

  /** The command that tests the counts as a table, where a table of them can be tested. */
  private List<Finding> asTable() {
    if (one().successes() + two().successes() == 0
        || one().failures() + two().failures() == 0
        || one().trials() + two().trials() > Tally.MAX_TRIALS) {
      return List.of();
    }
    return List.of(
        Finding.say(
            new Block.Command(
                "As a table",
                NextQuestion.of(AnswerKind.CROSS)
                    .with(
                        "cells",
                        say(
                            "%d %d; %d %d",
                            one().successes(),
                            one().failures(),
                            two().successes(),
                            two().failures())))));
  }

  private List<Derivation> working() {
    List<Derivation> workings =
        new ArrayList<>(CompareTestWorking.of(question.first(), question.second(), settings()));
    workings.addAll(CompareIntervalWorking.of(question.first(), question.second(), settings()));
    return workings;
  }

  @Override
  public List<Condition> conditions() {
    return List.of(PooledExpectation.of(one(), two()).condition(), Assumptions.independentGroups());
  }

  @Override
  public List<Caution> cautions(CompareFound found) {
    return TallyPairCautions.of(question, found);
  }
}
