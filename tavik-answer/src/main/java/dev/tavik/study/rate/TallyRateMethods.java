package dev.tavik.study.rate;

import dev.tavik.phrase.Reasons;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.List;

/** Makes tests and intervals of one tally, and chooses those that the verdict rests on. */
final class TallyRateMethods {
  private final RateQuestion question;
  private final RateSettings settings;
  private final SizedTest chosen;
  private final RateMethods methods;

  TallyRateMethods(RateQuestion question, SizedTest chosen) {
    this.question = question;
    this.settings = question.settings();
    this.chosen = chosen;
    this.methods = RateMethods.of(question.only(), settings);
  }

  RateFound found() {
    return new RateFound(
        new RateAsked(question),
        question.label(),
        new TallyRate(question, chosen, List.of()),
        new MethodResults(
            tests().stream().map(methods::test).toList(), List.of(), intervals(), List.of()),
        preference());
  }

  /** The tests that were asked for, and the one that the verdict rests on. */
  private List<ProportionTest> tests() {
    List<ProportionTest> tests = new ArrayList<>(settings.tallyTests());
    if (!tests.contains(chosen.test())) {
      tests.add(1, chosen.test());
    }
    return tests;
  }

  /** The intervals that were asked for, and the one that matches the test of the verdict. */
  private List<ProportionInterval> methods() {
    List<ProportionInterval> intervals = new ArrayList<>(settings.tallyIntervals());
    if (!settings.tests().contains(chosen.test())
        && intervals.equals(RateSettings.USUAL_INTERVALS)) {
      intervals.add(1, ProportionInterval.MID_P);
    }
    return intervals;
  }

  private List<Interval> intervals() {
    Side matching = settings.hypothesis().alternative().matchingSide();
    List<Interval> intervals = new ArrayList<>();
    for (ProportionInterval method : methods()) {
      intervals.add(methods.interval(method, Side.TWO_SIDED));
      if (matching != Side.TWO_SIDED) {
        intervals.add(methods.interval(method, matching));
      }
    }
    return intervals;
  }

  private VerdictBasis preference() {
    return new VerdictBasis(chosen.test(), partner(chosen.test()), reason(chosen.test()));
  }

  /** The interval that inverts the test, or is built like it, or else the first. */
  private ProportionInterval partner(ProportionTest test) {
    List<ProportionInterval> intervals = methods();
    ProportionInterval similar =
        test.exactness() == Exactness.APPROXIMATE
            ? ProportionInterval.WILSON
            : ProportionInterval.CLOPPER_PEARSON;
    return intervals.stream()
        .filter(interval -> interval.inverts().filter(test::equals).isPresent())
        .findFirst()
        .orElse(intervals.contains(similar) ? similar : intervals.get(0));
  }

  private String reason(ProportionTest test) {
    if (settings.tests().size() == 1) {
      return Reasons.asked(test, true);
    }
    return Double.isNaN(chosen.size())
        ? Reasons.manyTrials(question.only().trials())
        : Reasons.trueSize(
            test, chosen.size(), settings.alpha(), chosen.holds(settings.alpha()), instead(test));
  }

  /** The tests that would have come first. */
  private static String instead(ProportionTest test) {
    return switch (test) {
      case MID_P -> "score test does";
      case EXACT -> "score and mid-p tests do";
      default -> "";
    };
  }
}
