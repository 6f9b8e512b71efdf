package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Finding;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Basis;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.study.parts.Extent;
import dev.tavik.study.parts.Preference;
import java.util.ArrayList;
import java.util.List;

/** Makes tests and intervals of one rate, and chooses those that the verdict rests on. */
final class RateAnalysis {
  private final RateQuestion question;
  private final RateSettings settings;
  private final boolean approximationHolds;
  private final RateMethods methods;

  RateAnalysis(RateQuestion question, boolean approximationHolds) {
    this.question = question;
    this.settings = question.settings();
    this.approximationHolds = approximationHolds;
    this.methods = RateMethods.of(question.tally(), settings);
  }

  static Answer answer(RateQuestion question) {
    boolean holds =
        NormalApproximation.of(question.tally(), question.settings().hypothesis()).holds();
    RateFound found = new RateAnalysis(question, holds).found();
    List<Finding> belief = RateBelief.of(question, Extent.WHOLE);
    return Answer.to(question, "rate", question.label())
        .worded(
            found.tests(),
            found.intervals(),
            () -> new RateFindings(found).answer(belief, RateCautions.of(found)));
  }

  RateFound found() {
    return new RateFound(
        question, settings.tests().stream().map(methods::test).toList(), intervals(), preference());
  }

  private List<Interval> intervals() {
    Side matching = settings.hypothesis().alternative().matchingSide();
    List<Interval> intervals = new ArrayList<>();
    for (ProportionInterval method : settings.intervals()) {
      intervals.add(methods.interval(method, Side.TWO_SIDED));
      if (matching != Side.TWO_SIDED) {
        intervals.add(methods.interval(method, matching));
      }
    }
    return intervals;
  }

  /** The score test where the normal approximation holds, else the exact one. */
  private Preference preference() {
    ProportionTest wanted = approximationHolds ? ProportionTest.SCORE : ProportionTest.EXACT;
    ProportionTest test = settings.tests().contains(wanted) ? wanted : settings.tests().get(0);
    return new Preference(test, partner(test), reason(test));
  }

  /** The interval that inverts the test, or is built like it, or else the first. */
  private ProportionInterval partner(ProportionTest test) {
    List<ProportionInterval> intervals = settings.intervals();
    ProportionInterval similar =
        test.basis() == Basis.APPROXIMATE
            ? ProportionInterval.WILSON
            : ProportionInterval.CLOPPER_PEARSON;
    return intervals.stream()
        .filter(interval -> interval.inverts().filter(test::equals).isPresent())
        .findFirst()
        .orElse(intervals.contains(similar) ? similar : intervals.get(0));
  }

  private String reason(ProportionTest test) {
    if (settings.tests().size() == 1) {
      return Preference.asked(test, true);
    }
    NormalApproximation expected = NormalApproximation.of(question.tally(), settings.hypothesis());
    if (test == ProportionTest.SCORE && approximationHolds) {
      return say(
          "the null expects %s, enough for the normal approximation%s",
          expected.both(),
          settings.tests().contains(ProportionTest.EXACT)
              ? "; exact is the cautious one: it rejects less often than alpha allows"
              : "");
    }
    if (test != ProportionTest.EXACT || approximationHolds) {
      return Preference.asked(test, false);
    }
    return expected.holds()
        ? "another group has too few expected successes or failures for the normal approximation,"
            + " and all groups are judged alike"
        : say(
            "the null expects only %s, too few for the normal approximation; exact holds at any"
                + " size",
            expected.scarce());
  }
}
