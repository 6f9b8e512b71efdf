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
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyTableTest;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Two groups of a designed sample, or more.
 *
 * @param question the question about them
 * @param counted what was counted
 * @param design the design of the whole sample
 * @param comparisons what is estimated of each pair, by the positions of its groups
 */
record DesignedPairs(
    CompareQuestion question,
    DesignedGroups counted,
    DesignFindings design,
    List<List<DesignedComparison>> comparisons)
    implements PairsData, DesignedData {
  static DesignedPairs of(CompareQuestion question, DesignedGroups counted) {
    DesignedSample sample = DesignedSample.of(counted.counts());
    return new DesignedPairs(
        question,
        counted,
        new DesignFindings(sample),
        sample.comparisons(1, counted.names(), unit -> isSuccess(counted, unit)));
  }

  private static boolean isSuccess(DesignedGroups counted, List<String> unit) {
    return counted.success().contains(unit.get(0));
  }

  private boolean success(List<String> unit) {
    return isSuccess(counted, unit);
  }

  @Override
  public List<String> names() {
    return counted.names();
  }

  @Override
  public @Nullable String baseline() {
    return counted.baseline();
  }

  @Override
  public List<CompareFound> pairs() {
    return each((one, two) -> new DesignedPairMethods(this).found(one, two));
  }

  /** The quantities of the chosen intervals; the difference if all were chosen. */
  @Override
  public Set<Estimand> quantities() {
    List<Method> intervals = question.settings().intervals();
    return intervals.size() == SurveyComparisonInterval.values().length
        ? Set.of(Estimand.DIFFERENCE)
        : intervals.stream()
            .map(each -> ((SurveyComparisonInterval) each).quantity())
            .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** The groups and what is estimated of each, in order. */
  private List<DesignFindings.Group> groups() {
    return IntStream.range(0, names().size())
        .mapToObj(i -> new DesignFindings.Group(names().get(i), comparisons.get(i).get(i).first()))
        .toList();
  }

  @Override
  public Value figures() {
    return Value.list(groups(), DesignedPair::named);
  }

  @Override
  public Sheet observed() {
    return DesignFindings.groups(groups());
  }

  @Override
  public Sheet ends() {
    return DesignFindings.groups(ShownMembers.ends(groups(), group -> group.proportion().value()));
  }

  @Override
  public List<TestResult> overall() {
    return List.of(
        DesignTests.of(
                design.sample().table(1, names(), this::success).deviation(),
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
    return design.cautions(this::success, "a success", question.from());
  }
}
