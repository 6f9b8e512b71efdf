package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pictures of answers by a design show its intervals and, hollow, the naive ones below. */
class SurveyPicturesTest {
  private static final String PANEL =
      " --data demo/panel-survey.csv --design weight=weight,strata=region,cluster=dealer";

  @TempDir private Path folder;

  private String drawn(String command) throws IOException {
    Path picture = folder.resolve("picture.svg");
    CommandLine answer = CommandLine.shell(command + PANEL + " --chart " + picture);
    assertThat(answer.status()).as(answer.err()).isZero();
    return Files.readString(picture);
  }

  private static long times(String text, String word) {
    return Pattern.compile(Pattern.quote(word)).matcher(text).results().count();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --outcome would_reorder --success yes --against 65% | 1 | logit, korn-graubard",
        "rate --outcome would_reorder --success yes --against 65% --group region | 4 | Uplands, Moors",
        "compare --outcome would_reorder --success yes --group channel --where region=Coast | 3 |"
            + " online",
        "compare --outcome would_reorder --success yes --group region --baseline Uplands | 3 |"
            + " Moors minus Uplands",
        "shares --outcome channel --against 40%,25%,35% | 0 | claimed 35.0%, online",
        "cross --rows delivery --columns would_reorder | 0 | percent of yes, stands out"
      })
  void everyQuestionIsDrawnWithTheNaiveAnswerBeside(String command, int naive, String words)
      throws IOException {
    String svg = drawn(command);
    assertThat(times(svg, ">as if simple random<")).isEqualTo(naive);
    for (String word : words.split(",")) {
      assertThat(svg).contains(word.strip());
    }
    assertThat(svg).contains("intervals by the design");
  }

  /** Ratios stand on a scale of their own; a layer is drawn by itself. */
  @Test
  void ratiosAndLayers() throws IOException {
    String two =
        drawn(
            "compare --outcome would_reorder --success yes --group channel --merge"
                + " 'online+showroom=other'");
    assertThat(two).contains("percentage points").contains(">as if simple random<");
    CommandLine layers =
        CommandLine.shell(
            "cross --rows would_reorder --columns channel --strata region"
                + PANEL
                + " --chart "
                + folder.resolve("layers.svg"));
    assertThat(layers.status()).isEqualTo(2);
    assertThat(layers.err()).contains("ask for one alone");
    CommandLine other =
        CommandLine.shell(
            "rate --outcome would_reorder --success yes --against 65%"
                + PANEL
                + " --chart null="
                + folder.resolve("null.svg"));
    assertThat(other.status()).isEqualTo(2);
    assertThat(other.err()).doesNotContain("\tat ");
  }

  /** The page has the picture, and says how it is asked again. */
  @Test
  void aPageIsWhole() throws IOException {
    Path page = folder.resolve("page.html");
    CommandLine answer =
        CommandLine.shell(
            "compare --outcome would_reorder --success yes --group channel"
                + PANEL
                + " --out "
                + page);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(Files.readString(page))
        .contains("<svg", "Rao and Scott 1984", "weight=weight,strata=region,cluster=dealer")
        .contains("Differences in points", "as if simple random");
  }
}
