package dev.tavik.study.rate;

import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedProportion;
import java.util.List;

/**
 * The results of all methods for one rate of a designed sample.
 *
 * @param name whose rate it is
 * @param level the level of its group; empty without groups
 * @param proportion the estimate
 * @param made the tests
 * @param refusals the tests that declined
 * @param limits the intervals, each followed by its bound if there is one
 * @param without the intervals that declined
 * @param preference what the verdict rests on
 */
record SurveyRate(
    String name,
    String level,
    DesignedProportion proportion,
    List<TestResult> made,
    List<NotApplicable> refusals,
    List<Interval> limits,
    List<NotApplicable> without,
    VerdictBasis preference) {

  DesignFindings.Group group() {
    return new DesignFindings.Group(name, proportion);
  }

  TestResult test() {
    return preference.among(made);
  }

  Interval interval(Side side) {
    return preference.among(limits, side);
  }

  SurveyRate with(List<TestResult> adjusted) {
    return new SurveyRate(name, level, proportion, adjusted, refusals, limits, without, preference);
  }
}
