package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.phrase.Reasons;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.survey.DesignedDeviation;
import dev.tavik.survey.SurveyTableTest;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The tests of shares or of a table of a designed sample.
 *
 * @param deviation how far it is from the null
 * @param made the tests, the first of which the verdict rests on
 * @param refusals the tests that declined
 */
public record DesignTests(
    DesignedDeviation deviation, List<TestResult> made, List<NotApplicable> refusals) {

  /** Smallest effect that is planned for; a smaller one is a rounding error. */
  private static final double LEAST_PLANNED = 1e-4;

  public static DesignTests of(DesignedDeviation deviation, List<SurveyTableTest> wanted) {
    List<TestResult> made = new ArrayList<>();
    List<NotApplicable> refusals = new ArrayList<>();
    for (SurveyTableTest test : wanted) {
      try {
        made.add(test.of(deviation));
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(Refusals.of(test, e));
      }
    }
    if (made.isEmpty()) {
      made.add(standIn(deviation));
    }
    return new DesignTests(deviation, made, refusals);
  }

  /** The default test; for a sample without variance a result without a statistic. */
  private static TestResult standIn(DesignedDeviation deviation) {
    try {
      return SurveyTableTest.RAO_SCOTT.of(deviation);
    } catch (NotApplicableException e) {
      return TestResult.of(SurveyTableTest.RAO_SCOTT, null, 0).withDf(deviation.categories());
    }
  }

  /** Whether there is a test that decides. */
  public boolean decided() {
    return first().statistic() != null;
  }

  public TestResult first() {
    return made.get(0);
  }

  /** The tests as a finding under a heading. */
  public Tests finding(String claim, double alpha) {
    Tests tests = Tests.ofTables(claim, alpha);
    made.stream()
        .filter(test -> test.statistic() != null)
        .forEach(test -> tests.made(test, statistic(test)));
    refusals.forEach(tests::declined);
    return tests;
  }

  /** An F statistic has two degrees of freedom, of which a table shows one. */
  private Value statistic(TestResult test) {
    Value shown = Tests.shown(test.statistic(), 4, "no statistic");
    OptionalDouble below = below(test);
    return test.statistic() == null || below.isEmpty()
        ? shown
        : new Value.Words(
            say("%s, df below %s", shown.text(), Figures.upTo(below.getAsDouble(), 4)));
  }

  private OptionalDouble below(TestResult test) {
    return test.method() instanceof SurveyTableTest made
        ? made.below(deviation)
        : OptionalDouble.empty();
  }

  /** What the deviations would be without the design, and what it does to them. */
  public List<Finding> effects() {
    if (!decided()) {
      return List.of();
    }
    double simple =
        Tail.chiSquare(deviation.categories()).logUpper(deviation.pearson()) / Math.log(10);
    return List.of(
        Finding.fact(
            "designEffects",
            Value.fields()
                .with("pearson", deviation.pearson())
                .with("df", (long) deviation.categories())
                .with("mean", deviation.meanEffect())
                .with(
                    "dfBelow",
                    Value.list(
                        made,
                        test ->
                            Value.fields()
                                .with("method", test.method().id())
                                .with("df", below(test).orElse(Double.NaN))))
                .with("log10PValueWithoutDesign", Math.min(0, simple))),
        Finding.sentence(
            say(
                "Design effect, in the mean of what is tested: %s. X2 of the weighted shares as if %s rows were drawn simply at random:"
                    + " %s, df %s, %s.",
                Figures.significant(deviation.meanEffect(), 3),
                Figures.count(deviation.rows()),
                Figures.significant(deviation.pearson(), 4),
                deviation.categories(),
                Figures.pEquals(Math.min(0, simple)))));
  }

  /**
   * The next sample, planned with the effect that this one found.
   *
   * @param shape the plan, up to the shape of what is tested
   */
  public List<Finding> planned(NextQuestion shape) {
    double effect = Math.sqrt(deviation.pearson() / deviation.rows());
    double times = deviation.meanEffect();
    return !(effect >= LEAST_PLANNED && times > 0 && Double.isFinite(times))
        ? List.of()
        : List.of(
            Finding.say(
                Block.paragraph(
                    say(
                        "To plan the next such sample, which takes %s times the rows that are named:",
                        Figures.significant(times, 3))),
                Block.CommandLine.of(
                    shape.with("w", Figures.significant(effect, 2)).with("power", "80%"))));
  }

  public VerdictBasis preference(Method interval) {
    TestResult test = first();
    return new VerdictBasis(
        test.method(),
        interval,
        test.method() == SurveyTableTest.RAO_SCOTT
            ? Reasons.raoScott()
            : Reasons.asked(test.method(), made.size() == 1));
  }
}
