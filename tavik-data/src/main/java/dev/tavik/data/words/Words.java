package dev.tavik.data.words;

import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Lists the vocabularies of all kinds of questions; options, keys and documentation come from them.
 */
public final class Words {
  private static final Map<String, Vocabulary> BY_KIND = Catalogue.read();

  /** Of one proportion, or several. */
  public static final Vocabulary RATE = of("rate");

  /** Of two groups or more, or of pairs. */
  public static final Vocabulary COMPARE = of("compare");

  /** Of counts and claimed shares. */
  public static final Vocabulary SHARES = of("shares");

  /** Of two classifications. */
  public static final Vocabulary CROSS = of("cross");

  /** Of plans. */
  public static final Vocabulary PLAN = of("plan");

  /** Of tails of distributions. */
  public static final Vocabulary TAIL = of("tail");

  /** Of how methods behave. */
  public static final Vocabulary ASSESS = of("assess");

  /** Of many columns against groups. */
  public static final Vocabulary SWEEP = of("sweep");

  /** Of what is in a file. */
  public static final Vocabulary LOOK = of("look");

  private Words() {}

  /** {@return all vocabularies} */
  public static List<Vocabulary> all() {
    return List.copyOf(BY_KIND.values());
  }

  private static Vocabulary of(String kind) {
    return Objects.requireNonNull(BY_KIND.get(kind), kind);
  }
}
