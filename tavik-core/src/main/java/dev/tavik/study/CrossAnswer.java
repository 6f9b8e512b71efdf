package dev.tavik.study;

import dev.tavik.association.CellFigures;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Method;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link CrossQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param table the counts
 * @param settings how strictly, by which tests
 * @param from where the counts came from; null when they were given as counts
 * @param cells the figures of each cell, row by row
 * @param standingOut for each cell the p-value of its adjusted residual, after Holm's adjustment
 *     for their number
 * @param strengths how strong the association is
 * @param comparison the same counts as two rates, for a table of two by two; else null
 * @param tests one result for each test that could be made, in the order asked for
 * @param refusals the tests that declined, and why
 * @param rowPairs each two rows compared, if that was asked for
 * @param preferred the id of the test that the verdict rests on
 * @param drawn the test by drawing, in place of an exact one that would take too long; null where
 *     none was needed
 * @param bayes the Bayesian view; null where it wasn't asked for
 * @param conditions what the tests take for granted
 * @param cautions what to be careful of
 * @param conclusion the verdict in words
 */
public record CrossAnswer(
    String label,
    CrossTable table,
    CrossSettings settings,
    @Nullable CountedFrom from,
    List<List<CellFigures>> cells,
    List<List<AdjustedP>> standingOut,
    List<Strength> strengths,
    @Nullable CompareAnswer comparison,
    List<TestResult> tests,
    List<Refusal> refusals,
    List<RowPair> rowPairs,
    Method preferred,
    @Nullable DrawnTest drawn,
    @Nullable CrossBayes bayes,
    List<Condition> conditions,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public CrossAnswer {
    cells = cells.stream().map(List::copyOf).toList();
    standingOut = standingOut.stream().map(List::copyOf).toList();
    strengths = List.copyOf(strengths);
    rowPairs = List.copyOf(rowPairs);
    tests = List.copyOf(tests);
    refusals = List.copyOf(refusals);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "cross";
  }

  /**
   * How strong the association is.
   *
   * @return the values of all measures
   */
  public List<Estimate> estimates() {
    return strengths.stream().map(Strength::estimate).toList();
  }

  /**
   * The test that the verdict rests on.
   *
   * @return the preferred test
   */
  public TestResult preferredTest() {
    return tests.stream().filter(test -> test.method() == preferred).findFirst().orElseThrow();
  }
}
