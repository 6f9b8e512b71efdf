package dev.tavik.study.rate;

import dev.tavik.answer.Caution;
import dev.tavik.phrase.IntervalPhrases;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TestCautions;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Exactness;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What to be careful of in the answer to one rate question, the gravest first. */
final class RateCautions {
  private final RateFound answer;
  private final TallyRate data;
  private final RateSettings settings;
  private final double against;
  private final Alternative alternative;
  private final List<Caution> cautions = new ArrayList<>();

  private RateCautions(RateFound answer) {
    this.answer = answer;
    this.data = (TallyRate) answer.data();
    this.settings = data.settings();
    this.against = settings.hypothesis().against();
    this.alternative = settings.hypothesis().alternative();
  }

  static List<Caution> of(RateFound answer) {
    RateCautions found = new RateCautions(answer);
    found.cautions.addAll(
        DecisionCautions.otherDirection(
            found.settings.hypothesis(), found.data.tally().proportion()));
    found.fewSuccesses();
    found.allOrNone();
    DecisionCautions decisions = answer.decisions();
    found.cautions.addAll(decisions.noStatistic());
    found.clippedLimit();
    found.cautions.addAll(decisions.disagree());
    found.cautions.addAll(
        DecisionCautions.levelAlpha(
            found.settings, TestCautions.rejected(found.against), /* eachSide= */ false));
    found.testAndInterval(decisions);
    found.cautions.addAll(decisions.nearAlpha());
    return found.cautions;
  }

  private void fewSuccesses() {
    NormalApproximation expected = NormalApproximation.of(data.tally(), settings.hypothesis());
    SizedTest chosen = data.chosen();
    boolean known = !Double.isNaN(chosen.size());
    if (known && !chosen.holds(settings.alpha())) {
      cautions.add(
          SampleCautions.rejectsTooOften(
              chosen.test(),
              chosen.size(),
              settings.alpha(),
              expected.successes() <= expected.failures()));
      return;
    }
    List<ProportionTest> approximate =
        settings.tallyTests().stream()
            .filter(test -> test.exactness() == Exactness.APPROXIMATE)
            .toList();
    boolean holds = known && chosen.test().exactness() == Exactness.APPROXIMATE;
    if (!holds && !expected.holds() && !approximate.isEmpty()) {
      TestResult exact =
          answer.made().tests().stream()
              .filter(test -> test.method() == ProportionTest.EXACT)
              .findFirst()
              .orElse(null);
      cautions.add(SampleCautions.nullExpectsFew(expected.scarce(), approximate, exact));
    }
  }

  /** Only an interval that isn't naturally within 0 and 1 ends there with both outcomes seen. */
  private void clippedLimit() {
    boolean both = data.tally().successes() > 0 && data.tally().failures() > 0;
    List<Interval> clipped =
        answer.made().intervals().stream()
            .filter(
                interval ->
                    (interval.side() != Side.UPPER && interval.lower() == 0)
                        || (interval.side() != Side.LOWER && interval.upper() == 1))
            .toList();
    if (both && !clipped.isEmpty()) {
      cautions.add(
          SampleCautions.clipped(
              clipped, IntervalPhrases::idWithSide, "0% or 100%", "wilson or clopper-pearson"));
    }
  }

  private void allOrNone() {
    long successes = data.tally().successes();
    if (successes == 0 || data.tally().failures() == 0) {
      cautions.add(SampleCautions.allOrNone(successes == 0, data.tally().trials()));
    }
  }

  /** Where the level matches alpha, a test and the interval of its side should agree. */
  private void testAndInterval(DecisionCautions decisions) {
    if (!settings.levelMatchesAlpha()) {
      return;
    }
    boolean rejects = answer.test().rejects(settings.alpha());
    List<Interval> contradicting =
        answer.made().intervals().stream()
            .filter(interval -> interval.contains(against) == rejects)
            .toList();
    if (contradicting.isEmpty()) {
      return;
    }
    cautions.add(
        decisions.testAndInterval(
            " " + Figures.exactPercent(against),
            contradicting.stream()
                .map(IntervalPhrases::idWithSide)
                .collect(Collectors.joining(" and ")),
            why(contradicting)));
  }

  private String why(List<Interval> contradicting) {
    boolean allTwoSided =
        contradicting.stream().allMatch(interval -> interval.side() == Side.TWO_SIDED);
    if (alternative.isOpposite(data.tally().proportion() - against)) {
      return TestCautions.otherSide();
    }
    return alternative != Alternative.TWO_SIDED && allTwoSided
        ? TestCautions.halfOnEachSide()
        : TestCautions.close();
  }
}
