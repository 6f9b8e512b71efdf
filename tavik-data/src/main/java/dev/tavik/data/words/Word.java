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
public record Word(Heading heading, String name, Many many, String parameter, String help) {
  /** How many values a word takes. */
  public enum Many {
    /** None: it is there or not. */
    FLAG,
    /** One. */
    ONE,
    /** One or more. */
    SEVERAL
  }

  static Word flag(Heading heading, String name, String help) {
    return new Word(heading, name, Many.FLAG, "", help);
  }

  static Word one(Heading heading, String name, String parameter, String help) {
    return new Word(heading, name, Many.ONE, parameter, help);
  }

  static Word several(Heading heading, String name, String parameter, String help) {
    return new Word(heading, name, Many.SEVERAL, parameter, help);
  }
}
