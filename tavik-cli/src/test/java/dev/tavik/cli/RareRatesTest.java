package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rates near 0 and 1, and levels that never occur. */
class RareRatesTest {
  @TempDir private Path folder;

  private String log() throws IOException {
    Files.writeString(
        folder.resolve("log.csv"),
        "kiln,grade,second,weight\n"
            + "North,sound,sound,1\nNorth,cracked,sound,2\nSouth,sound,sound,1\n".repeat(3)
            + "South,sound,sound,2\n");
    return " --data " + folder.resolve("log.csv");
  }

  /** Known by the rest of the file, by another group, by the word, or by a codebook. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --outcome grade --success cracked --where kiln=South --against 5% | 0 of 4",
        "rate --outcome grade --success Cracked --where kiln=South --against 5% | 0 of 4",
        "rate --outcome grade --success crazed --levels crazed,sound --against 5% | 0 of 10",
        "rate --outcome grade --success crazed,cracked --levels crazed --against 5% | 3 of 10",
        "rate --outcome grade --success crazed --codebook CODES --against 5% | 0 of 10",
        "rate --outcome grade --success crazed --levels crazed --group kiln --against 5% | North",
        "compare --outcome grade --success crazed --levels crazed --group kiln | (0 of 6)",
        "compare --paired --outcome grade,second --success crazed --levels crazed | units",
        "rate --outcome grade --success cracked --where kiln=South --against 5% --design"
            + " weight=weight | weighted; 0 of 4",
        "rate --outcome grade --success crazed --levels crazed --against 5% --design"
            + " weight=weight | weighted; 0 of 10"
      })
  void aLevelThatNeverOccursCountsNought(String command, String observed) throws IOException {
    Path codes =
        Files.writeString(
            folder.resolve("codes.json"),
            "{\"fields\": [{\"name\": \"grade\", \"categories\": [\"sound\", \"cracked\","
                + " \"crazed\"]}]}");
    CommandLine answer = CommandLine.shell(command.replace("CODES", codes.toString()) + log());
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out().replaceAll("\\s+", " ")).contains(observed);
  }

  @Test
  void aLevelThatNothingKnowsIsRefusedWithAWayToInsist() throws IOException {
    CommandLine answer =
        CommandLine.shell("rate --outcome grade --success craked --against 5%" + log());
    assertThat(answer.status()).isEqualTo(3);
    assertThat(answer.err()).contains("did you mean cracked?", "say so: --levels craked,sound");
  }

  /** A region may begin at 0 and end at 1, however the ends are written. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0,2%; 0.0,0.02; 0%,2%; 0.00%,1/50 | 0.02 | 0",
        "98%,100%; 0.98,1.0; 0.98,1; 49/50,100.0% | 1 | 0.98"
      })
  void aRegionReachesTheEnds(String regions, double high, double low) throws IOException {
    for (String region : regions.split("; ")) {
      JsonNode json = CommandLine.json("rate 4/400 --against 5% --region " + region);
      JsonNode inside = json.get("bayes").get("region");
      assertThat(inside.get(0).doubleValue()).isEqualTo(low);
      assertThat(inside.get(1).doubleValue()).isEqualTo(high);
    }
    assertThat(CommandLine.shell("compare 4/400 9/400 --region -1.0,100.0%").status()).isZero();
  }

  /** What is printed for the next sample is taken, however rare the rate was. */
  @ParameterizedTest
  @CsvSource({"3, 200000", "1, 60", "199999, 200000"})
  void theNextSampleOfARareRateIsPlanned(int successes, int rows) throws IOException {
    String text =
        "y,w,m\nyes,1,"
            + successes
            + "\nno,1,"
            + (rows - successes) / 2
            + "\nno,1.5,"
            + (rows - successes - (rows - successes) / 2)
            + "\n";
    Path data = Files.writeString(folder.resolve("rare.csv"), text);
    String answer =
        CommandLine.shell(
                "rate --outcome y --success yes --count m --against 5% --design weight=w --data "
                    + data)
            .out();
    String plan =
        answer.lines().filter(line -> line.contains("tavik plan rate")).findFirst().orElse("");
    if (!plan.isEmpty()) {
      assertThat(CommandLine.shell(plan.strip().substring("tavik ".length())).status()).isZero();
    }
    assertThat(answer).contains("yes");
  }

  /** No word of an algorithm reaches a reader. */
  @ParameterizedTest
  @CsvSource({
    "0.5%, 0.1%",
    "1%, 0.1%",
    "0.5%, 0.5%",
    "0.1%, 0.01%",
    "40%, 0.1%",
    "0.5%, 99.9%",
    "1%, 0.0001%"
  })
  void plansOfRareRatesAreAnswered(String half, String expected) {
    for (String interval : new String[] {"clopper-pearson", "wilson", "jeffreys", "wald"}) {
      CommandLine plan =
          CommandLine.shell(
              "plan rate --half-width "
                  + half
                  + " --expect "
                  + expected
                  + " --intervals "
                  + interval);
      assertThat(plan.status()).as(interval + plan.err()).isZero();
      assertThat(plan.out()).doesNotContain("area", "settle", "e-308");
    }
  }
}
