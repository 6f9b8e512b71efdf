package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Workings;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Claims;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Derivation;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.TailCommands;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Puts the answer about one rate together. */
final class RateFindings {
  private final RateFound found;
  private final RateSettings settings;
  private final Tally tally;
  private final Estimate estimate;
  private final List<CriticalCounts> criticalCounts;

  RateFindings(RateFound found) {
    this.found = found;
    this.settings = found.settings();
    this.tally = found.tally();
    this.criticalCounts = found.criticalCounts();
    Estimate endless = Observed.proportion(found.label(), tally);
    this.estimate =
        new Estimate(
            Estimand.PROPORTION,
            found.label(),
            endless.value(),
            endless.standardError() * RateMethods.of(tally, settings).correction());
  }

  Answer answer(List<Finding> bayes, List<Caution> cautions) {
    AnswerBuilder answer =
        Answer.to(found.question(), AnswerKind.RATE, found.label())
            .add(Finding.fact("input", input()))
            .add(Finding.fact("hypothesis", hypothesis(settings)))
            .add(new Estimates(List.of(estimate)))
            .add(observed())
            .addAll(Observed.source(found.from()))
            .add(tests())
            .add(intervals());
    inLot(answer);
    return answer
        .add(criticalCounts())
        .addAll(bayes)
        .add(found.preference().finding())
        .add(Decidable.of(this::mayReject))
        .add(Workings.of(this::working))
        .addAll(
            TailCommands.of(tally, settings.lot(), settings.hypothesis().against(), found.tests()))
        .conditions(RateConditions.of(found))
        .cautions(cautions)
        .concluded(found.verdict());
  }

  private Value input() {
    Value.Fields input = Observed.input(found.from()).and(Observed.figures(tally));
    return settings.lot() == null ? input : input.with("lot", settings.lot());
  }

  static Value hypothesis(RateSettings settings) {
    return Value.fields()
        .with("quantity", Estimand.PROPORTION.id())
        .with("against", settings.hypothesis().against())
        .with("alternative", settings.hypothesis().alternative().id())
        .with("alpha", settings.alpha());
  }

  Estimate estimate() {
    return estimate;
  }

  private Finding observed() {
    return Finding.say(
        Block.heading("Observed"),
        Block.paragraph(
            say(
                "%s of %s, a proportion of %s with a standard error of %s points",
                Figures.count(tally.successes()),
                Figures.count(tally.trials()),
                Figures.finePercent(estimate.value()),
                Figures.significant(100 * estimate.standardError(), 4))));
  }

  private Tests tests() {
    Tests tests =
        Tests.of(
            "Tests: " + Claims.hypotheses(settings.hypothesis(), settings.alpha()),
            settings.alpha());
    found.tests().forEach(test -> tests.made(test, statistic(test)));
    return tests;
  }

  private Value statistic(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic != null && statistic.isCount()
        ? new Value.Words(tail(test.method()))
        : Tests.shown(statistic, 4, "no statistic");
  }

  private String tail(Method method) {
    String count = Figures.count(tally.successes());
    String successes = Figures.counted(count, "success", "successes");
    String half = method == ProportionTest.MID_P ? ", " + count + " half" : "";
    return switch (settings.hypothesis().alternative()) {
      case LESS -> successes + " or fewer" + half;
      case GREATER -> successes + " or more" + half;
      case TWO_SIDED -> twoSidedTail(method, count) + half;
    };
  }

  private static String twoSidedTail(Method method, String count) {
    if (method == ProportionTest.EXACT) {
      return "as improbable as " + count + ", or more so";
    }
    return method == ProportionTest.EXACT_BLAKER
        ? "tails no larger than that of " + count
        : "twice the smaller tail of " + count;
  }

  private Intervals intervals() {
    Alternative alternative = settings.hypothesis().alternative();
    return Intervals.of(
            say(
                "Intervals, level %s%s",
                Figures.exactPercent(settings.level()),
                alternative == Alternative.TWO_SIDED
                    ? ""
                    : ", and the one-sided bound for '" + alternative.id() + "'"))
        .pairs(found.intervals(), interval -> new String[] {interval.method().id()});
  }

  /** Adds the Clopper-Pearson limits in whole units of the lot. */
  private void inLot(AnswerBuilder answer) {
    Long lot = settings.lot();
    if (lot == null) {
      return;
    }
    for (Interval interval : found.intervals()) {
      if (interval.side() == Side.TWO_SIDED
          && interval.method() == ProportionInterval.CLOPPER_PEARSON) {
        answer.add(
            Finding.say(
                Block.paragraph(
                    say(
                        "In units of the lot, %s: %s to %s of %s.",
                        interval.method().id(),
                        Figures.count(Math.round(interval.lower() * lot)),
                        Figures.count(Math.round(interval.upper() * lot)),
                        Figures.count(lot)),
                    Block.Style.UNBROKEN)));
      }
    }
  }

  private Sheet criticalCounts() {
    Sheet sheet =
        Sheet.of(
            "criticalCounts",
            say("Counts that would be rejected, out of %s", Figures.count(tally.trials())),
            Column.words().keyed("method"),
            Column.words(),
            Column.hidden("atMost"),
            Column.hidden("atLeast"),
            Column.numbers("true size").keyed("size"));
    for (CriticalCounts counts : criticalCounts) {
      sheet.row(
          counts.method().id(),
          region(counts),
          count(counts.atMost()),
          count(counts.atLeast()),
          Value.Share.FINE.of(counts.size()));
    }
    return sheet;
  }

  /** A test without critical counts, such as of an endless sample, may reject. */
  private boolean mayReject() {
    return criticalCounts.stream()
        .filter(counts -> counts.method() == found.preference().test())
        .allMatch(counts -> counts.atMost() != null || counts.atLeast() != null);
  }

  private static Value count(@Nullable Long count) {
    return count == null ? Value.none() : new Value.Count(count);
  }

  private static String region(CriticalCounts counts) {
    Long atMost = counts.atMost();
    Long atLeast = counts.atLeast();
    List<String> ends = new ArrayList<>();
    // Without variance, with no success or no failure, Wald's test doesn't reject.
    boolean endsKept = counts.method() == ProportionTest.WALD;
    if (atMost != null) {
      ends.add(endsKept ? stretch(1, atMost) : Figures.count(atMost) + " or fewer");
    }
    if (atLeast != null) {
      ends.add(
          endsKept ? stretch(atLeast, counts.trials() - 1) : Figures.count(atLeast) + " or more");
    }
    return ends.isEmpty() ? "none" : String.join(", ", ends);
  }

  private static String stretch(long from, long to) {
    return from >= to ? Figures.count(to) : Figures.count(from) + " to " + Figures.count(to);
  }

  private List<Derivation> working() {
    if (!settings.hasWorking()) {
      return List.of();
    }
    List<Derivation> workings = new ArrayList<>(TestWorking.of(tally, settings, found.tests()));
    workings.addAll(IntervalWorking.of(tally, settings));
    return workings;
  }
}
