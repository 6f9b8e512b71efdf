package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Verdict;
import dev.tavik.result.Caution;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Design;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Preference;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.Undecided;
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
import java.util.stream.Collectors;

/** Compares groups of a designed sample: two, or every pair after the overall test. */
final class SurveyCompareAnalysis {
  private final SurveyCompareQuestion question;
  private final CompareSettings claim;
  private final DesignedSample sample;
  private final Design design;
  private final Predicate<List<String>> success;
  private final List<List<DesignedComparison>> comparisons;

  SurveyCompareAnalysis(SurveyCompareQuestion question) {
    this.question = question;
    this.claim = question.claim();
    this.sample = DesignedSample.of(question.counts());
    this.design = new Design(sample);
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
    String undecided =
        pairs.stream()
            .filter(pair -> !pair.decided())
            .map(SurveyPair::order)
            .collect(Collectors.joining(", "));
    String text =
        new CompareGroupsVerdict(
                question.label(),
                groups.size(),
                question.baseline(),
                claim.level(question.level()),
                overall,
                decided.stream().map(this::compared).toList())
            .text();
    Verdict verdict =
        Verdict.of(
                undecided.isEmpty()
                    ? text
                    : text + " No variance is seen, and nothing decided, of " + undecided + ".")
            .inOwnWords();
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
        tests,
        oneSided,
        refusals,
        intervals,
        without,
        preference(tests, intervals));
  }

  /** The usual test; where there is no variance one that says nothing. */
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

  private static Preference preference(List<TestResult> tests, List<Interval> intervals) {
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
    return new Preference(
        test,
        interval,
        test == SurveyComparisonTest.T_DIFFERENCE
            ? "the difference is what was asked for, and its standard error knows of clusters that"
                + " hold both groups"
            : Preference.asked(test, tests.size() == 1));
  }

  private Compared compared(SurveyPair pair) {
    return new Compared(
        pair.one(),
        pair.two(),
        pair.test(),
        pair.interval(claim.hypothesis().alternative().matchingSide()));
  }

  private Verdict verdict(String label, SurveyPair pair) {
    if (pair.decided()) {
      return pair.preference().on(sentence(label, pair));
    }
    String rates = rate(pair.one(), pair.compared().first(), pair.compared().second());
    String others = rate(pair.two(), pair.compared().second(), pair.compared().first());
    return Undecided.verdict(
        label,
        switch (claim.show()) {
          case DIFFERENCE -> say("whether %s and %s differ", rates, others);
          case EQUIVALENT -> say("whether %s and %s are equivalent", rates, others);
          case NONINFERIOR -> say("whether %s is non-inferior to %s", rates, others);
        });
  }

  private Verdict sentence(String label, SurveyPair pair) {
    DesignedProportion first = pair.compared().first();
    DesignedProportion second = pair.compared().second();
    return CompareVerdict.of(
        label,
        claim.level(question.level()),
        compared(pair),
        rate(pair.one(), first, second) + ", " + rate(pair.two(), second, first),
        pair.difference());
  }

  private String rate(String name, DesignedProportion proportion, DesignedProportion other) {
    return say(
        "%s %s (%s)",
        name, Figures.percentBeside(proportion.value(), other.value()), design.rows(proportion));
  }

  private List<Caution> cautions(SurveyPair pair) {
    List<Caution> cautions = new ArrayList<>();
    if (claim.show() == Show.DIFFERENCE) {
      cautions.addAll(
          CompareCautions.otherDirection(
              claim, pair.one(), pair.two(), pair.difference() - claim.hypothesis().against()));
    }
    DecisionCautions decisions = new DecisionCautions(pair.tests(), question.alpha(), pair.test());
    if (!pair.decided()) {
      cautions.add(Undecided.caution(pair.one() + " and " + pair.two()));
      return cautions;
    }
    cautions.addAll(decisions.disagree());
    cautions.addAll(
        decisions.levelAlpha(
            question.level(),
            question.matchingLevel(),
            ". An interval may include what a test rejects, or the other way round;"));
    cautions.addAll(
        CompareCautions.withinMargin(
            claim, pair.test().rejects(question.alpha()), pair.intervals()));
    cautions.addAll(decisions.nearAlpha());
    return cautions;
  }
}
