package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SimulationCommandTest {
  private static final String KILNS = "compare North=14/400 South=31/410";

  @TempDir Path folder;

  /** Every kind of question: hits, p, error and interval belong together; the keys keep order. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "rate 14/400 --against 5%",
        "rate 2/60 --against 5% --alternative less --lot 500",
        KILNS,
        KILNS + " --null-model pooled --alternative less",
        "compare --paired --cells \"49 3; 10 178\"",
        "shares ash=31 celadon=22 iron=17 --against 4:3:3",
        "cross --cells \"12 5; 7 9\"",
        "cross --data demo/firing-log.csv --rows kiln --columns grade"
      })
  void everyQuestionHasASimulatedView(String line) throws IOException {
    JsonNode answer = CommandLine.json(line + " --simulate 20000 --seed 7");
    JsonNode simulation = answer.get("simulation");
    long hits = simulation.get("hits").asLong();
    double p = simulation.get("pValue").asDouble();
    assertThat(p).isCloseTo((hits + 1) / 20_001.0, within(1e-15));
    assertThat(simulation.get("standardError").asDouble())
        .isCloseTo(Math.sqrt(p * (1 - p) / 20_000), within(1e-12));
    assertThat(p).isBetween(simulation.get("lower").asDouble(), simulation.get("upper").asDouble());
    for (JsonNode tail : simulation.get("tails")) {
      assertThat(tail.get("lowerHits").asLong() + tail.get("upperHits").asLong())
          .isEqualTo(tail.get("hits").asLong());
      assertThat(tail.get("rule").asText()).isNotEmpty();
    }
    List<String> keys = new ArrayList<>();
    answer.fieldNames().forEachRemaining(keys::add);
    assertThat(keys.indexOf("simulation")).isEqualTo(keys.indexOf("conditions") - 1);
    assertThat(CommandLine.json(line + " --simulate 20000 --seed 7")).isEqualTo(answer);
    JsonNode plain = CommandLine.json(line.replace(" --null-model pooled", ""));
    assertThat(plain.has("simulation")).isFalse();
    assertThat(plain.get("conclusion")).isEqualTo(answer.get("conclusion"));
  }

  @Test
  void theTextSaysWhatWasDrawnAndWhetherFormulasAgree() {
    String out = CommandLine.shell(KILNS + " --simulate 100000 --seed 7").out();
    assertThat(out)
        .contains(
            "Simulated, the null being true, from seed 7",
            "100,000 shuffles of 45 successes among 810 trials, 400 of them the first\n  group's.",
            "As extreme, for z-pooled: as far from the expected 22.22 as 14, either way.")
        .containsPattern("z-pooled .* 0.0116  differs")
        .containsPattern("fisher .* 0.0136  agrees");
    assertThat(out.lines()).allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(80));
    assertThat(CommandLine.shell(KILNS + " --simulate 1000").out()).contains("from seed ");
    assertThat(CommandLine.shell(KILNS + " --simulate 1e7 --until-clear --seed 3").out())
        .contains("then it was clear on which side of alpha p lies");
  }

  @Test
  void groupsPairsAndStudiesHaveOneEach() throws IOException {
    JsonNode rates =
        CommandLine.json("rate North=14/400 South=31/410 --against 5% --simulate 1000 --seed 5")
            .get("groups");
    assertThat(rates.get(0).at("/simulation/seed").asLong()).isEqualTo(5);
    assertThat(rates.get(1).at("/simulation/seed").asLong()).isEqualTo(6);
    JsonNode pairs =
        CommandLine.json(KILNS + " Tunnel=20/390 --simulate 1000 --seed 5").get("pairs");
    assertThat(pairs).hasSize(3).allSatisfy(pair -> assertThat(pair.has("simulation")).isTrue());
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        "questions:\n  - {ask: rate, tally: 14/400, against: 5%, simulate: 20000, seed: 7}\n");
    assertThat(CommandLine.json("run " + study).at("/answers/0/simulation"))
        .isEqualTo(
            CommandLine.json("rate 14/400 --against 5% --simulate 20000 --seed 7")
                .get("simulation"));
  }

  @Test
  void picturesShowDotsOrBars() throws IOException {
    Path chart = folder.resolve("world.svg");
    String drawn =
        " --seed 7 --chart simulation=" + chart + " --chart null=" + folder.resolve("n.svg");
    CommandLine few = CommandLine.shell("rate 14/400 --against 5% --simulate 300" + drawn);
    assertThat(few.status()).as(few.err()).isZero();
    assertThat(Files.readString(chart))
        .contains("300 samples of 400 with a rate of 5%", "observed 14")
        .containsPattern("<(ellipse|circle|path)")
        .contains("dashed curve: what the formula expects");
    CommandLine.shell(KILNS + " --null-model pooled --simulate 100000" + drawn);
    assertThat(Files.readString(chart)).contains("observed -2.523", "z as large, either way");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate A=1/9 B=2/9 --against 5% --simulate 100 --chart simulation=x.png|one question",
        "rate 1/9 --against 5% --lot 100 --chart null=x.png|leave the lot out"
      })
  void aPictureThatCantBeDrawnCostsThePictureOnly(String line, String why) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isEqualTo(2);
    assertThat(answer.out()).contains("Observed");
    assertThat(answer.err()).startsWith("tavik: x.png is not drawn: ").contains(why);
  }
}
