package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Verdict;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.List;

/** The answer about one column of several, whose verdict is that after the adjustment over them. */
final class AdjustedAnswer {
  private AdjustedAnswer() {}

  static Answer of(Answer answer, TestResult adjusted, double alpha, int columns) {
    TestResult.AdjustedP after = adjusted.adjusted();
    if (after == null) {
      return answer;
    }
    List<Finding> findings =
        answer.findings().stream()
            .map(each -> each instanceof Tests tests ? tests.with(adjusted) : each)
            .toList();
    return answer
        .withFindings(findings)
        .concluding(verdict(answer, adjusted, after, alpha, columns));
  }

  private static Verdict verdict(
      Answer answer, TestResult adjusted, TestResult.AdjustedP after, double alpha, int columns) {
    boolean rejects = adjusted.rejectsAdjusted(alpha);
    Verdict alone = answer.verdict();
    String over =
        say("adjusted over %s %s", Figures.count(columns), columns == 1 ? "column" : "columns");
    String text =
        adjusted.rejects(alpha) && !rejects
            ? say(
                "%s%s; %s by itself, but %s, %s test at alpha %s.",
                answer.label().isEmpty() ? "" : answer.label() + ": ",
                "rows and columns are not shown to be associated",
                Figures.pEquals(adjusted.log10PValue()),
                over + " " + Figures.pEquals(after.log10PValue()),
                adjusted.method().id(),
                Figures.plain(alpha))
            : say(
                "%s %s: %s.",
                alone.text(), capitalised(over), Figures.pEquals(after.log10PValue()));
    Verdict verdict = Verdict.of(text).inOwnWords().rejecting(rejects);
    return alone.test().isEmpty()
        ? verdict
        : verdict.restingOn(alone.test().get(), alone.interval().orElse(null), alone.grounds());
  }

  private static String capitalised(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }
}
