package dev.tavik.data.words;

import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Lists the vocabularies of all kinds of questions; options, keys and documentation come from them.
 */
public final class CommandSchemas {
  private static final Map<String, CommandSchema> BY_KIND = Catalogue.read();

  /** Of what is in a file. */
  public static final CommandSchema LOOK = of("look");

  private CommandSchemas() {}

  /** {@return all vocabularies} */
  public static List<CommandSchema> all() {
    return List.copyOf(BY_KIND.values());
  }

  /**
   * {@return the vocabulary of a kind of question}
   *
   * @param kind its word, such as {@code rate}
   * @throws NullPointerException if there is no such kind
   */
  public static CommandSchema of(String kind) {
    return Objects.requireNonNull(BY_KIND.get(kind), kind);
  }
}
