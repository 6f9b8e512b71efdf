package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Claims;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.Undecided;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.SurveyComparisonInterval;
import java.util.ArrayList;
import java.util.List;

/** Puts the answer about groups of a designed sample together. */
final class SurveyCompareFindings {
  private final SurveyCompareQuestion question;
  private final ComparisonClaim claim;
  private final DesignFindings design;

  SurveyCompareFindings(SurveyCompareQuestion question, DesignFindings design) {
    this.question = question;
    this.claim = question.claim();
    this.design = design;
  }

  Answer one(SurveyPair pair, List<Caution> cautions, Verdict verdict, boolean alone) {
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.COMPARE, alone ? question.label() : pair.order())
            .add(Finding.fact("input", input(pair)))
            .add(Finding.fact("hypothesis", CompareFindings.hypothesis(claim, question.alpha())))
            .add(design.fact())
            .add(new Estimates(estimates(pair)))
            .add(DesignFindings.groups(pair.groups()))
            .addAll(Observed.source(question.from()))
            .add(design.sentence())
            .add(effects(pair))
            .add(tests(pair))
            .addAll(Refusals.said(pair.made().refusals()));
    if (!pair.oneSided().isEmpty()) {
      answer.add(oneSided(pair));
    }
    answer.add(intervals(pair)).addAll(Refusals.said(pair.made().without()));
    if (pair.decided()) {
      answer.addAll(
          CompareFindings.margin(
              claim, pair.interval(claim.hypothesis().alternative().matchingSide())));
    } else {
      answer.add(Undecided.finding());
    }
    answer.add(simple(pair));
    if (alone && pair.decided()) {
      answer.addAll(
          DesignFindings.planned(
              say(
                  "compare --base %s --expect %s",
                  DesignFindings.rate(pair.compared().second().value()),
                  DesignFindings.rate(pair.compared().first().value())),
              SurveyComparisonInterval.WALD.of(pair.compared(), question.level(), Side.TWO_SIDED),
              effect(pair.compared())));
    }
    return answer
        .add(pair.preference().finding())
        .conditions(design.conditions())
        .cautions(cautions)
        .concluded(verdict);
  }

  /** The variance of the difference in units of that of two simple random samples. */
  private static double effect(DesignedComparison compared) {
    return compared.difference()
        * compared.difference()
        / (simply(compared.first()) + simply(compared.second()));
  }

  private static double simply(DesignedProportion proportion) {
    return proportion.value() * proportion.complement() / (proportion.rows() - 1);
  }

  private Value input(SurveyPair pair) {
    return Observed.input(question.from())
        .with("first", named(pair.first()))
        .with("second", named(pair.second()))
        .with("order", pair.order())
        .with("designEffect", effect(pair.compared()));
  }

  private static Value.Fields named(DesignFindings.Group group) {
    return Value.fields()
        .with("label", group.name())
        .and(DesignFindings.figures(group.proportion()));
  }

  private static List<Estimate> estimates(SurveyPair pair) {
    DesignedComparison compared = pair.compared();
    List<Estimate> estimates = new ArrayList<>();
    pair.groups().forEach(group -> estimates.add(group.estimate()));
    for (SurveyComparisonInterval method : SurveyComparisonInterval.values()) {
      double value = method.estimate(compared);
      double error =
          switch (method) {
            case WALD -> compared.difference();
            case LOG_RATIO -> value * compared.logRatio();
            case LOG_ODDS -> value * compared.logOddsRatio();
          };
      estimates.add(
          new Estimate(
              method.quantity(),
              switch (method) {
                case WALD -> pair.order();
                case LOG_RATIO -> pair.one() + " divided by " + pair.two();
                case LOG_ODDS -> "odds of " + pair.one() + " divided by odds of " + pair.two();
              },
              value,
              error));
    }
    return estimates;
  }

  private static Sheet effects(SurveyPair pair) {
    Sheet sheet =
        Sheet.read(
            pair.one() + " against " + pair.two(),
            Column.words(),
            Column.numbers(""),
            Column.words());
    for (Estimate estimate : estimates(pair)) {
      switch (estimate.quantity()) {
        case DIFFERENCE ->
            sheet.row(
                "difference",
                Value.points(estimate.value()),
                say(
                    "points, standard error %s, design effect %s",
                    Figures.significant(100 * estimate.standardError(), 4),
                    pair.decided() ? Figures.significant(effect(pair.compared()), 3) : "none"));
        case RATIO ->
            sheet.row("ratio", CompareFindings.number(estimate.value()), estimate.label());
        case ODDS_RATIO ->
            sheet.row("odds ratio", CompareFindings.number(estimate.value()), estimate.label());
        default -> {
          // The proportions stand in the table above.
        }
      }
    }
    return sheet;
  }

  private Tests tests(SurveyPair pair) {
    Tests tests =
        Tests.ofTables(
            "Tests: " + Claims.hypotheses(claim, pair.one(), pair.two(), question.alpha()),
            question.alpha());
    if (pair.decided()) {
      pair.tests().forEach(test -> tests.made(test, statistic(test)));
    }
    pair.made().refusals().forEach(tests::declined);
    return tests;
  }

  private static Value statistic(TestResult test) {
    return Tests.shown(test.statistic(), 4, "no statistic");
  }

  private Tests oneSided(SurveyPair pair) {
    Tests tests =
        Tests.of("Both one-sided tests; the larger p counts", question.alpha())
            .keyed("oneSidedTests");
    for (DirectedTest each : pair.oneSided()) {
      tests.made(each.result(), statistic(each.result()), each.hypothesis());
    }
    return tests;
  }

  private Intervals intervals(SurveyPair pair) {
    Intervals intervals =
        Intervals.of("Intervals, level " + Figures.exactPercent(question.level()))
            .pairs(
                pair.intervals(),
                interval ->
                    new String[] {
                      interval.quantity().id().replace('-', ' '), interval.method().id()
                    });
    pair.made().without().forEach(intervals::declined);
    return intervals;
  }

  /** The answer of methods that ignore the design. */
  private SimpleRandom simple(SurveyPair pair) {
    Tally first = pair.first().unweighted();
    Tally second = pair.second().unweighted();
    double difference = first.proportion() - second.proportion();
    Interval interval = DifferenceInterval.NEWCOMBE.of(first, second, question.level());
    TestResult test = TwoProportionTest.Z_POOLED.of(first, second, Hypothesis.noDifference());
    return new SimpleRandom(
        Value.fields()
            .with("first", Observed.figures(first))
            .with("second", Observed.figures(second)),
        difference,
        test,
        question.alpha(),
        interval,
        say(
            "As if simple random: a difference of %s points, %s to %s (newcombe), %s (z-pooled,"
                + " two-sided). That leaves weights, strata and clusters out.",
            Figures.significant(100 * difference, 3),
            Figures.significant(100 * interval.lower(), 3),
            Figures.significant(100 * interval.upper(), 3),
            Figures.pEquals(test.log10PValue())));
  }

  Answer several(
      List<SurveyPair> pairs,
      List<Answer> answers,
      TestResult overall,
      List<Caution> cautions,
      Verdict verdict) {
    List<DesignFindings.Group> groups =
        question.groups().stream()
            .map(
                name ->
                    pairs.stream()
                        .flatMap(pair -> pair.groups().stream())
                        .filter(group -> group.name().equals(name))
                        .findFirst()
                        .orElseThrow())
            .toList();
    Tests together =
        Tests.ofTables(
                "All groups together: null, the same proportion in every group", question.alpha())
            .keyed("overall")
            .made(overall, statistic(overall));
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.COMPARE, question.label())
            .add(Finding.fact("input", Observed.input(question.from())))
            .add(Finding.fact("hypothesis", CompareFindings.hypothesis(claim, question.alpha())))
            .add(design.fact())
            .add(Finding.fact("groups", Value.list(groups, SurveyCompareFindings::named)))
            .add(DesignFindings.groups(groups))
            .addAll(Observed.source(question.from()))
            .add(design.sentence())
            .add(together)
            .add(Finding.fact("adjustment", new Value.Words("holm")))
            .add(new SubAnswers("pairs", pairs.stream().map(SurveyPair::order).toList(), answers))
            .add(pairByPair(pairs))
            .add(differences(pairs));
    Double margin = claim.largest();
    if (margin != null && claim.goal() == ComparisonGoal.DIFFERENCE) {
      answer.add(
          CompareGroupsFindings.within(
              margin,
              pairs.stream()
                  .filter(SurveyPair::decided)
                  .filter(pair -> claim.hasWithinMargin(pair.interval(Side.TWO_SIDED)))
                  .map(SurveyPair::order)
                  .toList()));
    }
    return answer
        .conditions(design.conditions())
        .cautions(cautions)
        .concluded(pairs.get(0).preference().onEachPair(verdict));
  }

  private Sheet pairByPair(List<SurveyPair> pairs) {
    Sheet sheet =
        Sheet.read(
            "Pair by pair: "
                + Claims.hypotheses(claim, "the first", "the second", question.alpha()),
            Column.words(),
            Column.words(),
            Column.words(),
            Column.numbers("p"),
            Column.numbers("Holm p"),
            Column.words("adjusted"));
    for (SurveyPair pair : pairs) {
      for (TestResult test : pair.tests()) {
        boolean decided = pair.decided();
        sheet.row(
            pair.order(),
            test.method().id(),
            statistic(test),
            decided ? Value.p(test.log10PValue()) : Value.none(),
            decided ? Holm.shown(test) : Value.none(),
            !decided
                ? "can't be decided"
                : test.rejectsAdjusted(question.alpha()) ? "rejects" : "does not");
      }
    }
    return sheet;
  }

  private Intervals differences(List<SurveyPair> pairs) {
    boolean differences =
        pairs.stream()
            .filter(SurveyPair::decided)
            .findFirst()
            .map(SurveyPair::hasDifference)
            .orElse(true);
    Intervals intervals =
        Intervals.read(
            say(
                "%s, level %s, each for itself",
                differences ? "Differences in points" : "Ratios",
                Figures.exactPercent(question.level())));
    for (SurveyPair pair : pairs) {
      pair.intervals().stream()
          .filter(each -> each.side() == Side.TWO_SIDED)
          .filter(each -> each.quantity() == Estimand.DIFFERENCE || !differences)
          .forEach(each -> intervals.row(each, "", pair.order(), each.method().id()));
      if (differences) {
        intervals.row(simple(pair).interval(), "as if simple random", pair.order(), "");
      }
    }
    return intervals;
  }
}
