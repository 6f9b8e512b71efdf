package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.DataOverview;
import dev.tavik.count.Tabulation;
import java.io.ByteArrayInputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The same rows in every kind of file are the same counts. */
@Order(1)
class FormatsTest {
  private static final List<List<String>> ROWS = Files.demo("firing-log.csv");
  private static final String PLAIN = Files.delimited(ROWS, ",");

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static CountSource source(byte[] bytes) {
    return Sources.open("log", name -> new ByteArrayInputStream(bytes));
  }

  static Stream<Arguments> files() {
    String sheet = Files.table("Log", ROWS);
    return Stream.of(
        Arguments.of("semicolons", utf8("\uFEFF" + Files.delimited(ROWS, ";")), ""),
        Arguments.of("tabs", utf8(Files.delimited(ROWS, "\t")), ""),
        Arguments.of("bars", utf8(Files.delimited(ROWS, "|")), ""),
        Arguments.of("said", utf8("sep=;\n" + Files.delimited(ROWS, ";")), ""),
        Arguments.of("UTF-16", ("\uFEFF" + PLAIN).getBytes(StandardCharsets.UTF_16LE), ""),
        Arguments.of("UTF-16BE", ("\uFEFF" + PLAIN).getBytes(StandardCharsets.UTF_16BE), ""),
        Arguments.of("comments", utf8("# made up\n# by hand\n" + PLAIN), "2 comment lines"),
        Arguments.of("title", utf8("Firing log\n\n" + PLAIN), "title 'Firing log'"),
        Arguments.of("gzip", Files.gzip(utf8(PLAIN)), ""),
        Arguments.of("twice", Files.gzip(Files.gzip(utf8(PLAIN))), ""),
        Arguments.of("zip", Files.zip(Map.of("week/log.csv", utf8(PLAIN))), ""),
        Arguments.of("xlsx", Files.excel(ROWS), ""),
        Arguments.of("xlsx, titles", Files.excel(ROWS, "Firing log", "week 18"), "'week 18'"),
        Arguments.of("ods", Files.open(sheet), ""),
        Arguments.of(
            "ods, two", Files.open(sheet + Files.table("Notes", Files.rows("a"))), "one of 2"),
        Arguments.of("array", utf8("[" + Files.json(ROWS, ",\n") + "]"), ""),
        Arguments.of("lines", utf8(Files.json(ROWS, "\n")), ""));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("files")
  void everyKindOfFileIsCountedAlike(String kind, byte[] bytes, String remark) {
    CountRequest request =
        CountRequest.of("grade", "kiln").where("shift", "early").missing(Missing.LEVEL);
    Tabulation plain = source(utf8(PLAIN)).count(request);
    Tabulation counted = source(bytes).count(request);
    assertThat(counted.remarking(List.of())).isEqualTo(plain);
    assertThat(String.join("; ", counted.remarks())).contains(remark);
    assertThat(counted.remarks().isEmpty()).isEqualTo(remark.isEmpty());
    CountRequest all = CountRequest.of("grade");
    assertThat(source(bytes).inOrder(all).outcomes(Set.of("cracked")))
        .usingRecursiveComparison()
        .isEqualTo(source(utf8(PLAIN)).inOrder(all).outcomes(Set.of("cracked")));
    List<DataOverview.Column> columns = source(utf8(PLAIN)).overview().columns();
    assertThat(source(bytes).overview().columns()).isEqualTo(columns);
  }

  @Test
  void otherEncodingsAreSaid() {
    byte[] bytes =
        "kiln,grade\nNörth,sound\nNörth,cracked\n".getBytes(Charset.forName("windows-1252"));
    Tabulation counted =
        Sources.open(
                "log",
                name -> new ByteArrayInputStream(bytes),
                ReadOptions.usual().encoding("windows-1252"))
            .count(CountRequest.of("kiln"));
    assertThat(counted.levels(0)).containsExactly("Nörth");
  }

  /** What spreadsheets write otherwise than text does. */
  @Test
  void sheetsAreReadAsTheyShow() {
    String row = "<table:table-row>%s</table:table-row>";
    String merged =
        "<table:table-cell office:value-type=\"string\" table:number-rows-spanned=\"2\">"
            + "<text:p>North</text:p></table:table-cell>";
    String covered = "<table:covered-table-cell/>";
    String noted =
        "<table:table-cell office:value-type=\"string\"><office:annotation><text:p>why?</text:p>"
            + "</office:annotation><text:p>very<text:s text:c=\"2\"/>bad</text:p></table:table-cell>";
    String date =
        "<table:table-cell office:value-type=\"date\" office:date-value=\"2026-05-04T00:00:00\">"
            + "<text:p>04/05/26</text:p></table:table-cell>";
    String number =
        "<table:table-cell office:value-type=\"float\" office:value=\"3.0\"><text:p>3,0</text:p>"
            + "</table:table-cell>";
    byte[] bytes =
        Files.open(
            "<table:table table:name=\"Log\">"
                + row.formatted(name("kiln") + name("grade") + name("day") + name("n"))
                + row.formatted(merged + noted + date + number)
                + "<table:table-row table:number-rows-repeated=\"3\"><table:table-cell/></table:table-row>"
                + "</table:table>");
    Tabulation counted = source(bytes).count(CountRequest.of("kiln", "grade", "day", "n"));
    assertThat(counted.counts())
        .isEqualTo(Map.of(List.of("North", "very  bad", "2026-05-04", "3"), 1L));
    byte[] two =
        Files.open(
            "<table:table table:name=\"Log\">"
                + row.formatted(name("kiln") + name("grade"))
                + row.formatted(merged + name("sound"))
                + row.formatted(covered + name("cracked"))
                + "</table:table>");
    Tabulation merge = source(two).count(CountRequest.of("kiln"));
    assertThat(merge.counts()).isEqualTo(Map.of(List.of("North"), 2L));
    assertThat(merge.remarks()).containsExactly("merged cells stand for every row that they cover");
  }

  /** Formulas count by their stored value, merged cells for each row, errors not at all. */
  @Test
  void workbooksAreReadAsTheyShow() {
    String header = row(1, text("A1", "kiln") + text("B1", "grade") + text("C1", "n"));
    String formula =
        "<c r='B2' t='str'><f>A1&amp;B1</f><v>sound</v></c><c r='C2'><f>1+1</f><v>2.0</v></c>";
    byte[] bytes =
        Files.bareExcel(
            header
                + row(2, text("A2", "North") + formula)
                + row(3, text("B3", "cracked") + "<c r='C3'><v>0.30000000000000004</v></c>")
                + row(5, text("A5", "South") + "<c r='B5' t='b'><v>1</v></c>"),
            "<mergeCells count='1'><mergeCell ref='A2:A3'/></mergeCells>");
    Tabulation counted =
        source(bytes).count(CountRequest.of("kiln", "grade", "n").missing(Missing.LEVEL));
    assertThat(counted.counts())
        .isEqualTo(
            Map.of(
                List.of("North", "sound", "2"), 1L,
                List.of("North", "cracked", "0.3"), 1L,
                List.of("South", "TRUE", "(missing)"), 1L));
    assertThat(counted.remarks())
        .containsExactly("merged cells stand for every row that they cover");
    byte[] error =
        Files.bareExcel(header + row(2, text("A2", "x") + "<c r='B2' t='e'><v>#N/A</v></c>"), "");
    assertThat(source(error).count(CountRequest.of("kiln")).total()).isOne();
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> source(error).count(CountRequest.of("grade")))
        .withMessageContaining("sheet Log has an error in the cell B2 (#N/A)");
  }

  private static String row(int number, String cells) {
    return "<row r='" + number + "'>" + cells + "</row>";
  }

  private static String text(String place, String text) {
    return "<c r='" + place + "' t='inlineStr'><is><t>" + text + "</t></is></c>";
  }

  private static String name(String text) {
    return "<table:table-cell office:value-type=\"string\"><text:p>"
        + text
        + "</text:p></table:table-cell>";
  }

  @Test
  void partsOfSheetsAreSaid() {
    byte[] bytes =
        Files.open(
            Files.table("Notes", Files.rows("made up"))
                + Files.table(
                    "Log",
                    Files.rows("x,,,", ",kiln,grade,", ",North,sound,7", ",South,cracked,")));
    ReadOptions part = ReadOptions.usual().sheet("log").range("B2:C3");
    CountSource source = Sources.open("log", name -> new ByteArrayInputStream(bytes), part);
    assertThat(source.count(CountRequest.of("kiln", "grade")).counts())
        .isEqualTo(Map.of(List.of("North", "sound"), 1L));
    CountSource second =
        Sources.open(
            "log", name -> new ByteArrayInputStream(bytes), ReadOptions.usual().sheet("2"));
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> second.count(CountRequest.of("kiln")))
        .withMessageContaining("sheet Log has a value in the cell D3");
  }

  static Stream<Arguments> troubles() {
    byte[] packed = Files.gzip(utf8(PLAIN));
    byte[] book = Files.excel(ROWS);
    Map<String, byte[]> two = new LinkedHashMap<>();
    two.put("a.csv", utf8(PLAIN));
    two.put("b.csv", utf8(PLAIN));
    return Stream.of(
        Arguments.of(new byte[0], "log is empty"),
        Arguments.of(utf8("grade\n"), "has a header but no rows"),
        Arguments.of(cut(packed), "log is damaged or cut short"),
        Arguments.of(cut(book), "log is damaged or cut short"),
        Arguments.of(Files.zip(two), "as in log#a.csv. There are: a.csv, b.csv"),
        Arguments.of(Files.zip(Map.of()), "has no file in it"),
        Arguments.of(utf8("PAR1xxxx"), "Parquet file"),
        Arguments.of(utf8("SQLite format 3\0xxxx"), "is a SQLite database"),
        Arguments.of(utf8("%PDF-1.7"), "is a PDF document"),
        Arguments.of(utf8("<html><table>"), "is a web page"),
        Arguments.of(utf8("[{\"grade\": {\"a\": 1}}]"), "object 1: $.grade holds an object"),
        Arguments.of(utf8("[{\"grade\": [1]}]"), "object 1: $.grade holds an array"),
        Arguments.of(utf8("[{\"grade\": 1}, 2]"), "a value that is no object after object 1"),
        Arguments.of(utf8("[{\"grade\": 1}"), "is not valid JSON"),
        Arguments.of(utf8("[{\"grade\": 1, \"grade\": 2}]"), "Duplicate field 'grade'"),
        Arguments.of(utf8("[]"), "log is empty"),
        Arguments.of(utf8("[\"a\", \"b\"]"), "must contain objects only"),
        Arguments.of(utf8("[".repeat(100_000)), "must contain objects only"),
        Arguments.of(
            utf8("[{\"grade\": \"" + "x".repeat(2_000_000) + "\"}]"),
            "a value of more than 1,048,576 characters"),
        Arguments.of(
            Files.open(
                "<table:table table:name=\"Log\"><table:table-row>"
                    + name("grade")
                    + name("n")
                    + "</table:table-row><table:table-row table:number-rows-repeated=\"999999999\">"
                    + name("x")
                    + name("1")
                    + "</table:table-row></table:table>"),
            "repeats a row 999999999 times"),
        Arguments.of(
            utf8("{\"grade\": 1}\n".repeat(1_000) + "{\"kiln\": 1}"), "has the key 'kiln'"),
        Arguments.of(Files.gzip(packedAgain()), "more than 400 times its size"),
        Arguments.of(bomb(), "more than 400 times its size"),
        Arguments.of(
            Files.zip(Map.of("mimetype", utf8("application/vnd.oasis.opendocument.text"))),
            "is a document"),
        Arguments.of(
            Files.zip(
                Map.of(
                    "mimetype",
                    utf8("application/vnd.oasis.opendocument.spreadsheet"),
                    "content.xml",
                    utf8("<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><x>&e;</x>"))),
            "cannot be read as a spreadsheet"),
        Arguments.of(
            Files.zip(
                Map.of(
                    "xl/workbook.xml",
                    utf8("<!DOCTYPE x [<!ENTITY e \"e\">]><workbook>&e;</workbook>"))),
            "defines a document type of its own"),
        Arguments.of(
            Files.open(
                "<table:table table:name=\"Log\"><table:table-row>"
                    + name("grade")
                    + name("n")
                    + "</table:table-row><table:table-row>"
                    + "<table:table-cell office:value-type=\"string\" calcext:value-type=\"error\">"
                    + "<text:p>#DIV/0!</text:p></table:table-cell>"
                    + name("1")
                    + "</table:table-row></table:table>"),
            "sheet Log has an error in the cell A2 (#DIV/0!)"));
  }

  private static byte[] cut(byte[] whole) {
    return Arrays.copyOf(whole, whole.length / 2);
  }

  private static byte[] packedAgain() {
    return Files.written(
        out -> {
          try (GZIPOutputStream packed = new GZIPOutputStream(out)) {
            packed.write(utf8("grade\n"));
            Files.repeat(packed, "x".repeat(19) + "\n");
          }
        });
  }

  /** Millions of blanks in a few bytes. */
  private static byte[] bomb() {
    return Files.written(
        out -> {
          try (ZipOutputStream packed = new ZipOutputStream(out)) {
            packed.putNextEntry(new ZipEntry("xl/workbook.xml"));
            packed.write(utf8("<workbook/>"));
            packed.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
            Files.repeat(packed, "  ");
          }
        });
  }

  @ParameterizedTest
  @MethodSource("troubles")
  void whatCantBeReadIsNamed(byte[] bytes, String message) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> source(bytes).count(CountRequest.of("grade")))
        .withMessageContaining(message);
  }

  /** As it is pasted from a spreadsheet, a web page, a text. */
  @Test
  void tablesArePastedFromAnywhere() {
    String html =
        "<p>Week 18</p><table><tr><th></th><th>cracked</th><th>sound</th></tr>"
            + "<tr><td>North kiln</td><td>14</td><td>386</td></tr>"
            + "<tr><td>South kiln</td><td>31</td><td>379</td></tr></table>";
    String markdown =
        """
        | kiln | cracked | sound |
        |:---|---:|---:|
        | North kiln | 14 | 386 |
        | **South kiln** | 31 | 379 |
        """;
    String blanks =
        """
                     cracked  sound
        ---------------------------
        North kiln   14       386
        South kiln   31       379
        """;
    List<String> lines = List.of(",cracked,sound", "North kiln,14,386", "South kiln,31,379");
    byte[] sheet = Files.open(Files.table("T", Files.rows(lines.toArray(String[]::new))));
    List<byte[]> tables = new ArrayList<>(List.of(utf8(html), utf8(markdown), utf8(blanks), sheet));
    tables.add(utf8(String.join("\n", lines)));
    for (byte[] table : tables) {
      List<PastedTable.PastedLine> read =
          PastedTable.read("table", name -> new ByteArrayInputStream(table), ReadOptions.usual());
      assertThat(read.stream().skip(1).map(line -> line.fields().subList(0, 3)))
          .containsExactly(List.of("North kiln", "14", "386"), List.of("South kiln", "31", "379"));
      assertThat(read.get(0).fields()).contains("cracked", "sound");
    }
  }
}
