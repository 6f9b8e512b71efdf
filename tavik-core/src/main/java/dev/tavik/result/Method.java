package dev.tavik.result;

/**
 * A method of testing or estimating, as results name it. Its implementations are enums, one for
 * each family, whose {@code values()} are all there is to choose from.
 */
public interface Method {
  /**
   * Says what the method is.
   *
   * @return the card
   */
  MethodInfo card();

  /** {@return the word by which it is chosen and found, such as {@code clopper-pearson}} */
  default String id() {
    return card().id();
  }

  /** {@return what it is called in a sentence, such as {@code Clopper-Pearson}} */
  default String title() {
    return card().title();
  }

  /** {@return what it does, in one phrase} */
  default String description() {
    return card().description();
  }

  /** {@return the paper: authors, year, journal, volume, pages} */
  default String reference() {
    return card().reference();
  }

  /** {@return what its probabilities rest on} */
  default Exactness basis() {
    return card().basis();
  }
}
