package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.count.StratifiedTables;
import dev.tavik.plot.Plots;
import dev.tavik.study.LeveledQuestion;
import dev.tavik.study.Provenance;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Are two groups different within strata, and alike in every stratum?
 *
 * @param label the analyst's name for the question, empty for none
 * @param tables the comparison in each stratum
 * @param empty strata that were left out since a group has no unit there, in words
 * @param settings how strictly; its tests and tables are not used here
 * @param from where the counts came from; null when they were given as counts
 */
public record StrataQuestion(
    String label,
    StratifiedTables tables,
    List<String> empty,
    CrossSettings settings,
    @Nullable Provenance from)
    implements LeveledQuestion<StrataQuestion, CrossSettings> {

  /** Copies the list. */
  public StrataQuestion {
    empty = List.copyOf(empty);
  }

  /**
   * Creates a question with the default settings.
   *
   * @param tables the comparison in each stratum
   * @return the question
   */
  public static StrataQuestion of(StratifiedTables tables) {
    return new StrataQuestion("", tables, List.of(), CrossSettings.usual(), null);
  }

  @Override
  public StrataQuestion settings(CrossSettings changed) {
    return new StrataQuestion(label, tables, empty, changed, from);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public StrataQuestion named(String name) {
    return new StrataQuestion(name, tables, empty, settings, from);
  }

  @Override
  public Answer ask() {
    return new StrataAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return CrossPlots.strata(this, answer);
  }
}
