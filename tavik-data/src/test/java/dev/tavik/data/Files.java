package dev.tavik.data;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Makes the same rows into files of every kind. */
final class Files {
  private Files() {}

  /** Writes bytes. */
  interface Writing {
    void to(ByteArrayOutputStream out) throws IOException;
  }

  static byte[] written(Writing writing) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      writing.to(out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /** The rows of a demo file without quotes, header first. */
  static List<List<String>> demo(String name) {
    try (InputStream in = DemoFiles.open(name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .map(line -> List.of(line.split(",", -1)))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static String delimited(List<List<String>> rows, String delimiter) {
    return rows.stream()
        .map(row -> String.join(delimiter, row) + "\r\n")
        .collect(Collectors.joining());
  }

  static byte[] gzip(byte[] content) {
    return written(
        out -> {
          try (GZIPOutputStream packed = new GZIPOutputStream(out)) {
            packed.write(content);
          }
        });
  }

  /** 200 MB of the same piece, which never stand anywhere as a whole. */
  static void repeat(OutputStream out, String piece) throws IOException {
    byte[] block = piece.repeat((1 << 17) / piece.length()).getBytes(StandardCharsets.US_ASCII);
    for (int i = 0; i < 200_000_000 / block.length; i++) {
      out.write(block);
    }
  }

  static byte[] zip(Map<String, byte[]> members) {
    return written(
        out -> {
          try (ZipOutputStream packed = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> member : members.entrySet()) {
              packed.putNextEntry(new ZipEntry(member.getKey()));
              packed.write(member.getValue());
            }
          }
        });
  }

  /** A sheet; numbers as numbers, and above the names what is given. */
  static byte[] excel(List<List<String>> rows, String... titles) {
    return written(
        out -> {
          Workbook book = new Workbook(out, "test", "1.0");
          Worksheet sheet = book.newWorksheet("Log");
          int row = 0;
          for (String title : titles) {
            sheet.value(row++, 0, title);
          }
          for (List<String> values : rows) {
            for (int column = 0; column < values.size(); column++) {
              String value = values.get(column);
              if (value.matches("-?\\d+(\\.\\d+)?")) {
                sheet.value(row, column, Double.valueOf(value));
              } else if (!value.isEmpty()) {
                sheet.value(row, column, value);
              }
            }
            row++;
          }
          book.finish();
        });
  }

  /**
   * A workbook without styles, as programs write it: rows of cells, and what stands behind them.
   */
  static byte[] bareExcel(String rows, String behind) {
    String types = "http://schemas.openxmlformats.org/package/2006/content-types";
    String relations = "http://schemas.openxmlformats.org/package/2006/relationships";
    String document = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
    String main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
    String kind = "application/vnd.openxmlformats-officedocument.spreadsheetml.";
    Map<String, String> parts = new LinkedHashMap<>();
    parts.put(
        "[Content_Types].xml",
        "<Types xmlns='%s'><Override PartName='/xl/workbook.xml' ContentType='%ssheet.main+xml'/>"
                .formatted(types, kind)
            + "<Override PartName='/xl/worksheets/sheet1.xml' ContentType='%sworksheet+xml'/></Types>"
                .formatted(kind));
    parts.put(
        "_rels/.rels",
        "<Relationships xmlns='%s'><Relationship Id='rId1' Type='%s/officeDocument'"
                .formatted(relations, document)
            + " Target='xl/workbook.xml'/></Relationships>");
    parts.put(
        "xl/_rels/workbook.xml.rels",
        "<Relationships xmlns='%s'><Relationship Id='rId1' Type='%s/worksheet'"
                .formatted(relations, document)
            + " Target='worksheets/sheet1.xml'/></Relationships>");
    parts.put(
        "xl/workbook.xml",
        "<workbook xmlns='%s' xmlns:r='%s'><sheets><sheet name='Log' sheetId='1' r:id='rId1'/>"
                .formatted(main, document)
            + "</sheets></workbook>");
    parts.put(
        "xl/worksheets/sheet1.xml",
        "<worksheet xmlns='%s'><sheetData>%s</sheetData>%s</worksheet>"
            .formatted(main, rows, behind));
    Map<String, byte[]> members = new LinkedHashMap<>();
    parts.forEach(
        (name, text) ->
            members.put(name, text.replace('\'', '"').getBytes(StandardCharsets.UTF_8)));
    return zip(members);
  }

  static byte[] open(String table) {
    String content =
        "<?xml version=\"1.0\" encoding=\"UTF-8\"?><office:document-content"
            + " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
            + " xmlns:calcext=\"urn:org:documentfoundation:names:experimental:calc:xmlns:calcext:1.0\""
            + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body>"
            + "<office:spreadsheet>"
            + table
            + "</office:spreadsheet></office:body></office:document-content>";
    Map<String, byte[]> members = new LinkedHashMap<>();
    members.put(
        "mimetype",
        "application/vnd.oasis.opendocument.spreadsheet".getBytes(StandardCharsets.US_ASCII));
    members.put("content.xml", content.getBytes(StandardCharsets.UTF_8));
    return zip(members);
  }

  /** Rows of an OpenDocument sheet, equal neighbours repeated. */
  static String table(String name, List<List<String>> rows) {
    StringBuilder table = new StringBuilder("<table:table table:name=\"" + name + "\">");
    for (List<String> row : rows) {
      table.append("<table:table-row>");
      for (int column = 0; column < row.size(); ) {
        int end = column + 1;
        while (end < row.size() && row.get(end).equals(row.get(column))) {
          end++;
        }
        table.append(cell(row.get(column), end - column));
        column = end;
      }
      table.append("<table:table-cell table:number-columns-repeated=\"1000\"/></table:table-row>");
    }
    return table
        .append("<table:table-row table:number-rows-repeated=\"1000000\"><table:table-cell/>")
        .append("</table:table-row></table:table>")
        .toString();
  }

  private static String cell(String value, int repeated) {
    String times = repeated > 1 ? " table:number-columns-repeated=\"" + repeated + "\"" : "";
    if (value.isEmpty()) {
      return "<table:table-cell" + times + "/>";
    }
    String type =
        value.matches("-?\\d+(\\.\\d+)?")
            ? " office:value-type=\"float\" office:value=\"" + value + "\""
            : " office:value-type=\"string\"";
    return "<table:table-cell"
        + times
        + type
        + "><text:p>"
        + value
        + "</text:p></table:table-cell>";
  }

  /** Objects, apart by something; what is missing is null or left out. */
  static String json(List<List<String>> rows, String apart) {
    List<String> names = rows.get(0);
    List<String> objects = new ArrayList<>();
    for (List<String> row : rows.subList(1, rows.size())) {
      List<String> members = new ArrayList<>();
      for (int i = 0; i < row.size(); i++) {
        String value = row.get(i);
        boolean number = value.matches("-?(0|[1-9]\\d*)(\\.\\d+)?");
        if (!value.isEmpty() || objects.size() % 2 == 0) {
          members.add(
              "\""
                  + names.get(i)
                  + "\": "
                  + (value.isEmpty() ? "null" : number ? value : "\"" + value + "\""));
        }
      }
      objects.add("{" + String.join(", ", members) + "}");
    }
    return String.join(apart, objects);
  }

  static List<List<String>> rows(String... lines) {
    return Arrays.stream(lines).map(line -> List.of(line.split(",", -1))).toList();
  }
}
