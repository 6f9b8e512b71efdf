package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.plot.Plots;
import dev.tavik.study.LeveledQuestion;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.ExpectedCounts;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Are two classifications associated, and where?
 *
 * @param label the analyst's name for the question, empty for none
 * @param table the counts
 * @param empty rows and columns without any unit that were left out, in words
 * @param merged levels that were merged, in words
 * @param settings how strictly, by which tests
 * @param from where the counts came from; null when they were given as counts
 */
public record CrossQuestion(
    String label,
    CrossTable table,
    List<String> empty,
    List<String> merged,
    CrossSettings settings,
    @Nullable Provenance from)
    implements LeveledQuestion<CrossQuestion, CrossSettings> {

  /** Copies the lists. */
  public CrossQuestion {
    empty = List.copyOf(empty);
    merged = List.copyOf(merged);
  }

  /**
   * Creates a question with the default settings.
   *
   * @param table the counts
   * @return the question
   */
  public static CrossQuestion of(CrossTable table) {
    return new CrossQuestion("", table, List.of(), List.of(), CrossSettings.usual(), null);
  }

  @Override
  public CrossQuestion settings(CrossSettings changed) {
    return new CrossQuestion(label, table, empty, merged, changed, from);
  }

  /**
   * Whether an exact test has to search tables, within its budget: Fisher's of a table larger than
   * two by two, which was asked for, or is made where expected counts are small, or between rows.
   *
   * @return whether the budget matters
   */
  public boolean searchesTables() {
    boolean made =
        settings.tests().contains(TableTest.FISHER)
            || settings.rowPairs() == CrossSettings.RowPairs.COMPARED
            || !ExpectedCounts.of(table).enough();
    return made && !table.twoByTwo();
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public CrossQuestion named(String name) {
    return new CrossQuestion(name, table, empty, merged, settings, from);
  }

  /**
   * Chooses the tests, in the order in which they are to be shown.
   *
   * @param methods the tests; none for those that fit the table
   * @return the changed question
   */
  public CrossQuestion tests(TableTest... methods) {
    return settings(settings.tests(List.of(methods)));
  }

  @Override
  public Answer ask() {
    return new CrossAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return CrossPlots.table(this, answer);
  }
}
