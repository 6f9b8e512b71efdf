package dev.tavik.data;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * Options for reading a file: the encoding of its text, and the sheet and range of a spreadsheet.
 */
public final class ReadOptions {
  private static final ReadOptions USUAL = new ReadOptions(null, null, null, "", Long.MAX_VALUE);

  /** The words that tell how a file is to be read, and what each of them changes. */
  private static final Map<String, BiFunction<ReadOptions, String, ReadOptions>> TOLD =
      new LinkedHashMap<>();

  static {
    TOLD.put("encoding", ReadOptions::encoding);
    TOLD.put("sheet", ReadOptions::sheet);
    TOLD.put("range", ReadOptions::range);
  }

  private final @Nullable Charset encoding;
  private final @Nullable String sheet;
  private final @Nullable CellRange range;
  private final String member;
  private final long engineAbove;

  private ReadOptions(
      @Nullable Charset encoding,
      @Nullable String sheet,
      @Nullable CellRange range,
      String member,
      long engineAbove) {
    this.encoding = encoding;
    this.sheet = sheet;
    this.range = range;
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
    return List.copyOf(TOLD.keySet());
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
    BiFunction<ReadOptions, String, ReadOptions> change = TOLD.get(word);
    if (change == null) {
      throw new IllegalArgumentException(
          say("a file is told %s, got '%s'", String.join(", ", words()), word));
    }
    return change.apply(this, value);
  }

  /**
   * Returns a copy with an encoding of the text.
   *
   * @param name such as {@code windows-1252}, {@code ISO-8859-1} or {@code UTF-16LE}
   * @return what is said
   * @throws IllegalArgumentException if no such encoding is known
   */
  public ReadOptions encoding(String name) {
    try {
      return new ReadOptions(Charset.forName(name), sheet, range, member, engineAbove);
    } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
      throw new IllegalArgumentException(
          say(
              "encoding must be one that Java knows, such as UTF-8, windows-1252, ISO-8859-1 or"
                  + " UTF-16LE, got '%s'",
              name),
          e);
    }
  }

  /**
   * Returns a copy with a sheet.
   *
   * @param nameOrNumber its name, or its number from 1
   * @return what is said
   */
  public ReadOptions sheet(String nameOrNumber) {
    require(!nameOrNumber.isBlank(), "sheet must be a name or a number from 1, got nothing");
    return new ReadOptions(encoding, nameOrNumber, range, member, engineAbove);
  }

  /**
   * Returns a copy with a range of a sheet.
   *
   * @param corners such as {@code B4:F200}, or {@code B4:F} down to the end
   * @return what is said
   * @throws IllegalArgumentException if it isn't written so
   */
  public ReadOptions range(String corners) {
    return new ReadOptions(encoding, sheet, CellRange.parse(corners), member, engineAbove);
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
    return new ReadOptions(encoding, sheet, range, member, bytes);
  }

  long engineAbove() {
    return engineAbove;
  }

  /** Returns a copy with the member of an archive; an empty name stands for the only one. */
  ReadOptions member(String name) {
    return new ReadOptions(encoding, sheet, range, name, engineAbove);
  }

  String member() {
    return member;
  }

  Optional<Charset> encoding() {
    return Optional.ofNullable(encoding);
  }

  Optional<String> sheet() {
    return Optional.ofNullable(sheet);
  }

  CellRange range() {
    return range == null ? CellRange.ALL : range;
  }

  /** Refuses options of sheets for a file that has none. */
  void requireNoSheet(String name) {
    if (sheet != null || range != null) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s is no spreadsheet and has no sheets; leave sheet and range out",
          name);
    }
  }
}
