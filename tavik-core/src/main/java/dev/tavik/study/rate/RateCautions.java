package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.OutcomeSequence;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Exactness;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What to be careful of in the answer to one rate question, the gravest first. */
final class RateCautions {
  private final RateFound answer;
  private final RateSettings settings;
  private final double against;
  private final Alternative alternative;
  private final List<Caution> cautions = new ArrayList<>();

  private RateCautions(RateFound answer) {
    this.answer = answer;
    this.settings = answer.settings();
    this.against = settings.hypothesis().against();
    this.alternative = settings.hypothesis().alternative();
  }

  static List<Caution> of(RateFound answer) {
    RateCautions found = new RateCautions(answer);
    found.otherDirection();
    found.fewSuccesses();
    found.allOrNone();
    DecisionCautions decisions =
        new DecisionCautions(answer.tests(), found.settings.alpha(), answer.preferredTest());
    found.cautions.addAll(decisions.noStatistic());
    found.clippedLimit();
    found.cautions.addAll(decisions.disagree());
    found.cautions.addAll(
        decisions.levelAlpha(
            found.settings.level(),
            found.settings.matchingLevel(),
            say(
                ". An interval may include %s while a test rejects it, or the other way round;",
                Figures.exactPercent(found.against))));
    found.testAndInterval(decisions);
    found.cautions.addAll(decisions.nearAlpha());
    Provenance from = answer.from();
    if (from != null) {
      found.cautions.addAll(DataCautions.of(from, answer.tally().trials()));
    }
    OutcomeSequence sequence = answer.question().sequence();
    if (sequence != null) {
      FollowedRate.sorted(sequence).ifPresent(found.cautions::add);
    }
    return found.cautions;
  }

  private void add(Code code, String message) {
    cautions.add(new Caution(code, message));
  }

  private void otherDirection() {
    cautions.addAll(
        DecisionCautions.otherDirection(
            alternative, answer.tally().proportion() - against, Figures.exactPercent(against)));
  }

  private boolean opposite() {
    double observed = answer.tally().proportion();
    return (alternative == Alternative.LESS && observed > against)
        || (alternative == Alternative.GREATER && observed < against);
  }

  private void fewSuccesses() {
    NormalApproximation expected = NormalApproximation.of(answer.tally(), settings.hypothesis());
    String approximate =
        settings.tests().stream()
            .filter(test -> test.basis() == Exactness.APPROXIMATE)
            .map(ProportionTest::id)
            .collect(Collectors.joining(", "));
    SizedTest chosen = answer.chosen();
    boolean known = !Double.isNaN(chosen.size());
    if (known && chosen.holds(settings.alpha()) && chosen.test().basis() == Exactness.APPROXIMATE) {
      return;
    }
    if (known && !chosen.holds(settings.alpha())) {
      add(
          Code.FEW_SUCCESSES,
          say(
              "The %s test rejects a true null in %s of such samples, not in %s: too few %s are"
                  + " expected. Leave the choice of tests out, or ask for mid-p or exact.",
              chosen.test().id(),
              Figures.percent(chosen.size()),
              Figures.exactPercent(settings.alpha()),
              expected.successes() <= expected.failures() ? "successes" : "failures"));
      return;
    }
    if (!expected.holds() && !approximate.isEmpty()) {
      String instead =
          answer.tests().stream()
              .filter(test -> test.method() == ProportionTest.EXACT)
              .findFirst()
              .map(exact -> "The exact test says " + Figures.pEquals(exact.log10PValue()) + ".")
              .orElse("Use the exact test.");
      add(
          Code.FEW_SUCCESSES,
          say(
              "The null expects only %s, too few for the normal approximation (%s). %s",
              expected.scarce(), approximate, instead));
    }
  }

  /** Only an interval that isn't naturally within 0 and 1 ends there with both outcomes seen. */
  private void clippedLimit() {
    boolean both = answer.tally().successes() > 0 && answer.tally().failures() > 0;
    String clipped =
        answer.intervals().stream()
            .filter(
                interval ->
                    (interval.side() != Side.UPPER && interval.lower() == 0)
                        || (interval.side() != Side.LOWER && interval.upper() == 1))
            .map(RateCautions::name)
            .collect(Collectors.joining(" and "));
    if (both && !clipped.isEmpty()) {
      add(
          Code.CLIPPED_LIMIT,
          say(
              "A limit came out beyond 0%% or 100%% and was set to the end of the scale: %s. Such"
                  + " an interval covers too seldom here; prefer wilson or clopper-pearson.",
              clipped));
    }
  }

  private void allOrNone() {
    long successes = answer.tally().successes();
    if (successes == 0 || answer.tally().failures() == 0) {
      add(
          Code.ALL_OR_NONE,
          say(
              "%s, so the standard error comes out as 0. That is not certainty: read the interval.",
              allOrNone(successes, answer.tally().trials())));
    }
  }

  private static String allOrNone(long successes, long trials) {
    return trials == 1
        ? "The only trial was " + (successes == 0 ? "no success" : "a success")
        : say(
            "%s of %s trials was a success",
            successes == 0 ? "None" : "Every one", Figures.count(trials));
  }

  /** Where the level matches alpha, a test and the interval of its side should agree. */
  private void testAndInterval(DecisionCautions decisions) {
    if (!settings.levelMatchesAlpha()) {
      return;
    }
    boolean rejects = answer.preferredTest().rejects(settings.alpha());
    List<Interval> contradicting =
        answer.intervals().stream()
            .filter(interval -> interval.contains(against) == rejects)
            .toList();
    if (contradicting.isEmpty()) {
      return;
    }
    cautions.add(
        decisions.testAndInterval(
            " " + Figures.exactPercent(against),
            contradicting.stream().map(RateCautions::name).collect(Collectors.joining(" and ")),
            why(contradicting)));
  }

  private static String name(Interval interval) {
    return switch (interval.side()) {
      case TWO_SIDED -> interval.method().id() + " (two-sided)";
      case LOWER -> interval.method().id() + " lower bound";
      case UPPER -> interval.method().id() + " upper bound";
    };
  }

  private String why(List<Interval> contradicting) {
    boolean allTwoSided =
        contradicting.stream().allMatch(interval -> interval.side() == Side.TWO_SIDED);
    if (opposite()) {
      return "They do so on the other side, which the alternative doesn't ask about.";
    }
    return alternative != Alternative.TWO_SIDED && allTwoSided
        ? "A two-sided interval has half the error on each side; the one-sided bound is the one"
            + " that goes with a directional test."
        : DecisionCautions.CLOSE;
  }
}
