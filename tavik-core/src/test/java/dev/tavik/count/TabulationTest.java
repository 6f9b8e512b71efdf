package dev.tavik.count;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a program of someone else's may ask of counts, and what it can't get wrong unseen. */
class TabulationTest {
  private static Tabulation kilns() {
    Map<List<String>, Long> counts = new LinkedHashMap<>();
    counts.put(List.of("sound", "North"), 41L);
    counts.put(List.of("cracked", "North"), 3L);
    counts.put(List.of("sound", "South"), 38L);
    return Tabulation.of("log.csv", List.of("grade", "kiln"), counts, 90, 4, Map.of("grade", 4L));
  }

  @ParameterizedTest
  @CsvSource({"craked", "Cracked", "North", "''"})
  void anUnknownLevelIsNoZero(String level) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> kilns().tally("grade", "cracked", level))
        .withMessageContaining("there is no level '" + level + "' in column grade")
        .withMessageContaining("There are: cracked, sound");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> kilns().where("kiln", "Nroth"))
        .withMessageContaining("did you mean North?");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> kilns().categories("grades"))
        .withMessage(
            "there is no column 'grades' in log.csv; did you mean grade? There are: grade, kiln");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> kilns().tally("grade", Set.of()))
        .withMessageContaining("at least one level");
  }

  /** A level that the whole has counts as none in a part, which is the part's alone. */
  @Test
  void aPartStandsForItself() {
    Tabulation south = kilns().where("kiln", "South");
    assertThat(south.tally("grade", "cracked")).isEqualTo(Tally.of(0, 38));
    assertThat(south.rows()).isEqualTo(south.total()).isEqualTo(38);
    assertThat(south.filtered()).isZero();
    assertThat(south.totalMissing()).isZero();
    assertThat(kilns().tally("grade", "cracked")).isEqualTo(Tally.of(3, 82));
    assertThat(kilns().totalMissing()).isEqualTo(4);
  }

  /** Everything that is made of counts adds up to the same units. */
  @Test
  void countsBecomeWhatQuestionsTake() {
    assertThat(kilns().tallies("grade", Set.of("cracked"), "kiln"))
        .containsExactly(
            new NamedTally("North", Tally.of(3, 44)), new NamedTally("South", Tally.of(0, 38)));
    assertThat(kilns().categories("kiln").counts()).containsExactly(44L, 38L);
    CrossTable table = kilns().crossTable("kiln", "grade");
    assertThat(table.rows()).containsExactly("North", "South");
    assertThat(table.cells()).containsExactly(List.of(41L, 3L), List.of(38L, 0L));
    Map<List<String>, Long> judged = new LinkedHashMap<>();
    judged.put(List.of("cracked", "cracked"), 5L);
    judged.put(List.of("cracked", "sound"), 2L);
    judged.put(List.of("warped", "cracked"), 1L);
    judged.put(List.of("sound", "sound"), 9L);
    Tabulation pairs = Tabulation.of("regrade.csv", List.of("Ann", "Ben"), judged, 17, 0, Map.of());
    assertThat(pairs.pairs("Ann", "Ben", "cracked", "warped"))
        .isEqualTo(PairedTally.of(6, 2, 0, 9));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> pairs.pairs("Ann", "Ben", "crazed"))
        .withMessageContaining("there is no level 'crazed' in column Ben");
    assertThat(CrossTable.of(new long[][] {{12, 5}, {7, 9}}).rows())
        .containsExactly("row 1", "row 2");
  }
}
