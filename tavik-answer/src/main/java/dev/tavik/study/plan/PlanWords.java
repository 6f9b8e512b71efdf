package dev.tavik.study.plan;

import dev.tavik.result.Figures;
import org.jspecify.annotations.Nullable;

/**
 * The words of a plan, and the response rate of those invited.
 *
 * @param units what is observed, such as tiles
 * @param group what each group comes from, such as kiln; empty for none
 * @param response the share of those invited that will answer, above 0 and at most 1; null where
 *     nobody is invited
 */
public record PlanWords(String units, String group, @Nullable Double response) {
  /**
   * Checks the response.
   *
   * @throws IllegalArgumentException if it is out of its range
   */
  public PlanWords {
    if (response != null && !(response > 0 && response <= 1)) {
      throw new IllegalArgumentException(
          "response must be above 0 and at most 1 (100 %), got " + Figures.plain(response));
    }
  }

  /**
   * The usual words.
   *
   * @return observations in each group
   */
  public static PlanWords usual() {
    return new PlanWords("observations", "", null);
  }

  /**
   * How many are invited.
   *
   * @param n how many answers are needed
   * @return how many to invite
   */
  public long invited(long n) {
    // 400 answers at 40 % are 1,000 invitations, regardless of rounding in the division.
    return response == null ? n : (long) Math.ceil(n / response * (1 - 1e-15));
  }
}
