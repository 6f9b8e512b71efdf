package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Figures;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The rate of a designed sample, or of each of its groups.
 *
 * @param question the question about them
 * @param counted what was counted
 * @param sample the sample
 * @param design the design of the whole sample
 */
record DesignedRates(
    RateQuestion question, DesignedRateSample counted, DesignedSample sample, DesignFindings design)
    implements Rates, DesignedData {
  static DesignedRates of(RateQuestion question, DesignedRateSample counted) {
    DesignedSample sample = DesignedSample.of(counted.counts());
    return new DesignedRates(question, counted, sample, new DesignFindings(sample));
  }

  @Override
  public boolean alone() {
    return counted.alone();
  }

  private boolean success(List<String> unit) {
    return counted.success().contains(unit.get(0));
  }

  @Override
  public List<RateFound> found() {
    if (alone()) {
      return List.of(rate(question.label(), sample.proportion(unit -> true, this::success)));
    }
    List<String> levels = counted.counts().units().levels(1);
    List<DesignedProportion> each = sample.groups(1, levels, this::success);
    return IntStream.range(0, levels.size())
        .mapToObj(i -> rate(levels.get(i), each.get(i)))
        .toList();
  }

  private RateFound rate(String name, DesignedProportion proportion) {
    DesignedRateMethods methods = new DesignedRateMethods(question.settings(), proportion);
    MethodResults made = methods.made();
    return new RateFound(
        new RateAsked(question),
        name,
        new DesignedRate(this, new DesignFindings.Group(name, proportion)),
        made,
        methods.basis(made));
  }

  @Override
  public List<Caution> cautions(List<RateFound> groups) {
    return design.cautions(this::success, "a success", question.from());
  }

  private static DesignFindings.Group group(RateFound found) {
    return ((DesignedRate) found.data()).group();
  }

  @Override
  public Sheet observed(List<RateFound> groups) {
    return DesignFindings.groups(groups.stream().map(DesignedRates::group).toList());
  }

  @Override
  public Sheet ends(List<RateFound> groups) {
    return observed(ShownMembers.ends(groups, each -> each.data().value()));
  }

  @Override
  public String rest(int groups) {
    return say(
        "The highest and the lowest of %s rates; every group, test and interval",
        Figures.count(groups));
  }

  @Override
  public Column statistic() {
    return Column.words();
  }

  @Override
  public Value statistic(TestResult test) {
    return Tests.shown(test.statistic(), 4, "no statistic");
  }

  @Override
  public void beside(RateFound group, Intervals to) {
    to.row(
        ProportionInterval.WILSON.of(
            group(group).unweighted(), question.settings().level(), Side.TWO_SIDED),
        "as if simple random",
        group.name(),
        "");
  }

  @Override
  public List<Condition> conditions(List<RateFound> groups) {
    return design.conditions();
  }
}
