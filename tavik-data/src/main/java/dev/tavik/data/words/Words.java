package dev.tavik.data.words;

import java.util.List;

/**
 * Lists the vocabularies of all kinds of questions; options, keys and documentation come from them.
 */
public final class Words {
  /** Of one proportion, or several. */
  public static final Vocabulary RATE = Catalogue.rate();

  /** Of two groups or more, or of pairs. */
  public static final Vocabulary COMPARE = Catalogue.compare();

  /** Of counts and claimed shares. */
  public static final Vocabulary SHARES = Catalogue.shares();

  /** Of two classifications. */
  public static final Vocabulary CROSS = Catalogue.cross();

  /** Of plans. */
  public static final Vocabulary PLAN = Catalogue.plan();

  /** Of tails of distributions. */
  public static final Vocabulary TAIL = Catalogue.tail();

  /** Of how methods behave. */
  public static final Vocabulary ASSESS = Catalogue.assess();

  private Words() {}

  /** Returns all vocabularies. */
  public static List<Vocabulary> all() {
    return List.of(RATE, COMPARE, SHARES, CROSS, PLAN, TAIL, ASSESS);
  }
}
