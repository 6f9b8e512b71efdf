package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.phrase.Reasons;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.List;

/** Makes tests and intervals of one rate, and chooses those that the verdict rests on. */
final class RateAnalysis {
  private final RateQuestion question;
  private final RateSettings settings;
  private final SizedTest chosen;
  private final RateMethods methods;

  RateAnalysis(RateQuestion question, SizedTest chosen) {
    this.question = question;
    this.settings = question.settings();
    this.chosen = chosen;
    this.methods = RateMethods.of(question.tally(), settings);
  }

  static Answer answer(RateQuestion question) {
    RateMethods methods = RateMethods.of(question.tally(), question.settings());
    SizedTest chosen = SizedTest.of(List.of(methods), question.settings());
    RateFound found = new RateAnalysis(question, chosen).found();
    RateFound whole =
        new TallyRate(question, chosen, List.of()).believed(found, BayesianDetail.WHOLE);
    return Answer.to(question, AnswerKind.RATE, question.label())
        .worded(
            found.made().tests(),
            found.made().intervals(),
            () -> new RateFindings(whole).answer(RateCautions.of(whole)));
  }

  RateFound found() {
    return new RateFound(
        new RateAsked(question, settings.hypothesis(), settings, question.from()),
        question.label(),
        new TallyRate(question, chosen, List.of()),
        new MethodResults(
            tests().stream().map(methods::test).toList(), List.of(), intervals(), List.of()),
        preference());
  }

  /** The tests that were asked for, and the one that the verdict rests on. */
  private List<ProportionTest> tests() {
    List<ProportionTest> tests = new ArrayList<>(settings.tests());
    if (!tests.contains(chosen.test())) {
      tests.add(1, chosen.test());
    }
    return tests;
  }

  /** The intervals that were asked for, and the one that matches the test of the verdict. */
  private List<ProportionInterval> methods() {
    List<ProportionInterval> intervals = new ArrayList<>(settings.intervals());
    if (!settings.tests().contains(chosen.test())
        && intervals.equals(
            List.of(ProportionInterval.WILSON, ProportionInterval.CLOPPER_PEARSON))) {
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
        ? Reasons.manyTrials(question.tally().trials())
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
