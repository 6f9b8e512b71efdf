package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.StratifiedTables;
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
    implements Question {

  /**
   * Copies the list.
   *
   * @param label the analyst's name for the question, empty for none
   * @param tables the comparison in each stratum
   * @param empty strata that were left out since a group has no unit there, in words
   * @param settings how strictly
   * @param from where the counts came from
   */
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

  /**
   * Returns a copy with other settings.
   *
   * @param changed the settings
   * @return the question
   */
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

  /**
   * Changes the significance level; 0.05 unless changed.
   *
   * @param alpha strictly between 0 and 1
   * @return another question
   * @throws IllegalArgumentException if not 0 &lt; alpha &lt; 1
   */
  public StrataQuestion alpha(double alpha) {
    return settings(settings.alpha(alpha));
  }

  /**
   * Chooses a confidence level, where it isn't to be the one that matches alpha.
   *
   * @param level strictly between 0 and 1
   * @return another question
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public StrataQuestion level(double level) {
    return settings(settings.level(level));
  }

  @Override
  public Answer ask() {
    return new StrataAnalysis(this).answer();
  }
}
