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
        .isThrownBy(() -> kilns().tally(0, Set.of("cracked", level)))
        .withMessageContaining("level must be one of column grade (cracked, sound)")
        .withMessageContaining("'" + level + "'");
    assertThatIllegalArgumentException().isThrownBy(() -> kilns().where(1, "Nroth"));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> kilns().tally(0, Set.of()))
        .withMessageContaining("at least one level");
  }

  /** A level that the whole has counts as none in a part, which is the part's alone. */
  @Test
  void aPartStandsForItself() {
    Tabulation south = kilns().where(1, "South");
    assertThat(south.tally(0, Set.of("cracked"))).isEqualTo(Tally.of(0, 38));
    assertThat(south.rows()).isEqualTo(south.total()).isEqualTo(38);
    assertThat(south.filtered()).isZero();
    assertThat(south.totalMissing()).isZero();
    assertThat(kilns().tally(0, Set.of("cracked"))).isEqualTo(Tally.of(3, 82));
    assertThat(kilns().totalMissing()).isEqualTo(4);
  }
}
