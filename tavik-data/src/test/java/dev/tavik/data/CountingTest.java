package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.Names;
import dev.tavik.count.SparseRows;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.SpecException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
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
      assertThat(counts.add(counts.number(key), count))
          .isEqualTo(twin.merge(key, count, Long::sum));
    }
    List<Map.Entry<Long, Long>> found = new ArrayList<>();
    for (int number = 0; number < counts.size(); number++) {
      found.add(Map.entry(counts.key(number), counts.count(number)));
    }
    assertThat(found).containsExactlyElementsOf(twin.entrySet());
  }

  /** Side by side while columns are few, by key where they are many; 0 is not held. */
  @ParameterizedTest
  @ValueSource(ints = {1, 4, 5, 16, 17, 300})
  void sumsByRowAndColumnAreThoseOfAMap(int columns) {
    Random random = new Random(11);
    GrowingSums sums = new GrowingSums();
    Map<List<Integer>, Double> twin = new TreeMap<>(Comparator.comparing(List::toString));
    for (int i = 0; i < 20_000; i++) {
      int row = random.nextInt(1 + i / 20);
      int column = random.nextInt(1 + Math.min(columns - 1, i / 50));
      double amount = 1 + random.nextInt(9);
      assertThat(sums.add(row, column, amount, 5_000_000)).isFalse();
      twin.merge(List.of(row, column), amount, Double::sum);
    }
    // Every third row is left out, the others come in turned order.
    int[] places = new int[1_000];
    Arrays.setAll(places, row -> row % 3 == 0 ? -1 : 999 - row);
    SparseRows found = sums.sparse(places, 1_000);
    Map<List<Integer>, Double> entries = new TreeMap<>(Comparator.comparing(List::toString));
    for (int row = 0; row < found.rows(); row++) {
      for (int entry = found.begin(row); entry < found.begin(row + 1); entry++) {
        entries.put(List.of(999 - row, found.column(entry)), found.value(entry));
      }
    }
    twin.keySet().removeIf(place -> place.get(0) % 3 == 0);
    assertThat(entries).isEqualTo(twin);
    assertThat(sums.whole(1, columns)).hasSize(columns);
    assertThat(sums.whole(1, columns)[0]).isEqualTo(twin.getOrDefault(List.of(1, 0), 0.0));
    GrowingSums few = new GrowingSums();
    boolean tooMany = false;
    for (int row = 0; row < 1_000; row++) {
      tooMany |= few.add(row, columns - 1, 1, 200);
    }
    assertThat(tooMany).isTrue();
  }

  /** The numbers of a weight, digit by digit and by the key of a short value, to the last place. */
  @Test
  void weightsAreReadToTheLastPlace() {
    Random random = new Random(5);
    for (int i = 0; i < 20_000; i++) {
      String text =
          new BigDecimal(random.nextInt(1 << 30)).movePointLeft(random.nextInt(9)).toPlainString();
      char[] characters = text.toCharArray();
      assertThat(Weight.parse(characters, 0, characters.length))
          .isEqualTo(Double.parseDouble(text));
      long key = ShortLevels.key(characters, 0, characters.length, false);
      if (key != 0) {
        assertThat(Weight.ofKey(key)).isEqualTo(Double.parseDouble(text));
      }
    }
    assertThat(Weight.parse("1,25")).isEqualTo(1.25);
    assertThat(Weight.parse(".5e2")).isEqualTo(50);
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
    QuestionArguments options =
        new QuestionArguments(
            Map.of("tests", List.of("a, b", "c"), "alpha", List.of("1", "2")),
            QuestionArguments.Wording.OPTION);
    assertThat(options.list("tests")).containsExactly("a", "b", "c");
    assertThat(options.text("label")).isNull();
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> options.text("alpha"))
        .withMessage("--alpha takes one value, got 2: 1, 2");
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> options.requireWith("data", "tests"))
        .withMessage("--tests needs --data");
    QuestionArguments keys = new QuestionArguments(Map.of(), QuestionArguments.Wording.KEY);
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> keys.required("against", "a proportion"))
        .withMessage("against is needed: a proportion");
  }
}
