package dev.tavik.study.assess;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Curves;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.simulation.Performance;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import java.util.ArrayList;
import java.util.List;

/**
 * How do methods behave with samples of this size? True coverage of intervals, true size and power
 * of tests, of one rate or of two.
 *
 * @param label a name for it, empty for none
 * @param sizes how many trials, or how many in each of two groups
 * @param rates the true rates; of two groups the first and the second in turn
 * @param alternative the alternative of the tests
 * @param choices alpha, level, tests and intervals: of one rate or of two, as the sizes say
 */
public record AssessQuestion(
    String label,
    List<Long> sizes,
    List<Double> rates,
    Alternative alternative,
    InferenceOptions<Method, Method> choices)
    implements Question, InferenceSettings<AssessQuestion, Method, Method> {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there is no size or more than two, no rate, not one rate a
   *     group, or a method that isn't of as many rates
   */
  public AssessQuestion {
    sizes = List.copyOf(sizes);
    rates = List.copyOf(rates);
    require(
        !sizes.isEmpty() && sizes.size() <= 2 && !rates.isEmpty(),
        "methods are assessed for one size or two, and for a rate or more");
    require(rates.size() % sizes.size() == 0, "two groups have a rate each, got %s", rates);
    boolean one = sizes.size() == 1;
    for (Method test : choices.tests()) {
      require(
          one ? test instanceof ProportionTest : test instanceof TwoProportionTest,
          "tests must be of %s, got %s",
          one ? "one rate" : "two rates",
          test.id());
    }
    for (Method interval : choices.intervals()) {
      require(
          one ? interval instanceof ProportionInterval : interval instanceof ComparisonInterval,
          "intervals must be of %s, got %s",
          one ? "one rate" : "two rates",
          interval.id());
    }
  }

  /**
   * Asks about methods of one rate: {@code score} and {@code exact}, {@code wald}, {@code wilson}
   * and {@code clopper-pearson} unless others are chosen.
   *
   * @param n the size of the sample
   * @param rates the true rates, each strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if there is no rate
   */
  public static AssessQuestion rate(long n, List<Double> rates) {
    return new AssessQuestion(
        "",
        List.of(n),
        rates,
        Alternative.TWO_SIDED,
        InferenceOptions.of(
            List.of(ProportionTest.SCORE, ProportionTest.EXACT),
            List.of(
                ProportionInterval.WALD,
                ProportionInterval.WILSON,
                ProportionInterval.CLOPPER_PEARSON)));
  }

  /**
   * Asks about methods of two rates: {@code z-pooled} and {@code fisher}, {@code wald}, {@code
   * newcombe} and {@code mee} unless others are chosen.
   *
   * @param first the size of the first group
   * @param second the size of the second
   * @param rates the true rates, the first and the second in turn, each strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if there is no rate, or an odd number of them
   */
  public static AssessQuestion compare(long first, long second, List<Double> rates) {
    return new AssessQuestion(
        "",
        List.of(first, second),
        rates,
        Alternative.TWO_SIDED,
        InferenceOptions.of(
            List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER),
            List.of(
                ComparisonInterval.DIFFERENCE_WALD,
                ComparisonInterval.DIFFERENCE_NEWCOMBE,
                ComparisonInterval.DIFFERENCE_MEE)));
  }

  /**
   * {@return the same question with a name}
   *
   * @param name the name
   */
  public AssessQuestion named(String name) {
    return new AssessQuestion(name, sizes, rates, alternative, choices);
  }

  /**
   * {@return the same question about tests with another alternative}
   *
   * @param direction the direction
   */
  public AssessQuestion alternative(Alternative direction) {
    return new AssessQuestion(label, sizes, rates, direction, choices);
  }

  @Override
  public AssessQuestion choices(InferenceOptions<Method, Method> changed) {
    return new AssessQuestion(label, sizes, rates, alternative, changed);
  }

  @Override
  public Answer ask() {
    Assessed found = new Assessed(this, lines());
    return Answer.to(this, AnswerKind.ASSESS, label)
        .add(Finding.fact("n", Value.counts(sizes)))
        .add(Finding.fact("level", Value.number(level())))
        .add(Finding.fact("alpha", Value.number(alpha())))
        .add(Finding.fact("alternative", new Value.Words(alternative.id())))
        .add(found)
        .add(Curves.of(Curves.Kind.COVERAGE_OVER_RATES, () -> CoveragePlot.of(this)))
        .concluded(Verdict.of(found.conclusion()));
  }

  /** The coverage of the intervals over other rates. */
  List<Assessed.AssessedRate> over(List<Double> others) {
    return new AssessQuestion(label, sizes, others, alternative, choices).tests(List.of()).lines();
  }

  private List<Assessed.AssessedRate> lines() {
    return sizes.size() == 1 ? ofRate() : ofComparison();
  }

  private List<Assessed.AssessedRate> ofRate() {
    Performance performance = Performance.ofRate(sizes.get(0));
    List<Assessed.AssessedRate> lines = new ArrayList<>();
    for (double p : rates) {
      List<Assessed.Covered> covered =
          intervals().stream()
              .map(ProportionInterval.class::cast)
              .map(
                  method ->
                      new Assessed.Covered(
                          Estimand.PROPORTION, method, performance.of(method, level(), p)))
              .toList();
      List<Assessed.Rejecting> rejecting =
          tests().stream()
              .map(ProportionTest.class::cast)
              .map(
                  method ->
                      new Assessed.Rejecting(
                          method,
                          performance.rejects(method, new Hypothesis(p, alternative), alpha(), p)))
              .toList();
      lines.add(new Assessed.AssessedRate(List.of(p), covered, rejecting, 0));
    }
    return lines;
  }

  private List<Assessed.AssessedRate> ofComparison() {
    Performance performance = Performance.ofComparison(sizes.get(0), sizes.get(1));
    List<Assessed.AssessedRate> lines = new ArrayList<>();
    for (int i = 0; i < rates.size(); i += 2) {
      double p1 = rates.get(i);
      double p2 = rates.get(i + 1);
      List<Assessed.Covered> covered =
          intervals().stream()
              .map(ComparisonInterval.class::cast)
              .map(
                  method ->
                      new Assessed.Covered(
                          method.quantity(), method, performance.of(method, level(), p1, p2)))
              .toList();
      List<Assessed.Rejecting> rejecting =
          tests().stream()
              .map(TwoProportionTest.class::cast)
              .map(
                  method ->
                      new Assessed.Rejecting(
                          method,
                          performance.rejects(
                              method, new Hypothesis(0, alternative), alpha(), p1, p2)))
              .toList();
      lines.add(
          new Assessed.AssessedRate(
              List.of(p1, p2),
              covered,
              rejecting,
              performance.draws(p1, p2) ? Performance.DRAWN : 0));
    }
    return lines;
  }
}
