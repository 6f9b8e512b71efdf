package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Workings;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Derivation;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.TailCommands;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Trials, or a sample from a lot.
 *
 * @param question the question about them
 * @param chosen the test that the verdict rests on, and its true size
 * @param belief the Bayesian view; empty for none
 */
record TallyRate(RateQuestion question, SizedTest chosen, List<Finding> belief)
    implements RateData {

  /** The same results with the Bayesian view beside. */
  RateFound believed(RateFound found, BayesianDetail detail) {
    return found.with(new TallyRate(question, chosen, RateBelief.of(question, detail)));
  }

  Tally tally() {
    return question.only();
  }

  RateSettings settings() {
    return question.settings();
  }

  @Override
  public double value() {
    return tally().proportion();
  }

  @Override
  public Estimate estimate(String name) {
    Estimate endless = Observed.proportion(name, tally());
    double error = endless.standardError() * RateMethods.of(tally(), settings()).correction();
    return new Estimate(Estimand.PROPORTION, name, endless.value(), error);
  }

  @Override
  public String counts() {
    return Figures.outOf(tally().successes(), tally().trials());
  }

  @Override
  public @Nullable Long lot() {
    return settings().lot();
  }

  @Override
  public Value.Fields figures() {
    Value.Fields figures = Observed.figures(tally());
    return lot() == null ? figures : figures.with("lot", lot());
  }

  @Override
  public Finding observed(Estimate estimate) {
    return Finding.say(
        Block.heading("Observed"),
        Block.paragraph(
            say(
                "%s, a proportion of %s with a standard error of %s points",
                counts(),
                Figures.finePercent(estimate.value()),
                Figures.significant(100 * estimate.standardError(), 4))));
  }

  @Override
  public Tests tests(String heading, double alpha) {
    return Tests.of(heading, alpha);
  }

  @Override
  public List<Finding> beside(RateFound found) {
    List<Finding> beside = new ArrayList<>(inLot(found));
    beside.add(criticalCounts(found));
    beside.addAll(belief);
    return beside;
  }

  @Override
  public List<Finding> after(RateFound found) {
    List<Finding> after = new ArrayList<>();
    after.add(Decidable.of(() -> mayReject(found)));
    after.add(Workings.of(() -> working(found)));
    after.addAll(
        TailCommands.of(tally(), lot(), settings().hypothesis().against(), found.made().tests()));
    return after;
  }

  @Override
  public List<Condition> conditions(RateFound found) {
    List<Condition> conditions =
        new ArrayList<>(NormalApproximation.of(tally(), settings().hypothesis()).conditions());
    Long lot = lot();
    conditions.add(lot == null ? Assumptions.independentTrials() : Assumptions.drawnFrom(lot));
    if (!Double.isNaN(chosen.size())) {
      double alpha = settings().alpha();
      conditions.add(
          Assumptions.trueSize(
              chosen.test(), chosen.size(), tally().trials(), alpha, chosen.holds(alpha)));
    }
    return conditions;
  }

  @Override
  public List<Caution> cautions(RateFound found) {
    return RateCautions.of(found);
  }

  @Override
  public Value statistic(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic != null && statistic.isCount()
        ? new Value.Words(tail(test.method()))
        : Tests.shown(statistic, 4, "no statistic");
  }

  private String tail(Method method) {
    String count = Figures.count(tally().successes());
    String successes = Figures.counted(count, "success", "successes");
    String half = method == ProportionTest.MID_P ? ", " + count + " half" : "";
    return switch (settings().hypothesis().alternative()) {
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

  /** The Clopper-Pearson limits in whole units of the lot. */
  private List<Finding> inLot(RateFound found) {
    Long lot = lot();
    return lot == null
        ? List.of()
        : found.made().intervals().stream()
            .filter(each -> each.side() == Side.TWO_SIDED)
            .filter(each -> each.method() == ProportionInterval.CLOPPER_PEARSON)
            .map(
                each ->
                    Finding.say(
                        Block.paragraph(
                            say(
                                "In units of the lot, %s: %s to %s of %s.",
                                each.method().id(),
                                Figures.count(Math.round(each.lower() * lot)),
                                Figures.count(Math.round(each.upper() * lot)),
                                Figures.count(lot)),
                            Block.Style.UNBROKEN)))
            .toList();
  }

  /** What each test would have rejected; searched anew at each call. */
  private List<CriticalCounts> critical(RateFound found) {
    RateMethods methods = RateMethods.of(tally(), settings());
    return found.made().tests().stream()
        .map(test -> methods.criticalCounts((ProportionTest) test.method()))
        .toList();
  }

  private Sheet criticalCounts(RateFound found) {
    Sheet sheet =
        Sheet.of(
            "criticalCounts",
            say("Counts that would be rejected, out of %s", Figures.count(tally().trials())),
            Column.words().keyed("method"),
            Column.words(),
            Column.hidden("atMost"),
            Column.hidden("atLeast"),
            Column.numbers("true size").keyed("size"));
    for (CriticalCounts counts : critical(found)) {
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
  private boolean mayReject(RateFound found) {
    return critical(found).stream()
        .filter(counts -> counts.method() == found.basis().test())
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

  private List<Derivation> working(RateFound found) {
    if (!settings().hasWorking()) {
      return List.of();
    }
    List<Derivation> workings =
        new ArrayList<>(TestWorking.of(tally(), settings(), found.made().tests()));
    workings.addAll(IntervalWorking.of(tally(), settings()));
    return workings;
  }
}
