package dev.tavik.data.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.answer.Answer;
import dev.tavik.count.CrossTable;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.study.sweep.SweepQuestion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SweepSpecTest {
  @TempDir Path folder;

  private Answer sweep(int groups) throws IOException {
    List<String> rows = new ArrayList<>(List.of("group,grade"));
    for (int i = 0; i < groups; i++) {
      rows.add("g" + i + ",sound");
      rows.add("g" + i + (i % 2 == 0 ? ",sound" : ",cracked"));
    }
    Path file = Files.write(folder.resolve("log.csv"), rows);
    return QuestionKind.SWEEP
        .question(QuestionArguments.of("data=" + file, "group=group"), SourceOpener.ofFiles())
        .ask();
  }

  @Test
  void fiftyGroupsAreHeldAgainstAndOneMoreIsRefused() throws IOException {
    SweepQuestion held = (SweepQuestion) sweep(50).question();
    assertThat(held.tables()).containsOnlyKeys("grade");
    assertThat(held.tables().values())
        .singleElement()
        .satisfies(table -> assertThat(table.rows()).hasSize(50));
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> sweep(51))
        .withMessageContaining("column group has 51 different values")
        .withMessageContaining("at most 50");
  }

  /** What is described may be there for the filter alone. */
  @Test
  void rowsOfOneClassAreSwept() throws IOException {
    List<String> rows = List.of("score,kiln,grade", "3,N,a", ",N,a", "2,S,b", "9,S,a", "4,N,b");
    Path file = Files.write(folder.resolve("scores.csv"), rows);
    QuestionArguments spec =
        QuestionArguments.of(
            "data=" + file, "group=kiln", "where=Score=low", "cut=score:0-6=low,7-10=high");
    SweepQuestion held = (SweepQuestion) QuestionKind.SWEEP.question(spec, SourceOpener.ofFiles());
    assertThat(held.tables()).containsOnlyKeys("grade");
    assertThat(held.tables().values()).extracting(CrossTable::total).containsExactly(3L);
    QuestionArguments none = QuestionArguments.of("data=" + file, "group=kiln", "where=score=3");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> QuestionKind.SWEEP.question(none, SourceOpener.ofFiles()))
        .withMessage(
            "no column classifies what kiln could differ in; left out: grade (one value only)");
    QuestionArguments other =
        QuestionArguments.of("data=" + file, "group=kiln", "cut=marks:0-6=low,7-10=high");
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> QuestionKind.SWEEP.question(other, SourceOpener.ofFiles()))
        .withMessageContaining("--cut names marks");
  }
}
