package dev.tavik.study.cross;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.result.Method;
import dev.tavik.study.parts.DesignedSettings;
import java.util.List;
import java.util.Optional;

/** What an association is asked of, by value: a table of counts, or a designed sample. */
interface CrossSample {
  /** The table of counts; none of a designed sample. */
  default Optional<CrossTable> counted() {
    return Optional.empty();
  }

  /**
   * Fills in the methods that are usual for such data where none was chosen.
   *
   * @throws IllegalArgumentException if a setting doesn't fit the data
   */
  CrossSettings complete(CrossSettings settings);

  Answer answer(CrossQuestion question);

  Plots plots(CrossQuestion question, Answer answer);

  /**
   * A table of counts. Its usual tests depend on the counts.
   *
   * @param table the counts
   * @param empty levels without any observation
   * @param merged what was merged, in words
   */
  record OfCounts(CrossTable table, List<String> empty, List<String> merged)
      implements CrossSample {
    public OfCounts {
      empty = List.copyOf(empty);
      merged = List.copyOf(merged);
    }

    @Override
    public Optional<CrossTable> counted() {
      return Optional.of(table);
    }

    @Override
    public CrossSettings complete(CrossSettings settings) {
      settings.choices().requireAmong("a table", TableTest.values(), new Method[0]);
      return settings;
    }

    @Override
    public Answer answer(CrossQuestion question) {
      return new CrossFindings(new TallyTableMethods(question, this).found()).answer();
    }

    @Override
    public Plots plots(CrossQuestion question, Answer answer) {
      return CrossPlots.table(question, answer);
    }
  }

  /**
   * A sample with weights, strata and clusters.
   *
   * @param counts what was counted: rows, columns and perhaps layers
   * @param rows the levels of the rows, two or more, in order
   * @param columns the levels of the columns, two or more, in order
   */
  record Designed(SurveyCounts counts, List<String> rows, List<String> columns)
      implements CrossSample {
    private static final int MOST_CELLS = 1_000;

    public Designed {
      rows = List.copyOf(rows);
      columns = List.copyOf(columns);
      require(rows.size() >= 2, "a table needs two rows or more, got %s", rows.size());
      require(columns.size() >= 2, "a table needs two columns or more, got %s", columns.size());
      require(
          rows.size() * columns.size() <= MOST_CELLS,
          "a table must have at most %s cells here, got %s",
          MOST_CELLS,
          rows.size() * columns.size());
    }

    /** Whether the question is asked within each level of a third column. */
    boolean layered() {
      return counts.units().columns().size() > 2;
    }

    @Override
    public CrossSettings complete(CrossSettings settings) {
      require(settings.ordered() == Ordered.NONE, "tests of order are of simple random samples");
      return DesignedSettings.ofTable(settings, settings.bayes());
    }

    @Override
    public Answer answer(CrossQuestion question) {
      return DesignedCrossMethods.answer(question, this);
    }

    @Override
    public Plots plots(CrossQuestion question, Answer answer) {
      return Plots.of(IntervalPlot.class, () -> CrossPlots.designed(question, answer));
    }
  }
}
