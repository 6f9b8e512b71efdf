package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Workings;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Claims;
import dev.tavik.proportion.ComparisonEstimate;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Derivation;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.GroupEstimates;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.TailCommands;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Puts the answer about two proportions together. */
final class CompareFindings {
  private final CompareFound found;
  private final CompareSettings settings;
  private final String one;
  private final String two;
  private final Tally first;
  private final Tally second;

  CompareFindings(CompareFound found) {
    this.found = found;
    this.settings = found.settings();
    this.one = found.first().name();
    this.two = found.second().name();
    this.first = found.first().tally();
    this.second = found.second().tally();
  }

  Answer answer(List<Finding> bayes, List<Caution> cautions) {
    List<Estimate> estimates = GroupEstimates.of(found.first(), found.second());
    Optional<NumberNeeded> needed = numberNeeded();
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
        Answer.to(found.question(), AnswerKind.COMPARE, found.label())
            .add(Finding.fact("input", input()))
            .add(Finding.fact("hypothesis", hypothesis(settings.claim(), settings.alpha())))
            .add(new Estimates(all))
            .add(Observed.groups("Observed", List.of(found.first(), found.second())))
            .addAll(Observed.source(found.from()))
            .add(effects(estimates));
    needed.ifPresent(each -> answer.add(Finding.sentence(inWords(each))));
    answer.add(tests());
    nuisances(answer);
    refused(answer);
    if (!found.made().oneSided().isEmpty()) {
      answer.add(oneSided());
    }
    answer.add(intervals(needed));
    answer.addAll(margin(settings.claim(), found.preferredInterval()));
    return answer
        .add(found.preference().finding())
        .add(Decidable.of(this::mayReject))
        .addAll(bayes)
        .addAll(asTable())
        .add(Workings.of(this::working))
        .addAll(TailCommands.of(first, second, found.tests()))
        .conditions(conditions(found))
        .cautions(cautions)
        .concluded(found.verdict());
  }

  /** The command that tests the counts as a table, where a table of them can be tested. */
  private List<Finding> asTable() {
    if (first.successes() + second.successes() == 0
        || first.failures() + second.failures() == 0
        || first.trials() + second.trials() > Tally.MAX_TRIALS) {
      return List.of();
    }
    return List.of(
        Finding.say(
            new Block.Command(
                "As a table",
                say(
                    "tavik cross --cells \"%d %d; %d %d\"",
                    first.successes(), first.failures(), second.successes(), second.failures()))));
  }

  static List<Condition> conditions(CompareFound found) {
    return List.of(
        PooledExpectation.of(found.first().tally(), found.second().tally()).condition(),
        Assumptions.independentGroups());
  }

  /** Whether it would reject where one group has all successes and the other none. */
  private boolean mayReject() {
    Tally none = Tally.of(0, first.trials());
    Tally all = Tally.of(first.trials(), first.trials());
    Tally othersNone = Tally.of(0, second.trials());
    Tally othersAll = Tally.of(second.trials(), second.trials());
    return !(found.preference().test() instanceof TwoProportionTest test)
        || settings.claim().goal() == ComparisonGoal.EQUIVALENT
        || test.of(none, othersAll, settings.hypothesis()).rejects(settings.alpha())
        || test.of(all, othersNone, settings.hypothesis()).rejects(settings.alpha());
  }

  private Value input() {
    return Observed.input(found.from())
        .with("first", Observed.figures(found.first()))
        .with("second", Observed.figures(found.second()))
        .with("order", found.order());
  }

  static Value hypothesis(ComparisonClaim claim, double alpha) {
    Value.Fields fields =
        Value.fields()
            .with("quantity", Estimand.DIFFERENCE.id())
            .with("against", claim.hypothesis().against())
            .with("alternative", claim.alternative().id())
            .with("alpha", alpha);
    return claim.largest() == null
        ? fields
        : fields.with("margin", claim.largest()).with("show", claim.goal().id());
  }

  /** From the interval of the difference that the verdict rests on, else from the first. */
  private Optional<NumberNeeded> numberNeeded() {
    return found.intervals().stream()
        .filter(each -> each.quantity() == Estimand.DIFFERENCE && each.side() == Side.TWO_SIDED)
        .reduce((last, next) -> next.method() == found.preference().interval() ? next : last)
        .map(
            interval ->
                NumberNeeded.of(ComparisonEstimate.DIFFERENCE.of(first, second).value(), interval));
  }

  private Sheet effects(List<Estimate> estimates) {
    Sheet sheet =
        Sheet.read(one + " against " + two, Column.words(), Column.numbers(""), Column.words());
    for (Estimate estimate : estimates) {
      double value = estimate.value();
      switch (estimate.quantity()) {
        case DIFFERENCE ->
            sheet.row("difference", Value.points(value), "points, " + estimate.label());
        case RATIO -> sheet.row("ratio", number(value), estimate.label());
        case ODDS_RATIO -> sheet.row("odds ratio", number(value), "cross product a d / (b c)");
        case CONDITIONAL_ODDS_RATIO ->
            sheet.row("odds ratio", number(value), "conditional maximum likelihood");
        case COHENS_H -> sheet.row("Cohen's h", number(value), "");
        default -> {
          // The proportions stand in the table above.
        }
      }
    }
    return sheet;
  }

  static Value number(double value) {
    return Double.isNaN(value) ? Value.none("none") : Value.significant(value, 4);
  }

  private String inWords(NumberNeeded needed) {
    String source = Figures.exactPercent(needed.level()) + ", from " + needed.method().id();
    if (Double.isInfinite(needed.value())) {
      return "number needed: none, the proportions are equal";
    }
    String told =
        say(
            "number needed: %s has one success %s in %s",
            one, needed.value() < 0 ? "fewer" : "more", trials(needed.value()));
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
        Tests.of(
            "Tests: " + Claims.hypotheses(settings.claim(), one, two, settings.alpha()),
            settings.alpha());
    for (TwoProportionTest method : settings.tests()) {
      found.tests().stream()
          .filter(test -> test.method() == method)
          .forEach(test -> tests.made(test, statistic(test)));
      found.made().refusals().stream()
          .filter(refusal -> refusal.method() == method)
          .forEach(tests::declined);
    }
    return tests;
  }

  private Tests oneSided() {
    Tests tests =
        Tests.of("Both one-sided tests; the larger p counts", settings.alpha())
            .keyed("oneSidedTests");
    for (DirectedTest each : found.made().oneSided()) {
      tests.made(each.result(), statistic(each.result()), each.hypothesis());
    }
    return tests;
  }

  private Value statistic(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic != null && statistic.isCount()
        ? new Value.Words(tail(test.method()))
        : Tests.shown(statistic, 4, "no statistic");
  }

  private String tail(Method method) {
    String count = Figures.count(first.successes());
    String half = method == TwoProportionTest.FISHER_MID_P ? ", " + count + " half" : "";
    return switch (settings.hypothesis().alternative()) {
      case LESS -> count + " or fewer in the first" + half;
      case GREATER -> count + " or more in the first" + half;
      case TWO_SIDED ->
          method == TwoProportionTest.FISHER
              ? "tables as improbable, or more so"
              : "twice the smaller tail" + half;
    };
  }

  private void nuisances(AnswerBuilder answer) {
    for (TestResult test : found.tests()) {
      Double nuisance = test.nuisance();
      if (nuisance != null) {
        answer.add(
            Finding.sentence(
                say(
                    "%s: p is largest at a common proportion of %s.",
                    test.method().id(), Figures.finePercent(nuisance))));
      }
    }
  }

  private void refused(AnswerBuilder answer) {
    Map<String, List<String>> byReason = new LinkedHashMap<>();
    for (NotApplicable refusal : found.made().refusals()) {
      byReason
          .computeIfAbsent(refusal.reason(), key -> new ArrayList<>())
          .add(refusal.method().id());
    }
    byReason.forEach(
        (reason, methods) ->
            answer.add(
                Finding.say(
                    Block.paragraph(
                        "not made: " + String.join(", ", methods) + ": " + reason + ".",
                        Block.Style.HANGING))));
  }

  private Intervals intervals(Optional<NumberNeeded> needed) {
    Alternative alternative = settings.hypothesis().alternative();
    Intervals intervals =
        Intervals.of(
            say(
                "Intervals, level %s%s; differences in points",
                Figures.exactPercent(settings.level()),
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
  static List<Finding> margin(ComparisonClaim claim, Interval interval) {
    Double margin = claim.largest();
    if (margin == null
        || claim.goal() != ComparisonGoal.DIFFERENCE
        || interval.quantity() != Estimand.DIFFERENCE) {
      return List.of();
    }
    return List.of(
        Finding.sentence(
            say(
                "The margin is %s; the %s interval %s.",
                Figures.shortPoints(margin),
                interval.method().id(),
                claim.hasWithinMargin(interval) ? "lies within it" : "reaches beyond it")));
  }

  private List<Derivation> working() {
    List<Derivation> workings =
        new ArrayList<>(CompareTestWorking.of(found.first(), found.second(), settings));
    workings.addAll(CompareIntervalWorking.of(found.first(), found.second(), settings));
    return workings;
  }
}
