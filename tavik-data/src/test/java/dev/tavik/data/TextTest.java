package dev.tavik.data;

import static java.nio.file.StandardCopyOption.REPLACE_EXISTING;
import static java.nio.file.StandardOpenOption.APPEND;
import static java.nio.file.StandardOpenOption.WRITE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.tavik.count.Tabulation;
import dev.tavik.result.Figures;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Characters, lines and delimiters of text. */
class TextTest {

  /** Characters of one to four bytes, cut at every place a read may end. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 5, 64, 100_000})
  void textArrivesWholeHoweverItIsCut(int most) throws IOException {
    String text = "aé€😀\n".repeat(3_000) + "end";
    byte[] bytes = ("\uFEFF" + text).getBytes(StandardCharsets.UTF_8);
    InputStream cut =
        new ByteArrayInputStream(bytes) {
          @Override
          public synchronized int read(byte[] buffer, int offset, int length) {
            return super.read(buffer, offset, Math.min(length, most));
          }
        };
    try (Reader reader = StrictReader.of("log", cut)) {
      StringWriter out = new StringWriter();
      reader.transferTo(out);
      assertThat(out).hasToString(text);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 7, 8, 9, 1_000, 70_000})
  void theLineThatIsNotUtf8IsNamed(int before) {
    byte[] bytes = ("kiln\n" + "x\n".repeat(before) + "N?rth\n").getBytes(StandardCharsets.UTF_8);
    bytes[bytes.length - 5] = (byte) 0xF6;
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(
            () ->
                StrictReader.of("log", new ByteArrayInputStream(bytes))
                    .transferTo(new StringWriter()))
        .withMessageContaining("line " + (before + 2) + " has the byte 0xF6");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'a,b\n1,2\n' | ,",
        "'a;b\n1,5;2,5\n1,7;2,7\n' | ;",
        "'a\tb\n1,2\t3\n' | TAB",
        "'\"a;x;y\",b\n\"1;2;3\",2\n' | ,",
        "'a b c\n1 2 3\n' | ,",
        "'name;note\nx;one, two\ny;three, four, five\n' | ;"
      })
  void theDelimiterIsFoundByLooking(String beginning, String delimiter) {
    char expected = delimiter.equals("TAB") ? '\t' : delimiter.charAt(0);
    assertThat(Layout.of(beginning).delimiter()).isEqualTo(expected);
  }

  /** Lines are apart by a bar here; what stands above the header, and what is said of it. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '!',
      value = {
        "g,h|a,1|b,2 ! 0 !",
        "sep=;|g;h|a;1|b;2 ! 1 !",
        "# one|g,h|a,1|b,2 ! 1 ! a comment line",
        "# one, two|# three|g,h|a,1|b,2 ! 2 ! 2 comment lines",
        "#,g|1,a|2,b ! 0 !",
        "#g,h|1,a|2,b ! 0 !",
        "Log|g,h|a,1|b,2 ! 1 ! the title 'Log'",
        "Log||g,h|a,1|b,2 ! 2 ! the title 'Log'",
        "Log,|g,h|a,1|b,2 ! 1 ! the title 'Log'",
        "Log|Week 18|g,h,i|a,1,x|b,2,y ! 2 ! the title 'Week 18'",
        "Log, week 18|g,h,i|a,1,x|b,2,x|c,3,y ! 1 ! the title 'Log, week 18'",
        // A header that lacks a name is none: the row below it is one of values.
        "g,h|a,x,1|b,y,2|c,z,3 ! 0 !",
        "g,h|a,b,c|a,b,d|a,b,e ! 0 !",
        "g,|a,1|b,2 ! 0 !",
        "g|a|b|c ! 0 !",
        "g,h ! 0 !"
      })
  void whatStandsAboveTheHeaderIsFound(String lines, int above, String said) {
    Layout layout = Layout.of(lines.replace("|", "\n") + "\n");
    assertThat(layout.above()).isEqualTo(above);
    assertThat(String.join("; ", layout.remarks())).contains(said == null ? "" : said);
    assertThat(layout.remarks().isEmpty()).isEqualTo(said == null);
  }

  @ParameterizedTest
  @CsvSource({
    "B4:F200, 1, 4, 5, 200",
    "$a$1:$aa$9, 0, 1, 26, 9",
    "C2:D, 2, 2, 3, 9223372036854775807"
  })
  void partsOfSheetsAreParsed(String written, int left, long top, int right, long bottom) {
    assertThat(CellRange.parse(written)).isEqualTo(new CellRange(left, top, right, bottom));
    assertThat(CellRange.letters(right))
        .isEqualTo(written.replaceAll(".*:|[$0-9]", "").toUpperCase(Locale.ROOT));
  }

  /** What somebody does to a file while it is read. */
  private interface Meddling {
    void with(Path file) throws IOException;
  }

  private static CountSource meddled(Path file, Meddling meddling) {
    SourceOpener files = SourceOpener.ofFiles();
    return Sources.open(
        file.toString(),
        new SourceOpener() {
          @Override
          public InputStream open(String name) throws IOException {
            InputStream opened = files.open(name);
            meddling.with(file);
            return opened;
          }

          @Override
          public Optional<Path> path(String name) {
            return files.path(name);
          }
        });
  }

  /** A file that changes while it is read says so, where that can be seen. */
  @Test
  void aFileThatChangesWhileItIsReadIsNotTakenForWhole(@TempDir Path folder) throws IOException {
    String rows = "kiln,grade\n" + "North,sound\nSouth,cracked\n".repeat(20_000);
    Path file = folder.resolve("log.csv");
    java.nio.file.Files.writeString(file, rows);
    CountRequest request = CountRequest.of("kiln", "grade");
    assertThat(meddled(file, log -> {}).count(request).remarks()).isEmpty();
    Tabulation added =
        meddled(file, log -> java.nio.file.Files.writeString(log, "North,sound\n", APPEND))
            .count(request);
    assertThat(added.remarks())
        .hasSize(1)
        .first()
        .asString()
        .contains("written to while it was read");
    java.nio.file.Files.writeString(file, rows);
    Tabulation replaced =
        meddled(
                file,
                log -> {
                  Path other = folder.resolve("other.csv");
                  java.nio.file.Files.writeString(other, "kiln,grade\nTunnel,warped\n");
                  java.nio.file.Files.move(other, log, REPLACE_EXISTING);
                })
            .count(request);
    assertThat(replaced.remarks()).anyMatch(each -> each.contains("another file took its name"));
    for (long left : new long[] {0, 5, 100_000, 300_001}) {
      java.nio.file.Files.writeString(file, rows);
      assertThatThrownBy(
              () ->
                  meddled(
                          file,
                          log -> {
                            try (FileChannel channel = FileChannel.open(log, WRITE)) {
                              channel.truncate(left);
                            }
                          })
                      .count(request))
          .isInstanceOf(DataException.class)
          .hasMessageContaining("was cut from 520,011 to %s bytes", Figures.count(left));
    }
  }
}
