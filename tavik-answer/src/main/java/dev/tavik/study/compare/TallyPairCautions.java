package dev.tavik.study.compare;

import dev.tavik.answer.Caution;
import dev.tavik.count.Tally;
import dev.tavik.phrase.IntervalPhrases;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TestCautions;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What to be careful of because of the counts of two tallies, the gravest first. */
final class TallyPairCautions {
  /** Factor by which a true size may exceed alpha. */
  private static final double TOLERATED = 1.1;

  /** Largest number of units for which all pairs of counts are enumerated beside an answer. */
  private static final long MOST_FOR_SIZE = 2_000;

  private final CompareFound answer;
  private final CompareSettings settings;
  private final Tally first;
  private final Tally second;
  private final List<Caution> cautions = new ArrayList<>();

  private TallyPairCautions(CompareQuestion question, CompareFound answer) {
    this.answer = answer;
    this.settings = question.settings();
    this.first = question.first().tally();
    this.second = question.second().tally();
  }

  static List<Caution> of(CompareQuestion question, CompareFound answer) {
    TallyPairCautions found = new TallyPairCautions(question, answer);
    found.fewSuccesses();
    found.trueSize();
    found.allOrNone();
    found.zeroCell();
    if (PooledExpectation.of(found.first, found.second).smallest() > 0) {
      found.cautions.addAll(answer.decisions().noStatistic());
    }
    found.clippedLimit();
    found.testAndInterval();
    return found.cautions;
  }

  /** How often the verdict's test rejects where both groups have the rate of all units together. */
  private void trueSize() {
    double pooled = (double) (first.successes() + second.successes()) / trials();
    boolean asked =
        answer.test().method() instanceof TwoProportionTest test
            && test.exactness() == Exactness.APPROXIMATE
            && settings.plain()
            && trials() <= MOST_FOR_SIZE
            && pooled > 0
            && pooled < 1;
    if (!asked) {
      return;
    }
    TwoProportionTest test = (TwoProportionTest) answer.test().method();
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

  private void fewSuccesses() {
    PooledExpectation expected = PooledExpectation.of(first, second);
    List<TwoProportionTest> approximate =
        settings.tallyTests().stream()
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
                    (each.side() != Side.UPPER && each.lower() == -1 && answer.difference() > -1)
                        || (each.side() != Side.LOWER
                            && each.upper() == 1
                            && answer.difference() < 1))
            .toList();
    if (!clipped.isEmpty()) {
      cautions.add(
          SampleCautions.clipped(
              clipped, IntervalPhrases::id, "-100 or 100 points", "newcombe or mee"));
    }
  }

  /** Where the level matches alpha, the test of the verdict and the intervals should agree. */
  private void testAndInterval() {
    if (!settings.levelMatchesAlpha() || settings.claim().isOpposite(answer.difference())) {
      return;
    }
    String contradicting =
        answer.intervals().stream()
            .filter(this::comparable)
            .filter(each -> leavesOut(each) != answer.rejects())
            .map(
                each ->
                    each.quantity() == Estimand.DIFFERENCE
                        ? IntervalPhrases.id(each)
                        : IntervalPhrases.idWithQuantity(each))
            .collect(Collectors.joining(" and "));
    if (!contradicting.isEmpty()) {
      cautions.add(answer.decisions().testAndInterval("", contradicting, TestCautions.close()));
    }
  }

  /** The bound goes with a directional test; ratios speak only of no difference at all. */
  private boolean comparable(Interval interval) {
    return interval.side() == answer.asked().matching()
        && (interval.quantity() == Estimand.DIFFERENCE || settings.plain());
  }

  private boolean leavesOut(Interval interval) {
    if (interval.quantity() != Estimand.DIFFERENCE) {
      return !interval.contains(1);
    }
    return settings.tested().stream()
        .noneMatch(hypothesis -> interval.contains(hypothesis.against()));
  }
}
