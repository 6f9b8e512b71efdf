package dev.tavik.data;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.nio.charset.Charset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Options for reading a file: the encoding of its text, and the sheet and range of a spreadsheet.
 */
public final class ReadOptions {
  private static final ReadOptions USUAL = new ReadOptions(Map.of(), "", Long.MAX_VALUE);

  /** What is told, by word; every value was checked. */
  private final Map<String, String> told;

  private final String member;
  private final long engineAbove;

  private ReadOptions(Map<String, String> told, String member, long engineAbove) {
    this.told = told;
    this.member = member;
    this.engineAbove = engineAbove;
  }

  /**
   * {@return the usual: UTF-8 unless a byte-order mark says otherwise, the first sheet, all of it}
   */
  public static ReadOptions usual() {
    return USUAL;
  }

  /** {@return the words that tell how a file is to be read} */
  public static List<String> words() {
    return known().map(SourceFormat.Told::word).toList();
  }

  private static Stream<SourceFormat.Told> known() {
    return FileSource.FORMATS.stream().flatMap(each -> each.told().stream());
  }

  /**
   * Returns a copy that is told one thing more.
   *
   * @param word one of {@link #words}
   * @param value what is told
   * @return what is said
   * @throws IllegalArgumentException if there is no such word, or the value isn't right for it
   */
  public ReadOptions told(String word, String value) {
    SourceFormat.Told known =
        known()
            .filter(each -> each.word().equals(word))
            .findFirst()
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        say("a file is told %s, got '%s'", String.join(", ", words()), word)));
    known.check().accept(value);
    Map<String, String> more = new HashMap<>(told);
    more.put(word, value);
    return new ReadOptions(Map.copyOf(more), member, engineAbove);
  }

  /**
   * Returns a copy with an encoding of the text.
   *
   * @param name such as {@code windows-1252}, {@code ISO-8859-1} or {@code UTF-16LE}
   * @return what is said
   * @throws IllegalArgumentException if no such encoding is known
   */
  public ReadOptions encoding(String name) {
    return told("encoding", name);
  }

  /**
   * Returns a copy with a sheet.
   *
   * @param nameOrNumber its name, or its number from 1
   * @return what is said
   */
  public ReadOptions sheet(String nameOrNumber) {
    return told("sheet", nameOrNumber);
  }

  /**
   * Returns a copy with a range of a sheet.
   *
   * @param corners such as {@code B4:F200}, or {@code B4:F} down to the end
   * @return what is said
   * @throws IllegalArgumentException if it isn't written so
   */
  public ReadOptions range(String corners) {
    return told("range", corners);
  }

  /**
   * Returns a copy in which text files from a size on are counted by the column engine, if there is
   * one.
   *
   * @param bytes the size; 0 for every file
   * @return what is said
   */
  public ReadOptions engineAbove(long bytes) {
    require(bytes >= 0, "a size must be a number of bytes from 0, got %s", bytes);
    return new ReadOptions(told, member, bytes);
  }

  long engineAbove() {
    return engineAbove;
  }

  /** Returns a copy with the member of an archive; an empty name stands for the only one. */
  ReadOptions member(String name) {
    return new ReadOptions(told, name, engineAbove);
  }

  String member() {
    return member;
  }

  /** What is told by a word; empty for nothing. */
  Optional<String> told(String word) {
    return Optional.ofNullable(told.get(word));
  }

  Optional<Charset> encoding() {
    return told("encoding").map(Encoding::named);
  }

  Optional<String> sheet() {
    return told("sheet");
  }

  CellRange range() {
    return told("range").map(CellRange::parse).orElse(CellRange.ALL);
  }

  /** Refuses options of sheets for a file that has none. */
  void requireNoSheet(String name) {
    if (told.containsKey("sheet") || told.containsKey("range")) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s is no spreadsheet and has no sheets; leave sheet and range out",
          name);
    }
  }
}
