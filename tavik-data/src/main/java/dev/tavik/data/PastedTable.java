package dev.tavik.data;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import dev.tavik.data.SheetRows.Cell;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/**
 * The lines of a small table as people paste it: delimited text, a sheet of a spreadsheet, the
 * table of a web page, one in Markdown, or columns that stand apart by blanks.
 */
public final class PastedTable {
  private static final int MOST_LINES = 10_000;
  private static final int LONGEST = 200 * MOST_LINES;

  /** A Markdown line that separates the header, or one that only draws. */
  private static final Pattern RULE =
      Pattern.compile("[\\s|:+=\u2500-\u257F-]*[-=\u2500-\u257F][\\s|:+=\u2500-\u257F-]*");

  private static final Pattern MARKDOWN_RULE =
      Pattern.compile("\\s*\\|?\\s*:?-+:?\\s*(\\|\\s*:?-*:?\\s*)+");

  private PastedTable() {}

  /**
   * A line of a table.
   *
   * @param number its number in the file, from 1
   * @param fields what stands in it, from the left
   */
  public record PastedLine(long number, List<String> fields) {
    /** Copies the fields. */
    public PastedLine {
      fields = List.copyOf(fields);
    }
  }

  /**
   * Reads the non-empty lines.
   *
   * @param name the file's name
   * @param opening how its bytes are reached
   * @param said its encoding, its sheet, the part of that
   * @return the lines
   * @throws DataException if it can't be read, or is too long for a table
   */
  public static List<PastedLine> read(String name, SourceOpener opening, ReadOptions said) {
    String shown = name.equals(Sources.STANDARD_INPUT) ? "standard input" : name;
    try (Bytes bytes = new Bytes(shown, opening.open(name))) {
      List<PastedLine> lines =
          new ZipFormat().takes(bytes.beginning()) ? sheet(bytes, said) : text(bytes, said);
      if (lines.size() > MOST_LINES) {
        throw tooLong(shown);
      }
      return lines;
    } catch (IOException e) {
      throw DataException.unreadable(shown, e);
    } catch (UncheckedIOException e) {
      throw DataException.unreadable(shown, new IOException(e.getMessage(), e));
    } catch (CsvParseException e) {
      throw new DataException(
          DataException.Code.MALFORMED, shown + " can't be read as a table; check its quotes");
    }
  }

  private static DataException tooLong(String name) {
    return new DataException(
        DataException.Code.MALFORMED,
        name + " is too long for a two-way table; a file of rows is read with data");
  }

  private static List<PastedLine> sheet(Bytes bytes, ReadOptions said) throws IOException {
    List<PastedLine> lines = new ArrayList<>();
    CellRange range = said.range();
    ZipFormat.sheet(
        bytes,
        said,
        sheet ->
            new SheetTaker() {
              @Override
              public void merge(int column, long lastRow, Cell cell) {
                // A table has its names in merged cells at most, and needs them once.
              }

              @Override
              public void row(long number, List<Cell> cells) {
                if (number >= range.top() && number <= range.bottom()) {
                  List<String> fields =
                      cells.stream()
                          .skip(range.left())
                          .limit(1L + range.right() - range.left())
                          .map(cell -> cell.text() == null ? "" : String.valueOf(cell.text()))
                          .toList();
                  add(number, fields);
                }
              }

              private void add(long number, List<String> fields) {
                if (fields.stream().anyMatch(field -> !field.isBlank())) {
                  lines.add(new PastedLine(number, fields));
                }
                if (lines.size() > MOST_LINES) {
                  throw tooLong(bytes.name());
                }
              }

              @Override
              public List<String> end() {
                return List.of();
              }
            });
    return lines;
  }

  private static List<PastedLine> text(Bytes bytes, ReadOptions said) throws IOException {
    said.requireNoSheet(bytes.name());
    String text = whole(bytes, Encoding.of(bytes, said));
    String start = text.stripLeading();
    if (start.startsWith("<")) {
      return ofPage(bytes.name(), text);
    }
    if (new ForeignFormat().takes(bytes.beginning())) {
      throw ForeignFormat.refusal(bytes);
    }
    if (text.lines().anyMatch(line -> MARKDOWN_RULE.matcher(line).matches())) {
      return ofMarkdown(text);
    }
    Layout layout = Layout.of(text);
    boolean apart = text.indexOf(layout.delimiter()) < 0;
    return apart ? ofBlanks(text) : delimited(text, layout);
  }

  private static String whole(Bytes bytes, Encoding encoding) throws IOException {
    try (Reader reader = new StrictReader(bytes, encoding)) {
      StringBuilder text = new StringBuilder();
      char[] buffer = new char[1 << 14];
      for (int n = reader.read(buffer); n >= 0; n = reader.read(buffer)) {
        text.append(buffer, 0, n);
        if (text.length() > LONGEST) {
          throw tooLong(bytes.name());
        }
      }
      return text.toString();
    }
  }

  private static List<PastedLine> delimited(String text, Layout layout) {
    boolean saying = text.regionMatches(true, 0, "sep=", 0, 4);
    return CsvReader.builder()
        .fieldSeparator(layout.delimiter())
        .skipEmptyLines(true)
        .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
        .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
        .allowUnclosedQuote(false)
        .ofCsvRecord(text)
        .stream()
        .skip(saying ? 1 : 0)
        .map(record -> new PastedLine(record.getStartingLineNumber(), record.getFields()))
        .toList();
  }

  /** The table of a web page; of several the only one. */
  private static List<PastedLine> ofPage(String name, String text) {
    List<Element> tables = Jsoup.parse(text).select("table:not(:has(table))");
    if (tables.size() != 1) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s is a web page with %s; copy the one you mean into a file of its own",
          name,
          tables.isEmpty() ? "no table" : tables.size() + " tables");
    }
    List<PastedLine> lines = new ArrayList<>();
    long number = 0;
    for (Element row : tables.get(0).select("tr")) {
      number++;
      List<String> fields = new ArrayList<>();
      for (Element cell : row.select("> th, > td")) {
        fields.add(cell.text());
        String span = cell.attr("colspan");
        int more = span.matches("[1-9]\\d?") ? Integer.parseInt(span) - 1 : 0;
        fields.addAll(Collections.nCopies(more, ""));
      }
      if (fields.stream().anyMatch(field -> !field.isBlank())) {
        lines.add(new PastedLine(number, fields));
      }
    }
    return lines;
  }

  private static List<PastedLine> ofMarkdown(String text) {
    List<PastedLine> lines = new ArrayList<>();
    long number = 0;
    for (String line : text.lines().toList()) {
      number++;
      if (!line.isBlank() && !RULE.matcher(line).matches()) {
        String inner = line.strip().replaceAll("^\\||\\|$", "");
        List<String> fields =
            Arrays.stream(inner.split("(?<!\\\\)\\|", -1))
                .map(field -> field.strip().replaceAll("\\*\\*|__|`", "").replace("\\|", "|"))
                .toList();
        lines.add(new PastedLine(number, fields));
      }
    }
    return lines;
  }

  /** Columns that stand apart by two blanks or more, else by one, where all lines agree. */
  private static List<PastedLine> ofBlanks(String text) {
    return split(text, "\\s{2,}")
        .or(() -> split(text, "\\s+"))
        .orElseGet(() -> delimited(text, new Layout(',', 0, "", List.of())));
  }

  private static Optional<List<PastedLine>> split(String text, String apart) {
    List<PastedLine> lines = new ArrayList<>();
    long number = 0;
    for (String line : text.lines().toList()) {
      number++;
      if (!line.isBlank() && !RULE.matcher(line).matches()) {
        lines.add(new PastedLine(number, List.of(line.strip().split(apart))));
      }
    }
    int width = lines.isEmpty() ? 0 : lines.get(lines.size() - 1).fields().size();
    int head = 0;
    while (head < lines.size() && lines.get(head).fields().size() == 1) {
      head++;
    }
    List<PastedLine> table = new ArrayList<>(lines.subList(head, lines.size()));
    if (width < 2 || table.isEmpty()) {
      return Optional.empty();
    }
    PastedLine names = table.get(0);
    if (names.fields().size() == width - 1) {
      List<String> cornered = new ArrayList<>(List.of(""));
      cornered.addAll(names.fields());
      table.set(0, new PastedLine(names.number(), cornered));
    }
    boolean agree = table.stream().allMatch(line -> line.fields().size() == width);
    table.addAll(0, lines.subList(0, head));
    return agree ? Optional.of(List.copyOf(table)) : Optional.empty();
  }
}
