package dev.tavik.study.rate;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.result.Estimate;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.SampleData;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a rate is asked of: trials, a sample from a lot, or a designed sample. */
interface RateData extends SampleData {
  double value();

  Estimate estimate(String name);

  /** What the rate is from, such as {@code 14 of 400}. */
  String counts();

  /** The lot that the trials were drawn from; null for none. */
  default @Nullable Long lot() {
    return null;
  }

  /** The figures of the data, for programs. */
  Value.Fields figures();

  Finding observed(Estimate estimate);

  /** An empty table of tests. */
  Tests tests(String heading, double alpha);

  /** The statistic of a test, as the table shows it. */
  Value statistic(TestResult test);

  /** What only such data add to tests and intervals. */
  List<Finding> beside(RateFound found);

  /** What only such data add at the end. */
  default List<Finding> after(RateFound found) {
    return List.of();
  }

  List<Condition> conditions(RateFound found);

  /** What to be careful of, the gravest first. */
  List<Caution> cautions(RateFound found);
}
