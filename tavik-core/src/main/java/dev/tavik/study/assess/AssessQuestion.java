package dev.tavik.study.assess;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.result.Quantity;
import dev.tavik.simulation.Performance;
import java.util.ArrayList;
import java.util.List;

/**
 * How do methods behave with samples of this size: what is the true coverage of intervals, the true
 * size of tests?
 *
 * @param label the analyst's name for it, empty for none
 * @param sizes the size of the sample, or of both groups
 * @param rates the true rates to look at: of one sample each, of two groups the first and the
 *     second in turn
 * @param level the confidence level
 * @param alpha the significance level
 * @param alternative the direction of tests
 * @param intervals the intervals of one rate
 * @param tests the tests of one rate
 * @param comparisons the intervals of two
 * @param comparisonTests the tests of two
 */
public record AssessQuestion(
    String label,
    List<Long> sizes,
    List<Double> rates,
    double level,
    double alpha,
    Alternative alternative,
    List<ProportionInterval> intervals,
    List<ProportionTest> tests,
    List<ComparisonInterval> comparisons,
    List<TwoProportionTest> comparisonTests)
    implements Question {

  /**
   * Checks and copies the parts.
   *
   * @throws IllegalArgumentException if there aren't one or two sizes, or as many rates for each
   *     line as sizes, or a number is out of its range
   */
  public AssessQuestion {
    sizes = List.copyOf(sizes);
    rates = List.copyOf(rates);
    intervals = List.copyOf(intervals);
    tests = List.copyOf(tests);
    comparisons = List.copyOf(comparisons);
    comparisonTests = List.copyOf(comparisonTests);
    require(
        !sizes.isEmpty() && sizes.size() <= 2 && !rates.isEmpty(),
        "methods are assessed for one size or two, and for a rate or more");
    require(rates.size() % sizes.size() == 0, "two groups have a rate each, got %s", rates);
    Proportion.require("level", level);
    Proportion.require("alpha", alpha);
  }

  /**
   * Answers the question.
   *
   * @return how the methods behave
   * @throws IllegalArgumentException if a size or a rate is out of its range
   */
  /**
   * The same question with a name, used in the answer.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public AssessQuestion named(String name) {
    return new AssessQuestion(
        name,
        sizes,
        rates,
        level,
        alpha,
        alternative,
        intervals,
        tests,
        comparisons,
        comparisonTests);
  }

  @Override
  public Answer ask() {
    Assessed found = new Assessed(this, sizes.size() == 1 ? ofRate() : ofComparison());
    return Answer.to(this, "assess", label)
        .add(Finding.fact("n", Value.counts(sizes)))
        .add(Finding.fact("level", Value.number(level)))
        .add(Finding.fact("alpha", Value.number(alpha)))
        .add(Finding.fact("alternative", new Value.Words(alternative.id())))
        .add(found)
        .concluded(Verdict.of(found.conclusion()));
  }

  private List<Assessed.Line> ofRate() {
    Performance performance = Performance.ofRate(sizes.get(0));
    List<Assessed.Line> lines = new ArrayList<>();
    for (double p : rates) {
      List<Assessed.Covered> covered =
          intervals.stream()
              .map(
                  method ->
                      new Assessed.Covered(
                          Quantity.PROPORTION, method, performance.of(method, level, p)))
              .toList();
      List<Assessed.Rejecting> rejecting =
          tests.stream()
              .map(
                  method ->
                      new Assessed.Rejecting(
                          method,
                          performance.rejects(method, new Hypothesis(p, alternative), alpha, p)))
              .toList();
      lines.add(new Assessed.Line(List.of(p), covered, rejecting, 0));
    }
    return lines;
  }

  private List<Assessed.Line> ofComparison() {
    Performance performance = Performance.ofComparison(sizes.get(0), sizes.get(1));
    List<Assessed.Line> lines = new ArrayList<>();
    for (int i = 0; i < rates.size(); i += 2) {
      double p1 = rates.get(i);
      double p2 = rates.get(i + 1);
      List<Assessed.Covered> covered =
          comparisons.stream()
              .map(
                  method ->
                      new Assessed.Covered(
                          method.quantity(), method, performance.of(method, level, p1, p2)))
              .toList();
      List<Assessed.Rejecting> rejecting =
          comparisonTests.stream()
              .map(
                  method ->
                      new Assessed.Rejecting(
                          method,
                          performance.rejects(
                              method, new Hypothesis(0, alternative), alpha, p1, p2)))
              .toList();
      lines.add(
          new Assessed.Line(
              List.of(p1, p2),
              covered,
              rejecting,
              performance.draws(p1, p2) ? Performance.DRAWN : 0));
    }
    return lines;
  }
}
