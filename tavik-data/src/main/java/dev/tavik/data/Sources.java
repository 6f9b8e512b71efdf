package dev.tavik.data;

import java.nio.file.Path;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/**
 * Opens data by name. Each kind of source is known here by the names it takes; the first kind that
 * takes a name answers for it, and text is what remains.
 *
 * <pre>{@code
 * Tabulation counts = Sources.open(Path.of("firing-log.csv")).count(CountRequest.of("grade", "kiln"));
 * Tally cracked = counts.tally("grade", "cracked");
 * }</pre>
 */
public final class Sources {
  /** The name that stands for standard input. */
  public static final String STANDARD_INPUT = "-";

  /** The registry; a new kind of source is a line here, above the last. */
  private static final List<Kind> KINDS = List.of(new Kind(name -> true, DelimitedText::of));

  private record Kind(Predicate<String> takes, BiFunction<String, Opening, CountSource> maker) {}

  private Sources() {}

  /**
   * Opens a file.
   *
   * @param file the file; its ending says what kind it is
   * @return the source; the file is read when it is asked
   */
  public static CountSource open(Path file) {
    return open(file.toString(), Opening::file);
  }

  /**
   * Opens anything that has a name.
   *
   * @param name its name, for messages too; its ending says what kind it is, and {@value
   *     #STANDARD_INPUT} is called standard input
   * @param opening how its bytes are reached
   * @return the source; it is opened when it is asked
   */
  public static CountSource open(String name, Opening opening) {
    return KINDS.stream()
        .filter(kind -> kind.takes.test(name))
        .findFirst()
        .orElseThrow()
        .maker
        .apply(name, opening);
  }
}
