package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Reasons;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.List;

/** Puts the answer to one comparison together. */
final class CompareAnalysis {
  private final CompareQuestion question;
  private final CompareSettings settings;
  private final Tally first;
  private final Tally second;
  private final boolean approximationHolds;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final List<DirectedTest> oneSided = new ArrayList<>();

  CompareAnalysis(CompareQuestion question, boolean approximationHolds) {
    this.question = question;
    this.settings = question.settings();
    this.first = question.first().tally();
    this.second = question.second().tally();
    this.approximationHolds = approximationHolds;
  }

  static Answer answer(CompareQuestion question) {
    boolean holds =
        PooledExpectation.of(question.first().tally(), question.second().tally()).enough();
    CompareFound found = new CompareAnalysis(question, holds).found();
    List<Finding> belief = CompareBelief.of(question, BayesianDetail.WHOLE);
    return Answer.to(question, AnswerKind.COMPARE, question.label())
        .worded(
            found.tests(),
            found.intervals(),
            () -> new CompareFindings(found).answer(belief, CompareCautions.of(found)));
  }

  CompareFound found() {
    settings.tests().forEach(this::test);
    if (tests.isEmpty()) {
      throw new IllegalArgumentException(
          say(
              "none of the tests asked for can be made: %s",
              String.join(
                  "; ",
                  refusals.stream()
                      .map(each -> each.method().id() + " " + each.reason())
                      .toList())));
    }
    return new CompareFound(
        question, new CompareFound.Made(tests, refusals, oneSided), intervals(), preference());
  }

  private void test(TwoProportionTest method) {
    try {
      List<DirectedTest> each = new ArrayList<>();
      for (Hypothesis hypothesis : settings.tested()) {
        each.add(new DirectedTest(hypothesis, method.of(first, second, hypothesis)));
      }
      DirectedTest least = each.get(0);
      for (DirectedTest other : each) {
        if (other.result().log10PValue() > least.result().log10PValue()) {
          least = other;
        }
      }
      tests.add(least.result());
      if (each.size() > 1) {
        oneSided.addAll(each);
      }
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(NotApplicable.of(method, e));
    }
  }

  private List<Interval> intervals() {
    Side matching = settings.hypothesis().alternative().matchingSide();
    List<Interval> intervals = new ArrayList<>();
    for (ComparisonInterval method : settings.intervals()) {
      intervals.add(method.of(first, second, settings.level()));
      if (matching != Side.TWO_SIDED) {
        intervals.add(method.of(first, second, settings.level(), matching));
      }
    }
    return intervals;
  }

  private VerdictBasis preference() {
    TwoProportionTest wanted =
        !settings.plain()
            ? TwoProportionTest.SCORE
            : approximationHolds ? TwoProportionTest.Z_POOLED : TwoProportionTest.FISHER;
    TwoProportionTest test =
        settings.tests().stream()
            .filter(each -> each == wanted && made(each))
            .findFirst()
            .orElseGet(
                () -> settings.tests().stream().filter(this::made).findFirst().orElseThrow());
    return new VerdictBasis(test, partner(test), reason(test));
  }

  private boolean made(TwoProportionTest method) {
    return tests.stream().anyMatch(test -> test.method() == method);
  }

  /** The interval of the difference that inverts the test, else one that holds at any size. */
  private ComparisonInterval partner(TwoProportionTest test) {
    TwoProportionTest same = test == TwoProportionTest.Z_POOLED ? TwoProportionTest.SCORE : test;
    List<ComparisonInterval> chosen = settings.intervals();
    List<ComparisonInterval> differences =
        chosen.stream().filter(each -> each.quantity() == Estimand.DIFFERENCE).toList();
    List<ComparisonInterval> candidates = differences.isEmpty() ? chosen : differences;
    return candidates.stream()
        .filter(each -> each.inverts().filter(same::equals).isPresent())
        .findFirst()
        .orElse(
            candidates.contains(DifferenceInterval.NEWCOMBE)
                ? DifferenceInterval.NEWCOMBE
                : candidates.get(0));
  }

  private String reason(TwoProportionTest test) {
    if (settings.tests().size() == 1) {
      return Reasons.asked(test, true);
    }
    if (!settings.plain()) {
      return test == TwoProportionTest.SCORE ? Reasons.errorFromNull() : Reasons.asked(test, false);
    }
    PooledExpectation expected = PooledExpectation.of(first, second);
    if (test == TwoProportionTest.Z_POOLED && approximationHolds) {
      return Reasons.enoughInEach(
          expected.withVerb(), settings.tests().contains(TwoProportionTest.FISHER));
    }
    if (test == TwoProportionTest.FISHER && !approximationHolds) {
      return expected.enough()
          ? Reasons.tooFewInAnotherPair()
          : Reasons.tooFewInOne(expected.withVerb());
    }
    return test.exactness() == Exactness.APPROXIMATE && !approximationHolds
        ? Reasons.askedThoughFew(test)
        : Reasons.asked(test, false);
  }
}
