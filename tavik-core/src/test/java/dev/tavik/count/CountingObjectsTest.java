package dev.tavik.count;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Objects are counted as rows of a file are. */
class CountingObjectsTest {
  private enum Grade {
    SOUND,
    CRACKED,
    WARPED
  }

  private record Tile(@Nullable String kiln, @Nullable Grade grade, boolean late) {}

  private static final ObjectCounter<Tile> BY_KILN_AND_GRADE =
      Tabulation.counting(Tile.class).by("kiln", tile -> tile.kiln()).by("grade", Tile::grade);

  private static List<Tile> tiles(int many) {
    Random random = new Random(many);
    List<Tile> tiles = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      String kiln = random.nextInt(20) == 0 ? null : "kiln " + random.nextInt(5);
      int grade = random.nextInt(4);
      tiles.add(new Tile(kiln, grade == 3 ? null : Grade.values()[grade], random.nextBoolean()));
    }
    return tiles;
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 7, 100, 20_000})
  void parallelStreamsGiveTheSameCountsInTheSameOrder(int many) {
    List<Tile> tiles = tiles(many);
    Tabulation one = tiles.stream().collect(BY_KILN_AND_GRADE);
    assertThat(tiles.parallelStream().collect(BY_KILN_AND_GRADE)).isEqualTo(one);
    assertThat(one.rows()).isEqualTo(many);
    assertThat(one.total() + one.totalMissing()).isEqualTo(many);
    for (Grade grade : Grade.values()) {
      long wanted =
          tiles.stream().filter(each -> each.kiln() != null && each.grade() == grade).count();
      long counted =
          one.counts().entrySet().stream()
              .filter(each -> each.getKey().get(1).equals(grade.name()))
              .mapToLong(Map.Entry::getValue)
              .sum();
      assertThat(counted).as(grade.name()).isEqualTo(wanted);
    }
  }

  @Test
  void enumsKeepTheirOrderAndOthersThatOfTheirAppearance() {
    Tabulation counts =
        Stream.of(
                new Tile("South", Grade.WARPED, true),
                new Tile("North", Grade.SOUND, true),
                new Tile("South", Grade.CRACKED, false))
            .collect(BY_KILN_AND_GRADE);
    assertThat(counts.levels(0)).containsExactly("South", "North");
    assertThat(counts.levels(1)).containsExactly("SOUND", "CRACKED", "WARPED");
    assertThat(counts.source()).isEqualTo("Tile objects");
    assertThat(counts.tallies("grade", "CRACKED", "kiln"))
        .extracting(NamedTally::toString)
        .hasSize(2);
    assertThat(counts.tally("grade", "CRACKED")).isEqualTo(Tally.of(1, 3));
  }

  @Test
  void whatIsMissingIsTold() {
    Tabulation counts =
        Stream.of(
                new Tile(null, Grade.SOUND, true),
                new Tile("", null, true),
                new Tile("North", null, true),
                new Tile("North", Grade.SOUND, true))
            .collect(BY_KILN_AND_GRADE);
    assertThat(counts.missing()).isEqualTo(Map.of("kiln", 2L, "grade", 1L));
    assertThat(counts.total()).isEqualTo(1);
    assertThat(counts.rows()).isEqualTo(4);
  }

  @Test
  void aTallyLeavesOutWhatIsNeither() {
    assertThat(tiles(50).stream().collect(Tally.counting(Tile::late)).trials()).isEqualTo(50);
    Stream<@Nullable String> grades = Stream.of("sound", "cracked", null, "sound");
    assertThat(
            grades.collect(Tally.counting(grade -> grade == null ? null : grade.equals("cracked"))))
        .isEqualTo(Tally.of(1, 3));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Stream.<Tile>of().collect(Tally.counting(Tile::late)))
        .withMessageContaining("trials");
  }

  @Test
  void wrongCountersAreRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> BY_KILN_AND_GRADE.by("kiln", Tile::kiln))
        .withMessage("columns must have different names, got kiln twice");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> tiles(3).stream().collect(Tabulation.counting(Tile.class)))
        .withMessageContaining("name a column with by");
    assertThatExceptionOfType(IllegalStateException.class)
        .isThrownBy(
            () ->
                tiles(3).stream()
                    .collect(
                        Tabulation.counting(Tile.class)
                            .by(
                                "kiln",
                                tile -> {
                                  throw new IllegalStateException("no kiln");
                                })))
        .withMessage("no kiln");
  }

  @Test
  void tablesAndCategoriesAreMadeOfWhatProgramsHave() {
    CrossTable table =
        CrossTable.of(
            List.of("North", "South"), List.of("sound", "cracked"), new long[][] {{12, 5}, {7, 9}});
    assertThat(table.count(1, 0)).isEqualTo(7);
    assertThat(table.rows()).containsExactly("North", "South");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () -> CrossTable.of(List.of("a", "b"), List.of("c", "d"), new long[][] {{1}, {2, 3}}));
    CrossTable numbered = CrossTable.of(new long[][] {{12, 5}, {7, 9}});
    for (String text : List.of("12 5; 7 9", " 12,5\n7, 9\n", "12\t5;7\t9")) {
      assertThat(CrossTable.parse(text)).as(text).isEqualTo(numbered);
    }
    for (String text : List.of("", "12 5", "12 5; 7", "12 x; 7 9", "12 -5; 7 9", "0 0; 7 9", ";")) {
      assertThatIllegalArgumentException().as(text).isThrownBy(() -> CrossTable.parse(text));
    }
    Map<String, Long> glazes = new LinkedHashMap<>();
    glazes.put("iron", 22L);
    glazes.put("ash", 31L);
    assertThat(CategoryCounts.of(glazes).levels()).containsExactly("iron", "ash");
    assertThat(CategoryCounts.of(glazes).counts()).containsExactly(22L, 31L);
  }
}
