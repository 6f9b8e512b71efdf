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
import org.junit.jupiter.params.provider.ValueSource;

class TallyTest {

  @ParameterizedTest
  @ValueSource(strings = {"14/400", "0/1", "1/1", "1000000000000/1000000000000"})
  void parsingInvertsTheTextForm(String text) {
    assertThat(Tally.parse(text)).hasToString(text);
    assertThat(Tally.parse(" " + text.replace("/", " / ") + " ")).isEqualTo(Tally.parse(text));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "400/14 | did you mean 14/400?",
        "14 | must be successes/trials such as 14/400, got '14'",
        "14/400/2 | must be successes/trials",
        "14/0 | trials must be between 1 and 1,000,000,000,000, got 0",
        "-1/400 | successes must be a whole number of at least 0, got '-1'",
        "14.5/400 | successes must be a whole number of at least 0, got '14.5'",
        "14/4e2 | trials must be a whole number of at least 0, got '4e2'",
        "x/400 | got 'x'",
        "/400 | got ''",
        "1/99999999999999999999 | trials must be at most 1,000,000,000,000",
        "1/1000000000001 | trials must be between 1 and 1,000,000,000,000"
      })
  void whatIsNoTallyIsRefusedWithItsReason(String text, String message) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Tally.parse(text))
        .withMessageContaining(message);
  }

  @Test
  void tabulationGivesTalliesOfTheWholeAndOfParts() {
    Map<List<String>, Long> counts = new LinkedHashMap<>();
    counts.put(List.of("sound", "North"), 390L);
    counts.put(List.of("cracked", "North"), 10L);
    counts.put(List.of("cracked", "South"), 21L);
    counts.put(List.of("warped", "South"), 4L);
    Tabulation table = Tabulation.of("log", List.of("grade", "kiln"), counts, 425, 0, Map.of());
    Set<String> scrap = Set.of("cracked", "warped");
    assertThat(table.levels(0)).containsExactly("sound", "cracked", "warped");
    assertThat(table.tally(table.columns().get(0), scrap)).isEqualTo(Tally.of(35, 425));
    assertThat(table.where(table.columns().get(1), "North").tally(table.columns().get(0), scrap))
        .isEqualTo(Tally.of(10, 400));
  }
}
