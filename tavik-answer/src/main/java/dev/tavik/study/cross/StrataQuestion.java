package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.count.StratifiedTables;
import dev.tavik.plot.Plots;
import dev.tavik.result.Method;
import dev.tavik.study.InferenceQuestion;
import java.util.List;

/**
 * Are two groups different within strata, and alike in every stratum? All of its tests are made;
 * none can be chosen.
 */
public final class StrataQuestion
    extends InferenceQuestion<StrataQuestion, CrossSettings, Method, Method> {
  private final StratifiedTables tables;
  private final List<String> empty;

  private StrataQuestion(Frame<CrossSettings> frame, StratifiedTables tables, List<String> empty) {
    super(frame, List.of(tables, empty));
    settings().requireUnchosen("strata");
    this.tables = tables;
    this.empty = List.copyOf(empty);
  }

  /**
   * Creates a question with the default settings.
   *
   * @param tables the comparison in each stratum
   * @return the question
   */
  public static StrataQuestion of(StratifiedTables tables) {
    return of(tables, List.of());
  }

  /**
   * Creates a question with the default settings about the strata that are left.
   *
   * @param tables the comparison in each stratum
   * @param empty strata that were left out since a group has no unit there, in words
   * @return the question
   */
  public static StrataQuestion of(StratifiedTables tables, List<String> empty) {
    return new StrataQuestion(Frame.of(CrossSettings.usual()), tables, empty);
  }

  StratifiedTables tables() {
    return tables;
  }

  List<String> empty() {
    return empty;
  }

  @Override
  protected StrataQuestion with(Frame<CrossSettings> changed) {
    return new StrataQuestion(changed, tables, empty);
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
