package dev.tavik.study;

import dev.tavik.association.CellFigures;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link SharesQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param counts the counts
 * @param claimed one share a category
 * @param settings how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param cells the figures of each category
 * @param standingOut for each category the p-value of its adjusted residual, after Holm's
 *     adjustment for their number
 * @param estimates the observed share of each category, then Cohen's w
 * @param tests one result for each test that could be made, in the order asked for
 * @param intervals for each interval method that could be made one interval a category
 * @param refusals the methods that declined, and why
 * @param preference which test and interval the verdict rests on, and why
 * @param drawn the test by drawing, in place of an exact one that would take too long; null where
 *     none was needed
 * @param bayes the Bayesian view; null unless it was asked for
 * @param conditions what the methods take for granted
 * @param cautions what to be careful of
 * @param conclusion the verdict in words
 */
public record SharesAnswer(
    String label,
    CategoryCounts counts,
    Shares claimed,
    SharesSettings settings,
    @Nullable CountedFrom from,
    List<CellFigures> cells,
    List<AdjustedP> standingOut,
    List<Estimate> estimates,
    List<TestResult> tests,
    List<Interval> intervals,
    List<Refusal> refusals,
    Preference preference,
    @Nullable DrawnTest drawn,
    @Nullable SharesBayes bayes,
    List<Condition> conditions,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public SharesAnswer {
    cells = List.copyOf(cells);
    standingOut = List.copyOf(standingOut);
    estimates = List.copyOf(estimates);
    tests = List.copyOf(tests);
    intervals = List.copyOf(intervals);
    refusals = List.copyOf(refusals);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "shares";
  }

  /**
   * The tests in the order in which they are listed, those that declined among them.
   *
   * @return their ids
   */
  public List<Method> testIds() {
    List<Method> ids = new ArrayList<>(settings.tests());
    refusals.stream()
        .map(Refusal::method)
        .filter(method -> method == SharesTest.EXACT_MULTINOMIAL)
        .forEach(ids::add);
    tests.stream().map(TestResult::method).forEach(ids::add);
    return ids.stream().distinct().toList();
  }

  /**
   * The test that the verdict rests on.
   *
   * @return the preferred test
   */
  public TestResult preferredTest() {
    return tests.stream()
        .filter(test -> test.method() == preference.test())
        .findFirst()
        .orElseThrow();
  }

  /**
   * The intervals of one method.
   *
   * @param method its id
   * @return one interval a category; none if the method declined
   */
  public List<Interval> intervals(Method method) {
    return intervals.stream().filter(each -> each.method() == method).toList();
  }
}
