package dev.tavik.study.shares;

import dev.tavik.answer.Caution;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.ShareVerdicts;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.List;

/**
 * The results of all methods for claimed shares; verdict, cautions and findings are derived from
 * it.
 *
 * @param asked what is asked
 * @param data what it is asked of
 * @param tests the tests; none if the data can't decide
 * @param refusals the tests that declined
 * @param limits the intervals, those of the verdict first
 * @param standingOut the p-value of each category alone, adjusted for all
 * @param basis what the verdict rests on
 */
record SharesFound(
    SharesAsked asked,
    SharesData data,
    List<TestResult> tests,
    List<NotApplicable> refusals,
    List<Limits> limits,
    List<AdjustedP> standingOut,
    VerdictBasis basis) {

  /**
   * The intervals of one method.
   *
   * @param method the method that was asked for
   * @param together whether they hold for all categories at once
   * @param each the interval of each category, of another method where this has none
   * @param refused why it has none for some category, or for all
   */
  record Limits(
      Method method, boolean together, List<Interval> each, List<NotApplicable> refused) {}

  boolean decided() {
    return !tests.isEmpty();
  }

  TestResult test() {
    return basis.among(tests);
  }

  boolean rejects() {
    return test().rejects(asked.alpha());
  }

  DecisionCautions decisions() {
    return new DecisionCautions(tests, asked.alpha(), test());
  }

  boolean standsOut(int category) {
    return standingOut.get(category).rejects(asked.alpha());
  }

  /** The interval of a category that the verdict names. */
  Interval interval(int category) {
    return limits.stream()
        .filter(each -> !each.each().isEmpty())
        .findFirst()
        .orElseThrow()
        .each()
        .get(category);
  }

  boolean isOutside(int category) {
    return !interval(category).contains(asked.claimed().share(category));
  }

  List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>(data.grave(this));
    if (decided()) {
      cautions.addAll(decisions().disagree());
      cautions.addAll(decisions().nearAlpha());
    }
    cautions.addAll(DecisionCautions.levelAlpha(asked.question().settings()));
    cautions.addAll(data.further(this));
    return cautions;
  }

  Verdict verdict() {
    return decided()
        ? basis.on(
            ShareVerdicts.of(
                asked.label(),
                data.weighted(),
                rejects() ? whatStandsOut() : widest(),
                DrawnTest.pEquals(test(), asked.levels().size()),
                test(),
                asked.alpha()))
        : TableVerdicts.undecided(asked.label(), "whether the shares are as claimed");
  }

  private String whatStandsOut() {
    return TableVerdicts.standingOut(
        asked.categories().filter(this::standsOut).mapToObj(data::departure).toList(),
        data.departure(largest()),
        asked.levels().size(),
        "category",
        "categories");
  }

  private String widest() {
    int category = largest();
    double away = data.share(category) - asked.claimed().share(category);
    // Nothing departs except by rounding.
    return Math.abs(away) < 1e-12
        ? ShareVerdicts.asClaimed(data.weighted())
        : ShareVerdicts.notExcluded(data.departure(category), interval(category));
  }

  /** The category farthest from its claim, the first of such. */
  private int largest() {
    return asked.categories().reduce((a, b) -> away(b) > away(a) ? b : a).orElseThrow();
  }

  private double away(int category) {
    double residual = data.residual(category);
    return Double.isNaN(residual) ? 0 : Math.abs(residual);
  }
}
