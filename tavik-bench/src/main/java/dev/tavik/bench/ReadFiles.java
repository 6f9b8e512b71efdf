package dev.tavik.bench;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import de.siegmar.fastcsv.reader.CsvReader;
import dev.tavik.data.CountRequest;
import dev.tavik.data.Sources;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.jspecify.annotations.Nullable;

/**
 * How long counting two columns of a file takes, in turn with the least that any program must do to
 * it: so whatever else the machine does falls on both alike. Times are of the clock, since an
 * engine has threads of its own.
 */
public final class ReadFiles {
  private static final int TURNS = 5;
  private static final int SHEET_ROWS = 100_000;
  private static final int WIDE = 1_000;
  private static final int WIDE_ROWS = 100_000;
  private static final String[] GRADES = {"sound", "crazed", "cracked", "warped", ""};
  private static final String[] KILNS = {"North", "South", "Tunnel"};
  private static final CountRequest REQUEST = CountRequest.of("grade", "kiln");

  private ReadFiles() {}

  /**
   * Times each kind of file.
   *
   * @param arguments how many rows; 13 million without one
   * @throws Exception if a file can't be made or read
   */
  public static void main(String[] arguments) throws Exception {
    int rows = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 13_000_000;
    Path folder = Files.createTempDirectory("tavik-bench");
    Path text = folder.resolve("log.csv");
    Path survey = folder.resolve("survey.csv");
    Path packed = folder.resolve("log.csv.gz");
    Path columns = folder.resolve("log.parquet");
    Path sheet = folder.resolve("log.xlsx");
    try {
      write(text, rows);
      pack(text, packed);
      toParquet(text, columns);
      toSheet(sheet);
      System.out.printf(
          Locale.ROOT,
          "%-44s %8s %8s %7s%n",
          "seconds, median of " + TURNS,
          "bare",
          "counted",
          "ratio");
      compare("text, against the reader's bare callback", () -> bareText(text), text);
      compare("look, against the same", () -> bareText(text), () -> Sources.open(text).overview());
      wide(survey);
      compare(
          "sweep of 1,000 columns, against the same",
          () -> bareText(survey),
          () -> Sources.open(survey).countAgainst("kiln", CountRequest.of("*")));
      Path design = folder.resolve("design.csv");
      SurveyFile.write(design, rows * 10 / 13, 50_000);
      compare(
          "a design of 50,000 clusters, against the same",
          () -> SurveyFile.bare(design),
          () -> SurveyFile.survey(design));
      Files.delete(design);
      double plain = median(() -> Sources.open(text).count(REQUEST));
      double unpacking = median(() -> unpack(packed));
      double counted = median(() -> Sources.open(packed).count(REQUEST));
      line("gzip, against unpacking and the text", unpacking + plain, counted);
      compare("Parquet, against the engine's own query", () -> bareParquet(columns), columns);
      compare("workbook, 100,000 x 6, against a bare loop", () -> bareSheet(sheet), sheet);
    } finally {
      for (Path file : new Path[] {text, survey, packed, columns, sheet, folder}) {
        Files.deleteIfExists(file);
      }
    }
  }

  private static void compare(String what, Callable<?> bare, Path file) throws Exception {
    compare(what, bare, () -> Sources.open(file).count(REQUEST));
  }

  private static void compare(String what, Callable<?> bare, Callable<?> ours) throws Exception {
    double[] bares = new double[TURNS];
    double[] counts = new double[TURNS];
    for (int turn = 0; turn < TURNS; turn++) {
      bares[turn] = seconds(bare);
      counts[turn] = seconds(ours);
    }
    Arrays.sort(bares);
    Arrays.sort(counts);
    line(what, bares[TURNS / 2], counts[TURNS / 2]);
  }

  private static double median(Callable<?> work) throws Exception {
    double[] times = new double[TURNS];
    for (int turn = 0; turn < TURNS; turn++) {
      times[turn] = seconds(work);
    }
    Arrays.sort(times);
    return times[TURNS / 2];
  }

  private static double seconds(Callable<?> work) throws Exception {
    long start = System.nanoTime();
    work.call();
    return (System.nanoTime() - start) / 1e9;
  }

  private static void line(String what, double bare, double counted) {
    System.out.printf(
        Locale.ROOT, "%-44s %8.2f %8.2f %7.2f%n", what, bare, counted, counted / bare);
  }

  private static String row(Random random, int row) {
    return String.format(
        Locale.ROOT,
        "2026-04-%02d,%s,%s,%s,%s,%d",
        1 + row % 30,
        KILNS[random.nextInt(KILNS.length)],
        random.nextBoolean() ? "early" : "late",
        random.nextBoolean() ? "\"ash, matt\"" : "celadon",
        GRADES[random.nextInt(GRADES.length)],
        row);
  }

  private static void write(Path file, int rows) throws IOException {
    Random random = new Random(7);
    String[] some = new String[10_000];
    Arrays.setAll(some, row -> row(random, row));
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      out.write("day,kiln,shift,glaze,grade,tile\n");
      for (int row = 0; row < rows; row++) {
        out.write(some[row % some.length]);
        out.write(" with a remark that nobody counts\n");
      }
    }
  }

  /** A thousand columns of answers. */
  private static void wide(Path file) throws IOException {
    Random random = new Random(11);
    String[] answers = {"yes", "no", "2", "maybe", "5"};
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      out.write("kiln");
      for (int column = 1; column < WIDE; column++) {
        out.write(",q" + column);
      }
      for (int row = 0; row < WIDE_ROWS; row++) {
        out.write("\n" + KILNS[random.nextInt(KILNS.length)]);
        for (int column = 1; column < WIDE; column++) {
          out.write("," + answers[random.nextInt(answers.length)]);
        }
      }
    }
  }

  private static void pack(Path text, Path packed) throws IOException {
    try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(packed), 1 << 16)) {
      Files.copy(text, out);
    }
  }

  private static void toParquet(Path text, Path columns) throws SQLException {
    try (Connection engine = DriverManager.getConnection("jdbc:duckdb:");
        Statement statement = engine.createStatement()) {
      statement.execute(
          "COPY (SELECT * FROM read_csv('%s', all_varchar = true)) TO '%s' (FORMAT parquet)"
              .formatted(text, columns));
    }
  }

  private static void toSheet(Path sheet) throws IOException {
    Random random = new Random(7);
    try (OutputStream out = Files.newOutputStream(sheet)) {
      Workbook book = new Workbook(out, "bench", "1.0");
      Worksheet log = book.newWorksheet("Log");
      String[] names = {"day", "kiln", "shift", "glaze", "grade", "tile"};
      for (int row = 0; row <= SHEET_ROWS; row++) {
        String[] values = row == 0 ? names : row(random, row).replace(", matt", "").split(",", -1);
        for (int column = 0; column < values.length; column++) {
          log.value(row, column, values[column]);
        }
      }
      book.finish();
    }
  }

  /** The reader's own loop, with the least that counts two columns: levels by their hash. */
  private static long bareText(Path file) throws IOException {
    Levels levels = new Levels();
    try (Stream<Object> none = CsvReader.builder().build(levels, file).stream()) {
      none.forEach(each -> {});
    }
    return levels.rows;
  }

  /** Two columns of few levels: no missing values, no blanks, no case, no header. */
  private static final class Levels extends AbstractBaseCsvCallbackHandler<Object> {
    private static final int SIZE = 1 << 6;
    private final Slots slots = new Slots(SIZE);
    private final long[] counts = new long[SIZE * SIZE];
    private int kiln;
    private int grade;
    private long rows;

    @Override
    protected void handleField(int column, char[] buffer, int offset, int length, boolean quoted) {
      if (column == 1) {
        kiln = slots.of(buffer, offset, length);
      } else if (column == 4) {
        grade = slots.of(buffer, offset, length);
      }
    }

    @Override
    protected @Nullable Object buildRecord() {
      counts[kiln * SIZE + grade]++;
      rows++;
      return null;
    }
  }

  private static long unpack(Path file) throws IOException {
    try (InputStream in = new GZIPInputStream(Files.newInputStream(file), 1 << 16)) {
      return in.transferTo(OutputStream.nullOutputStream());
    }
  }

  private static long bareParquet(Path file) throws SQLException {
    try (Connection engine = DriverManager.getConnection("jdbc:duckdb:");
        Statement statement = engine.createStatement()) {
      statement.execute("SET threads = 2");
      long groups = 0;
      try (ResultSet results =
          statement.executeQuery(
              "SELECT grade, kiln, COUNT(*) FROM read_parquet('%s') GROUP BY grade, kiln"
                  .formatted(file))) {
        while (results.next()) {
          groups++;
        }
      }
      return groups;
    }
  }

  private static long bareSheet(Path file) throws IOException {
    long[] cells = {0};
    try (ReadableWorkbook book = new ReadableWorkbook(file.toFile());
        Stream<Row> rows = book.getFirstSheet().openStream()) {
      rows.forEach(row -> row.forEach(cell -> cells[0] += cell == null ? 0 : 1));
    }
    return cells[0];
  }
}
