package dev.tavik.report;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.tavik.answer.Block;
import dev.tavik.answer.Value;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * CSV, one figure a row: where it stands, as the path of its keys, and the figure with all digits.
 * Words that a spreadsheet would take for a formula begin with an apostrophe.
 */
final class CsvFormat implements Format {
  @Override
  public String write(String title, List<Block> blocks, Value.Fields figures) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
      csv.writeRecord("figure", "value");
      write(csv, "", figures);
    } catch (IOException e) {
      throw new UncheckedIOException("memory can always be written to", e);
    }
    return text.toString();
  }

  private static void write(CsvWriter csv, String path, Value value) {
    @Nullable Object bare = value.bare();
    if (bare instanceof Map<?, ?> fields) {
      fields.forEach(
          (key, field) ->
              write(
                  csv,
                  path.isEmpty() ? escaped("" + key) : path + "/" + escaped("" + key),
                  (Value) field));
    } else if (bare instanceof List<?> values) {
      for (int i = 0; i < values.size(); i++) {
        write(csv, path + "/" + (i + 1), (Value) values.get(i));
      }
    } else {
      csv.writeRecord(
          path, bare == null ? "" : bare instanceof String words ? safe(words) : "" + bare);
    }
  }

  /** A key may be a label from data; the slash parts keys. */
  private static String escaped(String key) {
    return key.replace("~", "~0").replace("/", "~1");
  }

  private static String safe(String words) {
    return !words.isEmpty() && "=+-@\t\r".indexOf(words.charAt(0)) >= 0 ? "'" + words : words;
  }
}
