package dev.tavik.examples;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.data.DemoFiles;
import dev.tavik.study.RateAnswer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ExamplesTest {

  @ParameterizedTest
  @CsvSource({
    "South, 53/408, Take the kiln out.",
    "North, 16/403, The kiln may stay in use for now.",
    "Tunnel, 29/385, The kiln may stay in use for now."
  })
  void acceptAKilnDecides(String kiln, String tally, String decision) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    RateAnswer answer;
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      answer = AcceptAKiln.judge(kiln, out);
    }
    assertThat(answer.tally()).hasToString(tally);
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .startsWith(kiln + " kiln's scrap: the rate is ")
        .endsWith(decision + System.lineSeparator());
  }

  @Test
  void demoDataAreThoseOfTheGenerator() throws IOException {
    for (Map.Entry<String, String> file : HarrowmereData.files().entrySet()) {
      try (InputStream in = DemoFiles.open(file.getKey())) {
        assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
            .as(file.getKey())
            .isEqualTo(file.getValue());
      }
    }
  }
}
