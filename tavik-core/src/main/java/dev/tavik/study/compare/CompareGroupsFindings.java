package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.bayes.Credible;
import dev.tavik.count.NamedTally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Claims;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Puts the answer about every pair of several groups together. */
final class CompareGroupsFindings {
  private final CompareGroupsQuestion question;
  private final CompareSettings settings;
  private final List<CompareFound> pairs;
  private final List<Answer> answers;

  CompareGroupsFindings(
      CompareGroupsQuestion question, List<CompareFound> pairs, List<Answer> answers) {
    this.question = question;
    this.settings = question.settings();
    this.pairs = pairs;
    this.answers = answers;
  }

  Answer answer(List<TestResult> overall, List<Caution> cautions, Verdict verdict) {
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.COMPARE, question.label())
            .add(Finding.fact("input", Observed.input(question.from())))
            .add(
                Finding.fact(
                    "hypothesis", CompareFindings.hypothesis(settings.claim(), settings.alpha())))
            .add(Finding.fact("groups", Value.list(question.groups(), Observed::figures)));
    observed(answer);
    answer
        .addAll(Observed.source(question.from()))
        .add(overall(overall))
        .add(Finding.fact("adjustment", new Value.Words("holm")))
        .add(new SubAnswers("pairs", pairs.stream().map(CompareFound::order).toList(), answers));
    if (pairs.isEmpty()) {
      return answer.cautions(cautions).concluded(verdict);
    }
    pairs(answer);
    return answer
        .conditions(conditions())
        .cautions(cautions)
        .concluded(pairs.get(0).preference().onEachPair(verdict));
  }

  private void observed(AnswerBuilder answer) {
    List<NamedTally> groups = question.groups();
    Sheet whole = Observed.groups("Observed", groups);
    if (!ShownMembers.needed(groups.size())) {
      answer.add(whole);
      return;
    }
    int half = ShownMembers.MOST_ROWS / 2;
    answer
        .add(
            Observed.groups(
                    say(
                        "Observed, the %d highest and the %d lowest rates of %s groups",
                        half, half, Figures.count(groups.size())),
                    ShownMembers.ends(groups, group -> group.tally().proportion()))
                .at(Depth.CUT))
        .add(Finding.say(new Block.Rest("All groups")).at(Depth.CUT))
        .add(whole.at(Depth.WHOLE));
  }

  private Tests overall(List<TestResult> overall) {
    Tests tests =
        Tests.ofTables(
                "All groups together: null, the same proportion in every group", settings.alpha())
            .keyed("overall");
    overall.forEach(test -> tests.made(test, Tests.shown(test.statistic(), 4, "no statistic")));
    return tests;
  }

  private void pairs(AnswerBuilder answer) {
    Depth whole = Depth.ALWAYS;
    if (ShownMembers.needed(pairs.size())) {
      whole = Depth.WHOLE;
      answer
          .add(clearest().at(Depth.CUT))
          .add(Finding.say(new Block.Rest("Every pair, every test and interval")).at(Depth.CUT));
    }
    answer.add(pairByPair().at(whole));
    for (Estimand quantity : quantities()) {
      answer.add(intervals(quantity).at(whole));
    }
    Double margin = settings.claim().largest();
    if (margin != null && settings.claim().goal() == ComparisonGoal.DIFFERENCE) {
      answer.add(within(margin).at(whole));
    }
    if (settings.bayes() != null) {
      answer.add(beliefs().at(whole));
    }
  }

  private Sheet clearest() {
    List<CompareFound> shown =
        ShownMembers.first(
            pairs, Comparator.comparingDouble(pair -> pair.preferredTest().log10PValue()));
    boolean points = pairs.get(0).preferredInterval().quantity() == Estimand.DIFFERENCE;
    Sheet sheet =
        Sheet.read(
            say(
                "The %d pairs of %s with the smallest p: %s",
                shown.size(), Figures.count(pairs.size()), claim()),
            Column.words(),
            Column.numbers(points ? "points" : "times"),
            Column.words(),
            Column.numbers(""),
            Column.numbers("Holm p"),
            Column.words("adjusted"));
    for (CompareFound pair : shown) {
      Interval interval = twoSided(pair);
      sheet.row(
          pair.order(),
          Value.of(interval.quantity(), interval.lower()),
          "to",
          Value.of(interval.quantity(), interval.upper()),
          Holm.shown(pair.preferredTest()),
          decision(pair.preferredTest()));
    }
    return sheet;
  }

  private String claim() {
    return Claims.hypotheses(settings.claim(), "the first", "the second", settings.alpha());
  }

  private static Interval twoSided(CompareFound pair) {
    Interval preferred = pair.preferredInterval();
    return pair.intervals().stream()
        .filter(
            each ->
                each.side() == Side.TWO_SIDED
                    && each.quantity() == preferred.quantity()
                    && each.method() == preferred.method())
        .findFirst()
        .orElseThrow();
  }

  private String decision(TestResult test) {
    return test.rejectsAdjusted(settings.alpha()) ? "rejects" : "does not";
  }

  private Sheet pairByPair() {
    Sheet sheet =
        Sheet.read(
            "Pair by pair: " + claim(),
            Column.words(),
            Column.words(),
            Column.numbers("z"),
            Column.numbers("p"),
            Column.numbers("Holm p"),
            Column.words("adjusted"));
    for (CompareFound pair : pairs) {
      String name = pair.order();
      for (TestResult test : pair.tests()) {
        sheet.row(
            name,
            test.method().id(),
            Holm.z(test),
            Value.p(test.log10PValue()),
            Holm.shown(test),
            decision(test));
        name = "";
      }
      for (NotApplicable refusal : pair.made().refusals()) {
        sheet.row(name, refusal.method().id(), "", "not made", "", "");
      }
    }
    return sheet;
  }

  /** The quantities of the chosen intervals; the difference if none were chosen. */
  private Set<Estimand> quantities() {
    Set<Estimand> asked = new LinkedHashSet<>();
    boolean chosen = !settings.intervals().equals(CompareSettings.usual().intervals());
    for (ComparisonInterval interval : settings.intervals()) {
      if (chosen || interval.quantity() == Estimand.DIFFERENCE) {
        asked.add(interval.quantity());
      }
    }
    return asked;
  }

  private Sheet intervals(Estimand quantity) {
    String what =
        switch (quantity) {
          case DIFFERENCE -> "Differences in points";
          case RATIO -> "Ratios, the first by the second";
          default -> "Odds ratios, the first by the second";
        };
    Sheet sheet =
        Sheet.read(
            what + ", level " + Figures.exactPercent(settings.level()),
            Column.words(),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    for (int i = 0; i < pairs.size(); i++) {
      String name = pairs.get(i).order();
      for (Interval interval : pairs.get(i).intervals()) {
        if (interval.quantity() == quantity && interval.side() == Side.TWO_SIDED) {
          double value = answers.get(i).estimate(quantity).value();
          sheet.row(
              name,
              name.isEmpty()
                  ? Value.none()
                  : quantity == Estimand.DIFFERENCE
                      ? Value.points(value)
                      : CompareFindings.number(value),
              interval.method().id(),
              Value.of(quantity, interval.lower()),
              "to",
              Value.of(quantity, interval.upper()));
          name = "";
        }
      }
    }
    return sheet;
  }

  private Finding within(double margin) {
    return within(
        margin,
        pairs.stream()
            .filter(pair -> settings.claim().hasWithinMargin(pair.preferredInterval()))
            .map(CompareFound::order)
            .toList());
  }

  /** Which pairs differ by less than a margin. */
  static Finding within(double margin, List<String> within) {
    return Finding.sentence(
        say(
            "The margin is %s; wholly within it: %s.",
            Figures.shortPoints(margin), within.isEmpty() ? "none" : String.join(", ", within)));
  }

  private Sheet beliefs() {
    Sheet sheet =
        Sheet.read(
            say(
                "Bayesian view: how many times likelier; the first higher; the difference at %s, in"
                    + " points",
                Figures.exactPercent(settings.level())),
            Column.words(),
            Column.numbers("times"),
            Column.words("if"),
            Column.numbers("P(higher)"),
            Column.numbers("equal-tailed"),
            Column.words(),
            Column.numbers(""));
    for (int i = 0; i < pairs.size(); i++) {
      Posterior posterior = answers.get(i).find(Posterior.class).orElseThrow();
      Credible interval = posterior.beliefs().get(0).credible().get(0);
      sheet.row(
          pairs.get(i).order(),
          Priors.times(posterior.logBayesFactor()),
          CompareBelief.favoured(
              posterior,
              settings.claim().goal() == ComparisonGoal.DIFFERENCE
                  ? settings.hypothesis().alternative()
                  : Alternative.TWO_SIDED),
          Value.Share.PROBABILITY.of(posterior.above().orElseThrow()),
          Value.points(interval.lower()),
          "to",
          Value.points(interval.upper()));
    }
    return sheet;
  }

  private List<Condition> conditions() {
    List<Condition> conditions = new ArrayList<>();
    for (CompareFound pair : pairs) {
      conditions.addAll(Assumptions.failed(pair.order(), CompareFindings.conditions(pair)));
    }
    if (conditions.isEmpty()) {
      conditions.add(Assumptions.expectedOfEveryPair());
    }
    conditions.addAll(Assumptions.notTestable(CompareFindings.conditions(pairs.get(0))));
    return conditions;
  }
}
