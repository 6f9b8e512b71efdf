package dev.tavik.study.compare;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.survey.SurveyTableTest;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Several groups of a designed sample.
 *
 * @param question the question about them
 * @param design the design of the whole sample
 * @param success which units are successes
 * @param groups the groups and what is estimated of each, in order
 */
record DesignedPairs(
    SurveyCompareQuestion question,
    DesignFindings design,
    Predicate<List<String>> success,
    List<DesignFindings.Group> groups)
    implements PairsData, DesignedData {

  @Override
  public List<String> names() {
    return question.groups();
  }

  @Override
  public @Nullable String baseline() {
    return question.baseline();
  }

  @Override
  public Value figures() {
    return Value.list(groups, DesignedPair::named);
  }

  @Override
  public Sheet observed() {
    return DesignFindings.groups(groups);
  }

  @Override
  public Sheet ends() {
    return DesignFindings.groups(ShownMembers.ends(groups, group -> group.proportion().value()));
  }

  @Override
  public List<TestResult> overall() {
    return List.of(
        DesignTests.of(
                design.sample().table(1, names(), success).deviation(),
                List.of(SurveyTableTest.RAO_SCOTT))
            .first());
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
  public void beside(CompareFound pair, String name, Sheet to) {
    Interval simple = ((DesignedPair) pair.data()).simple().interval();
    to.row(
        name,
        Value.none(),
        "as if simple random",
        Value.of(Estimand.DIFFERENCE, simple.lower()),
        "to",
        Value.of(Estimand.DIFFERENCE, simple.upper()));
  }

  @Override
  public List<Condition> conditions(List<CompareFound> pairs) {
    return design.conditions();
  }

  @Override
  public List<Caution> cautions(int pairs) {
    return design.cautions(success, "a success", question.from());
  }
}
