package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.DataOverview.Kind;
import dev.tavik.count.Tabulation;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DelimitedTextTest {
  private static final String LOG =
      "kiln,grade\nNorth,sound\nSouth,cracked\nNorth,cracked\nNorth,sound\n";

  private static CountSource text(String content) {
    return bytes(content.getBytes(StandardCharsets.UTF_8));
  }

  private static CountSource bytes(byte[] content) {
    return Sources.open("log.csv", name -> new ByteArrayInputStream(content));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        LOG,
        "\uFEFF" + LOG,
        "KILN;Grade\nNorth;sound\nSouth;cracked\nNorth;cracked\nNorth;sound",
        "kiln\tgrade\r\nNorth\tsound\r\nSouth\tcracked\r\nNorth\tcracked\r\nNorth\tsound\r\n",
        "\"kiln\",\"grade\"\n\"North\",\"sound\"\n\"South\",\"cracked\"\nNorth,cracked\nNorth,sound\n",
        " kiln , grade \n North , sound\n South , cracked\n\nNorth,cracked\nNorth,sound\n\n\n",
        "note,kiln,grade\n\"one, two;\nthree \"\"x\"\"\",North,sound\n,South,cracked\n;;;,North,cracked\n"
            + "\t\t,North,sound\n"
      })
  void everyLayoutGivesTheSameCounts(String content) {
    Tabulation counts = text(content).count(CountRequest.of("kiln", "grade"));
    assertThat(counts.counts())
        .containsExactly(
            Map.entry(List.of("North", "sound"), 2L),
            Map.entry(List.of("South", "cracked"), 1L),
            Map.entry(List.of("North", "cracked"), 1L));
    assertThat(counts.rows()).isEqualTo(4);
    assertThat(counts.levels(0)).containsExactly("North", "South");
  }

  @Test
  void frequenciesStandForRows() {
    String table =
        "kiln,grade,n\nNorth,sound,2\nSouth,cracked,1\nNorth,cracked,1.0\nTunnel,sound,0\n";
    Tabulation counts = text(table).count(CountRequest.of("kiln", "grade").frequency("n"));
    assertThat(counts.counts())
        .containsEntry(List.of("North", "sound"), 2L)
        .containsEntry(List.of("Tunnel", "sound"), 0L);
    assertThat(counts.total()).isEqualTo(4);
  }

  @Test
  void missingValuesAreCountedByColumn() {
    String log =
        "kiln,grade\nNorth,\n,cracked\nNA,cracked\n\"NA\",sound\nNorth,  \nNorth,sound\nnull,N/A\n";
    Tabulation dropped = text(log).count(CountRequest.of("kiln", "grade"));
    assertThat(dropped.missing()).containsExactly(Map.entry("grade", 2L), Map.entry("kiln", 3L));
    assertThat(dropped.total() + dropped.totalMissing()).isEqualTo(dropped.rows());
    assertThat(dropped.counts()).containsKey(List.of("NA", "sound"));

    Tabulation asLevel = text(log).count(CountRequest.of("kiln", "grade").missing(Missing.LEVEL));
    assertThat(asLevel.total()).isEqualTo(7);
    assertThat(asLevel.counts()).containsEntry(List.of("(missing)", "cracked"), 2L);

    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> text(log).count(CountRequest.of("grade").missing(Missing.FAIL)))
        .withMessageStartingWith("log.csv, line 2, column grade has no value");
  }

  @Test
  void aBlankLineInAFileOfOneColumnIsAMissingValue() {
    Tabulation counts = text("grade\nsound\n\ncracked\n").count(CountRequest.of("grade"));
    assertThat(counts.missing()).containsExactly(Map.entry("grade", 1L));
    assertThat(counts.total()).isEqualTo(2);
  }

  @Test
  void filtersLeaveRowsOut() {
    Tabulation counts =
        text(LOG).count(CountRequest.of("grade").where("kiln", "North").where("grade", "sound"));
    assertThat(counts.counts()).containsExactly(Map.entry(List.of("sound"), 2L));
    assertThat(counts.filtered()).isEqualTo(2);
  }

  @Test
  void longFilesArriveWhole() {
    StringBuilder long1 = new StringBuilder("kiln,grade\n");
    for (int i = 0; i < 200_000; i++) {
      long1.append(i % 3 == 0 ? "Nörth" : "South").append(i % 7 == 0 ? ",cräcked\n" : ",sound\n");
    }
    Tabulation counts = text(long1.toString()).count(CountRequest.of("kiln", "grade"));
    assertThat(counts.counts())
        .containsEntry(List.of("Nörth", "cräcked"), 9_524L)
        .containsEntry(List.of("South", "sound"), 114_286L - 1);
    assertThat(counts.total()).isEqualTo(200_000);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | log.csv is empty; a header line and rows of data are needed",
        "'kiln,grade\n' | log.csv has a header but no rows of data",
        "'kiln,grade\nNorth,sound\nSouth\n' | log.csv, line 3 has 1 field where the header has 2"
            + " (kiln, grade)",
        "'kiln,grade\nNorth,sound,x\n' | line 2 has 3 fields where the header has 2",
        "'kiln,grade\n\"a\nb\",sound\nx\n' | line 4 has 1 field",
        "'kiln,grade\n\"North,sound\n' | record starting at line 2 has a quoted field that is never"
            + " closed",
        "'kiln,grade\n\"North\"x,sound\n' | record starting at line 2 has text after a closing quote",
        "'kiln,garde\nNorth,sound\n' | log.csv has no column 'grade'; did you mean garde? There are:"
            + " kiln, garde",
        "'kiln,x,grade,grade\nNorth,1,2,3\n' | log.csv has 2 columns that could be 'grade' (numbers"
            + " 3 and 4)",
        "'kiln,Grade,GRADE\nNorth,1,2\n' | log.csv has 2 columns that could be 'grade' (numbers 2"
            + " and 3)"
      })
  void malformedFilesAreRefusedWithTheirPlace(String content, String message) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> text(content).count(CountRequest.of("kiln", "grade")))
        .withMessageContaining(message);
  }

  @ParameterizedTest
  @CsvSource({
    "2.5, has '2.5'; a fraction",
    "'', is blank",
    "-3, 'has -3, below 0'",
    "many, has 'many'",
    "1e3, has '1e3'",
    "9999999999999, 'makes a total above 1,000,000,000,000'",
    "NA, has 'NA'",
    "1.200, without separators of thousands"
  })
  void frequenciesThatAreNoCountsAreRefused(String frequency, String found) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(
            () ->
                text("grade,n\nsound,1\ncracked," + frequency + "\n")
                    .count(CountRequest.of("grade").frequency("n")))
        .withMessageStartingWith("log.csv, line 3, frequency column n")
        .withMessageContaining(found.replace(';', ','))
        .withMessageContaining("accepted are whole numbers from 0");
  }

  @Test
  void otherEncodingsAreNamed() {
    assertRefused(
        "kiln,grade\nNörth,sound\n", StandardCharsets.ISO_8859_1, "line 2 has the byte 0xF6");
    assertRefused("kiln,grade\nx,y\n", StandardCharsets.UTF_16LE, "the encoding UTF-16LE");
    assertRefused("kiln,grade\nx,y\n", StandardCharsets.UTF_16BE, "the encoding UTF-16BE");
    assertRefused("PK\u0003\u0004xxxx", StandardCharsets.US_ASCII, "is damaged or cut short");
    assertRefused("\u0000\u0001kiln", StandardCharsets.US_ASCII, "is not text");
  }

  private static void assertRefused(String content, Charset charset, String message) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> bytes(content.getBytes(charset)).count(CountRequest.of("kiln")))
        .withMessageContaining(message);
  }

  @Test
  void whatNeverEndsIsRefused() {
    String endless = "kiln,grade\nNorth,\"" + "x".repeat(1_200_000);
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> text(endless).count(CountRequest.of("kiln")))
        .withMessageContaining("a field longer than 1,048,576 characters");
    for (String wide :
        new String[] {",".repeat(3_000_000), "kiln,grade," + "x".repeat(900_000) + ","}) {
      assertThatExceptionOfType(DataException.class)
          .isThrownBy(() -> text(wide.repeat(6) + "\n").overview())
          .withMessageStartingWith("log.csv, line 1 is too long");
    }
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(
            () -> text("kiln\nNorth" + ",x".repeat(3_000_000)).count(CountRequest.of("kiln")))
        .withMessageContaining("line 2 has 3000001 fields where the header has 1");
    String remark = "kiln,note\nNorth," + "y".repeat(5_000) + "\n";
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> text(remark).count(CountRequest.of("note")))
        .withMessageContaining("a value of 5,000 characters, too long for a classification");
    assertThat(text(remark).overview().columns().get(1).kind()).isEqualTo(Kind.MANY_VALUES);
    StringBuilder identifiers = new StringBuilder("tile\n");
    for (int i = 0; i < 10_002; i++) {
      identifiers.append('T').append(i).append('\n');
    }
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> text(identifiers.toString()).count(CountRequest.of("tile")))
        .withMessageContaining("column tile has more than 10,000 different values");
  }

  @Test
  void filesThatCannotBeOpenedAreNamed(@TempDir Path folder) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> Sources.open(folder.resolve("none.csv")).overview())
        .withMessageContaining("there is no file");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> Sources.open(folder).overview())
        .withMessageContaining("is a directory");
  }

  @Test
  void overviewTellsKindsLevelsAndMissingValues() {
    StringBuilder log = new StringBuilder("date;kiln;ok;n;weight;tile;none;same\n");
    for (int i = 0; i < 40; i++) {
      log.append("2026-04-").append(10 + i % 20).append(';');
      log.append(new String[] {"North", "South", "Tunnel"}[i % 3]).append(';');
      log.append(i % 4 == 0 ? "" : i % 2 == 0 ? "yes" : "no").append(';');
      log.append(i + 1).append(';').append(i / 8.0).append(";T").append(i).append(";;x\n");
    }
    DataOverview overview = text(log.toString()).overview();
    assertThat(overview.rows()).isEqualTo(40);
    assertThat(overview.layout()).isEqualTo("separated by semicolons, UTF-8");
    assertThat(overview.columns())
        .extracting(Column::kind)
        .containsExactly(
            Kind.DATES,
            Kind.CATEGORY,
            Kind.TWO_LEVELS,
            Kind.WHOLE_NUMBERS,
            Kind.NUMBERS,
            Kind.MANY_VALUES,
            Kind.EMPTY,
            Kind.CONSTANT);
    assertThat(overview.columns().get(1).levels())
        .containsExactly(
            Map.entry("North", 14L), Map.entry("South", 13L), Map.entry("Tunnel", 13L));
    assertThat(overview.columns().get(2).missing()).isEqualTo(10);
    assertThat(overview.columns().get(3).sum()).isEqualTo(820);
    assertThat(overview.columns().get(4).range()).containsExactly("0.0", "4.875");
  }

  @Test
  void readingClosesTheFile() {
    boolean[] closed = {false};
    InputStream in =
        new ByteArrayInputStream(LOG.getBytes(StandardCharsets.UTF_8)) {
          @Override
          public void close() {
            closed[0] = true;
          }
        };
    assertThat(Sources.open("log", name -> in).count(CountRequest.of("kiln")).total()).isEqualTo(4);
    assertThat(closed[0]).isTrue();
  }

  /** What holds the columns apart is found, whatever else the text is full of. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "kiln,grade/North,sound/South,cracked|,",
        "kiln;grade/North;sound/South;cracked|;",
        "kiln~grade/North~sound/South~cracked|~",
        "kiln;n;rate/North;1,5;0,35/South;2,5;0,76|;",
        "Cracks, per kiln, in week 18/kiln;cracked;n/North;3;12/South;9;11|;",
        "kiln,note/North,a; b; c/South,d|,",
        "kiln;note/North;'a, b, c'/South;'d, e'|;",
        "kiln;note/'North, old';x/South;y|;",
        "kiln~note/North~a, b; c/South~d, e; f|~",
        "kiln/North/South|,",
        "kiln,n|,"
      })
  void theDelimiterIsFoundByLooking(String text, char delimiter) {
    String beginning = text.replace('/', '\n').replace('~', '\t').replace('\'', '"');
    char expected = delimiter == '~' ? '\t' : delimiter;
    assertThat(Layout.of(beginning).delimiter()).isEqualTo(expected);
    assertThat(Layout.of(beginning + "\n").delimiter()).isEqualTo(expected);
  }

  @Test
  void oneRegistryOpensEveryKindOfSource() {
    CountSource log = Sources.open("demo.csv", name -> DemoFiles.open("firing-log.csv"));
    Tabulation counts = log.count(CountRequest.of("kiln", "grade"));
    assertThat(log.overview().rows()).isEqualTo(counts.rows());
    assertThat(log.inOrder(CountRequest.of("grade")).counts().total())
        .isEqualTo(log.count(CountRequest.of("grade")).total());
    CountSource counted =
        new CountSource() {
          @Override
          public Tabulation count(CountRequest request) {
            return counts;
          }

          @Override
          public DataOverview overview() {
            return log.overview();
          }
        };
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> counted.inOrder(CountRequest.of("grade")))
        .withMessageContaining("no order of rows");
  }
}
