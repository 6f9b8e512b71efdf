package dev.tavik.data.words;

import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Lists the vocabularies of all kinds of questions; options, keys and documentation come from them.
 */
public final class CommandSchemas {
  private static final Map<String, CommandSchema> BY_KIND = Catalogue.read();

  /** Of one proportion, or several. */
  public static final CommandSchema RATE = of("rate");

  /** Of two groups or more, or of pairs. */
  public static final CommandSchema COMPARE = of("compare");

  /** Of counts and claimed shares. */
  public static final CommandSchema SHARES = of("shares");

  /** Of two classifications. */
  public static final CommandSchema CROSS = of("cross");

  /** Of plans. */
  public static final CommandSchema PLAN = of("plan");

  /** Of tails of distributions. */
  public static final CommandSchema TAIL = of("tail");

  /** Of how methods behave. */
  public static final CommandSchema ASSESS = of("assess");

  /** Of many columns against groups. */
  public static final CommandSchema SWEEP = of("sweep");

  /** Of what is in a file. */
  public static final CommandSchema LOOK = of("look");

  private CommandSchemas() {}

  /** {@return all vocabularies} */
  public static List<CommandSchema> all() {
    return List.copyOf(BY_KIND.values());
  }

  private static CommandSchema of(String kind) {
    return Objects.requireNonNull(BY_KIND.get(kind), kind);
  }
}
