package dev.tavik.bench;

import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import java.util.List;

/** Whole questions against the methods that they call, and what it takes to read the answer. */
final class QuestionWork {
  private static final Hypothesis NULL = Hypothesis.twoSided(0.05);

  private QuestionWork() {}

  static List<Benchmark> all() {
    CompareSettings compared = compare(0).settings();
    RateSettings rated = rate(0).settings();
    return List.of(
        Benchmark.of(
            "a question about two rates, asked",
            i -> methods(compared, first(i), second(i)),
            i -> compare(i).ask().test(TwoProportionTest.Z_POOLED).pValue(),
            "5",
            "80 µs"),
        Benchmark.of(
            "a question about two rates, its verdict read",
            i -> methods(compared, first(i), second(i)),
            i -> compare(i).ask().verdict().text().length(),
            "5",
            ""),
        Benchmark.of(
            "a question about a rate, asked",
            i -> methods(rated, first(i)),
            i -> rate(i).ask().test(ProportionTest.SCORE).pValue(),
            "25",
            "25 µs"),
        Benchmark.of(
            "a question about a rate, its verdict read",
            i -> methods(rated, first(i)),
            i -> rate(i).ask().verdict().text().length(),
            "25",
            ""));
  }

  private static Tally first(int i) {
    return Tally.of(14 + i % 9, 400);
  }

  private static Tally second(int i) {
    return Tally.of(31 + i % 7, 410);
  }

  private static CompareQuestion compare(int i) {
    return CompareQuestion.of(first(i), second(i)).named("Cracked").groups("North", "South");
  }

  private static RateQuestion rate(int i) {
    return RateQuestion.of(first(i), NULL.against()).named("Cracked");
  }

  private static double methods(CompareSettings settings, Tally first, Tally second) {
    double sum = 0;
    for (Method test : settings.tests()) {
      sum += ((TwoProportionTest) test).of(first, second, settings.hypothesis()).pValue();
    }
    for (Method interval : settings.intervals()) {
      sum += ((ComparisonInterval) interval).of(first, second, settings.level()).lower();
    }
    return sum;
  }

  private static double methods(RateSettings settings, Tally tally) {
    double sum = 0;
    for (Method test : settings.tests()) {
      sum += ((ProportionTest) test).of(tally, NULL).pValue();
    }
    for (Method interval : settings.intervals()) {
      sum += ((ProportionInterval) interval).of(tally, settings.level()).lower();
    }
    return sum;
  }
}
