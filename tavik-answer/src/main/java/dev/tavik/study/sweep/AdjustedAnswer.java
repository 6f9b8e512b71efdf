package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.SweepVerdicts;
import dev.tavik.result.TestResult;
import java.util.List;

/** The answer about one column of several, whose verdict is that after the adjustment over them. */
final class AdjustedAnswer {
  private AdjustedAnswer() {}

  static Answer of(Answer answer, TestResult adjusted, double alpha, int columns) {
    if (adjusted.adjusted() == null) {
      return answer;
    }
    List<Finding> findings =
        answer.findings().stream()
            .map(each -> each instanceof Tests tests ? tests.with(adjusted) : each)
            .toList();
    return answer.withFindings(findings).concluding(verdict(answer, adjusted, alpha, columns));
  }

  private static Verdict verdict(Answer answer, TestResult adjusted, double alpha, int columns) {
    Verdict alone = answer.verdict();
    Verdict verdict = SweepVerdicts.adjusted(alone, answer.label(), adjusted, alpha, columns);
    return alone.test().isEmpty()
        ? verdict
        : verdict.restingOn(alone.test().get(), alone.interval().orElse(null), alone.grounds());
  }
}
