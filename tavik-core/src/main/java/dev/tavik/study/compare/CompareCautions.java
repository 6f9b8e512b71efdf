package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What to be careful of in the answer to one comparison, the gravest first. */
final class CompareCautions {
  /** By how much a true size may be above alpha. */
  private static final double TOLERATED = 1.1;

  /** All pairs of counts of more units take too long beside an answer. */
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
    found.otherDirection();
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
    found.cautions.addAll(
        decisions.levelAlpha(
            found.settings.level(),
            found.settings.matchingLevel(),
            say(
                "%s. An interval may include what a test rejects, or the other way round;",
                found.settings.show() == Show.EQUIVALENT ? ", one on each side" : "")));
    found.testAndInterval(decisions);
    found.cautions.addAll(withinMargin(found.settings, found.rejects, answer.intervals()));
    found.cautions.addAll(decisions.nearAlpha());
    Provenance from = answer.from();
    if (from != null) {
      found.cautions.addAll(DataCautions.of(from, found.first.trials() + found.second.trials()));
    }
    return found.cautions;
  }

  private void add(Code code, String message) {
    cautions.add(new Caution(code, message));
  }

  private void otherDirection() {
    if (settings.show() == Show.DIFFERENCE) {
      cautions.addAll(
          otherDirection(settings, answer.first().name(), answer.second().name(), away()));
    }
  }

  /** How often the verdict's test rejects where both groups have the rate of all units together. */
  private void trueSize() {
    double pooled = (double) (first.successes() + second.successes()) / trials();
    boolean asked =
        answer.preferredTest().method() instanceof TwoProportionTest test
            && test.basis() == Exactness.APPROXIMATE
            && settings.show() == Show.DIFFERENCE
            && settings.hypothesis().against() == 0
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
        add(
            Code.FEW_SUCCESSES,
            say(
                "Where both groups have the rate of all units together, %s, the %s test rejects in"
                    + " %s of such samples, not in %s. Near alpha, read fisher or boschloo.",
                Figures.percent(pooled),
                test.id(),
                Figures.percent(size),
                Figures.exactPercent(settings.alpha())));
      }
    } catch (NotApplicableException e) {
      // Its pairs can't be gone through.
    }
  }

  private long trials() {
    return first.trials() + second.trials();
  }

  /** Told where the data point the other way than the alternative says. */
  static List<Caution> otherDirection(
      CompareSettings settings, String one, String two, double away) {
    if (!opposite(settings, away)) {
      return List.of();
    }
    boolean less = settings.hypothesis().alternative() == Alternative.LESS;
    String comparison =
        settings.hypothesis().against() == 0
            ? say("%s is %s than %s", one, less ? "lower" : "higher", two)
            : say(
                "%s is %s %s",
                one + " minus " + two,
                less ? "below" : "above",
                Figures.shortPoints(settings.hypothesis().against()));
    return List.of(
        new Caution(
            Code.OTHER_DIRECTION,
            say(
                "The alternative '%s' says that %s, but the data point the other way. If the order of"
                    + " the groups or the direction was mixed up, set it right; if it was meant, the data"
                    + " lend it no support.",
                settings.hypothesis().alternative().id(), comparison)));
  }

  private double away() {
    return first.proportion() - second.proportion() - settings.hypothesis().against();
  }

  private boolean opposite() {
    return opposite(settings, away());
  }

  private static boolean opposite(CompareSettings settings, double away) {
    return switch (settings.hypothesis().alternative()) {
      case LESS -> away > 0;
      case GREATER -> away < 0;
      case TWO_SIDED -> false;
    };
  }

  private void fewSuccesses() {
    PooledExpectation expected = PooledExpectation.of(first, second);
    String approximate =
        settings.tests().stream()
            .filter(test -> test.basis() == Exactness.APPROXIMATE)
            .map(TwoProportionTest::id)
            .collect(Collectors.joining(", "));
    if (expected.enough() || approximate.isEmpty() || expected.smallest() == 0) {
      return;
    }
    String instead =
        answer.tests().stream()
            .filter(test -> test.method() == TwoProportionTest.FISHER)
            .findFirst()
            .map(
                fisher -> "Fisher's exact test says " + Figures.pEquals(fisher.log10PValue()) + ".")
            .orElse(
                settings.plain()
                    ? "Use fisher, boschloo or barnard."
                    : "No exact test of such a null is offered; read the interval with care.");
    add(
        Code.FEW_SUCCESSES,
        say(
            "One group is expected to have only %s, too few for the normal approximation (%s). %s",
            expected.inWords(), approximate, instead));
  }

  private void allOrNone() {
    boolean none = first.successes() + second.successes() == 0;
    boolean all = first.failures() + second.failures() == 0;
    if (none || all) {
      add(
          Code.ALL_OR_NONE,
          say(
              "%s was a success in either group%s. The intervals say how far apart they may still be.",
              none ? "None" : "Every one",
              settings.show() == Show.DIFFERENCE
                  ? ": nothing tells them apart, and no test can"
                  : ", which is no certainty that they are alike"));
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
      add(
          Code.ZERO_CELL,
          say(
              "One of the four counts is 0, so there is no upper limit for %s. The difference has"
                  + " limits all the same; gart's odds ratio adds 1/2 to each count.",
              endless.stream()
                  .map(each -> each.quantity().id() + " (" + each.method().id() + ")")
                  .collect(Collectors.joining(", "))));
    }
  }

  private void clippedLimit() {
    String clipped =
        answer.intervals().stream()
            .filter(each -> each.quantity() == Estimand.DIFFERENCE)
            .filter(
                each ->
                    (each.side() != Side.UPPER && each.lower() == -1 && observed() > -1)
                        || (each.side() != Side.LOWER && each.upper() == 1 && observed() < 1))
            .map(CompareCautions::name)
            .collect(Collectors.joining(" and "));
    if (!clipped.isEmpty()) {
      add(
          Code.CLIPPED_LIMIT,
          say(
              "A limit came out beyond -100 or 100 points and was set to the end of the scale: %s."
                  + " Such an interval covers too seldom here; prefer newcombe or mee.",
              clipped));
    }
  }

  private double observed() {
    return first.proportion() - second.proportion();
  }

  /** Where the level matches alpha, the test of the verdict and the intervals should agree. */
  private void testAndInterval(DecisionCautions decisions) {
    if (!settings.levelMatchesAlpha() || opposite()) {
      return;
    }
    String contradicting =
        answer.intervals().stream()
            .filter(this::comparable)
            .filter(each -> leavesOut(each) != rejects)
            .map(CompareCautions::name)
            .collect(Collectors.joining(" and "));
    if (!contradicting.isEmpty()) {
      cautions.add(decisions.testAndInterval("", contradicting, DecisionCautions.CLOSE));
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

  /** Told where a difference is significant, but smaller than what matters. */
  static List<Caution> withinMargin(
      CompareSettings settings, boolean rejects, List<Interval> intervals) {
    Double margin = settings.margin();
    if (margin == null || settings.show() != Show.DIFFERENCE || !rejects) {
      return List.of();
    }
    return intervals.stream()
        .filter(each -> each.side() == Side.TWO_SIDED && CompareFindings.within(each, margin))
        .limit(1)
        .map(
            each ->
                new Caution(
                    Code.WITHIN_MARGIN,
                    say(
                        "The difference is significant, but by the %s interval smaller than the margin of %s:"
                            + " not zero, and of no practical meaning.",
                        each.method().id(), Figures.percentagePoints(margin))))
        .toList();
  }

  private static String name(Interval interval) {
    String what =
        interval.quantity() == Estimand.DIFFERENCE
            ? interval.method().id()
            : interval.method().id() + " (" + interval.quantity().id() + ")";
    return switch (interval.side()) {
      case TWO_SIDED -> what;
      case LOWER -> what + " lower bound";
      case UPPER -> what + " upper bound";
    };
  }
}
