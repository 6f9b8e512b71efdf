package dev.tavik.study.rate;

import dev.tavik.answer.Verdict;
import dev.tavik.phrase.RateVerdicts;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.VerdictBasis;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The results of all methods for one rate; verdict, cautions and findings are derived from it.
 *
 * @param asked what is asked
 * @param name whose rate it is; empty for the only one
 * @param data what it is asked of
 * @param made tests and intervals
 * @param basis what the verdict rests on
 */
record RateFound(
    RateAsked asked, String name, RateData data, MethodResults made, VerdictBasis basis) {

  TestResult test() {
    return basis.among(made.tests());
  }

  Interval interval(Side side) {
    return basis.among(made.intervals(), side);
  }

  DecisionCautions decisions() {
    return new DecisionCautions(made.tests(), asked.alpha(), test());
  }

  RateVerdicts.Rate phrase() {
    Side matching = asked.hypothesis().alternative().matchingSide();
    return new RateVerdicts.Rate(name, data.value(), data.counts(), test(), interval(matching));
  }

  Verdict verdict() {
    return basis.on(RateVerdicts.one(phrase(), data.lot(), asked.hypothesis(), asked.alpha()));
  }

  RateFound with(List<TestResult> adjusted) {
    return new RateFound(asked, name, data, made.with(adjusted), basis);
  }

  RateFound with(RateData other) {
    return new RateFound(asked, name, other, made, basis);
  }

  /** The members of a family, their tests adjusted by Holm's method. */
  static List<RateFound> adjusted(List<RateFound> alone) {
    List<List<TestResult>> tests =
        Holm.adjust(alone.stream().map(each -> each.made().tests()).toList());
    return IntStream.range(0, alone.size()).mapToObj(i -> alone.get(i).with(tests.get(i))).toList();
  }
}
