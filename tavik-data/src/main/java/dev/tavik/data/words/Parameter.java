package dev.tavik.data.words;

/**
 * Is a word of a question: an option on a command line, a key in a study.
 *
 * @param heading under which heading it stands in help
 * @param name the word, without dashes
 * @param many whether it takes a value, and may be given more than once
 * @param parameter what its value is called in help; empty for a flag
 * @param help what it means
 */
public record Parameter(Heading heading, String name, Many many, String parameter, String help) {
  /** {@return what it means, with the lists of methods that it may be given} */
  @Override
  public String help() {
    return Catalogue.filled(help);
  }

  /** How many values a word takes. */
  public enum Many {
    /** None: a flag. */
    FLAG,
    /** One. */
    ONE,
    /** One or more. */
    SEVERAL
  }
}
