package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import dev.tavik.data.RowSource.SourceDescription;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Recognises files that can't be read here and says what to do instead. */
final class ForeignFormat implements SourceFormat {
  private static final String EXPORT = "save it as .xlsx, .ods or CSV";
  private static final String UNPACK = "unpack it first, or pack it by gzip or zip";

  private record Kind(int place, String mark, String name, String advice) {}

  private static final List<Kind> KINDS =
      List.of(
          new Kind(0, "SQLite format 3\0", "a SQLite database", database("sqlite")),
          new Kind(8, "DUCK", "a DuckDB database", database("duckdb")),
          new Kind(0, "ARROW1", "an Arrow file", "convert it to CSV"),
          new Kind(0, "ORC", "an ORC file", "convert it to CSV"),
          new Kind(0, "Obj\u0001", "an Avro file", "convert it to CSV"),
          new Kind(0, "\u00D0\u00CF\u0011\u00E0", "an old binary office document", EXPORT),
          new Kind(0, "%PDF", "a PDF document", "copy its table into a spreadsheet or a text file"),
          new Kind(0, "BZh", "packed by bzip2", UNPACK),
          new Kind(0, "\u00FD7zXZ", "packed by xz", UNPACK),
          new Kind(0, "7z\u00BC\u00AF", "packed by 7-Zip", UNPACK),
          new Kind(0, "(\u00B5/\u00FD", "packed by Zstandard", UNPACK),
          new Kind(0, "Rar!", "packed by RAR", UNPACK),
          new Kind(0, "$FL", "a binary file of a statistics program", "export it as CSV"),
          new Kind(0, "<stata_dta>", "a binary file of a statistics program", "export it as CSV"),
          new Kind(0, "RDX", "a binary file of a statistics program", "export it as CSV"),
          new Kind(0, "\u0089PNG", "a picture", "type the counts"),
          new Kind(0, "\u00FF\u00D8\u00FF", "a picture", "type the counts"));

  private static String database(String kind) {
    return "name it as a database, jdbc:" + kind + ":FILE, with a relation";
  }

  @Override
  public boolean takes(FileHeader beginning) {
    return kind(beginning).isPresent();
  }

  private static Optional<Kind> kind(FileHeader beginning) {
    String text = beginning.text().toLowerCase(Locale.ROOT);
    if (text.startsWith("<!doctype html") || text.startsWith("<html")) {
      return Optional.of(
          new Kind(
              0, "", "a web page", "save the table in it as CSV, or read it as a table of counts"));
    }
    if (text.startsWith("<?xml")) {
      return Optional.of(new Kind(0, "", "an XML document", EXPORT));
    }
    return KINDS.stream().filter(each -> beginning.hasAt(each.place, each.mark)).findFirst();
  }

  @Override
  public SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) {
    throw refusal(bytes);
  }

  static DataException refusal(Bytes bytes) {
    Kind kind = kind(bytes.beginning()).orElseThrow();
    return new DataException(
        DataException.Code.ENCODING,
        say("%s is %s, which can't be read here; %s", bytes.name(), kind.name, kind.advice));
  }
}
