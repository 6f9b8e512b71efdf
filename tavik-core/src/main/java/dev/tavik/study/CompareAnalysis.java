package dev.tavik.study;

import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonEstimate;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Basis;
import dev.tavik.result.Condition;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Estimate;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Quantity;
import dev.tavik.result.Refusal;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Puts the answer to one comparison together. */
final class CompareAnalysis {
  static final Condition INDEPENDENCE =
      new Condition(
          "independent units",
          Condition.State.NOT_IN_THE_DATA,
          "each unit is in one group only and tells nothing about another. The same units judged"
              + " twice are pairs and want --paired; units of one batch or person are often alike,"
              + " and then p-values come out too small. Counts can't show this: you have to know"
              + " how they were collected");

  private final CompareQuestion question;
  private final CompareSettings settings;
  private final Tally first;
  private final Tally second;
  private final boolean approximationHolds;
  private final Extent extent;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<Refusal> refusals = new ArrayList<>();
  private final List<DirectedTest> oneSided = new ArrayList<>();

  CompareAnalysis(CompareQuestion question, boolean approximationHolds, Extent extent) {
    this.extent = extent;
    this.question = question;
    this.settings = question.settings();
    this.first = question.first().tally();
    this.second = question.second().tally();
    this.approximationHolds = approximationHolds;
  }

  CompareAnswer answer() {
    settings.tests().forEach(this::test);
    if (tests.isEmpty()) {
      throw new IllegalArgumentException(
          "none of the tests asked for can be made: "
              + String.join(
                  "; ",
                  refusals.stream()
                      .map(each -> each.method().id() + " " + each.reason())
                      .toList()));
    }
    List<Interval> intervals = intervals();
    Preference preference = preference();
    CompareAnswer draft =
        new CompareAnswer(
            question.label(),
            question.first(),
            question.second(),
            settings,
            question.from(),
            estimates(),
            numberNeeded(intervals, preference),
            tests,
            refusals,
            oneSided,
            intervals,
            preference,
            settings.bayes() == null
                ? null
                : CompareBayes.of(question.first(), question.second(), settings, extent),
            List.of(PooledExpectation.of(first, second).condition(), INDEPENDENCE),
            List.of(),
            working(),
            "");
    return draft.concluded(CompareCautions.of(draft), CompareVerdict.of(draft));
  }

  /** Of several hypotheses to be rejected together, the largest p-value is that of all. */
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
    } catch (DeclinedException e) {
      refusals.add(new Refusal(method, e.reason()));
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

  private List<Estimate> estimates() {
    String one = question.first().name();
    String two = question.second().name();
    List<Estimate> estimates = new ArrayList<>();
    estimates.add(proportion(one, first));
    estimates.add(proportion(two, second));
    for (ComparisonEstimate method : ComparisonEstimate.values()) {
      Estimate estimate = method.of(first, second);
      String label =
          switch (method) {
            case DIFFERENCE -> one + " minus " + two;
            case RATIO -> one + " divided by " + two;
            case ODDS_RATIO -> "odds of " + one + " divided by odds of " + two + ", a d / (b c)";
            case CONDITIONAL_ODDS_RATIO ->
                "odds of " + one + " divided by odds of " + two + ", conditional likelihood";
            case COHENS_H -> one + " minus " + two + ", 2 asin sqrt p";
          };
      estimates.add(
          new Estimate(estimate.quantity(), label, estimate.value(), estimate.standardError()));
    }
    return estimates;
  }

  static Estimate proportion(String name, Tally tally) {
    double value = tally.proportion();
    return new Estimate(
        Quantity.PROPORTION,
        name,
        value,
        Math.sqrt(value * ((double) tally.failures() / tally.trials()) / tally.trials()));
  }

  private @Nullable NumberNeeded numberNeeded(List<Interval> intervals, Preference preference) {
    Optional<Interval> difference =
        intervals.stream()
            .filter(each -> each.quantity() == Quantity.DIFFERENCE && each.side() == Side.TWO_SIDED)
            .reduce((one, other) -> other.method() == preference.interval() ? other : one);
    return difference
        .map(
            interval ->
                NumberNeeded.of(ComparisonEstimate.DIFFERENCE.of(first, second).value(), interval))
        .orElse(null);
  }

  private List<Working> working() {
    List<Working> workings =
        new ArrayList<>(CompareTestWorking.of(question.first(), question.second(), settings));
    workings.addAll(CompareIntervalWorking.of(question.first(), question.second(), settings));
    return workings;
  }

  private Preference preference() {
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
    return new Preference(test, partner(test), reason(test));
  }

  private boolean made(TwoProportionTest method) {
    return tests.stream().anyMatch(test -> test.method() == method);
  }

  /** The interval of the difference that inverts the test, else one that holds at any size. */
  private ComparisonInterval partner(TwoProportionTest test) {
    TwoProportionTest same = test == TwoProportionTest.Z_POOLED ? TwoProportionTest.SCORE : test;
    List<ComparisonInterval> chosen = settings.intervals();
    List<ComparisonInterval> differences =
        chosen.stream().filter(each -> each.quantity() == Quantity.DIFFERENCE).toList();
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
      return test.id() + " is the only test asked for";
    }
    if (!settings.plain()) {
      return test == TwoProportionTest.SCORE
          ? "the score test takes its standard error from the null difference itself"
          : test.id() + " is the first of the tests asked for";
    }
    PooledExpectation expected = PooledExpectation.of(first, second);
    if (test == TwoProportionTest.Z_POOLED && approximationHolds) {
      return "at least "
          + expected.inWords()
          + " are expected in each group, enough for the normal approximation"
          + (settings.tests().contains(TwoProportionTest.FISHER)
              ? "; fisher is the cautious one: it rejects less often than alpha allows"
              : "");
    }
    if (test == TwoProportionTest.FISHER && !approximationHolds) {
      return expected.enough()
          ? "another pair has too few expected counts for the normal approximation, and all pairs"
              + " are judged alike"
          : "only "
              + expected.inWords()
              + " are expected in one group, too few for the normal approximation; fisher holds at"
              + " any size";
    }
    return test.id()
        + " is the first of the tests asked for"
        + (test.basis() == Basis.APPROXIMATE && !approximationHolds
            ? ", though the expected counts are too small for it"
            : "");
  }
}
