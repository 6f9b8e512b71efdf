package dev.tavik.result;

/**
 * A method of testing or estimating, as results name it. Its implementations are enums, one for
 * each family, whose {@code values()} are all there is to choose from.
 */
public interface Method {
  /** {@return its id, title, description, paper and exactness} */
  MethodInfo info();

  /** {@return the word by which it is chosen and found, such as {@code clopper-pearson}} */
  default String id() {
    return info().id();
  }

  /** {@return what it is called in a sentence, such as {@code Clopper-Pearson}} */
  default String title() {
    return info().title();
  }

  /** {@return what it does, in one phrase} */
  default String description() {
    return info().description();
  }

  /** {@return the paper: authors, year, journal, volume, pages} */
  default String reference() {
    return info().reference();
  }

  /** {@return whether its probabilities are exact or approximate} */
  default Exactness exactness() {
    return info().exactness();
  }
}
