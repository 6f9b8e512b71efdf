package dev.tavik.study.sweep;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Proportion;
import dev.tavik.study.Provenance;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Asks which of many columns differ between the groups of another.
 *
 * @param group what the groups are
 * @param tables a table of each column: a row a group, a column a level; by the column's name, in
 *     the order of the source
 * @param settings how they are tested, adjusted and ordered
 * @param label the analyst's name for it; empty for none
 * @param from how the tables were counted; null where they were given
 * @param leftOut columns that were left out, and why
 */
public record SweepQuestion(
    String group,
    Map<String, CrossTable> tables,
    SweepSettings settings,
    String label,
    @Nullable Provenance from,
    Map<String, String> leftOut)
    implements Question {

  /** The level of units that gave one of several answers. */
  public static final String NAMED = "named";

  /** The level of the other units. */
  public static final String NOT_NAMED = "not named";

  /** Copies the tables. */
  public SweepQuestion {
    tables = Collections.unmodifiableMap(new LinkedHashMap<>(tables));
    leftOut = Collections.unmodifiableMap(new LinkedHashMap<>(leftOut));
    require(!tables.isEmpty(), "a sweep needs at least one column to look at, got none");
  }

  /**
   * Creates a question about tables.
   *
   * @param group what the groups are
   * @param tables a table of each column, groups in rows, levels in columns
   * @return the question
   * @throws IllegalArgumentException if there is none
   */
  public static SweepQuestion of(String group, Map<String, CrossTable> tables) {
    return new SweepQuestion(group, tables, SweepSettings.usual(), "", null, Map.of());
  }

  /**
   * {@return the same question with other settings}
   *
   * @param changed the settings in their place
   */
  public SweepQuestion settings(SweepSettings changed) {
    return new SweepQuestion(group, tables, changed, label, from, leftOut);
  }

  /**
   * {@return the same question under a name}
   *
   * @param name the name
   */
  public SweepQuestion named(String name) {
    return new SweepQuestion(group, tables, settings, name, from, leftOut);
  }

  /**
   * {@return the same question at another significance level}
   *
   * @param alpha the significance level, strictly between 0 and 1
   */
  public SweepQuestion alpha(double alpha) {
    return settings(settings.alpha(alpha));
  }

  /**
   * {@return the same question with p-values adjusted in another way}
   *
   * @param adjustment how p-values are adjusted
   */
  public SweepQuestion adjusted(Adjustment adjustment) {
    return settings(settings.adjustment(adjustment));
  }

  /**
   * {@return the same question with what is known of its source}
   *
   * @param source how the tables were counted
   * @param without columns that were left out, and why
   */
  public SweepQuestion counted(Provenance source, Map<String, String> without) {
    return new SweepQuestion(group, tables, settings, label, source, without);
  }

  @Override
  public Answer ask() {
    SweepAsked asked = new SweepAsked(this, label, group, settings, from, leftOut);
    return new SweepAnalysis(asked, new TallySweep(tables)).answer();
  }

  /**
   * How the columns are tested, adjusted and ordered.
   *
   * @param alpha the significance level
   * @param adjustment how p-values are adjusted over all columns
   * @param sorting in which order they stand
   */
  public record SweepSettings(double alpha, Adjustment adjustment, Sorting sorting) {
    /** Checks alpha. */
    public SweepSettings {
      Proportion.require("alpha", alpha);
    }

    /** {@return the usual ones: alpha 0.05, Holm's adjustment, the strongest first} */
    public static SweepSettings usual() {
      return new SweepSettings(0.05, Adjustment.HOLM, Sorting.STRENGTH);
    }

    /**
     * {@return these with another significance level}
     *
     * @param value the value
     */
    public SweepSettings alpha(double value) {
      return new SweepSettings(value, adjustment, sorting);
    }

    /**
     * {@return these with another adjustment}
     *
     * @param other what takes its place
     */
    public SweepSettings adjustment(Adjustment other) {
      return new SweepSettings(alpha, other, sorting);
    }

    /**
     * {@return these in another order}
     *
     * @param other what takes its place
     */
    public SweepSettings sorting(Sorting other) {
      return new SweepSettings(alpha, adjustment, other);
    }
  }

  /** In which order the columns stand. */
  public enum Sorting {
    /** The largest Cramér's V first, corrected for the size of the table (Bergsma 2013). */
    STRENGTH,
    /** In the order of the source. */
    FILE;

    /** {@return the word by which it is chosen} */
    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
