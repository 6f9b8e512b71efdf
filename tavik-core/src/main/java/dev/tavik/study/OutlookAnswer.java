package dev.tavik.study;

import dev.tavik.bayes.EvidenceChances;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to an {@link OutlookQuestion}.
 *
 * @param asked the question
 * @param lines one for each number of observations
 * @param conclusion in words what the last line promises
 */
public record OutlookAnswer(OutlookQuestion asked, List<Line> lines, String conclusion)
    implements Answer {
  /** Copies the list. */
  public OutlookAnswer {
    lines = List.copyOf(lines);
  }

  /**
   * The chances with so many observations.
   *
   * @param observations how many
   * @param underNull the chances if the null is true
   * @param underAlternative the chances if the alternative is, the rate drawn from the prior
   * @param underExpected the chances at the value expected; null if none was given
   */
  public record Line(
      long observations,
      EvidenceChances underNull,
      EvidenceChances underAlternative,
      @Nullable EvidenceChances underExpected) {}

  @Override
  public String question() {
    return "rate-outlook";
  }

  @Override
  public String label() {
    return asked.label();
  }
}
