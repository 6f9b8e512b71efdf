package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Puts the answer about every pair of several groups together.
 *
 * @param asked what is asked of each pair
 * @param data what is compared
 * @param pairs what was found of each pair, tests adjusted
 * @param answers the answer about each pair
 */
record CompareGroupsFindings(
    CompareAsked asked, PairsData data, List<CompareFound> pairs, List<Answer> answers) {

  Answer answer(List<Caution> cautions) {
    List<TestResult> overall = data.overall();
    AnswerBuilder answer =
        asked
            .begin(asked.label(), Value.fields())
            .addAll(data.about())
            .add(Finding.fact("groups", data.figures()))
            .addAll(observed())
            .addAll(Observed.source(asked.question().from()))
            .addAll(data.context())
            .add(together(overall))
            .add(Finding.fact("adjustment", new Value.Words("holm")))
            .add(new SubAnswers("pairs", pairs.stream().map(CompareFound::order).toList(), answers))
            .cautions(cautions);
    Verdict verdict = verdict(overall.get(0));
    if (pairs.isEmpty()) {
      return answer.concluded(verdict);
    }
    return answer
        .addAll(eachPair())
        .conditions(data.conditions(pairs))
        .concluded(pairs.get(0).basis().onEachPair(verdict));
  }

  private Verdict verdict(TestResult overall) {
    return ComparisonVerdicts.groups(
        asked.label(),
        data.names().size(),
        data.baseline(),
        overall,
        decided().stream().map(CompareFound::phrase).toList(),
        pairs.stream().filter(pair -> !pair.decided()).map(CompareFound::order).toList(),
        asked.claim(),
        asked.alpha());
  }

  private List<CompareFound> decided() {
    return pairs.stream().filter(CompareFound::decided).toList();
  }

  private List<Finding> observed() {
    return ShownMembers.needed(data.names().size())
        ? List.of(
            data.ends().at(Depth.CUT),
            Finding.say(new Block.Rest("All groups")).at(Depth.CUT),
            data.observed().at(Depth.WHOLE))
        : List.of(data.observed());
  }

  private Tests together(List<TestResult> overall) {
    Tests tests =
        Tests.ofTables(
                "All groups together: null, the same proportion in every group", asked.alpha())
            .keyed("overall");
    overall.forEach(test -> tests.made(test, Tests.shown(test.statistic(), 4, "no statistic")));
    return tests;
  }

  private List<Finding> eachPair() {
    List<Finding> findings = new ArrayList<>();
    Depth whole = Depth.ALWAYS;
    if (ShownMembers.needed(pairs.size())) {
      whole = Depth.WHOLE;
      if (!decided().isEmpty()) {
        findings.add(clearest().at(Depth.CUT));
      }
      findings.add(
          Finding.say(new Block.Rest("Every pair, every test and interval")).at(Depth.CUT));
    }
    findings.add(pairByPair().at(whole));
    for (Estimand quantity : data.quantities()) {
      findings.add(intervals(quantity).at(whole));
    }
    Double margin = asked.claim().largest();
    if (margin != null && asked.claim().goal() == ComparisonGoal.DIFFERENCE) {
      findings.add(within(margin).at(whole));
    }
    for (Finding each : data.after(pairs, answers)) {
      findings.add(each.at(whole));
    }
    return findings;
  }

  private Sheet clearest() {
    List<CompareFound> shown =
        ShownMembers.first(
            decided(), Comparator.comparingDouble(pair -> pair.test().log10PValue()));
    boolean points = shown.get(0).interval().quantity() == Estimand.DIFFERENCE;
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
      Interval interval = pair.interval(Side.TWO_SIDED);
      sheet.row(
          pair.order(),
          Value.of(interval.quantity(), interval.lower()),
          "to",
          Value.of(interval.quantity(), interval.upper()),
          Holm.shown(pair.test()),
          decision(pair.test()));
    }
    return sheet;
  }

  private String claim() {
    return asked.hypotheses("the first", "the second");
  }

  private String decision(TestResult test) {
    return test.rejectsAdjusted(asked.alpha()) ? "rejects" : "does not";
  }

  private Sheet pairByPair() {
    Sheet sheet =
        Sheet.read(
            "Pair by pair: " + claim(),
            Column.words(),
            Column.words(),
            data.statistic(),
            Column.numbers("p"),
            Column.numbers("Holm p"),
            Column.words("adjusted"));
    for (CompareFound pair : pairs) {
      String name = pair.order();
      for (TestResult test : pair.tests()) {
        sheet.row(
            name,
            test.method().id(),
            data.statistic(test),
            Value.p(test.log10PValue()),
            Holm.shown(test),
            decision(test));
        name = "";
      }
      for (NotApplicable refusal : pair.made().refusals()) {
        String decided = pair.decided() ? "" : "can't be decided";
        sheet.row(name, refusal.method().id(), "", "not made", "", decided);
        name = "";
      }
    }
    return sheet;
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
            what + ", level " + Figures.exactPercent(asked.level()),
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
          sheet.row(
              name,
              name.isEmpty()
                  ? Value.none()
                  : CompareFindings.figure(answers.get(i).estimate(quantity)),
              interval.method().id(),
              Value.of(quantity, interval.lower()),
              "to",
              Value.of(quantity, interval.upper()));
          name = "";
        }
      }
      if (quantity == Estimand.DIFFERENCE) {
        data.beside(pairs.get(i), name, sheet);
      }
    }
    return sheet;
  }

  private Finding within(double margin) {
    List<String> within =
        pairs.stream().filter(CompareFound::isWithinMargin).map(CompareFound::order).toList();
    return Finding.sentence(
        say(
            "The margin is %s; wholly within it: %s.",
            Figures.shortPoints(margin), within.isEmpty() ? "none" : String.join(", ", within)));
  }
}
