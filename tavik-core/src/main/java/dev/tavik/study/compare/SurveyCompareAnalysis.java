package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.DesignedTable;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import dev.tavik.survey.SurveyTableTest;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.function.Predicate;

/** Compares groups of a designed sample: two, or every pair after the overall test. */
final class SurveyCompareAnalysis {
  private final SurveyCompareQuestion question;
  private final ComparisonClaim claim;
  private final DesignedSample sample;
  private final DesignFindings design;
  private final Predicate<List<String>> success;
  private final List<List<DesignedComparison>> comparisons;

  SurveyCompareAnalysis(SurveyCompareQuestion question) {
    this.question = question;
    this.claim = question.claim();
    this.sample = DesignedSample.of(question.counts());
    this.design = new DesignFindings(sample);
    this.success = unit -> question.success().contains(unit.get(0));
    this.comparisons = sample.comparisons(1, question.groups(), success);
  }

  Answer answer() {
    List<String> groups = question.groups();
    if (groups.size() == 2) {
      boolean turned = groups.get(0).equals(question.baseline());
      SurveyPair pair = pair(groups.get(turned ? 1 : 0), groups.get(turned ? 0 : 1));
      List<Caution> cautions = cautions(pair);
      cautions.addAll(common());
      return new SurveyCompareFindings(question, design)
          .one(pair, cautions, verdict(question.label(), pair), true);
    }
    List<SurveyPair> pairs = adjusted(pairs());
    List<Answer> answers = new ArrayList<>();
    for (SurveyPair pair : pairs) {
      List<Caution> cautions = cautions(pair);
      cautions.addAll(
          DecisionCautions.adjustedAway(
              pair.test(), question.alpha(), "the pairs looked at together"));
      answers.add(
          new SurveyCompareFindings(question, design)
              .one(pair, cautions, verdict("", pair), false));
    }
    TestResult overall = overall();
    List<SurveyPair> decided = pairs.stream().filter(SurveyPair::decided).toList();
    Verdict verdict =
        ComparisonVerdicts.groups(
            question.label(),
            groups.size(),
            question.baseline(),
            overall,
            decided.stream().map(this::phrase).toList(),
            pairs.stream().filter(pair -> !pair.decided()).map(SurveyPair::order).toList(),
            claim,
            question.alpha());
    return new SurveyCompareFindings(question, design)
        .several(pairs, answers, overall, common(), verdict);
  }

  private List<Caution> common() {
    return design.cautions(success, "a success", question.from());
  }

  private TestResult overall() {
    DesignedTable table = sample.table(1, question.groups(), success);
    return DesignTests.of(table.deviation(), List.of(SurveyTableTest.RAO_SCOTT)).first();
  }

  private List<SurveyPair> pairs() {
    List<SurveyPair> pairs = new ArrayList<>();
    List<String> groups = question.groups();
    for (int i = 0; i < groups.size(); i++) {
      for (int j = 0; j < groups.size(); j++) {
        String baseline = question.baseline();
        boolean wanted = baseline == null ? i < j : i != j && groups.get(j).equals(baseline);
        if (wanted) {
          pairs.add(pair(groups.get(i), groups.get(j)));
        }
      }
    }
    return pairs;
  }

  private static List<SurveyPair> adjusted(List<SurveyPair> alone) {
    List<SurveyPair> decided = alone.stream().filter(SurveyPair::decided).toList();
    Iterator<List<TestResult>> tests =
        Holm.adjust(decided.stream().map(SurveyPair::tests).toList()).iterator();
    return alone.stream().map(pair -> pair.decided() ? pair.with(tests.next()) : pair).toList();
  }

  private SurveyPair pair(String one, String two) {
    List<String> groups = question.groups();
    DesignedComparison compared = comparisons.get(groups.indexOf(one)).get(groups.indexOf(two));
    List<TestResult> tests = new ArrayList<>();
    List<DirectedTest> oneSided = new ArrayList<>();
    List<NotApplicable> refusals = new ArrayList<>();
    for (SurveyComparisonTest test : question.tests()) {
      try {
        tests.add(test(test, compared, oneSided));
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(NotApplicable.of(test, e));
      }
    }
    if (tests.isEmpty()) {
      tests.add(standIn(compared, oneSided));
    }
    List<Interval> intervals = new ArrayList<>();
    List<NotApplicable> without = new ArrayList<>();
    for (SurveyComparisonInterval method : question.intervals()) {
      limits(method, compared, intervals, without);
    }
    if (intervals.isEmpty()
        && without.stream().noneMatch(each -> each.method() == SurveyComparisonInterval.WALD)) {
      limits(SurveyComparisonInterval.WALD, compared, intervals, without);
    }
    return new SurveyPair(
        one,
        two,
        compared,
        new MethodResults(tests, refusals, intervals, without),
        oneSided,
        preference(tests, intervals));
  }

  /** The default test; without variance a result without a statistic. */
  private TestResult standIn(DesignedComparison compared, List<DirectedTest> oneSided) {
    try {
      return test(SurveyComparisonTest.T_DIFFERENCE, compared, oneSided);
    } catch (NotApplicableException e) {
      return TestResult.of(SurveyComparisonTest.T_DIFFERENCE, null, 0);
    }
  }

  private TestResult test(
      SurveyComparisonTest test, DesignedComparison compared, List<DirectedTest> oneSided) {
    List<DirectedTest> each = new ArrayList<>();
    for (Hypothesis hypothesis : claim.tested()) {
      each.add(new DirectedTest(hypothesis, test.of(compared, hypothesis)));
    }
    if (each.size() > 1) {
      oneSided.addAll(each);
    }
    return each.stream()
        .map(DirectedTest::result)
        .reduce((a, b) -> b.log10PValue() > a.log10PValue() ? b : a)
        .orElseThrow();
  }

  private void limits(
      SurveyComparisonInterval method,
      DesignedComparison compared,
      List<Interval> to,
      List<NotApplicable> without) {
    Refusals.limits(
        method,
        side -> method.of(compared, question.level(), side),
        claim.hypothesis().alternative().matchingSide(),
        to,
        without);
  }

  private static VerdictBasis preference(List<TestResult> tests, List<Interval> intervals) {
    SurveyComparisonTest test = (SurveyComparisonTest) tests.get(0).method();
    SurveyComparisonInterval interval =
        (SurveyComparisonInterval)
            intervals.stream()
                .map(Interval::method)
                .filter(each -> ((SurveyComparisonInterval) each).inverts() == test)
                .findFirst()
                .orElseGet(
                    () ->
                        intervals.isEmpty()
                            ? SurveyComparisonInterval.WALD
                            : intervals.get(0).method());
    return new VerdictBasis(
        test,
        interval,
        test == SurveyComparisonTest.T_DIFFERENCE
            ? Reasons.difference()
            : Reasons.asked(test, tests.size() == 1));
  }

  private Verdict verdict(String label, SurveyPair pair) {
    DesignedProportion first = pair.compared().first();
    DesignedProportion second = pair.compared().second();
    String one = rate(pair.one(), first, second);
    String two = rate(pair.two(), second, first);
    return pair.decided()
        ? pair.preference()
            .on(ComparisonVerdicts.pair(label, phrase(pair), claim, question.alpha()))
        : ComparisonVerdicts.undecided(label, one, two, claim.goal());
  }

  private ComparisonVerdicts.Pair phrase(SurveyPair pair) {
    DesignedProportion first = pair.compared().first();
    DesignedProportion second = pair.compared().second();
    return new ComparisonVerdicts.Pair(
        pair.one(),
        pair.two(),
        rate(pair.one(), first, second) + ", " + rate(pair.two(), second, first),
        pair.difference(),
        pair.test(),
        pair.interval(claim.alternative().matchingSide()));
  }

  private String rate(String name, DesignedProportion proportion, DesignedProportion other) {
    return ComparisonVerdicts.rate(
        name, proportion.value(), other.value(), design.rows(proportion));
  }

  private List<Caution> cautions(SurveyPair pair) {
    List<Caution> cautions =
        new ArrayList<>(
            CompareCautions.otherDirection(claim, pair.one(), pair.two(), pair.difference()));
    if (!pair.decided()) {
      cautions.add(DesignCautions.undecided(pair.one() + " and " + pair.two()));
      return cautions;
    }
    DecisionCautions decisions = new DecisionCautions(pair.tests(), question.alpha(), pair.test());
    cautions.addAll(decisions.disagree());
    cautions.addAll(
        DecisionCautions.levelAlpha(question, TestCautions.rejected(), /* eachSide= */ false));
    cautions.addAll(
        CompareCautions.withinMargin(
            claim, pair.test().rejects(question.alpha()), pair.intervals()));
    cautions.addAll(decisions.nearAlpha());
    return cautions;
  }
}
