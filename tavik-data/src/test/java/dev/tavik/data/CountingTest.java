package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.Names;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The parts that counting is made of, against plain twins. */
class CountingTest {

  @Test
  void combinationsAreCountedLikeInAMap() {
    Random random = new Random(7);
    CombinationCounts counts = new CombinationCounts();
    Map<Long, Long> twin = new LinkedHashMap<>();
    for (int i = 0; i < 50_000; i++) {
      long key = (long) random.nextInt(300) << (14 * random.nextInt(4));
      long count = random.nextInt(5);
      assertThat(counts.add(key, count)).isEqualTo(twin.merge(key, count, Long::sum));
    }
    List<Map.Entry<Long, Long>> found = new ArrayList<>();
    for (int number = 0; number < counts.size(); number++) {
      found.add(Map.entry(counts.key(number), counts.count(number)));
    }
    assertThat(found).containsExactlyElementsOf(twin.entrySet());
  }

  @Test
  void levelsAreNumberedInTheOrderOfAppearance() {
    Random random = new Random(7);
    LevelTable table = new LevelTable();
    List<String> twin = new ArrayList<>();
    for (int i = 0; i < 20_000; i++) {
      String level = "tile " + random.nextInt(2_000) + (random.nextBoolean() ? "é" : "");
      if (!twin.contains(level)) {
        twin.add(level);
      }
      char[] buffer = (",," + level + ",").toCharArray();
      assertThat(table.number(buffer, 2, level.length())).isEqualTo(twin.indexOf(level));
    }
    assertThat(table.levels()).isEqualTo(twin);
  }

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
    try (Utf8Reader reader = new Utf8Reader("log", cut)) {
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
                new Utf8Reader("log", new ByteArrayInputStream(bytes))
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

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "klin | did you mean kiln?",
        "KILNS | did you mean kiln?",
        "gradee | did you mean grade?",
        "temperature | '. There are: kiln, grade, glaze'"
      })
  void nearMissesAreOffered(String typed, String hint) {
    assertThat(Names.hint(typed, List.of("kiln", "grade", "glaze"))).contains(hint);
  }

  @Test
  void longListsAreCutShort() {
    List<String> many = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      many.add("level" + i);
    }
    assertThat(Names.listed(many)).endsWith("level11 and 8 more");
  }

  @Test
  void aSpecNamesItsWordsAsTheyWereWritten() {
    Spec options =
        new Spec(
            Map.of("tests", List.of("a, b", "c"), "alpha", List.of("1", "2")), Spec.Wording.OPTION);
    assertThat(options.list("tests")).containsExactly("a", "b", "c");
    assertThat(options.text("label")).isNull();
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> options.text("alpha"))
        .withMessage("--alpha takes one value, got 2: 1, 2");
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> options.requireWith("data", "tests"))
        .withMessage("--tests needs --data");
    Spec keys = new Spec(Map.of(), Spec.Wording.KEY);
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> keys.required("against", "a proportion"))
        .withMessage("against is needed: a proportion");
  }
}
