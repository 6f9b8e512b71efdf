package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.SampleData;
import java.util.List;

/** The rates that a question is about, and what is said of several beyond what is said of each. */
interface Rates extends SampleData {
  /** Whether there is one rate alone; else each group has one. */
  boolean alone();

  /** What was found of each, tests not adjusted. */
  List<RateFound> found();

  /** The same results with the Bayesian view beside, where it is wanted. */
  default RateFound believed(RateFound found) {
    return found;
  }

  /** What to be careful of in the data of all. */
  List<Caution> cautions(List<RateFound> groups);

  /** The table of what was observed in each group. */
  Sheet observed(List<RateFound> groups);

  /** The table of the highest and the lowest rates, where there are too many to read. */
  Sheet ends(List<RateFound> groups);

  /** What {@link #ends} leaves out. */
  String rest(int groups);

  /** The column of statistics in the table of tests. */
  Column statistic();

  /** The statistic of a test, as its column shows it. */
  Value statistic(TestResult test);

  /** Adds an interval of a group that stands beside those of the methods. */
  default void beside(RateFound group, Intervals to) {}

  /** What only such data add at the end. */
  default List<Finding> after(List<RateFound> groups, List<Answer> answers) {
    return List.of();
  }

  List<Condition> conditions(List<RateFound> groups);
}
