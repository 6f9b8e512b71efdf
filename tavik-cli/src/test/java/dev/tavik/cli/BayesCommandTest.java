package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BayesCommandTest {
  private static final String NORTH = "rate 14/400 --against 5% --alternative less";

  @TempDir Path folder;

  private static JsonNode json(String line) throws IOException {
    CommandLine answer = CommandLine.shell(line + " --json");
    assertThat(answer.status()).as(answer.err()).isZero();
    return new ObjectMapper().readTree(answer.out());
  }

  @Test
  void theViewStandsBesideTheTests() {
    String out = CommandLine.shell(NORTH + " --bayes --region 4%,6%").out();
    assertThat(out)
        .contains(
            """
            Bayesian view, prior Beta(1, 1)
              The data are 1.20 times likelier under a rate below 5% than under a rate of 5%
              (Kass and Raftery: not worth more than a bare mention).

            Posterior, credible intervals at 95%
              all values     mean             3.731%
                             median           3.655%
                             mode             3.500%
            """)
        .contains("below 5% only  mean             3.534%")
        .contains("The probability that the rate is above 5% is 0.0971.")
        .contains("The probability that it is between 4% and 6% is 0.343.")
        .contains("Beta(10, 190)    2.07  times for the alternative");
    assertThat(out.lines()).allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(80));
    assertThat(CommandLine.shell(NORTH).out()).doesNotContain("Bayes");
  }

  @Test
  void jsonHasThePriorTheFactorAndThePosterior() throws IOException {
    JsonNode bayes = json(NORTH + " --prior 1,1 --region 4%,6%").get("bayes");
    assertThat(bayes.at("/prior").toString()).isEqualTo("[1.0,1.0]");
    assertThat(bayes.at("/favours").asText()).isEqualTo("alternative");
    double log = bayes.at("/logBayesFactor").asDouble();
    assertThat(bayes.at("/bayesFactor").asDouble()).isCloseTo(Math.exp(log), within(1e-12));
    assertThat(bayes.at("/inverse").asDouble()).isCloseTo(Math.exp(-log), within(1e-12));
    assertThat(bayes.at("/posterior")).hasSize(2);
    assertThat(bayes.at("/posterior/1/truncated").asBoolean()).isTrue();
    assertThat(bayes.at("/posterior/0/credible").findValuesAsText("kind"))
        .containsExactly("equal-tailed", "highest-density");
    assertThat(bayes.at("/sensitivity")).hasSize(9);
    assertThat(bayes.at("/sensitivity/1/logBayesFactor").asDouble()).isEqualTo(log);
    JsonNode far = json("rate 600000/1000000 --against 5% --bayes").get("bayes");
    assertThat(far.at("/bayesFactor").isNull()).isTrue();
    assertThat(far.at("/logBayesFactor").asDouble()).isCloseTo(1144938.3125024987, within(1e-5));
  }

  @Test
  void groupsGetARowEachAndAStudyTheSameAnswer() throws IOException {
    assertThat(CommandLine.shell("rate North=14/400 South=31/410 --against 5% --bayes").out())
        .contains("Bayesian view, credible intervals at 95%", "North  14/400  3.5%  15.1   null");
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        "questions:\n  - {ask: rate, tally: 14/400, against: 5%, alternative: less, prior: [2, 3],"
            + " region: [4%, 6%]}\n");
    assertThat(json("run " + study).at("/answers/0/bayes"))
        .isEqualTo(json(NORTH + " --prior 2,3 --region 4%,6%").get("bayes"));
  }

  /** Two categories agree with rate; one parameter stands for all. */
  @Test
  void sharesHaveTheirViewToo() throws IOException {
    String tiles = "shares ash=12 iron=48 --against 25%,75%";
    assertThat(json(tiles + " --bayes").at("/bayes/logBayesFactor"))
        .isEqualTo(json("rate 12/60 --against 25% --bayes").at("/bayes/logBayesFactor"));
    assertThat(json(tiles + " --prior 2,2").get("bayes"))
        .isEqualTo(json(tiles + " --prior 2").get("bayes"));
    assertThat(CommandLine.shell("shares ash=31 celadon=22 iron=17 --against 4:3:3 --bayes").out())
        .contains(
            """
            Bayesian view, prior Dirichlet(1, 1, 1)
              The data are 17.4 times likelier under the claimed shares than under shares
              that may be anything (Kass and Raftery: positive).
            """)
        .contains("ash      43.84%  32.72%  to  55.27%");
    assertThat(CommandLine.shell(tiles + " --prior 1,2,3").err())
        .contains("--prior must have one parameter for each of the 2 categories");
    assertThat(CommandLine.shell(tiles + " --prior a,b").err()).contains("must be numbers above 0");
  }

  @Test
  void thePictureExplainsTheRatioOfHeights() throws IOException {
    Path chart = folder.resolve("belief.svg");
    CommandLine drawn = CommandLine.shell(NORTH + " --bayes --bayes-chart " + chart);
    assertThat(drawn.status()).as(drawn.err()).isZero();
    assertThat(Files.readString(chart))
        .contains(
            "the heights at 5% are in a ratio of 15.1: the two-sided Bayes factor, for the null")
        .contains(
            "directional: 1.20, for the alternative", "posterior there 15.1", "prior there 1.00");
    assertThat(CommandLine.shell(NORTH + " --bayes-chart " + chart).err()).contains("--bayes");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--prior 0,1|prior must have parameters",
        "--prior 1|--prior must be two numbers above 0",
        "--prior -1,2|--prior must be two numbers above 0",
        "--region 6%,4%|must run upwards",
        "--region 4%|--region must be two values",
        "--region 4%,160%|--region",
        "--bayes --lot 1000|leave the lot out"
      })
  void everyTroubleIsOneMessageAndAStatus(String options, String message) {
    CommandLine answer = CommandLine.shell(NORTH + " " + options);
    assertThat(answer.status()).as(answer.err()).isEqualTo(2);
    assertThat(answer.out()).isEmpty();
    assertThat(answer.err()).contains(message).doesNotContain("Exception").doesNotContain("fault");
  }
}
