package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.result.TestResult;
import java.util.List;

/** What was counted of one column: a table of its levels in each group, or a designed sample. */
interface ColumnData {
  long rows();

  List<String> groups();

  /** What a question about this column alone is answered. */
  Answer ask(String name, double alpha);

  /** The measure of association by which columns are ordered. */
  double strength(Answer alone);

  Value p(TestResult test);

  /** The share of each level in each group, with the letters of the groups that have less. */
  Finding shares(Swept column, Letters letters, double alpha);
}
