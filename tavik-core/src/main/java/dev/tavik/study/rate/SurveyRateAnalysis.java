package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.RateVerdicts;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.Holm;
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

/** Makes tests and intervals of the rates of a designed sample, and chooses among them. */
final class SurveyRateAnalysis {
  private final SurveyRateQuestion question;
  private final DesignedSample sample;
  private final DesignFindings design;
  private final Predicate<List<String>> success;
  private final List<SurveyRate> rates;

  SurveyRateAnalysis(SurveyRateQuestion question) {
    this.question = question;
    this.sample = DesignedSample.of(question.counts());
    this.design = new DesignFindings(sample);
    this.success = unit -> question.success().contains(unit.get(0));
    this.rates = adjusted(found());
  }

  private List<SurveyRate> found() {
    boolean grouped = question.counts().units().columns().size() > 1;
    List<SurveyRate> found = new ArrayList<>();
    if (!grouped) {
      found.add(rate(question.label(), "", sample.proportion(unit -> true, success)));
      return found;
    }
    List<String> levels = question.counts().units().levels(1);
    List<DesignedProportion> each = sample.groups(1, levels, success);
    for (int i = 0; i < levels.size(); i++) {
      found.add(rate(levels.get(i), levels.get(i), each.get(i)));
    }
    return found;
  }

  private List<SurveyRate> adjusted(List<SurveyRate> alone) {
    if (question.counts().units().columns().size() == 1) {
      return alone;
    }
    List<List<TestResult>> tests =
        Holm.adjust(alone.stream().map(each -> each.made().tests()).toList());
    List<SurveyRate> adjusted = new ArrayList<>();
    for (int i = 0; i < tests.size(); i++) {
      adjusted.add(alone.get(i).with(tests.get(i)));
    }
    return adjusted;
  }

  private SurveyRate rate(String name, String level, DesignedProportion proportion) {
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
    return new SurveyRate(
        name,
        level,
        proportion,
        new MethodResults(tests, refusals, limits, without),
        preference(tests, limits, none));
  }

  private void test(
      SurveyTest test,
      DesignedProportion proportion,
      List<TestResult> to,
      List<NotApplicable> refusals) {
    try {
      to.add(test.of(proportion, question.hypothesis(), question.alpha()));
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(NotApplicable.of(test, e));
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

  Answer answer() {
    if (question.counts().units().columns().size() == 1) {
      SurveyRate only = rates.get(0);
      List<Caution> cautions = cautions(only);
      cautions.addAll(common());
      return new SurveyRateFindings(question, design)
          .one(only, cautions, only.preference().on(sentence(only)));
    }
    List<Answer> answers = new ArrayList<>();
    for (SurveyRate rate : rates) {
      List<Caution> cautions = cautions(rate);
      cautions.addAll(
          DecisionCautions.adjustedAway(
              rate.test(), question.alpha(), "the groups looked at together"));
      answers.add(
          new SurveyRateFindings(question, design)
              .one(rate, cautions, rate.preference().on(sentence(rate))));
    }
    return new SurveyRateFindings(question, design).several(rates, answers, common(), together());
  }

  private List<Caution> common() {
    return design.cautions(success, "a success", question.from());
  }

  private Verdict sentence(SurveyRate rate) {
    return RateVerdicts.one(phrase(rate), null, question.hypothesis(), question.alpha());
  }

  private RateVerdicts.Rate phrase(SurveyRate rate) {
    return new RateVerdicts.Rate(
        rate.name(),
        rate.proportion().value(),
        design.rows(rate.proportion()),
        rate.test(),
        rate.interval(question.hypothesis().alternative().matchingSide()));
  }

  private Verdict together() {
    Verdict verdict =
        RateVerdicts.several(
            question.label(),
            rates.stream().map(this::phrase).toList(),
            question.hypothesis(),
            question.alpha());
    return rates.get(0).preference().onEach(verdict, "group");
  }

  private List<Caution> cautions(SurveyRate rate) {
    DesignedProportion proportion = rate.proportion();
    DecisionCautions decisions =
        new DecisionCautions(rate.made().tests(), question.alpha(), rate.test());
    List<Caution> cautions =
        new ArrayList<>(DecisionCautions.otherDirection(question.hypothesis(), proportion.value()));
    if (proportion.allOrNone()) {
      cautions.add(
          DesignCautions.allOrNone(
              proportion.value() == 0, proportion.rows(), rate.preference().interval().title()));
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
