package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.Names;
import dev.tavik.data.study.Spec;
import dev.tavik.data.study.SpecException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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
      assertThat(counts.add(counts.number(key), count))
          .isEqualTo(twin.merge(key, count, Long::sum));
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
