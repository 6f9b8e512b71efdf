package dev.tavik.study.compare;

import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedComparison;
import java.util.List;

/**
 * The results of all methods for two groups of a designed sample.
 *
 * @param one the name of the first
 * @param two the name of the second
 * @param compared the estimates
 * @param made tests and intervals; of two one-sided tests that with the larger p-value
 * @param oneSided both, where there are two
 * @param preference what the verdict rests on
 */
record SurveyPair(
    String one,
    String two,
    DesignedComparison compared,
    MethodResults made,
    List<DirectedTest> oneSided,
    VerdictBasis preference) {

  List<TestResult> tests() {
    return made.tests();
  }

  List<Interval> intervals() {
    return made.intervals();
  }

  DesignFindings.Group first() {
    return new DesignFindings.Group(one, compared.first());
  }

  DesignFindings.Group second() {
    return new DesignFindings.Group(two, compared.second());
  }

  List<DesignFindings.Group> groups() {
    return List.of(first(), second());
  }

  String order() {
    return one + " minus " + two;
  }

  /** Whether there is a test that decides: a group without variance leaves none. */
  boolean decided() {
    return tests().get(0).statistic() != null;
  }

  TestResult test() {
    return preference.among(tests());
  }

  Interval interval(Side side) {
    return preference.among(intervals(), side);
  }

  SurveyPair with(List<TestResult> adjusted) {
    return new SurveyPair(one, two, compared, made.with(adjusted), oneSided, preference);
  }

  double difference() {
    return compared.first().value() - compared.second().value();
  }

  boolean hasDifference() {
    return intervals().stream().anyMatch(each -> each.quantity() == Estimand.DIFFERENCE);
  }
}
