package dev.tavik.study.sweep;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.CrossTable;
import dev.tavik.count.SurveyCounts;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Proportion;
import dev.tavik.study.Provenance;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Asks which of many columns differ between the groups of another. It is asked of tables, or of a
 * sample with weights, strata and clusters: each column as {@link
 * dev.tavik.study.cross.CrossQuestion} would.
 */
public final class SweepQuestion implements Question {

  /** The level of units that gave one of several answers. */
  public static final String NAMED = "named";

  /** The level of the other units. */
  public static final String NOT_NAMED = "not named";

  private final String group;
  private final SweepSample sample;
  private final SweepSettings settings;
  private final String label;
  private final @Nullable Provenance from;
  private final Map<String, String> leftOut;

  private SweepQuestion(
      String group,
      SweepSample sample,
      SweepSettings settings,
      String label,
      @Nullable Provenance from,
      Map<String, String> leftOut) {
    this.group = group;
    this.sample = sample;
    this.settings = settings;
    this.label = label;
    this.from = from;
    this.leftOut = Collections.unmodifiableMap(new LinkedHashMap<>(leftOut));
  }

  private static SweepQuestion of(String group, SweepSample sample) {
    return new SweepQuestion(group, sample, SweepSettings.usual(), "", null, Map.of());
  }

  /**
   * Creates a question about tables, with the usual settings.
   *
   * @param group what the groups are
   * @param tables a table of each column: a row a group, a column a level; by the column's name, in
   *     the order of the source
   * @return the question
   * @throws IllegalArgumentException if there is none
   */
  public static SweepQuestion of(String group, Map<String, CrossTable> tables) {
    return of(group, new SweepSample.OfTables(tables));
  }

  /**
   * Creates a question about the columns of a designed sample, with the usual settings.
   *
   * @param group what the groups are
   * @param columns what was counted of each column: its levels, then the groups; by its name
   * @return the question
   * @throws IllegalArgumentException if there is none
   */
  public static SweepQuestion ofSamples(String group, Map<String, SurveyCounts> columns) {
    return of(group, new SweepSample.Designed(columns));
  }

  /** {@return the tables by column; none of a designed sample} */
  public Map<String, CrossTable> tables() {
    return sample.tables();
  }

  /** {@return how the columns are tested, adjusted and ordered} */
  public SweepSettings settings() {
    return settings;
  }

  /** {@return the analyst's name for it; empty for none} */
  public String label() {
    return label;
  }

  /** {@return how the columns were counted; null where they were given} */
  public @Nullable Provenance from() {
    return from;
  }

  String group() {
    return group;
  }

  Map<String, String> leftOut() {
    return leftOut;
  }

  boolean isAdjusted() {
    return settings.adjustment() != Adjustment.NONE;
  }

  /**
   * {@return the same question with other settings}
   *
   * @param changed the settings in their place
   */
  public SweepQuestion settings(SweepSettings changed) {
    return new SweepQuestion(group, sample, changed, label, from, leftOut);
  }

  /**
   * {@return the same question under a name}
   *
   * @param name the name
   */
  public SweepQuestion named(String name) {
    return new SweepQuestion(group, sample, settings, name, from, leftOut);
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
   * @param source how the columns were counted
   * @param without columns that were left out, and why
   */
  public SweepQuestion counted(Provenance source, Map<String, String> without) {
    return new SweepQuestion(group, sample, settings, label, source, without);
  }

  private List<@Nullable Object> parts() {
    return Arrays.asList(group, sample, settings, label, from, leftOut);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof SweepQuestion question && question.parts().equals(parts());
  }

  @Override
  public int hashCode() {
    return parts().hashCode();
  }

  @Override
  public String toString() {
    return "SweepQuestion" + parts();
  }

  @Override
  public Answer ask() {
    return new SweepAnalysis(this, sample.data()).answer();
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
