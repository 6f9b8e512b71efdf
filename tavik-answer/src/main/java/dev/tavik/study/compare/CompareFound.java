package dev.tavik.study.compare;

import dev.tavik.answer.Verdict;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;

/**
 * The results of all methods for two groups; verdict, cautions and findings are derived from it.
 *
 * @param asked what is asked
 * @param data what is compared
 * @param made tests and intervals; no test if the data can't decide
 * @param alone whether they are the only pair
 * @param oneSided the one-sided tests behind a p-value, where there are two
 * @param basis what the verdict rests on
 */
record CompareFound(
    CompareAsked asked,
    PairData data,
    boolean alone,
    MethodResults made,
    List<DirectedTest> oneSided,
    VerdictBasis basis) {

  ComparisonClaim claim() {
    return asked.claim();
  }

  double alpha() {
    return asked.alpha();
  }

  String one() {
    return data.first().name();
  }

  String two() {
    return data.second().name();
  }

  /** Which is taken from which, in words. */
  String order() {
    return data.order();
  }

  /** The name of the answer, which is that of the pair where there are several. */
  String title() {
    return alone ? asked.label() : order();
  }

  double difference() {
    return data.first().value() - data.second().value();
  }

  List<TestResult> tests() {
    return made.tests();
  }

  List<Interval> intervals() {
    return made.intervals();
  }

  /** Whether there is a test that decides: without variance there is none. */
  boolean decided() {
    return !tests().isEmpty();
  }

  TestResult test() {
    return basis.among(tests());
  }

  Interval interval(Side side) {
    return basis.among(intervals(), side);
  }

  /** The interval of the verdict, which has the direction asked about. */
  Interval interval() {
    return interval(asked.matching());
  }

  boolean rejects() {
    return decided() && test().rejects(alpha());
  }

  boolean isWithinMargin() {
    return decided() && claim().hasWithinMargin(interval(Side.TWO_SIDED));
  }

  DecisionCautions decisions() {
    return new DecisionCautions(tests(), alpha(), test());
  }

  ComparisonVerdicts.Pair phrase() {
    return new ComparisonVerdicts.Pair(
        one(),
        two(),
        data.first().beside(data.second()) + ", " + data.second().beside(data.first()),
        difference(),
        test(),
        interval());
  }

  Verdict verdict() {
    String label = alone ? asked.label() : "";
    return decided()
        ? basis.on(ComparisonVerdicts.pair(label, phrase(), claim(), alpha()))
        : ComparisonVerdicts.undecided(
            label,
            data.first().beside(data.second()),
            data.second().beside(data.first()),
            claim().goal());
  }

  CompareFound with(PairData other) {
    return new CompareFound(asked, other, alone, made, oneSided, basis);
  }

  /** The pairs of a family, their tests adjusted by Holm's method. */
  static List<CompareFound> adjusted(List<CompareFound> alone) {
    Iterator<List<TestResult>> tests =
        Holm.adjust(alone.stream().filter(CompareFound::decided).map(CompareFound::tests).toList())
            .iterator();
    List<CompareFound> adjusted = new ArrayList<>();
    for (CompareFound pair : alone) {
      adjusted.add(
          pair.decided()
              ? new CompareFound(
                  pair.asked,
                  pair.data,
                  pair.alone,
                  pair.made.with(tests.next()),
                  pair.oneSided,
                  pair.basis)
              : pair);
    }
    return adjusted;
  }
}
