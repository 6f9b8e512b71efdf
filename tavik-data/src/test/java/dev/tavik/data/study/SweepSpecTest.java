package dev.tavik.data.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.answer.Answer;
import dev.tavik.data.DataException;
import dev.tavik.data.Opening;
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
    return Asking.SWEEP.question(Spec.of("data=" + file, "group=group"), Opening.ofFiles()).ask();
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
}
