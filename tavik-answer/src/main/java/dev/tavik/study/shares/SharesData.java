package dev.tavik.study.shares;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.result.Estimate;
import dev.tavik.study.parts.SampleData;
import java.util.List;

/** What shares are asked of: counts of categories, or a designed sample. */
interface SharesData extends SampleData {
  double share(int category);

  /** How far a share is from its claim, in standard errors; NaN where there are none. */
  double residual(int category);

  /** The figures of a category, for programs. */
  Value figures(int category);

  List<Estimate> estimates();

  /** The table of what was observed, and what is said of it. */
  List<Finding> observed(SharesFound found);

  /** The tests that were made and that declined. */
  Tests tests(String heading, SharesFound found);

  /** What only such data add to the tests. */
  List<Finding> beside(SharesFound found);

  /** What only such data add to the intervals. */
  default List<Finding> after(SharesFound found) {
    return List.of();
  }

  /** What only such data add at the end. */
  List<Finding> last(SharesFound found);

  /** Whether shares are estimated with weights. */
  boolean weighted();

  /** How a share departs from its claim, in words. */
  String departure(int category);

  List<Condition> conditions();

  /** What is graver than a decision. */
  List<Caution> grave(SharesFound found);

  /** What else to be careful of. */
  List<Caution> further(SharesFound found);
}
