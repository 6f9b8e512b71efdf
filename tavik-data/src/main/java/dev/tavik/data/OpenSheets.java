package dev.tavik.data;

import dev.tavik.data.RowSource.SourceDescription;
import dev.tavik.data.SheetRows.Cell;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.math.BigDecimal;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/** A spreadsheet in the OpenDocument format, {@code .ods}, read as it streams by. */
record OpenSheets(String name, ZipFile zip) {
  private static final String CONTENT = "content.xml";
  private static final int MOST_COLUMNS = 1 << 14;
  private static final long MOST_ROWS = 1 << 20;

  SourceDescription read(ReadOptions said, Function<String, SheetTaker> takers) throws IOException {
    List<String> names = new ArrayList<>();
    List<Boolean> hidden = new ArrayList<>();
    list(names, hidden);
    Sheets sheets = new Sheets(name, names, hidden);
    int chosen = sheets.chosen(said);
    String sheet = sheets.names().get(chosen);
    SheetTaker taken = takers.apply(sheet);
    reading(
        xml -> {
          int table = -1;
          while (table < chosen && xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT && is(xml, "table")) {
              table++;
            }
          }
          new Table(name, xml, taken).read();
        });
    List<String> remarks = new ArrayList<>(sheets.remarks(said, chosen));
    remarks.addAll(taken.end());
    return new SourceDescription("a spreadsheet (.ods), sheet " + sheet, remarks);
  }

  /** The names of all sheets, and whether each is hidden, which its style says. */
  private void list(List<String> names, List<Boolean> hidden) throws IOException {
    Set<String> hiding = new HashSet<>();
    String[] style = {""};
    reading(
        xml -> {
          while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
              continue;
            }
            if (is(xml, "table")) {
              names.add(String.valueOf(attribute(xml, "name")));
              hidden.add(hiding.contains(String.valueOf(attribute(xml, "style-name"))));
            } else if (xml.getLocalName().equals("style")) {
              style[0] = String.valueOf(attribute(xml, "name"));
            } else if (xml.getLocalName().equals("table-properties")
                && "false".equals(attribute(xml, "display"))) {
              hiding.add(style[0]);
            }
          }
        });
  }

  /** An action with the content as a stream. */
  private interface Work {
    void with(XMLStreamReader xml) throws XMLStreamException;
  }

  private void reading(Work work) throws IOException {
    @Nullable ZipEntry content = zip.getEntry(CONTENT);
    if (content == null) {
      throw damaged("it has no " + CONTENT);
    }
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    // The JDK's reader would also report invalid UTF-8 on the error stream.
    CharsetDecoder strict =
        StandardCharsets.UTF_8
            .newDecoder()
            .onMalformedInput(CodingErrorAction.REPORT)
            .onUnmappableCharacter(CodingErrorAction.REPORT);
    try (InputStream in = ZipFormat.unpacked(name, zip, content)) {
      XMLStreamReader xml = factory.createXMLStreamReader(new InputStreamReader(in, strict));
      work.with(xml);
      xml.close();
    } catch (XMLStreamException e) {
      if (e.getNestedException() instanceof DataException found) {
        throw found;
      }
      if (e.getNestedException() instanceof IOException cut) {
        if (cut instanceof CharacterCodingException) {
          throw damaged("it is no UTF-8");
        }
        throw cut;
      }
      throw damaged(String.valueOf(e.getMessage()).lines().findFirst().orElse(""));
    }
  }

  private DataException damaged(String found) {
    return new DataException(
        DataException.Code.MALFORMED,
        "%s cannot be read as a spreadsheet (%s); open it and save it again",
        name,
        found);
  }

  private static boolean is(XMLStreamReader xml, String element) {
    return xml.getLocalName().equals(element) && "table".equals(xml.getPrefix());
  }

  private static @Nullable String attribute(XMLStreamReader xml, String wanted) {
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      if (xml.getAttributeLocalName(i).equals(wanted)
          && !"calcext".equals(xml.getAttributePrefix(i))) {
        return xml.getAttributeValue(i);
      }
    }
    return null;
  }

  private static boolean isError(XMLStreamReader xml) {
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      if ("calcext".equals(xml.getAttributePrefix(i)) && xml.getAttributeValue(i).equals("error")) {
        return true;
      }
    }
    return false;
  }

  /** How often a row or a cell is repeated, or how many it spans. */
  private static long times(XMLStreamReader xml, String attribute) {
    @Nullable String times = attribute(xml, attribute);
    return times == null || !times.matches("[1-9]\\d{0,17}") ? 1 : Long.parseLong(times);
  }

  /** The rows of one sheet. */
  private static final class Table {
    private final String name;
    private final XMLStreamReader xml;
    private final SheetTaker taken;
    private long number;

    Table(String name, XMLStreamReader xml, SheetTaker taken) {
      this.name = name;
      this.xml = xml;
      this.taken = taken;
    }

    void read() throws XMLStreamException {
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamConstants.START_ELEMENT && is(xml, "table-row")) {
          long repeated = times(xml, "number-rows-repeated");
          List<Cell> cells = row();
          boolean filled = cells.stream().anyMatch(Cell::filled);
          if (filled && number + repeated > MOST_ROWS) {
            throw new DataException(
                DataException.Code.MALFORMED,
                "%s repeats a row %d times, more than a sheet has",
                name,
                repeated);
          }
          for (long i = 0; filled && i < repeated; i++) {
            taken.row(number + 1 + i, cells);
          }
          number += repeated;
        } else if (event == XMLStreamConstants.END_ELEMENT && is(xml, "table")) {
          return;
        }
      }
    }

    private List<Cell> row() throws XMLStreamException {
      List<Cell> cells = new ArrayList<>();
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamConstants.END_ELEMENT && is(xml, "table-row")) {
          break;
        }
        if (event == XMLStreamConstants.START_ELEMENT
            && (is(xml, "table-cell") || is(xml, "covered-table-cell"))) {
          long repeated = times(xml, "number-columns-repeated");
          long rows = times(xml, "number-rows-spanned");
          Cell cell = cell();
          if (rows > 1) {
            taken.merge(cells.size(), number + rows, cell);
          }
          for (long i = 0; i < repeated && cells.size() < MOST_COLUMNS; i++) {
            cells.add(cell);
          }
        }
      }
      return cells;
    }

    private Cell cell() throws XMLStreamException {
      boolean error = isError(xml);
      String end = xml.getLocalName();
      @Nullable String type = attribute(xml, "value-type");
      @Nullable String value =
          switch (String.valueOf(type)) {
            case "float", "currency" -> number(attribute(xml, "value"), ExcelSheets::plain);
            case "percentage" -> number(attribute(xml, "value"), ExcelSheets::percent);
            case "date" -> moment(attribute(xml, "date-value"), Moments::plain);
            case "time" -> moment(attribute(xml, "time-value"), Moments::ofDuration);
            case "boolean" -> "true".equals(attribute(xml, "boolean-value")) ? "TRUE" : "FALSE";
            default -> null;
          };
      String text = text(end);
      return error || ExcelSheets.isError(text)
          ? new Cell(text, true)
          : Cell.of(value != null ? value : text);
    }

    private static @Nullable String number(
        @Nullable String value, Function<BigDecimal, String> shown) {
      return value == null || !value.matches("[-+]?\\d*\\.?\\d+([eE][-+]?\\d{1,3})?")
          ? value
          : shown.apply(new BigDecimal(value));
    }

    private static @Nullable String moment(@Nullable String value, UnaryOperator<String> shown) {
      return value == null ? null : shown.apply(value);
    }

    /** The paragraphs of the current cell; its notes are skipped. */
    private String text(String end) throws XMLStreamException {
      StringBuilder text = new StringBuilder();
      int notes = 0;
      int paragraphs = 0;
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamConstants.END_ELEMENT && is(xml, end)) {
          break;
        }
        if (event == XMLStreamConstants.CHARACTERS && notes == 0) {
          text.append(xml.getText());
        } else if (event == XMLStreamConstants.START_ELEMENT) {
          String element = xml.getLocalName();
          notes += element.equals("annotation") ? 1 : 0;
          boolean later = element.equals("p") && notes == 0 && paragraphs++ > 0;
          text.append(
              notes > 0 ? "" : later || element.equals("line-break") ? "\n" : space(element));
        } else if (event == XMLStreamConstants.END_ELEMENT
            && xml.getLocalName().equals("annotation")) {
          notes--;
        }
      }
      return text.toString();
    }

    private String space(String element) {
      return switch (element) {
        case "s" -> " ".repeat((int) Math.min(1_000, times(xml, "c")));
        case "tab" -> "\t";
        default -> "";
      };
    }
  }
}
