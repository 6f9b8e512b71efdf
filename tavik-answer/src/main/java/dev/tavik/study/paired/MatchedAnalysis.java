package dev.tavik.study.paired;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.count.MatchedTallies;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.PairedVerdicts;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.RepeatedMeasuresTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Discordance;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Puts the answer about several judgements of the same units together. */
final class MatchedAnalysis {
  private static final long FEW_UNITS = 24;

  private final MatchedQuestion question;
  private final MatchedTallies tallies;
  private final TestResult test;

  MatchedAnalysis(MatchedQuestion question) {
    this.question = question;
    this.tallies = question.tallies();
    this.test = RepeatedMeasuresTest.COCHRAN_Q.of(tallies);
  }

  private record Pair(String first, String second, double difference, TestResult test) {}

  Answer answer() {
    List<Pair> pairs = pairs();
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.COMPARE, question.label())
            .add(Finding.fact("input", input()))
            .add(
                Finding.fact(
                    "hypothesis",
                    Value.fields()
                        .with("quantity", Estimand.DIFFERENCE.id())
                        .with("against", 0.0)
                        .with("alternative", "two-sided")
                        .with("alpha", question.alpha())))
            .add(
                new Estimates(
                    rates().stream()
                        .map(
                            rate ->
                                new Estimate(
                                    Estimand.PROPORTION,
                                    rate.name(),
                                    rate.tally().proportion(),
                                    Double.NaN))
                        .toList()))
            .add(observed())
            .addAll(Observed.source(question.from()));
    return answer
        .add(
            Tests.ofTables(
                    "Tests: null, all have the same rate; alpha " + Figures.plain(question.alpha()),
                    question.alpha())
                .made(test, Tests.shown(test.statistic(), 4, "no statistic")))
        .add(Finding.fact("adjustment", new Value.Words("holm")))
        .add(shown(pairs))
        .conditions(conditions())
        .cautions(cautions())
        .concluded(conclusion(pairs).restingOn(test.method(), null, ""));
  }

  private List<NamedTally> rates() {
    return IntStream.range(0, tallies.names().size())
        .mapToObj(i -> new NamedTally(tallies.names().get(i), tallies.tally(i)))
        .toList();
  }

  private Value input() {
    return Observed.input(question.from())
        .with("paired", true)
        .with("groups", Value.list(rates(), Observed::figures));
  }

  private Sheet observed() {
    Sheet sheet =
        Sheet.read(
            "Observed: " + Figures.counted(tallies.units(), "unit", "units"),
            Column.words(),
            Column.counts(""),
            Column.numbers(""));
    rates()
        .forEach(
            rate ->
                sheet.row(
                    rate.name(),
                    rate.tally().toString(),
                    Value.Share.PLAIN.of(rate.tally().proportion())));
    return sheet;
  }

  private Sheet shown(List<Pair> pairs) {
    Sheet sheet =
        Sheet.of(
            "pairs",
            "Each two, difference in points; p adjusted by Holm's method, then as it is",
            Column.words(),
            Column.hidden("first"),
            Column.hidden("second"),
            Column.numbers("").keyed("difference"),
            Column.words(),
            Column.hidden("test"),
            Column.numbers("p, Holm").keyed(""),
            Column.numbers("p").keyed(""),
            Column.words());
    for (Pair pair : pairs) {
      sheet.row(
          pair.first() + " minus " + pair.second(),
          pair.first(),
          pair.second(),
          Value.points(pair.difference()),
          pair.test().method().id(),
          Tests.figures(pair.test(), question.alpha()),
          Holm.shown(pair.test()),
          Value.p(pair.test().log10PValue()),
          pair.test().rejectsAdjusted(question.alpha()) ? "rejects" : "does not reject");
    }
    return sheet;
  }

  private List<Pair> pairs() {
    List<int[]> positions = new ArrayList<>();
    List<PairedTally> paired = new ArrayList<>();
    for (int i = 0; i < tallies.names().size(); i++) {
      for (int j = i + 1; j < tallies.names().size(); j++) {
        positions.add(new int[] {i, j});
        paired.add(tallies.pair(i, j));
      }
    }
    PairedTest method =
        paired.stream().anyMatch(each -> Discordance.few(List.of(each.discordant())))
            ? PairedTest.MCNEMAR_EXACT
            : PairedTest.MCNEMAR;
    List<List<TestResult>> adjusted =
        Holm.adjust(
            paired.stream()
                .map(each -> List.of(method.of(each, Hypothesis.noDifference().alternative())))
                .toList());
    List<Pair> pairs = new ArrayList<>();
    for (int k = 0; k < paired.size(); k++) {
      pairs.add(
          new Pair(
              tallies.names().get(positions.get(k)[0]),
              tallies.names().get(positions.get(k)[1]),
              paired.get(k).difference(),
              adjusted.get(k).get(0)));
    }
    return pairs;
  }

  /** Units whose judgements are not all equal; only these distinguish the judgements. */
  private long telling() {
    List<Long> bySuccesses = tallies.bySuccesses();
    return tallies.units() - bySuccesses.get(0) - bySuccesses.get(bySuccesses.size() - 1);
  }

  private List<Condition> conditions() {
    long judged = telling() * tallies.names().size();
    return List.of(
        Assumptions.telling(telling(), tallies.names().size(), FEW_UNITS, judged >= FEW_UNITS),
        Assumptions.judgedByEach(tallies.names()));
  }

  private List<Caution> cautions() {
    List<Caution> cautions =
        new ArrayList<>(new DecisionCautions(List.of(test), question.alpha(), test).nearAlpha());
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, tallies.units()));
    }
    return cautions;
  }

  private Verdict conclusion(List<Pair> pairs) {
    return PairedVerdicts.repeated(
        question.label(),
        tallies.names().size(),
        tallies.units(),
        test,
        pairs.stream()
            .filter(pair -> pair.test().rejectsAdjusted(question.alpha()))
            .map(pair -> PairedVerdicts.apart(pair.first(), pair.difference(), pair.second()))
            .toList(),
        pairs.size(),
        question.alpha());
  }
}
