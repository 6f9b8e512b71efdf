package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TailCommandTest {
  @TempDir Path folder;

  @Test
  void valuesHaveAreasAndAreasValues() throws IOException {
    assertThat(CommandLine.shell("tail normal --value 1.96").out())
        .contains(
            "The standard normal distribution: P(X ≤ 1.96) = 0.975, P(X > 1.96) = 0.0250.",
            "both   twice the smaller tail  0.0499957903");
    assertThat(CommandLine.shell("tail binomial --n 400 --p 5% --area 5%").out())
        .contains("lower  P(X ≤ 12)            0.03550590418", "lower  P(X ≤ 13)");
    JsonNode upper = CommandLine.json("tail chi-square --df 3 --area 5%").at("/lines/1");
    assertThat(upper.get("side").asText()).isEqualTo("upper");
    // Published tables have 7.815.
    assertThat(upper.get("from").asDouble()).isCloseTo(7.815, within(0.0005));
    assertThat(CommandLine.json("tail normal --value 40").at("/lines/1/log10Area").asDouble())
        .isCloseTo(-349.437, within(0.001));
    Path study = folder.resolve("study.yaml");
    Files.writeString(study, "questions:\n  - {ask: tail, distribution: t, df: 12, value: 2.2}\n");
    assertThat(CommandLine.json("run " + study).at("/answers/0/lines"))
        .isEqualTo(CommandLine.json("tail t --df 12 --value 2.2").get("lines"));
  }

  @Test
  void thePictureShadesWhatWasAsked() throws IOException {
    Path chart = folder.resolve("tail.svg");
    CommandLine.shell("tail f --df 2,30 --area 5% --chart " + chart);
    assertThat(Files.readString(chart))
        .contains("F with 2 and 30 degrees of freedom", "shaded: P(X ≤ ", "= 0.0500");
    CommandLine.shell("tail poisson --mean 3.5 --between 2,5 --chart " + chart);
    assertThat(Files.readString(chart)).contains("P(2 ≤ X ≤ 5) = 0.722");
  }

  @Test
  void methodsAreWeighed() throws IOException {
    JsonNode rate = CommandLine.json("assess rate --n 40 --p 50% --intervals wald --tests score");
    assertThat(rate.at("/lines/0/intervals/0/coverage").asDouble()).isCloseTo(0.919, within(5e-4));
    assertThat(CommandLine.json("assess rate --n 40 --p 10%..30%:5%").get("lines")).hasSize(5);
    JsonNode pair = CommandLine.json("assess compare --n 20 --p 10%,40%").get("lines").get(0);
    assertThat(pair.get("p").toString()).isEqualTo("[0.1,0.4]");
    assertThat(CommandLine.shell("assess compare --n 20,30 --p 10%").out())
        .contains("10% and 10%  difference  wald", "their true size", "z-pooled");
    Path chart = folder.resolve("coverage.svg");
    CommandLine.shell("assess rate --n 40 --p 20% --intervals wald,wilson --chart " + chart);
    assertThat(Files.readString(chart))
        .contains("True coverage of 95% intervals with 40 trials", "wilson (long dashes)");
    Path study = folder.resolve("assess.yaml");
    Files.writeString(study, "questions:\n  - {ask: assess, for: rate, n: 40, p: 50%}\n");
    assertThat(CommandLine.json("run " + study).at("/answers/0/lines/0/intervals")).hasSize(3);
  }

  @Test
  void aPictureOfTooManyCostsThePictureOnly() {
    CommandLine answer =
        CommandLine.shell("assess rate --n 40 --p 5% --intervals all --chart x.png");
    assertThat(answer.status()).isEqualTo(2);
    assertThat(answer.out()).contains("wilson");
    assertThat(answer.err()).contains("x.png is not drawn: ", "one to five intervals");
  }
}
