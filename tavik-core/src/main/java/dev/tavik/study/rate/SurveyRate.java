package dev.tavik.study.rate;

import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedProportion;
import java.util.List;

/**
 * The results of all methods for one rate of a designed sample.
 *
 * @param name whose rate it is
 * @param level the level of its group; empty without groups
 * @param proportion the estimate
 * @param made tests and intervals
 * @param preference what the verdict rests on
 */
record SurveyRate(
    String name,
    String level,
    DesignedProportion proportion,
    MethodResults made,
    VerdictBasis preference) {

  DesignFindings.Group group() {
    return new DesignFindings.Group(name, proportion);
  }

  TestResult test() {
    return preference.among(made.tests());
  }

  Interval interval(Side side) {
    return preference.among(made.intervals(), side);
  }

  SurveyRate with(List<TestResult> adjusted) {
    return new SurveyRate(name, level, proportion, made.with(adjusted), preference);
  }
}
