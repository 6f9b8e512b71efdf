package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.NotApplicable;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTest;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** Makes tests and intervals of the rates of a designed sample, and chooses among them. */
final class SurveyRateAnalysis {
  private final SurveyRateQuestion question;
  private final RateAsked asked;
  private final DesignedSample sample;
  private final DesignFindings design;
  private final Predicate<List<String>> success;

  SurveyRateAnalysis(SurveyRateQuestion question) {
    this.question = question;
    this.asked = new RateAsked(question, question.hypothesis(), question, question.from());
    this.sample = DesignedSample.of(question.counts());
    this.design = new DesignFindings(sample);
    this.success = unit -> question.success().contains(unit.get(0));
  }

  Answer answer() {
    return question.hasGroups() ? several() : one();
  }

  private Answer one() {
    RateFound only = rate(question.label(), sample.proportion(unit -> true, success));
    List<Caution> cautions = cautions(only);
    cautions.addAll(common());
    return new RateFindings(only).answer(cautions);
  }

  private Answer several() {
    List<RateFound> groups = RateFound.adjusted(groups());
    List<Answer> answers = groups.stream().map(this::amongOthers).toList();
    RateByGroupFindings findings =
        new RateByGroupFindings(asked, new DesignedGroups(question, design), groups, answers);
    return findings.answer(question.label(), common());
  }

  private List<RateFound> groups() {
    List<String> levels = question.counts().units().levels(1);
    List<DesignedProportion> each = sample.groups(1, levels, success);
    return IntStream.range(0, levels.size())
        .mapToObj(i -> rate(levels.get(i), each.get(i)))
        .toList();
  }

  private Answer amongOthers(RateFound group) {
    List<Caution> cautions = cautions(group);
    cautions.addAll(
        DecisionCautions.adjustedAway(
            group.test(), question.alpha(), "the groups looked at together"));
    return new RateFindings(group).answer(cautions);
  }

  private RateFound rate(String name, DesignedProportion proportion) {
    MethodResults made = made(proportion);
    DesignFindings.Group group = new DesignFindings.Group(name, proportion);
    return new RateFound(
        asked,
        name,
        new DesignedRate(question, design, group),
        made,
        preference(made.tests(), made.intervals(), !proportion.variance()));
  }

  private MethodResults made(DesignedProportion proportion) {
    List<TestResult> tests = new ArrayList<>();
    List<NotApplicable> refusals = new ArrayList<>();
    for (SurveyTest test : question.tests()) {
      test(test, proportion, tests, refusals);
    }
    List<Interval> limits = new ArrayList<>();
    List<NotApplicable> without = new ArrayList<>();
    for (SurveyInterval method : question.intervals()) {
      limits(method, proportion, limits, without);
    }
    // Without visible variance only the binomial limits say how large the rate may be.
    boolean none = !proportion.variance();
    if (tests.isEmpty() || none) {
      add(SurveyTest.KORN_GRAUBARD, proportion, tests);
    }
    if (limits.isEmpty() || none) {
      add(SurveyInterval.KORN_GRAUBARD, proportion, limits);
    }
    return new MethodResults(tests, refusals, limits, without);
  }

  private void test(
      SurveyTest test,
      DesignedProportion proportion,
      List<TestResult> to,
      List<NotApplicable> refusals) {
    try {
      to.add(test.of(proportion, question.hypothesis(), question.alpha()));
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(Refusals.of(test, e));
    }
  }

  private void add(SurveyTest test, DesignedProportion proportion, List<TestResult> to) {
    if (to.stream().noneMatch(each -> each.method() == test)) {
      to.add(test.of(proportion, question.hypothesis(), question.alpha()));
    }
  }

  private void limits(
      SurveyInterval method,
      DesignedProportion proportion,
      List<Interval> to,
      List<NotApplicable> without) {
    Refusals.limits(
        method,
        side -> method.of(proportion, question.level(), side),
        question.hypothesis().alternative().matchingSide(),
        to,
        without);
  }

  private void add(SurveyInterval method, DesignedProportion proportion, List<Interval> to) {
    if (to.stream().noneMatch(each -> each.method() == method)) {
      limits(method, proportion, to, new ArrayList<>());
    }
  }

  private VerdictBasis preference(List<TestResult> tests, List<Interval> limits, boolean none) {
    SurveyTest test =
        (SurveyTest)
            tests.stream()
                .map(TestResult::method)
                .filter(each -> none == (each == SurveyTest.KORN_GRAUBARD))
                .findFirst()
                .orElse(tests.get(0).method());
    SurveyInterval interval =
        (SurveyInterval)
            limits.stream()
                .map(Interval::method)
                .filter(each -> ((SurveyInterval) each).inverts().filter(test::equals).isPresent())
                .findFirst()
                .orElse(limits.get(0).method());
    String reason =
        none
            ? Reasons.needsNoVariance()
            : test == SurveyTest.T_LOGIT ? Reasons.logit() : Reasons.asked(test, tests.size() == 1);
    return new VerdictBasis(test, interval, reason);
  }

  private List<Caution> common() {
    return design.cautions(success, "a success", question.from());
  }

  private List<Caution> cautions(RateFound rate) {
    DesignedProportion proportion = ((DesignedRate) rate.data()).group().proportion();
    DecisionCautions decisions = rate.decisions();
    List<Caution> cautions =
        new ArrayList<>(DecisionCautions.otherDirection(question.hypothesis(), proportion.value()));
    if (proportion.allOrNone()) {
      cautions.add(
          DesignCautions.allOrNone(
              proportion.value() == 0, proportion.rows(), rate.basis().interval().title()));
    } else {
      cautions.addAll(decisions.noStatistic());
    }
    cautions.addAll(decisions.disagree());
    cautions.addAll(
        DecisionCautions.levelAlpha(
            question,
            TestCautions.rejected(question.hypothesis().against()),
            /* eachSide= */ false));
    cautions.addAll(decisions.nearAlpha());
    return cautions;
  }
}
