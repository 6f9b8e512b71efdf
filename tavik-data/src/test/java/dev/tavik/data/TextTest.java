package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
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
}
