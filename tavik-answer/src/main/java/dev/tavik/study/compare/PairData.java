package dev.tavik.study.compare;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.result.Estimate;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.SampleData;
import java.util.List;
import java.util.Optional;

/** What two rates are compared of: two tallies, or two groups of a designed sample. */
interface PairData extends SampleData {
  /**
   * A group whose rate is compared.
   *
   * @param name its name
   * @param value its rate
   * @param counts what the rate is from, such as {@code 14 of 400}
   */
  record Rate(String name, double value, String counts) {
    String beside(Rate other) {
      return ComparisonVerdicts.rate(name, value, other.value(), counts);
    }
  }

  Rate first();

  Rate second();

  /** Which is taken from which, in words. */
  default String order() {
    return first().name() + " minus " + second().name();
  }

  /** The estimates of both groups, then those of the effects. */
  List<Estimate> estimates();

  /** The figures of the data, for programs. */
  Value.Fields figures();

  Sheet observed();

  /** What the table of effects says of an estimate. */
  default String remark(Estimate effect) {
    return effect.label();
  }

  /** How many units make a difference of one success; empty if that isn't told of such data. */
  default Optional<NumberNeeded> numberNeeded(CompareFound found) {
    return Optional.empty();
  }

  /** An empty table of tests. */
  Tests tests(String heading, double alpha);

  /** The statistic of a test, as the table shows it. */
  Value statistic(TestResult test);

  /** What only such data add to tests and intervals. */
  default List<Finding> beside(CompareFound found) {
    return List.of();
  }

  /** What only such data add at the end. */
  default List<Finding> after(CompareFound found) {
    return List.of();
  }

  List<Condition> conditions();

  /** What to be careful of because of the data. */
  List<Caution> cautions(CompareFound found);
}
