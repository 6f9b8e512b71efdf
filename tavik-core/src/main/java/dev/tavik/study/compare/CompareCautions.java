package dev.tavik.study.compare;

import dev.tavik.answer.Caution;
import dev.tavik.count.Tally;
import dev.tavik.phrase.IntervalPhrases;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TestCautions;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What to be careful of in the answer to one comparison, the gravest first. */
final class CompareCautions {
  /** Factor by which a true size may exceed alpha. */
  private static final double TOLERATED = 1.1;

  /** Largest number of units for which all pairs of counts are enumerated beside an answer. */
  private static final long MOST_FOR_SIZE = 2_000;

  private final CompareFound answer;
  private final CompareSettings settings;
  private final Tally first;
  private final Tally second;
  private final boolean rejects;
  private final List<Caution> cautions = new ArrayList<>();

  private CompareCautions(CompareFound answer) {
    this.answer = answer;
    this.settings = answer.settings();
    this.first = answer.first().tally();
    this.second = answer.second().tally();
    this.rejects = answer.preferredTest().rejects(settings.alpha());
  }

  static List<Caution> of(CompareFound answer) {
    CompareCautions found = new CompareCautions(answer);
    found.cautions.addAll(
        otherDirection(
            found.settings.claim(),
            answer.first().name(),
            answer.second().name(),
            found.difference()));
    found.fewSuccesses();
    found.trueSize();
    found.allOrNone();
    found.zeroCell();
    DecisionCautions decisions =
        new DecisionCautions(answer.tests(), found.settings.alpha(), answer.preferredTest());
    if (PooledExpectation.of(found.first, found.second).smallest() > 0) {
      found.cautions.addAll(decisions.noStatistic());
    }
    found.clippedLimit();
    found.cautions.addAll(decisions.disagree());
    found.cautions.addAll(levelAlpha(found.settings, found.settings.claim()));
    found.testAndInterval(decisions);
    found.cautions.addAll(withinMargin(found.settings.claim(), found.rejects, answer.intervals()));
    found.cautions.addAll(decisions.nearAlpha());
    Provenance from = answer.from();
    if (from != null) {
      found.cautions.addAll(DataCautions.of(from, found.first.trials() + found.second.trials()));
    }
    return found.cautions;
  }

  static List<Caution> levelAlpha(InferenceSettings<?, ?, ?> chosen, ComparisonClaim claim) {
    return DecisionCautions.levelAlpha(
        chosen, TestCautions.rejected(), claim.goal() == ComparisonGoal.EQUIVALENT);
  }

  /** How often the verdict's test rejects where both groups have the rate of all units together. */
  private void trueSize() {
    double pooled = (double) (first.successes() + second.successes()) / trials();
    boolean asked =
        answer.preferredTest().method() instanceof TwoProportionTest test
            && test.exactness() == Exactness.APPROXIMATE
            && settings.plain()
            && trials() <= MOST_FOR_SIZE
            && pooled > 0
            && pooled < 1;
    if (!asked) {
      return;
    }
    TwoProportionTest test = (TwoProportionTest) answer.preferredTest().method();
    try {
      double size =
          test.criticalPairs(
                  first.trials(), second.trials(), settings.hypothesis(), settings.alpha())
              .chance(pooled, pooled);
      if (size > TOLERATED * settings.alpha()) {
        cautions.add(
            SampleCautions.comparisonRejectsTooOften(test, pooled, size, settings.alpha()));
      }
    } catch (NotApplicableException e) {
      // Its pairs can't be enumerated.
    }
  }

  private long trials() {
    return first.trials() + second.trials();
  }

  /** A caution where the data point the other way than the alternative says. */
  static List<Caution> otherDirection(
      ComparisonClaim claim, String one, String two, double difference) {
    return !claim.isOpposite(difference)
        ? List.of()
        : List.of(
            TestCautions.otherWay(
                TestCautions.claim(one, two, claim.alternative(), claim.hypothesis().against()),
                claim.alternative(),
                /* support= */ true));
  }

  private double difference() {
    return first.proportion() - second.proportion();
  }

  private void fewSuccesses() {
    PooledExpectation expected = PooledExpectation.of(first, second);
    List<TwoProportionTest> approximate =
        settings.tests().stream()
            .filter(test -> test.exactness() == Exactness.APPROXIMATE)
            .toList();
    if (!expected.enough() && !approximate.isEmpty() && expected.smallest() > 0) {
      TestResult fisher =
          answer.tests().stream()
              .filter(test -> test.method() == TwoProportionTest.FISHER)
              .findFirst()
              .orElse(null);
      cautions.add(
          SampleCautions.groupExpectsFew(
              expected.inWords(), approximate, fisher, settings.plain()));
    }
  }

  private void allOrNone() {
    boolean none = first.successes() + second.successes() == 0;
    boolean all = first.failures() + second.failures() == 0;
    if (none || all) {
      cautions.add(SampleCautions.allOrNoneOfGroups(none, settings.claim().goal()));
    }
  }

  private void zeroCell() {
    boolean zero =
        Math.min(
                Math.min(first.successes(), first.failures()),
                Math.min(second.successes(), second.failures()))
            == 0;
    List<Interval> endless =
        answer.intervals().stream()
            .filter(each -> each.side() == Side.TWO_SIDED && Double.isInfinite(each.upper()))
            .toList();
    if (zero && !endless.isEmpty()) {
      cautions.add(SampleCautions.zeroCell(endless));
    }
  }

  private void clippedLimit() {
    List<Interval> clipped =
        answer.intervals().stream()
            .filter(each -> each.quantity() == Estimand.DIFFERENCE)
            .filter(
                each ->
                    (each.side() != Side.UPPER && each.lower() == -1 && difference() > -1)
                        || (each.side() != Side.LOWER && each.upper() == 1 && difference() < 1))
            .toList();
    if (!clipped.isEmpty()) {
      cautions.add(
          SampleCautions.clipped(
              clipped, IntervalPhrases::id, "-100 or 100 points", "newcombe or mee"));
    }
  }

  /** Where the level matches alpha, the test of the verdict and the intervals should agree. */
  private void testAndInterval(DecisionCautions decisions) {
    if (!settings.levelMatchesAlpha() || settings.claim().isOpposite(difference())) {
      return;
    }
    String contradicting =
        answer.intervals().stream()
            .filter(this::comparable)
            .filter(each -> leavesOut(each) != rejects)
            .map(
                each ->
                    each.quantity() == Estimand.DIFFERENCE
                        ? IntervalPhrases.id(each)
                        : IntervalPhrases.idWithQuantity(each))
            .collect(Collectors.joining(" and "));
    if (!contradicting.isEmpty()) {
      cautions.add(decisions.testAndInterval("", contradicting, TestCautions.close()));
    }
  }

  /** The bound goes with a directional test; ratios speak only of no difference at all. */
  private boolean comparable(Interval interval) {
    return interval.side() == settings.hypothesis().alternative().matchingSide()
        && (interval.quantity() == Estimand.DIFFERENCE || settings.plain());
  }

  private boolean leavesOut(Interval interval) {
    if (interval.quantity() != Estimand.DIFFERENCE) {
      return !interval.contains(1);
    }
    return settings.tested().stream()
        .noneMatch(hypothesis -> interval.contains(hypothesis.against()));
  }

  /** A caution where a difference is significant, but smaller than what matters. */
  static List<Caution> withinMargin(
      ComparisonClaim claim, boolean rejects, List<Interval> intervals) {
    if (claim.goal() != ComparisonGoal.DIFFERENCE || !rejects) {
      return List.of();
    }
    return intervals.stream()
        .filter(each -> each.side() == Side.TWO_SIDED && claim.hasWithinMargin(each))
        .limit(1)
        .map(each -> SampleCautions.withinMargin(each.method(), claim.margin()))
        .toList();
  }
}
