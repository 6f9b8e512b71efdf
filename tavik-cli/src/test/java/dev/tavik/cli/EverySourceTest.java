package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

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
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The same log from any source is answered alike, to the last digit and the last caution. */
class EverySourceTest {
  @TempDir private static Path folder;

  private static final List<String> SOURCES = new ArrayList<>();
  private static EmbeddedPostgres postgres;

  @BeforeAll
  static void make() throws IOException, SQLException {
    postgres = EmbeddedPostgres.start();
    String log = Files.readString(Path.of("../demo/firing-log.csv"));
    text("semicolons.csv", "sep=;\n" + log.replace(",", ";"));
    text("tabs.txt", "\uFEFF" + log.replace(",", "\t"));
    text("bars.txt", "# made up\n" + log.replace(",", "|"));
    text("title.csv", "Firing log, all weeks\n\n" + log);
    Files.write(folder.resolve("wide.csv"), ("\uFEFF" + log).getBytes(StandardCharsets.UTF_16LE));
    SOURCES.add("--data " + folder.resolve("wide.csv"));
    try (OutputStream out = new GZIPOutputStream(made("log.csv.gz"))) {
      out.write(log.getBytes(StandardCharsets.UTF_8));
    }
    try (ZipOutputStream out = new ZipOutputStream(made("log.zip"))) {
      for (String member : List.of("log.csv", "readme.txt")) {
        out.putNextEntry(new ZipEntry(member));
        out.write(log.getBytes(StandardCharsets.UTF_8));
      }
    }
    SOURCES.set(SOURCES.size() - 1, "--data " + folder.resolve("log.zip") + "#log.csv");
    spreadsheets(log);
    databases();
    assertThat(SOURCES).hasSize(15);
  }

  @AfterAll
  static void stop() throws IOException {
    postgres.close();
  }

  /** A workbook as programs write it; an OpenDocument sheet by hand. */
  private static void spreadsheets(String log) throws IOException {
    List<List<String>> rows = log.lines().map(line -> List.of(line.split(",", -1))).toList();
    try (OutputStream out = made("log.xlsx")) {
      Workbook book = new Workbook(out, "tavik", "1.0");
      Worksheet sheet = book.newWorksheet("Log");
      StringBuilder table = new StringBuilder("<table:table table:name='Log'>");
      for (int row = 0; row < rows.size(); row++) {
        table.append("<table:table-row>");
        for (int column = 0; column < rows.get(row).size(); column++) {
          String value = rows.get(row).get(column);
          sheet.value(row, column, value.isEmpty() ? null : value);
          table
              .append("<table:table-cell office:value-type='string'><text:p>")
              .append(value)
              .append("</text:p></table:table-cell>");
        }
        table.append("</table:table-row>");
      }
      book.finish();
      openDocument(table.append("</table:table>").toString());
    }
  }

  private static void openDocument(String table) throws IOException {
    String open = "urn:oasis:names:tc:opendocument:xmlns:";
    String content =
        "<office:document-content xmlns:office='"
            + open
            + "office:1.0' xmlns:table='"
            + open
            + "table:1.0' xmlns:text='"
            + open
            + "text:1.0'><office:body><office:spreadsheet>"
            + table
            + "</office:spreadsheet></office:body></office:document-content>";
    try (ZipOutputStream out = new ZipOutputStream(made("log.ods"))) {
      out.putNextEntry(new ZipEntry("mimetype"));
      out.write("application/vnd.oasis.opendocument.spreadsheet".getBytes(StandardCharsets.UTF_8));
      out.putNextEntry(new ZipEntry("content.xml"));
      out.write(content.getBytes(StandardCharsets.UTF_8));
    }
  }

  private static void text(String name, String content) throws IOException {
    Files.writeString(folder.resolve(name), content);
    SOURCES.add("--data " + folder.resolve(name));
  }

  private static OutputStream made(String name) throws IOException {
    SOURCES.add("--data " + folder.resolve(name));
    return Files.newOutputStream(folder.resolve(name));
  }

  /** A column engine makes the files that take one, and a database for each driver. */
  private static void databases() throws SQLException, IOException {
    String csv = "read_csv('../demo/firing-log.csv', all_varchar = true)";
    String file = folder.resolve("log").toString();
    try (Connection engine = DriverManager.getConnection("jdbc:duckdb:" + file + ".duckdb");
        Statement statement = engine.createStatement()) {
      statement.execute("CREATE TABLE log AS SELECT * FROM " + csv);
      statement.execute("COPY log TO '" + file + ".parquet' (FORMAT parquet)");
      statement.execute("COPY log TO '" + file + ".json' (FORMAT json, ARRAY true)");
      statement.execute("COPY log TO '" + file + ".jsonl' (FORMAT json)");
    }
    fill("jdbc:sqlite:" + file + ".db");
    fill(postgres.getJdbcUrl("postgres", "postgres"));
    for (String ending : List.of(".parquet", ".json", ".jsonl")) {
      SOURCES.add("--data " + file + ending);
    }
    SOURCES.add("--relation log --database jdbc:duckdb:" + file + ".duckdb");
    SOURCES.add("--relation log --database jdbc:sqlite:" + file + ".db");
    SOURCES.add("--relation log --database " + postgres.getJdbcUrl("postgres", "postgres"));
  }

  private static void fill(String url) throws SQLException {
    try (Connection made = DriverManager.getConnection(url);
        Statement statement = made.createStatement()) {
      made.setAutoCommit(false);
      statement.execute(
          "CREATE TABLE log (date TEXT, kiln TEXT, shift TEXT, glaze TEXT, grade TEXT)");
      for (String line : lines().toList()) {
        statement.execute("INSERT INTO log VALUES (" + line + ")");
      }
      made.commit();
    }
  }

  private static Stream<String> lines() {
    try {
      return Files.readString(Path.of("../demo/firing-log.csv"))
          .lines()
          .skip(1)
          .map(line -> "'" + line.replace(",", "','") + "'")
          .map(line -> line.replace("''", "NULL"));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Without the names of files, and what is said of how they were read. */
  private static String answer(String command, String source) {
    CommandLine asked = CommandLine.shell(command + " " + source + " --json");
    assertThat(asked.err()).as(source).isEmpty();
    return asked
        .out()
        .replaceAll("\"data\": \"[^\"]*\"", "\"data\": \"\"")
        .replaceAll("(?s),\\s*\"remarks\": \\[[^]]*]", "");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --outcome grade --success cracked,warped --against 8% --group kiln",
        "rate --outcome grade --success crazed --where glaze=cobalt --against 8% --missing level",
        "compare --outcome grade --success cracked --group shift --tests all --intervals all",
        "compare --outcome grade --success bad --merge cracked+warped=bad --group kiln",
        "shares --outcome grade --against equal --tests pearson",
        "sweep --group kiln --outcomes shift,grade,glaze",
        "cross --rows kiln --columns grade --strata shift --merge crazed+cracked+warped=bad"
            + " --where kiln=South",
        "cross --rows kiln --columns grade --bayes"
      })
  void isAnsweredAlike(String command) {
    String given = command.contains("--strata") ? "cross --rows glaze --columns grade" : command;
    String plain = answer(given, "--data demo/firing-log.csv");
    for (String source : SOURCES) {
      assertThat(answer(given, source)).as(source).isEqualTo(plain);
    }
  }

  /** Sums of weights don't depend on the order in which parts are added, to the last digit. */
  @Test
  void aDesignIsTheSameWhereverItsRowsLie() throws IOException, SQLException {
    List<String> lines = Files.readAllLines(Path.of("../demo/panel-survey.csv"));
    List<String> turned = new ArrayList<>(lines.subList(1, lines.size()));
    Collections.reverse(turned);
    turned.add(0, lines.get(0));
    Path csv = Files.write(folder.resolve("turned.csv"), turned);
    String file = folder.resolve("panel").toString();
    try (Connection engine = DriverManager.getConnection("jdbc:duckdb:" + file + ".duckdb");
        Statement statement = engine.createStatement()) {
      statement.execute(
          "CREATE TABLE panel AS SELECT * REPLACE (weight::DOUBLE AS weight) FROM"
              + " read_csv('../demo/panel-survey.csv', all_varchar = true)");
      statement.execute("COPY panel TO '" + file + ".parquet' (FORMAT parquet)");
    }
    String command =
        "rate --outcome would_reorder --success yes --against 65%"
            + " --design weight=weight,strata=region,cluster=dealer";
    String plain = design(command, "--data demo/panel-survey.csv");
    assertThat(plain).contains("sumOfWeights", "shareOfLargest");
    for (String source :
        List.of(
            "--data " + csv,
            "--data " + file + ".parquet",
            "--relation panel --database jdbc:duckdb:" + file + ".duckdb")) {
      assertThat(design(command, source)).as(source).isEqualTo(plain);
    }
  }

  private static String design(String command, String source) {
    String answer = answer(command, source);
    int from = answer.indexOf("\"design\": {");
    return answer.substring(from, answer.indexOf("}", from));
  }

  /** What the column engine counts is what the reader of rows counts; the rest it isn't given. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '!',
      quoteCharacter = '~',
      value = {
        "g,h_a,x_b,y_a,x",
        "g;h_a;x__b;y_'a';x_",
        "# note_Title_g@h_a@x_NA@y_'NA'@x_@x_''@y",
        "g,h_ a,x_a ,y_a,x",
        "g,h_'a',x_' a',y_'say ''a''',x",
        "g,h_'a,b',x_'a_b',y",
        "h,g,g2_x,a,1_y,n/a,2_x,null,3",
        "g,h_a,x_b",
        "g,h_a,x_'b,y",
        "g_a_b__a",
        "g,h_ä,x_€,y_😀,x",
        "g,h_a,x_a,x_b,"
      })
  void theEngineCountsAlike(String lines) throws IOException {
    String text = lines.replace("_", "\n").replace("'", "\"").replace("@", "\t") + "\n";
    Path file = Files.writeString(folder.resolve("engine.csv"), text);
    for (String missing : List.of("drop", "level", "fail")) {
      String command =
          "rate --data " + file + " --outcome g --success a --against 50% --missing " + missing;
      CommandLine rows = CommandLine.shell(command);
      CommandLine columns = CommandLine.shell(command + " --engine");
      assertThat(columns.out()).isEqualTo(rows.out());
      assertThat(columns.status()).isEqualTo(rows.status());
    }
  }

  @Test
  void theSequenceOfRowsIsTheSame() {
    String command = "rate --outcome grade --success crazed --against 8% --sequence";
    String plain = answer(command, "--data demo/firing-log.csv");
    for (String source : SOURCES) {
      if (!source.contains("--database")) {
        assertThat(answer(command, source)).as(source).isEqualTo(plain);
      }
    }
    CommandLine unordered = CommandLine.shell(command + " " + SOURCES.get(SOURCES.size() - 1));
    assertThat(unordered.status()).isEqualTo(3);
    assertThat(unordered.err()).contains("order-by");
  }

  @Test
  void everySourceIsLookedAt() {
    String plain = CommandLine.shell("look --data demo/firing-log.csv").out();
    String columns = plain.substring(plain.indexOf("\n\n"), plain.indexOf("What could be asked"));
    for (String source : SOURCES) {
      assertThat(CommandLine.shell("look " + source).out()).as(source).contains(columns);
    }
  }

  /** What was understood, and what a word does to it. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --data demo/week-18.xlsx --outcome grade --success sound --against 80%"
            + "| the title 'Firings of week 18, 2026' above the header is passed over",
        "rate --data demo/panel-codes.csv --outcome reorder --success 1 --against 70%"
            + "| codes are read as demo/panel-codes.schema.json says",
        "rate --data demo/panel-codes.csv --outcome reorder --success yes --against 70%"
            + "| 274 of 392",
        "rate --data demo/panel-codes.csv --outcome 'Would order again' --success yes"
            + " --where Region=Uplands --against 70% | 39 of 76",
        "rate --data demo/panel-codes.csv --outcome reorder --success 1 --against 70%"
            + " --codebook none | of 400",
        "rate --data demo/panel-codes.csv --outcome glazes --split ; --success ash --against 50%"
            + "| 251 of 348",
        "rate --data demo/panel-codes.csv --outcome recommend --cut recommend:9-10=high,0-8=other"
            + " --success high --against 40% | recommend high",
        "rate --data demo/regrade.csv --outcome first_inspector,second_inspector --success cracked"
            + " --against 10% | adjusted by Holm's method for 2 groups",
        "rate --data demo/firing-log.csv --outcome grade --success bad --merge cracked+warped=bad"
            + " --against 8% | cracked and warped are counted as bad",
        "cross --data demo/panel-codes.csv --rows region --columns recommend --ordered columns"
            + " --cut recommend:0-6=low,7-8=middle,9-10=high | low middle high all",
        "compare --data demo/panel-codes.csv --outcome glazes --split ; --success iron,ash"
            + " --group region --baseline Coast | glazes iron or ash"
      })
  void whatWasUnderstoodIsSaid(String command, String said) {
    CommandLine asked = CommandLine.shell(command.replace("--split ;", "--split ';'"));
    assertThat(asked.err()).isEmpty();
    assertThat(asked.out().replaceAll("\\s+", " ")).contains(said);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "3| --data demo/firing-log.csv --outcome grade,kiln | column grade has none of the levels",
        "2| --data demo/firing-log.csv --cut glaze:1-2=a | doesn't use; it uses grade",
        "2| --data demo/firing-log.csv --cut grade | must be COLUMN:RANGE=NAME",
        "2| --data demo/firing-log.csv --cut grade:1-5=a,5-9=b | must not overlap",
        "2| --data demo/firing-log.csv --cut grade:5-1=a | a range must rise",
        "3| --data demo/firing-log.csv --cut grade:1-2=a | column grade has 'sound', which is no number",
        "2| --data demo/firing-log.csv --split / | no value of grade holds a '/'",
        "3| --data demo/firing-log.csv --codebook demo/regrade.csv | is not valid JSON",
        "3| --data demo/firing-log.csv --codebook none.json | there is no file",
        "3| --data demo/firing-log.csv --sheet 2 | has no sheets; leave sheet and range out",
        "3| --data demo/week-18.xlsx --sheet Frings | has no sheet 'Frings'; did you mean Firings?",
        "2| --data demo/week-18.xlsx --range B | range must be written like B4:F200",
        "2| --data demo/firing-log.csv --encoding latin-9000 | encoding must be one that Java knows",
        "3| --data demo/firing-log.csv --merge cracked+wraped=bad | no level 'wraped'",
        "2| --database jdbc:sqlite:x.db | needs --relation or --query, one of them",
        "2| --database jdbc:pg://me:secret@h/x --relation log | must not hold a password",
        "2| --database sqlite:x.db --relation log | must be a JDBC URL",
        "3| --database jdbc:none:x --relation log | no driver for jdbc:none:",
        "2| --data demo/firing-log.csv --relation log | --relation needs --database",
        "2| --data demo/firing-log.csv --database jdbc:sqlite:x.db --relation log | from both"
      })
  void whatIsWrongIsNamed(int status, String words, String message) {
    CommandLine asked =
        CommandLine.shell(
            "rate --success cracked --against 5% "
                + (words.contains("--outcome") ? "" : "--outcome grade ")
                + words);
    assertThat(asked.err().replaceAll("\\s+", " ")).contains(message).doesNotContain("secret");
    assertThat(asked.status()).isEqualTo(status);
    assertThat(asked.out()).isEmpty();
  }

  @Test
  void aFirstCodebookIsDraftedAndNeverReplaced() throws IOException {
    Path book = folder.resolve("draft.json");
    String command = "look --data demo/panel-codes.csv --codebook-out " + book;
    assertThat(CommandLine.shell(command).status()).isZero();
    assertThat(Files.readString(book)).contains("\"value\" : \"9\"", "\"label\" : \"9\"");
    Files.writeString(
        book, Files.readString(book).replace("\"label\" : \"4\"", "\"label\" : \"Uplands\""));
    String asked =
        CommandLine.shell(
                "shares --data demo/panel-codes.csv --outcome region --against equal --codebook "
                    + book)
            .out();
    assertThat(asked).contains("Uplands");
    CommandLine again = CommandLine.shell(command);
    assertThat(again.status()).isEqualTo(2);
    assertThat(again.err()).contains("never replaced");
    assertThat(Files.readString(book)).contains("Uplands");
  }
}
