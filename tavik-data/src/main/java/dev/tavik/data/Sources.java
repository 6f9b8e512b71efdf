package dev.tavik.data;

import java.nio.file.Path;

/**
 * Opens data by name. The kind of a file is recognised from its first bytes: delimited text, a
 * spreadsheet, JSON, each also packed by gzip or zip.
 *
 * <pre>{@code
 * Tabulation counts = Sources.open(Path.of("firing-log.xlsx")).count(CountRequest.of("grade", "kiln"));
 * Tally cracked = counts.tally("grade", "cracked");
 * }</pre>
 */
public final class Sources {
  /** The name of standard input. */
  public static final String STANDARD_INPUT = "-";

  private Sources() {}

  /**
   * Opens a file.
   *
   * @param file the file
   * @return the source; the file is read when it is asked
   */
  public static CountSource open(Path file) {
    return open(file.toString(), SourceOpener.ofFiles());
  }

  /**
   * Opens a file by its name.
   *
   * @param name its name; {@value #STANDARD_INPUT} is standard input, and {@code
   *     week18.zip#kilns.csv} is one file of an archive
   * @return the source; the file is read when it is asked
   */
  public static CountSource open(String name) {
    return open(name, SourceOpener.ofFiles());
  }

  /**
   * Opens anything that has a name.
   *
   * @param name its name, for messages too; {@value #STANDARD_INPUT} is called standard input, and
   *     {@code week18.zip#kilns.csv} is one file of an archive
   * @param opening how its bytes are reached
   * @return the source; it is opened when it is asked
   */
  public static CountSource open(String name, SourceOpener opening) {
    return open(name, opening, ReadOptions.usual());
  }

  /**
   * Opens anything that has a name, with options.
   *
   * @param name its name, as above
   * @param opening how its bytes are reached
   * @param said its encoding, its sheet, the part of that
   * @return the source; it is opened when it is asked
   */
  public static CountSource open(String name, SourceOpener opening, ReadOptions said) {
    return new FileSource(name, opening, said);
  }
}
