package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

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
import java.util.List;

/**
 * Groups of a designed sample.
 *
 * @param question the question about them
 * @param design the design of the whole sample
 */
record DesignedGroups(SurveyRateQuestion question, DesignFindings design)
    implements RateGroups, DesignedData {
  private static DesignFindings.Group group(RateFound found) {
    return ((DesignedRate) found.data()).group();
  }

  @Override
  public Sheet observed(List<RateFound> groups) {
    return DesignFindings.groups(groups.stream().map(DesignedGroups::group).toList());
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
        ProportionInterval.WILSON.of(group(group).unweighted(), question.level(), Side.TWO_SIDED),
        "as if simple random",
        group.name(),
        "");
  }

  @Override
  public List<Condition> conditions(List<RateFound> groups) {
    return design.conditions();
  }
}
