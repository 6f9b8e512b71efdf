package dev.tavik.result;

/**
 * Is a way to a test, an interval or an estimate, as results name it. Its implementations are
 * enums, one for each family, whose {@code values()} are all there is to choose from.
 */
public interface Method {
  /** Says what the method is. */
  Card card();

  /** Returns the word by which it is chosen and found, such as {@code clopper-pearson}. */
  default String id() {
    return card().id();
  }

  /** Returns what it is called in a sentence, such as {@code Clopper-Pearson}. */
  default String title() {
    return card().title();
  }

  /** Returns what it does, in one phrase. */
  default String description() {
    return card().description();
  }

  /** Returns the paper: authors, year, journal, volume, pages. */
  default String reference() {
    return card().reference();
  }

  /** Returns what its probabilities rest on. */
  default Basis basis() {
    return card().basis();
  }
}
