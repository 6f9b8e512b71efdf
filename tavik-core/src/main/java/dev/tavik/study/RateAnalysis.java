package dev.tavik.study;

import dev.tavik.count.Tally;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Basis;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Puts the answer to one rate question together. */
final class RateAnalysis {
  private static final Condition INDEPENDENCE =
      new Condition(
          "independent trials",
          Condition.State.NOT_IN_THE_DATA,
          "each trial is drawn on its own, with the same chance. Units from one batch, shift or"
              + " person are often alike; then p-values come out too small and intervals too narrow."
              + " Counts can't show this: you have to know how they were collected");

  private final RateQuestion question;
  private final boolean approximationHolds;
  private final Extent extent;
  private final RateMethods methods;

  RateAnalysis(RateQuestion question, boolean approximationHolds, Extent extent) {
    this.extent = extent;
    this.question = question;
    this.approximationHolds = approximationHolds;
    this.methods = RateMethods.of(question.tally(), question.settings());
  }

  RateAnswer answer() {
    RateSettings settings = question.settings();
    Tally tally = question.tally();
    List<TestResult> tests = settings.tests().stream().map(methods::test).toList();
    RateAnswer draft =
        new RateAnswer(
            question.label(),
            tally,
            settings,
            question.from(),
            List.of(estimate()),
            tests,
            intervals(),
            criticalCounts(),
            preference(),
            bayes(),
            conditions(),
            List.of(),
            working(tests),
            "");
    return draft.concluded(RateCautions.of(draft), RateVerdict.of(draft));
  }

  private @Nullable RateBayes bayes() {
    BayesSettings view = question.settings().bayes();
    return view == null ? null : RateBayes.of(question, view, extent);
  }

  private Estimate estimate() {
    Tally tally = question.tally();
    double value = tally.proportion();
    double standardError =
        Math.sqrt(value * ((double) tally.failures() / tally.trials()) / tally.trials());
    return new Estimate(
        Quantity.PROPORTION, question.label(), value, standardError * methods.correction());
  }

  private List<Interval> intervals() {
    RateSettings settings = question.settings();
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

  private List<CriticalCounts> criticalCounts() {
    return question.settings().tests().stream().map(methods::criticalCounts).toList();
  }

  private List<Condition> conditions() {
    List<Condition> conditions =
        new ArrayList<>(
            NormalApproximation.of(question.tally(), question.settings().hypothesis())
                .conditions());
    Long lot = question.settings().lot();
    conditions.add(lot == null ? INDEPENDENCE : drawnFrom(lot));
    return conditions;
  }

  private static Condition drawnFrom(long lot) {
    return new Condition(
        "random sample",
        Condition.State.NOT_IN_THE_DATA,
        String.format(
            Locale.ROOT,
            "the units were drawn at random and without replacement from all %s of the lot. Units"
                + " picked because they were at hand, or from one pallet, can mislead at any size",
            Figures.count(lot)));
  }

  private List<Working> working(List<TestResult> tests) {
    if (!question.settings().hasWorking()) {
      return List.of();
    }
    List<Working> workings =
        new ArrayList<>(TestWorking.of(question.tally(), question.settings(), tests));
    workings.addAll(IntervalWorking.of(question.tally(), question.settings()));
    return workings;
  }

  private Preference preference() {
    RateSettings settings = question.settings();
    ProportionTest wanted = approximationHolds ? ProportionTest.SCORE : ProportionTest.EXACT;
    ProportionTest test = settings.tests().contains(wanted) ? wanted : settings.tests().get(0);
    ProportionInterval interval = partner(test);
    return new Preference(test, interval, reason(test));
  }

  /** The interval that inverts the test, else one that rests on the same distribution. */
  private ProportionInterval partner(ProportionTest test) {
    List<ProportionInterval> intervals = question.settings().intervals();
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
    if (question.settings().tests().size() == 1) {
      return test.id() + " is the only test asked for";
    }
    NormalApproximation expected =
        NormalApproximation.of(question.tally(), question.settings().hypothesis());
    if (test == ProportionTest.SCORE && approximationHolds) {
      return "the null expects "
          + expected.both()
          + ", enough for the normal approximation"
          + (question.settings().tests().contains(ProportionTest.EXACT)
              ? "; exact is the cautious one: it rejects less often than alpha allows"
              : "");
    }
    if (test != ProportionTest.EXACT || approximationHolds) {
      return test.id() + " is the first of the tests asked for";
    }
    return expected.holds()
        ? "another group has too few expected successes or failures for the normal approximation,"
            + " and all groups are judged alike"
        : "the null expects only "
            + expected.scarce()
            + ", too few for the normal approximation; exact holds at any size";
  }
}
