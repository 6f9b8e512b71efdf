package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BayesCommandTest {
  private static final String NORTH = "rate 14/400 --against 5% --alternative less";

  @TempDir Path folder;

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
    JsonNode bayes = CommandLine.json(NORTH + " --prior 1,1 --region 4%,6%").get("bayes");
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
    JsonNode far = CommandLine.json("rate 600000/1000000 --against 5% --bayes").get("bayes");
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
    assertThat(CommandLine.json("run " + study).at("/answers/0/bayes"))
        .isEqualTo(CommandLine.json(NORTH + " --prior 2,3 --region 4%,6%").get("bayes"));
  }

  /** Two categories agree with rate; one parameter stands for all. */
  @Test
  void sharesHaveTheirViewToo() throws IOException {
    String tiles = "shares ash=12 iron=48 --against 25%,75%";
    assertThat(CommandLine.json(tiles + " --bayes").at("/bayes/logBayesFactor"))
        .isEqualTo(
            CommandLine.json("rate 12/60 --against 25% --bayes").at("/bayes/logBayesFactor"));
    assertThat(CommandLine.json(tiles + " --prior 2,2").get("bayes"))
        .isEqualTo(CommandLine.json(tiles + " --prior 2").get("bayes"));
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
  void thePictureSaysWhatBecameOfTheBelief() throws IOException {
    Path chart = folder.resolve("belief.svg");
    CommandLine drawn = CommandLine.shell(NORTH + " --bayes --chart belief=" + chart);
    assertThat(drawn.status()).as(drawn.err()).isZero();
    assertThat(Files.readString(chart))
        .contains("held against 5%", "belief here became 15.1 times denser")
        .contains("directional alternative 1.20, for the alternative", "before: Beta(1, 1)")
        .contains("95% credible: 2.500% to 97.50%", "lies beyond this axis");
    // A picture of a view asks for the view by itself.
    assertThat(CommandLine.shell(NORTH + " --chart belief=" + chart).out())
        .contains("Bayesian view, prior Beta(1, 1)");
  }

  private static final String KILNS = "compare North=14/400 South=31/410";

  /** The directional one is the two-sided one times twice the probability of its side. */
  @Test
  void comparisonsHaveTheirViewToo() throws IOException {
    JsonNode two = CommandLine.json(KILNS + " --bayes --region 2%").get("bayes");
    double above = two.at("/probabilityAbove").asDouble();
    assertThat(
            CommandLine.json(KILNS + " --bayes --alternative greater")
                .at("/bayes/logBayesFactor")
                .asDouble())
        .isCloseTo(two.at("/logBayesFactor").asDouble() + Math.log(2 * above), within(1e-12));
    assertThat(two.at("/posterior").findValuesAsText("quantity"))
        .containsExactly("difference", "ratio", "odds-ratio");
    assertThat(two.at("/posterior/0/mean").asDouble())
        .isCloseTo(15 / 402.0 - 32 / 412.0, within(1e-15));
    assertThat(two.at("/region").toString()).isEqualTo("[-0.02,0.02]");
    assertThat(CommandLine.shell(KILNS + " --bayes --region -2%,2%").out())
        .contains(
            """
            Bayesian view, prior Beta(1, 1) for each rate
              The data are 1.02 times likelier under equal rates than under different rates
            """)
        .contains(
            "The probability that North is higher than South is 0.00587.",
            "The probability that the difference, in points, is between -2 and 2 is 0.102.");
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        "questions:\n  - {ask: compare, tally: [North=14/400, South=31/410], prior: [1, 1],"
            + " region: 2%}\n");
    assertThat(CommandLine.json("run " + study).at("/answers/0/bayes")).isEqualTo(two);
    assertThat(CommandLine.shell(KILNS + " Tunnel=20/390 --bayes --alternative less").out())
        .contains("North minus South    1.95  lower");
    assertThat(CommandLine.shell(KILNS + " --bayes --margin 5% --show noninferior").out())
        .contains("The probability that the difference, in points, is above -5 is 0.729.");
  }

  @Test
  void tablesHaveOneFactorAPlan() throws IOException {
    String cells = "cross --cells \"14 386; 31 379\"";
    JsonNode bayes = CommandLine.json(cells + " --sampling rows").get("bayes");
    assertThat(bayes.at("/sampling").asText()).isEqualTo("rows");
    assertThat(bayes.at("/logBayesFactor").asDouble())
        .isCloseTo(
            CommandLine.json(KILNS + " --bayes").at("/bayes/logBayesFactor").asDouble(),
            within(1e-12));
    assertThat(bayes.at("/plans").findValuesAsText("sampling"))
        .containsExactly("free", "total", "rows", "columns", "both");
    String out = CommandLine.shell(cells + " --bayes").out();
    assertThat(out)
        .contains("With the total fixed: the data are 1.47 times likelier under an association")
        .contains("both     row and column totals fixed            4.32  times for an association");
    assertThat(out.lines()).allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(80));
    assertThat(CommandLine.shell(cells + " --prior 0.5 --sampling both").out())
        .contains("not made: total needs a prior above 0.5000");
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, "questions:\n  - {ask: cross, cells: [14 386, 31 379], sampling: rows}\n");
    assertThat(CommandLine.json("run " + study).at("/answers/0/bayes")).isEqualTo(bayes);
  }

  private static final String COBALT =
      "rate --data demo/firing-log.csv --outcome grade --success crazed --where glaze=cobalt"
          + " --against 8% --alternative less";

  @Test
  void aSequenceIsFollowedToItsEnd() throws IOException {
    JsonNode followed = CommandLine.json(COBALT + " --sequence");
    JsonNode whole = CommandLine.json(COBALT + " --bayes");
    assertThat(followed.at("/bayes/sequence")).hasSize(followed.at("/input/trials").asInt());
    assertThat(followed.at("/bayes/sequence/" + (followed.at("/input/trials").asInt() - 1)))
        .isEqualTo(whole.at("/bayes/logBayesFactor"));
    // The first tile was no success: (1 - 0.08/2)/(1 - 0.08), all of the prior below 8 %.
    assertThat(followed.at("/bayes/sequence/0").asDouble())
        .isCloseTo(Math.log(0.96 / 0.92), within(1e-12));
    assertThat(CommandLine.shell(COBALT + " --sequence").out())
        .contains("Followed through the file in its order", "Most for the null after");
    Path sorted = folder.resolve("sorted.csv");
    Files.writeString(sorted, "grade\n" + "bad\n".repeat(20) + "good\n".repeat(80) + "NA\nNA\n");
    String file = "rate --data " + sorted + " --outcome grade --success bad --against 10%";
    assertThat(CommandLine.shell(file + " --sequence").out())
        .contains("The rows look sorted by the outcome: it changes 1 time along")
        .contains("2 of 102 were left out for a missing value");
    assertThat(CommandLine.shell(file).out()).doesNotContain("sorted by the outcome");
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        "questions:\n  - {ask: rate, data: "
            + sorted
            + ", outcome: grade, success: bad, against: 10%, sequence: true}\n");
    assertThat(CommandLine.json("run " + study).at("/answers/0/bayes/sequence")).hasSize(100);
  }

  @Test
  void withoutSuccessEveryLevelHasARow() {
    String out =
        CommandLine.shell("rate --data demo/firing-log.csv --outcome grade --against 25% --bayes")
            .out();
    assertThat(out)
        .contains("  crazed     90/1196   7.5%", "  warped     32/1196   2.7%")
        .contains("4 of 1,200 were left out");
  }

  /** All 61 counts of 60 tiles are equally likely under a uniform prior. */
  @Test
  void whatIsPlannedHasItsChances() throws IOException {
    String planned = "rate --planned 20..60:20 --against 50% --threshold 10 --expect 60%";
    JsonNode lines = CommandLine.json(planned).get("lines");
    assertThat(lines.findValuesAsText("n")).containsExactly("20", "40", "60");
    JsonNode last = lines.get(2).get("underAlternative");
    double counts = last.get("forAlternative").asDouble() * 61;
    assertThat(counts).isCloseTo(Math.rint(counts), within(1e-9));
    assertThat(lines.get(2).at("/underExpected/forAlternative").asDouble())
        .isGreaterThan(lines.get(2).at("/underNull/forAlternative").asDouble());
    assertThat(CommandLine.shell(planned).out())
        .contains("Chance that the Bayes factor reaches 10, prior Beta(1, 1)")
        .contains("60  a rate of 50%");
  }

  @Test
  void everyPictureSaysWhatItShows() throws IOException {
    Path chart = folder.resolve("chart.svg");
    CommandLine.shell(COBALT + " --sequence --chart sequence=" + chart);
    assertThat(Files.readString(chart))
        .contains(
            "the evidence after each of 246 observations",
            "for a rate below 8%",
            "for a rate of 8%",
            "rate so far",
            "held against 8%");
    // Had both been equally likely: odds of the Bayes factor.
    JsonNode sequence = CommandLine.json(COBALT + " --sequence").at("/bayes/sequence");
    double most = Double.NEGATIVE_INFINITY;
    for (JsonNode log : sequence) {
      most = Math.max(most, log.asDouble());
    }
    double last = sequence.get(sequence.size() - 1).asDouble();
    assertThat(Files.readString(chart))
        .contains(String.format(Locale.ROOT, "end: %.1f%%", 100 / (1 + Math.exp(-last))))
        .containsPattern(
            String.format(Locale.ROOT, "highest, row \\d+: %.1f%%", 100 / (1 + Math.exp(-most))));
    Path second = folder.resolve("second.svg");
    CommandLine.shell(COBALT + " --bayes --chart priors=" + second);
    assertThat(Files.readString(second))
        .contains("does it depend on the prior?", "the null value 8%", "Beta(1, 1)");
    Path third = folder.resolve("third.svg");
    CommandLine.shell(KILNS + " --region 3% --chart belief=" + third);
    assertThat(Files.readString(third))
        .contains(
            "no difference",
            "as good as none, probability",
            "North minus South, in percentage points");
    Path fourth = folder.resolve("fourth.svg");
    CommandLine.shell(KILNS + " --bayes --chart priors=" + fourth);
    assertThat(Files.readString(fourth)).contains("the common rate 5.7%", "for different rates");
    assertThat(CommandLine.shell(NORTH + " --chart sequence=" + folder.resolve("x.svg")).err())
        .contains("--sequence");
  }

  /** None against all, counts next to nothing among very many, all equal: an answer, no fault. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "compare A=0/9 B=9/9",
        "compare A=400/400 B=0/400 --alternative greater --region 2%",
        "compare A=3/1000000000000 B=9/1000000000000",
        "compare A=0/1 B=0/1",
        "rate 3/1000000000000 --against 0.0000001%",
        "rate 0/3 --against 99.9999999% --alternative greater",
        "shares a=0 b=0 c=9 --against equal",
        "cross --cells \"900000000 1; 1 900000000\""
      })
  void extremesHaveTheirViewToo(String line) throws IOException {
    JsonNode bayes = CommandLine.json(line + " --bayes").get("bayes");
    assertThat(bayes.get("logBayesFactor").isNumber()).isTrue();
    assertThat(bayes.toString()).doesNotContain("NaN");
    if (line.startsWith("rate") || line.startsWith("compare")) {
      Path chart = folder.resolve("far.svg");
      CommandLine drawn =
          CommandLine.shell(
              line + " --chart priors=" + chart + " --chart belief=" + folder.resolve("b.svg"));
      assertThat(drawn.status()).as(drawn.err()).isZero();
    }
  }

  /** The curve over priors has what each of them says. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "compare North=14/400 South=31/410",
        "rate 14/400 --against 5% --alternative less"
      })
  void chancesOverPriorsAreThoseOfEachPrior(String question) throws IOException {
    JsonNode even =
        CommandLine.json(question + " --bayes --working").at("/chanceOverPriors/curves/0");
    assertThat(even.at("/x")).hasSizeGreaterThan(70);
    for (int at = 0; at < even.at("/x").size(); at += 30) {
      double half = even.at("/x").get(at).asDouble() / 2;
      double log =
          CommandLine.json(question + " --prior " + half + "," + half)
              .at("/bayes/logBayesFactor")
              .asDouble();
      assertThat(even.at("/y").get(at).asDouble())
          .isCloseTo(1 / (1 + Math.exp(-log)), within(1e-9));
    }
  }
}
