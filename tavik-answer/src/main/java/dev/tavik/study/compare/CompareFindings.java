package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts the answer about two groups together. */
record CompareFindings(CompareFound found) {
  private PairData data() {
    return found.data();
  }

  Answer answer(List<Caution> cautions) {
    List<Estimate> estimates = data().estimates();
    Optional<NumberNeeded> needed = data().numberNeeded(found);
    List<Estimate> all = new ArrayList<>(estimates);
    needed.ifPresent(
        each ->
            all.add(
                new Estimate(
                    Estimand.NUMBER_NEEDED,
                    "1 / (" + found.order() + ")",
                    each.value(),
                    Double.NaN)));
    AnswerBuilder answer =
        found
            .asked()
            .begin(found.title(), data().figures())
            .addAll(data().about())
            .add(new Estimates(all))
            .add(data().observed())
            .addAll(Observed.source(found.asked().question().from()))
            .addAll(data().context())
            .add(effects(estimates));
    needed.ifPresent(each -> answer.add(Finding.sentence(inWords(each))));
    answer.add(tests()).addAll(nuisances()).addAll(Refusals.said(found.made().refusals()));
    if (!found.oneSided().isEmpty()) {
      answer.add(oneSided());
    }
    return answer
        .add(intervals(needed))
        .addAll(Refusals.said(found.made().without()))
        .addAll(margin())
        .addAll(data().beside(found))
        .add(found.basis().finding())
        .addAll(data().after(found))
        .conditions(data().conditions())
        .cautions(cautions)
        .concluded(found.verdict());
  }

  private Sheet effects(List<Estimate> estimates) {
    Sheet sheet =
        Sheet.read(
            found.one() + " against " + found.two(),
            Column.words(),
            Column.numbers(""),
            Column.words());
    for (Estimate estimate : estimates) {
      String name =
          switch (estimate.quantity()) {
            case DIFFERENCE -> "difference";
            case RATIO -> "ratio";
            case ODDS_RATIO, CONDITIONAL_ODDS_RATIO -> "odds ratio";
            case COHENS_H -> "Cohen's h";
            default -> "";
          };
      // The proportions stand in the table above.
      if (!name.isEmpty()) {
        sheet.row(name, figure(estimate), data().remark(estimate));
      }
    }
    return sheet;
  }

  /** An effect: a difference in points, else a number. */
  static Value figure(Estimate effect) {
    double value = effect.value();
    return effect.quantity() == Estimand.DIFFERENCE
        ? Value.points(value)
        : Double.isNaN(value) ? Value.none("none") : Value.significant(value, 4);
  }

  private String inWords(NumberNeeded needed) {
    String source = Figures.exactPercent(needed.level()) + ", from " + needed.method().id();
    if (Double.isInfinite(needed.value())) {
      return "number needed: none, the proportions are equal";
    }
    String told =
        say(
            "number needed: %s has one success %s in %s",
            found.one(), needed.value() < 0 ? "fewer" : "more", trials(needed.value()));
    if (!needed.throughInfinity()) {
      double near = Math.min(Math.abs(needed.lower()), Math.abs(needed.upper()));
      double far = Math.max(Math.abs(needed.lower()), Math.abs(needed.upper()));
      return say("%s (%s to %s; %s)", told, trials(near), trials(far), source);
    }
    return say(
        "%s (from one fewer in %s through no difference, infinity, to one more in %s; %s)",
        told, trials(needed.lower()), trials(needed.upper()), source);
  }

  private static String trials(double value) {
    return Double.isInfinite(value) ? "any number" : Figures.significant(Math.abs(value), 3);
  }

  private Tests tests() {
    Tests tests =
        data().tests("Tests: " + found.asked().hypotheses(found.one(), found.two()), found.alpha());
    found.tests().forEach(test -> tests.made(test, data().statistic(test)));
    found.made().refusals().forEach(tests::declined);
    return tests.inOrderOf(found.asked().settings().tests());
  }

  private Tests oneSided() {
    Tests tests =
        Tests.of("Both one-sided tests; the larger p counts", found.alpha()).keyed("oneSidedTests");
    for (DirectedTest each : found.oneSided()) {
      tests.made(each.result(), data().statistic(each.result()), each.hypothesis());
    }
    return tests;
  }

  private List<Finding> nuisances() {
    List<Finding> findings = new ArrayList<>();
    for (TestResult test : found.tests()) {
      Double nuisance = test.nuisance();
      if (nuisance != null) {
        findings.add(
            Finding.sentence(
                say(
                    "%s: p is largest at a common proportion of %s.",
                    test.method().id(), Figures.finePercent(nuisance))));
      }
    }
    return findings;
  }

  private Intervals intervals(Optional<NumberNeeded> needed) {
    Alternative alternative = found.claim().alternative();
    Intervals intervals =
        Intervals.of(
            say(
                "Intervals, level %s%s; differences in points",
                Figures.exactPercent(found.asked().level()),
                alternative == Alternative.TWO_SIDED
                    ? ""
                    : ", and the one-sided bound for '" + alternative.id() + "'"));
    String[] last = {""};
    intervals.pairs(
        found.intervals(),
        interval -> {
          String what = interval.quantity().id().replace('-', ' ');
          String shown = what.equals(last[0]) ? "" : what;
          last[0] = what;
          return new String[] {shown, interval.method().id()};
        });
    found.made().without().forEach(intervals::declined);
    needed.ifPresent(
        each ->
            intervals.row(
                new Interval(
                    Estimand.NUMBER_NEEDED,
                    each.method(),
                    each.level(),
                    Side.TWO_SIDED,
                    each.lower(),
                    each.upper()),
                "",
                Value.fields().with("throughInfinity", each.throughInfinity())));
    return intervals;
  }

  /** Whether the interval of the difference lies within a margin that is given for comparison. */
  private List<Finding> margin() {
    Double margin = found.claim().largest();
    if (margin == null
        || found.claim().goal() != ComparisonGoal.DIFFERENCE
        || !found.decided()
        || found.interval().quantity() != Estimand.DIFFERENCE) {
      return List.of();
    }
    return List.of(
        Finding.sentence(
            say(
                "The margin is %s; the %s interval %s.",
                Figures.shortPoints(margin),
                found.interval().method().id(),
                found.isWithinMargin() ? "lies within it" : "reaches beyond it")));
  }
}
