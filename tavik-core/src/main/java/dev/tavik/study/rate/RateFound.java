package dev.tavik.study.rate;

import dev.tavik.answer.Verdict;
import dev.tavik.count.Tally;
import dev.tavik.phrase.RateVerdicts;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.VerdictBasis;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The results of all methods for a rate; verdict, cautions and findings are derived from it. */
record RateFound(
    RateQuestion question,
    List<TestResult> tests,
    List<Interval> intervals,
    VerdictBasis preference,
    SizedTest chosen) {

  String label() {
    return question.label();
  }

  Tally tally() {
    return question.tally();
  }

  RateSettings settings() {
    return question.settings();
  }

  @Nullable Provenance from() {
    return question.from();
  }

  /** What each test would have rejected; searched anew at each call. */
  List<CriticalCounts> criticalCounts() {
    RateMethods methods = RateMethods.of(tally(), settings());
    return tests.stream()
        .map(test -> methods.criticalCounts((ProportionTest) test.method()))
        .toList();
  }

  TestResult preferredTest() {
    return preference.among(tests);
  }

  Interval preferredInterval() {
    return preference.among(intervals, settings().hypothesis().alternative().matchingSide());
  }

  RateVerdicts.Rate rate() {
    return new RateVerdicts.Rate(
        label(),
        tally().proportion(),
        Figures.outOf(tally().successes(), tally().trials()),
        preferredTest(),
        preferredInterval());
  }

  Verdict verdict() {
    return preference.on(
        RateVerdicts.one(rate(), settings().lot(), settings().hypothesis(), settings().alpha()));
  }

  RateFound withTests(List<TestResult> adjusted) {
    return new RateFound(question, adjusted, intervals, preference, chosen);
  }
}
