package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.data.CountRequest;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.Sources;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A cell of a kind is the same level, whatever kind of source has it. */
class SameCellsTest {
  @TempDir private static Path folder;

  private static EmbeddedPostgres postgres;

  /** The level that each column is to have. */
  private static final Map<String, String> LEVELS = new LinkedHashMap<>();

  /** How each column is written: the type and value of SQL, then a cell of xlsx and of ods. */
  private record Column(String type, String value, String excel, String open) {}

  private static final Map<String, Column> COLUMNS = new LinkedHashMap<>();

  private static void column(
      String name, String level, String type, String value, String excel, String open) {
    LEVELS.put(name, level);
    COLUMNS.put(name, new Column(type, value, excel, open));
  }

  static {
    column("word", "North", "TEXT", "'North'", text("North"), string("North"));
    column("whole", "2", "DOUBLE PRECISION", "2.0", "<c%s><v>2</v></c>", number("float", "2"));
    column("part", "1.5", "NUMERIC(5,2)", "1.50", "<c%s><v>1.5</v></c>", number("float", "1.50"));
    column(
        "great",
        "100000000000000000000",
        "DOUBLE PRECISION",
        "1e20",
        "<c%s><v>1E+20</v></c>",
        number("float", "1E+20"));
    column("below", "-3", "INTEGER", "-3", "<c%s s=\"1\"><v>-3</v></c>", number("float", "-3"));
    column(
        "day",
        "2026-05-01",
        "DATE",
        "'2026-05-01'",
        "<c%s s=\"1\"><v>46143</v></c>",
        "<table:table-cell office:value-type='date' office:date-value='2026-05-01'/>");
    column(
        "midnight",
        "2026-05-01",
        "TIMESTAMP",
        "'2026-05-01 00:00:00'",
        "<c%s t=\"d\"><v>2026-05-01</v></c>",
        "<table:table-cell office:value-type='date' office:date-value='2026-05-01T00:00:00'/>");
    column(
        "moment",
        "2026-05-01 10:30",
        "TIMESTAMP",
        "'2026-05-01 10:30:00'",
        "<c%s t=\"d\" s=\"2\"><v>2026-05-01T10:30:00</v></c>",
        "<table:table-cell office:value-type='date' office:date-value='2026-05-01T10:30:00'/>");
    column(
        "time",
        "10:30",
        "TIME",
        "'10:30:00'",
        "<c%s s=\"3\"><v>0.4375</v></c>",
        "<table:table-cell office:value-type='time' office:time-value='PT10H30M00S'/>");
  }

  /** Columns that only sheets can have: what a reader sees is the level. */
  private static final Map<String, List<String>> SHEETS =
      Map.of(
          "code", List.of("00042", "<c%s s=\"4\"><v>42</v></c>", string("00042")),
          "share", List.of("5%", "<c%s s=\"5\"><v>0.05</v></c>", number("percentage", "0.05")),
          "tenth", List.of("5.5%", "<c%s s=\"6\"><v>0.055</v></c>", number("percentage", "0.055")),
          "hidden", List.of("7", "<c%s s=\"7\"><v>7</v></c>", number("float", "7")));

  private static String text(String value) {
    return "<c%s t=\"str\"><v>" + value + "</v></c>";
  }

  private static String string(String value) {
    return "<table:table-cell office:value-type='string'><text:p>"
        + value
        + "</text:p></table:table-cell>";
  }

  private static String number(String type, String value) {
    return "<table:table-cell office:value-type='"
        + type
        + "' office:value='"
        + value
        + "'><text:p>shown</text:p></table:table-cell>";
  }

  @BeforeAll
  static void make() throws IOException, SQLException {
    postgres = EmbeddedPostgres.start();
    fill("jdbc:sqlite:" + folder.resolve("cells.db"));
    fill("jdbc:duckdb:" + folder.resolve("cells.duckdb"));
    fill(postgres.getJdbcUrl("postgres", "postgres"));
    try (Connection engine = DriverManager.getConnection("jdbc:duckdb:");
        Statement statement = engine.createStatement()) {
      statement.execute("ATTACH '" + folder.resolve("cells.duckdb") + "' AS made (READ_ONLY)");
      statement.execute(
          "COPY made.cells TO '" + folder.resolve("cells.parquet") + "' (FORMAT parquet)");
    }
    workbook("cells.xlsx");
    document("cells.ods", sheet());
    StringBuilder json = new StringBuilder();
    LEVELS.forEach((name, level) -> json.append(",\"" + name + "\":\"" + level + "\""));
    String objects = "[{" + json.substring(1) + ",\"absent\":null}]";
    Files.writeString(folder.resolve("cells.json"), objects);
    Files.write(
        folder.resolve("wide.json"), ("\uFEFF" + objects).getBytes(StandardCharsets.UTF_16LE));
    String csv =
        String.join(",", LEVELS.keySet()) + ",absent\n" + String.join(",", LEVELS.values());
    Files.writeString(folder.resolve("cells.csv"), csv + ",NaN\n");
    try (ZipOutputStream out = zip("cells.zip")) {
      for (String name :
          List.of("__MACOSX/._cells.csv", ".DS_Store", "week/.hidden", "week/cells.csv")) {
        part(out, name, csv + ",NaN\n");
      }
    }
  }

  @AfterAll
  static void stop() throws IOException {
    postgres.close();
  }

  private static void fill(String url) throws SQLException {
    try (Connection made = DriverManager.getConnection(url);
        Statement statement = made.createStatement()) {
      String names = "";
      String values = "";
      for (Map.Entry<String, Column> each : COLUMNS.entrySet()) {
        names += each.getKey() + " " + each.getValue().type() + ", ";
        values += each.getValue().value() + ", ";
      }
      String nothing = url.contains("sqlite") ? "NULL" : "'NaN'";
      statement.execute("CREATE TABLE cells (" + names + "absent DOUBLE PRECISION)");
      statement.execute("INSERT INTO cells VALUES (" + values + nothing + ")");
      statement.execute("CREATE VIEW seen AS SELECT * FROM cells");
    }
  }

  private static ZipOutputStream zip(String name) throws IOException {
    OutputStream out = Files.newOutputStream(folder.resolve(name));
    return new ZipOutputStream(out);
  }

  private static void part(ZipOutputStream out, String name, String content) throws IOException {
    out.putNextEntry(new ZipEntry(name));
    out.write(content.getBytes(StandardCharsets.UTF_8));
  }

  private static void workbook(String name) throws IOException {
    StringBuilder head = new StringBuilder();
    StringBuilder cells = new StringBuilder();
    int[] column = {0};
    COLUMNS.forEach((title, each) -> cell(head, cells, column[0]++, title, each.excel()));
    SHEETS.forEach((title, each) -> cell(head, cells, column[0]++, title, each.get(1)));
    String main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
    String office = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
    String packed = "http://schemas.openxmlformats.org/package/2006/";
    String kind = "application/vnd.openxmlformats-officedocument.spreadsheetml.";
    String[] formats = {
      "yyyy\\-mm\\-dd", "yyyy\\-mm\\-dd\\ hh:mm", "hh:mm", "00000", "0%", "0.0%", ";;;"
    };
    StringBuilder styles = new StringBuilder();
    StringBuilder uses = new StringBuilder("<xf numFmtId=\"0\"/>");
    for (int i = 0; i < formats.length; i++) {
      int id = 170 + i;
      styles.append("<numFmt numFmtId=\"" + id + "\" formatCode=\"" + formats[i] + "\"/>");
      uses.append("<xf numFmtId=\"" + id + "\" applyNumberFormat=\"1\"/>");
    }
    try (ZipOutputStream out = zip(name)) {
      part(
          out,
          "[Content_Types].xml",
          "<Types xmlns=\""
              + packed
              + "content-types\"><Default Extension=\"xml\""
              + " ContentType=\"application/xml\"/><Override PartName=\"/xl/workbook.xml\" ContentType=\""
              + kind
              + "sheet.main+xml\"/><Override PartName=\"/xl/styles.xml\" ContentType=\""
              + kind
              + "styles+xml\"/></Types>");
      part(
          out,
          "_rels/.rels",
          "<Relationships xmlns=\""
              + packed
              + "relationships\"><Relationship Id=\"r1\" Type=\""
              + office
              + "/officeDocument\" Target=\"xl/workbook.xml\"/></Relationships>");
      part(
          out,
          "xl/_rels/workbook.xml.rels",
          "<Relationships xmlns=\""
              + packed
              + "relationships\"><Relationship Id=\"r1\" Type=\""
              + office
              + "/worksheet\" Target=\"worksheets/sheet1.xml\"/><Relationship Id=\"r2\""
              + " Type=\""
              + office
              + "/styles\" Target=\"styles.xml\"/></Relationships>");
      part(
          out,
          "xl/workbook.xml",
          "<workbook xmlns=\""
              + main
              + "\" xmlns:r=\""
              + office
              + "\"><sheets><sheet name=\"A\" sheetId=\"1\" r:id=\"r1\"/></sheets></workbook>");
      part(
          out,
          "xl/styles.xml",
          "<styleSheet xmlns=\""
              + main
              + "\"><numFmts>"
              + styles
              + "</numFmts><cellXfs>"
              + uses
              + "</cellXfs></styleSheet>");
      part(
          out,
          "xl/worksheets/sheet1.xml",
          "<worksheet xmlns=\""
              + main
              + "\"><sheetData><row r=\"1\">"
              + head
              + "</row><row r=\"2\">"
              + cells
              + "</row></sheetData></worksheet>");
    }
  }

  private static void cell(
      StringBuilder head, StringBuilder cells, int column, String title, String cell) {
    char letter = (char) ('A' + column);
    head.append(String.format(text(title), " r=\"" + letter + "1\""));
    cells.append(String.format(cell, " r=\"" + letter + "2\""));
  }

  private static String sheet() {
    StringBuilder head = new StringBuilder();
    StringBuilder cells = new StringBuilder();
    COLUMNS.forEach(
        (title, each) -> {
          head.append(string(title));
          cells.append(each.open());
        });
    SHEETS.forEach(
        (title, each) -> {
          head.append(string(title));
          cells.append(each.get(2));
        });
    return "<table:table table:name='A'><table:table-row>"
        + head
        + "</table:table-row><table:table-row>"
        + cells
        + "</table:table-row></table:table>";
  }

  private static void document(String name, String tables) throws IOException {
    String open = "urn:oasis:names:tc:opendocument:xmlns:";
    try (ZipOutputStream out = zip(name)) {
      part(out, "mimetype", "application/vnd.oasis.opendocument.spreadsheet");
      part(
          out,
          "content.xml",
          "<office:document-content xmlns:office='"
              + open
              + "office:1.0' xmlns:table='"
              + open
              + "table:1.0' xmlns:style='"
              + open
              + "style:1.0' xmlns:text='"
              + open
              + "text:1.0'><office:automatic-styles><style:style style:name='ta2'"
              + " style:family='table'><style:table-properties table:display='false'/></style:style>"
              + "</office:automatic-styles><office:body><office:spreadsheet>"
              + tables
              + "</office:spreadsheet></office:body></office:document-content>");
    }
  }

  static Stream<String> sources() {
    return Stream.of(
        "cells.csv",
        "cells.zip",
        "cells.json",
        "wide.json",
        "cells.xlsx",
        "cells.ods",
        "cells.parquet",
        "sqlite",
        "duckdb",
        "postgresql",
        "sqlite seen",
        "duckdb seen",
        "postgresql seen");
  }

  private static CountSource opened(String source) {
    if (source.startsWith("cells.") || source.endsWith(".json")) {
      return Sources.open(folder.resolve(source));
    }
    String url =
        source.startsWith("sqlite")
            ? "jdbc:sqlite:" + folder.resolve("cells.db")
            : source.startsWith("duckdb")
                ? "jdbc:duckdb:" + folder.resolve("cells.duckdb")
                : postgres.getJdbcUrl("postgres", "postgres");
    return Database.at(url).relation(source.endsWith("seen") ? "seen" : "cells").open();
  }

  @ParameterizedTest
  @MethodSource("sources")
  void aCellIsTheSameLevel(String source) {
    Map<String, String> found = new LinkedHashMap<>();
    for (String column : LEVELS.keySet()) {
      found.put(column, String.join("|", opened(source).count(CountRequest.of(column)).levels(0)));
    }
    assertThat(found).isEqualTo(LEVELS);
    if (!source.startsWith("cells.xlsx") && !source.startsWith("cells.ods")) {
      assertThat(opened(source).overview().columns())
          .filteredOn(column -> column.name().equals("absent"))
          .allSatisfy(column -> assertThat(column.missing()).isEqualTo(1));
    }
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void whatAReaderSeesIsTheLevel(String source) {
    SHEETS.forEach(
        (column, each) ->
            assertThat(opened(source).count(CountRequest.of(column)).levels(0))
                .as(column)
                .containsExactly(each.get(0)));
  }

  static Stream<String> sheets() {
    return Stream.of("cells.xlsx", "cells.ods");
  }

  @Test
  void aHiddenSheetIsPassedOverAndAFailedFormulaIsNoLevel() throws IOException {
    document(
        "hidden.ods",
        sheet()
                .replace("table:name='A'", "table:name='Old' table:style-name='ta2'")
                .replace("North", "Old")
            + sheet());
    assertThat(Sources.open(folder.resolve("hidden.ods")).count(CountRequest.of("word")).levels(0))
        .containsExactly("North");
    for (String broken : List.of("#DIV/0!", "#REF!", "Err:502")) {
      document("broken.ods", sheet().replace("North", broken));
      assertThatExceptionOfType(DataException.class)
          .isThrownBy(
              () -> Sources.open(folder.resolve("broken.ods")).count(CountRequest.of("word")))
          .withMessageContaining("has an error in the cell A2 (" + broken + ")");
    }
    document(
        "many.ods",
        sheet()
            .replaceFirst(
                "</table:table-row><table:table-row>",
                "</table:table-row><table:table-row table:number-rows-repeated='2000000000'>"));
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> Sources.open(folder.resolve("many.ods")).count(CountRequest.of("word")))
        .withMessageContaining("repeats a row 2000000000 times");
  }
}
