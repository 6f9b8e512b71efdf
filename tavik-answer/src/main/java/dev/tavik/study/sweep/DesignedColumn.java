package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.count.SurveyCounts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A column of a designed sample.
 *
 * @param counts what was counted: its levels, then the groups
 */
record DesignedColumn(SurveyCounts counts) implements ColumnData {
  @Override
  public long rows() {
    return counts.units().total();
  }

  @Override
  public List<String> groups() {
    return counts.units().levels(1);
  }

  @Override
  public Answer ask(String name, double alpha) {
    return CrossQuestion.of(counts).alpha(alpha).named(name).ask();
  }

  @Override
  public double strength(Answer alone) {
    return alone.estimate(Estimand.CRAMERS_V).value();
  }

  @Override
  public Value p(TestResult test) {
    return Value.p(test.log10PValue());
  }

  @Override
  public Finding shares(Swept column, Letters letters, double alpha) {
    Cells figures =
        column.answer().findAll(Cells.class).stream()
            .filter(each -> !each.key().isEmpty())
            .findFirst()
            .orElseThrow();
    DesignedSample sample = DesignedSample.of(counts);
    List<String> levels = figures.rows();
    List<String> groups = figures.columns();
    List<List<Value>> cells = new ArrayList<>();
    for (int i = 0; i < levels.size(); i++) {
      List<Value> row = new ArrayList<>();
      List<List<String>> smaller = smaller(sample, levels.get(i), groups, alpha);
      for (int j = 0; j < groups.size(); j++) {
        row.add(
            new Value.Words(
                say(
                    "%s (%s to %s)%s",
                    Figures.percent(figures.figure("columnProportions", i, j)),
                    Figures.significant(100 * figures.figure("columnLower", i, j), 3),
                    Figures.significant(100 * figures.figure("columnUpper", i, j), 3),
                    letters.of(smaller.get(j)))));
      }
      cells.add(row);
    }
    return Finding.say(
        Block.heading(column.name()),
        new Block.Grid(levels, groups.stream().map(letters::headed).toList(), cells));
  }

  /** For each group, the groups whose share of a level is smaller, by t tests by the design. */
  private static List<List<String>> smaller(
      DesignedSample sample, String level, List<String> groups, double alpha) {
    List<List<DesignedComparison>> compared =
        sample.comparisons(1, groups, unit -> unit.get(0).equals(level));
    return new GroupPairs(groups, alpha)
        .smaller(
            (one, other) -> difference(compared.get(one).get(other)),
            group -> compared.get(group).get(group).first().value());
  }

  /** A group without variance can't be compared. */
  private static @Nullable TestResult difference(DesignedComparison compared) {
    try {
      return SurveyComparisonTest.T_DIFFERENCE.of(compared, Hypothesis.noDifference());
    } catch (NotApplicableException e) {
      return null;
    }
  }
}
