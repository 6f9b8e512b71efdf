package dev.tavik.study.sweep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Value;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.sweep.SweepQuestion.Sorting;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** A sweep says of each column what a question about that column alone would. */
class SweepQuestionTest {
  private static final List<String> KILNS = List.of("North", "South", "Tunnel");

  private static CrossTable table(List<String> levels, Long... cells) {
    List<List<Long>> rows = new ArrayList<>();
    for (int row = 0; row < KILNS.size(); row++) {
      rows.add(List.of(cells).subList(row * levels.size(), (row + 1) * levels.size()));
    }
    return new CrossTable(KILNS, levels, rows);
  }

  private static Map<String, CrossTable> columns() {
    Map<String, CrossTable> columns = new LinkedHashMap<>();
    columns.put("shift", table(List.of("early", "late"), 200L, 203L, 210L, 198L, 190L, 195L));
    columns.put("grade", table(List.of("sound", "cracked"), 380L, 20L, 340L, 70L, 360L, 25L));
    columns.put(
        "glaze", table(List.of("ash", "iron", "cobalt"), 2L, 3L, 1L, 2L, 2L, 3L, 1L, 3L, 2L));
    return columns;
  }

  @Test
  void everyColumnIsTestedAsByItselfAndAdjustedOverAll() {
    Answer answer = SweepQuestion.of("kiln", columns()).ask();
    List<TestResult> raw = new ArrayList<>();
    columns().values().forEach(table -> raw.add(CrossQuestion.of(table).ask().test()));
    List<TestResult> adjusted = Adjustment.HOLM.of(raw);
    Answer inOrder =
        SweepQuestion.of("kiln", columns())
            .settings(SweepQuestion.SweepSettings.usual().sorting(Sorting.FILE))
            .ask();
    for (int i = 0; i < raw.size(); i++) {
      assertThat(inOrder.parts().get(i).test().pValue()).isEqualTo(raw.get(i).pValue());
      assertThat(inOrder.parts().get(i).test().method()).isEqualTo(raw.get(i).method());
    }
    // Six in a row and small counts: the exact test, as a question about glazes alone.
    assertThat(raw.get(2).method().id()).isEqualTo("fisher");
    assertThat(answer.parts().get(0).label()).isEqualTo("grade");
    assertThat(adjusted.get(1).rejectsAdjusted(0.05)).isTrue();
    assertThat(answer.verdict().text())
        .startsWith("1 of 3 columns differs between the groups of kiln: grade (corrected V ");
  }

  /** By hand: the three pairs of a level, pooled z tests, Holm's adjustment. */
  @Test
  void lettersNameTheGroupsWithASmallerShare() {
    Tally[] cracked = {Tally.of(20, 400), Tally.of(70, 410), Tally.of(25, 385)};
    List<TestResult> pairs = new ArrayList<>();
    for (int[] pair : new int[][] {{0, 1}, {0, 2}, {1, 2}}) {
      pairs.add(
          TwoProportionTest.Z_POOLED.of(
              cracked[pair[0]], cracked[pair[1]], Hypothesis.noDifference()));
    }
    List<TestResult> adjusted = Adjustment.HOLM.of(pairs);
    assertThat(adjusted.stream().map(each -> each.rejectsAdjusted(0.05)).toList())
        .containsExactly(true, false, true);
    Answer answer = SweepQuestion.of("kiln", columns()).ask();
    Value shares = at(answer.figures(Detail.FINDINGS), "shares");
    Value.Fields south =
        ((Value.Listing) shares)
            .values().stream()
                .map(Value.Fields.class::cast)
                .filter(each -> at(each, "level").text().equals("cracked"))
                .filter(each -> at(each, "label").text().equals("South"))
                .findFirst()
                .orElseThrow();
    assertThat(at(south, "largerThan").text()).isEqualTo("North, Tunnel");
    assertThat(at(south, "value").bare()).isEqualTo(70 / 410.0);
    assertThat(answer.reading(Detail.EVERY_ROW).toString()).contains("b South", "17.1% ac");
  }

  private static Value at(Value.Fields fields, String key) {
    return Objects.requireNonNull(fields.bare().get(key));
  }

  @Test
  void whatCantBeSweptIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SweepQuestion.of("kiln", Map.of()))
        .withMessageContaining("at least one column");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SweepQuestion.of("kiln", columns()).alpha(1.5));
    Answer none =
        SweepQuestion.of("kiln", Map.of("shift", columns().get("shift")))
            .named("Week 18")
            .adjusted(Adjustment.NONE)
            .ask();
    assertThat(none.verdict().text())
        .startsWith("Week 18: none of 1 column ")
        .endsWith("p-values as they are, alpha 0.05.");
  }

  @Test
  void questionsAreEqualThatAskTheSame() {
    SweepQuestion one = SweepQuestion.of("kiln", columns());
    assertThat(SweepQuestion.of("kiln", columns())).isEqualTo(one).hasSameHashCodeAs(one);
    assertThat(List.of(one.alpha(0.01), one.named("x"), SweepQuestion.of("depot", columns())))
        .doesNotContain(one)
        .doesNotHaveDuplicates();
  }
}
