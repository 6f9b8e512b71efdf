package dev.tavik.result;

import java.util.Objects;

/**
 * Says what a {@link Method} is.
 *
 * @param id the word by which it is chosen and found, in options, studies and JSON; such as {@code
 *     clopper-pearson}
 * @param title what it is called in a sentence, such as {@code Clopper-Pearson}
 * @param description what it does, in one phrase
 * @param reference the paper: authors, year, journal, volume, pages
 * @param exactness whether its probabilities are exact or approximate
 */
public record MethodInfo(
    String id, String title, String description, String reference, Exactness exactness) {
  /** Refuses what is missing. */
  public MethodInfo {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(title, "title");
    Objects.requireNonNull(description, "description");
    Objects.requireNonNull(reference, "reference");
    Objects.requireNonNull(exactness, "exactness");
  }

  /**
   * Says what a method is that is called by its id in a sentence too, as tests are.
   *
   * @param id its word
   * @param description what it is, in a sentence
   * @param reference the paper
   * @param exactness whether it rests on an approximation or on exact sums
   * @return what is known of the method
   */
  public static MethodInfo of(
      String id, String description, String reference, Exactness exactness) {
    return new MethodInfo(id, id, description, reference, exactness);
  }
}
