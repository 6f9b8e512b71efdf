package dev.tavik.report;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;

/**
 * CSV, a row for each estimate, test and interval, and for every other figure one with its place
 * among the keys of the answer; all digits. Words that a spreadsheet would take for a formula begin
 * with an apostrophe.
 */
final class CsvFormat implements Format {
  @Override
  public String write(Document document) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
      csv.writeRecord(TidyRows.Column.NAMES);
      new TidyRows(row -> csv.writeRecord(safe(row))).add(document.figures().get());
    } catch (IOException e) {
      throw new UncheckedIOException("memory can always be written to", e);
    }
    return text.toString();
  }

  private static List<String> safe(List<Object> row) {
    return row.stream()
        .map(cell -> cell instanceof String words ? safe(words) : String.valueOf(cell))
        .toList();
  }

  private static String safe(String words) {
    return !words.isEmpty() && "=+-@\t\r\n".indexOf(words.charAt(0)) >= 0 ? "'" + words : words;
  }
}
