package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;

class CommandLineTest {
  private static final String SCRAP =
      "rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8%";

  @TempDir Path folder;

  @Test
  void aRateIsAnsweredInWordsAndTables() {
    CommandLine answer = CommandLine.shell("rate 14/400 --against 5% --alternative less");
    assertThat(answer.err()).isEmpty();
    assertThat(answer.status()).isZero();
    assertThat(answer.out())
        .startsWith("The rate is ")
        .endsWith(
            """

            Observed
              14 of 400, a proportion of 3.500% with a standard error of 0.9189 points

            Tests: null, the rate is 5%; alternative, it is lower; alpha 0.05
                                                 p
              score  z = -1.376             0.0843  does not reject
              exact  14 successes or fewer  0.0990  does not reject

            Intervals, level 95%, and the one-sided bound for 'less'
              wilson           2.096%  to  5.789%    at most 5.351%
              clopper-pearson  1.926%  to  5.803%    at most 5.418%

            Counts that would be rejected, out of 400
                                  true size
              score  12 or fewer     3.551%
              exact  12 or fewer     3.551%

            The verdict rests on score and wilson: score rejects a true null in 3.6% of such
            samples, no more often than alpha.

            Assumptions
              met           expected successes: 400 x 5% = 20 under the null, enough for the
                            normal approximation.
              met           expected failures: 400 x 95% = 380 under the null, enough for
                            the normal approximation.
              not testable  independent trials: each trial is drawn on its own, with the
                            same chance. Units from one batch, shift or person are often
                            alike; then p-values come out too small and intervals too
                            narrow. Counts can't show this: you have to know how they were
                            collected.
              met           true size: where the null is true, the score test rejects it in
                            3.6% of samples of 400 trials.
            """);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "demo",
        SCRAP,
        SCRAP + " --group kiln --working",
        SCRAP + " --tests all --intervals all --alternative less",
        SCRAP + " --tests all --intervals all --group kiln --alternative greater",
        "look --data demo/firing-log.csv",
        "look --data demo/panel-survey.csv",
        "run demo/kiln-acceptance.yaml",
        "plan --help",
        "rate 999999999/1000000000 --against 0.999 --working",
        "rate A=1/2 'A group with a name that goes on and on and on and on and on=3/4' --against 5%",
        "--help",
        "help look",
        "rate --help"
      })
  void textStaysWithinEightyColumns(String line) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out().lines().filter(each -> !each.startsWith("$ ")))
        .isNotEmpty()
        .allSatisfy(each -> assertThat(each.length()).as(each).isLessThanOrEqualTo(80));
    assertThat(answer.out().lines()).noneMatch(each -> each.endsWith(" "));
  }

  @Test
  void rawRowsAndFrequenciesGiveTheSameAnswer() throws IOException {
    List<String> rows = new ArrayList<>(List.of("kiln;grade;n"));
    for (String kiln : new String[] {"North", "South", "Tunnel"}) {
      for (String grade : new String[] {"sound", "crazed", "cracked", "warped"}) {
        JsonNode counted =
            CommandLine.json(
                "rate --data demo/firing-log.csv --outcome grade --success "
                    + grade
                    + " --against 1/2 --where kiln="
                    + kiln);
        rows.add(kiln + ";" + grade + ";" + counted.at("/input/successes").asLong());
      }
    }
    Path table = folder.resolve("table.csv");
    Files.write(table, rows);
    JsonNode raw = CommandLine.json(SCRAP + " --group kiln --missing drop");
    JsonNode tabulated =
        CommandLine.json(
            SCRAP.replace("demo/firing-log.csv", table.toString()) + " --group kiln --count n");
    assertThat(tabulated.get("groups")).hasSize(3);
    for (int group = 0; group < 3; group++) {
      for (String key : new String[] {"label", "estimates", "tests", "intervals", "conclusion"}) {
        assertThat(tabulated.at("/groups/" + group + "/" + key))
            .isEqualTo(raw.at("/groups/" + group + "/" + key));
      }
    }
  }

  @Test
  void jsonHasTheKeysInTheirOrder() throws IOException {
    JsonNode answer =
        CommandLine.json("rate 14/400 --against 5% --alternative less --label North --working");
    assertThat(answer.fieldNames())
        .toIterable()
        .containsExactly(
            "tavik",
            "question",
            "label",
            "input",
            "hypothesis",
            "estimates",
            "tests",
            "intervals",
            "criticalCounts",
            "preferred",
            "conditions",
            "cautions",
            "working",
            "lookUp",
            "conclusion");
    assertThat(answer.at("/hypothesis"))
        .isEqualTo(
            new ObjectMapper()
                .readTree(
                    "{\"quantity\":\"proportion\",\"against\":0.05,\"alternative\":\"less\","
                        + "\"alpha\":0.05}"));
    assertThat(answer.at("/tests/0").fieldNames())
        .toIterable()
        .containsExactly("method", "statistic", "df", "pValue", "log10PValue", "rejects");
    assertThat(answer.at("/tests/0/df").isNull()).isTrue();
    assertThat(answer.at("/intervals/1/side").asText()).isEqualTo("upper");
    assertThat(answer.at("/conditions/2/met").isNull()).isTrue();
    assertThat(answer.at("/input/tally").asText()).isEqualTo("14/400");

    JsonNode groups = CommandLine.json(SCRAP + " --group kiln");
    assertThat(groups.fieldNames())
        .toIterable()
        .containsExactly(
            "tavik",
            "question",
            "label",
            "input",
            "hypothesis",
            "adjustment",
            "groups",
            "cautions",
            "conclusion");
    assertThat(groups.at("/input/missing/grade").asInt()).isEqualTo(4);
    assertThat(groups.at("/cautions/0/code").asText()).isEqualTo("missing-values");
    assertThat(groups.at("/groups/0/tests/0/adjustedPValue").asDouble())
        .isGreaterThan(groups.at("/groups/0/tests/0/pValue").asDouble());
  }

  @Test
  void everyMethodAnswersByItsId() throws IOException {
    JsonNode answer = CommandLine.json("rate 14/400 --against 5% --tests all --intervals all");
    assertThat(answer.at("/tests").findValuesAsText("method"))
        .containsExactly(
            "score",
            "score-cc",
            "wald",
            "exact",
            "exact-doubled",
            "exact-blaker",
            "mid-p",
            "likelihood-ratio");
    assertThat(answer.at("/intervals").findValuesAsText("method"))
        .containsExactly(
            "wald",
            "wald-cc",
            "wilson",
            "wilson-cc",
            "agresti-coull",
            "clopper-pearson",
            "mid-p",
            "jeffreys",
            "blaker",
            "likelihood");
    assertThat(answer.at("/tests/7/df").asDouble()).isEqualTo(1);
    assertThat(answer.at("/criticalCounts/3/atMost").asInt()).isEqualTo(11);
    assertThat(answer.at("/criticalCounts/3/atLeast").asInt()).isEqualTo(29);
    assertThat(answer.at("/criticalCounts/3/size").asDouble()).isBetween(0.03, 0.05);
    JsonNode some =
        CommandLine.json("rate 0/40 --against 5% --tests wald,mid-p --intervals wald-cc,blaker");
    assertThat(some.at("/tests/0/statistic").isNull()).isTrue();
    assertThat(some.at("/cautions").findValuesAsText("code")).contains("no-statistic");
    assertThat(
            CommandLine.json("rate 1/40 --against 5% --intervals wald").at("/cautions").toString())
        .contains("clipped-limit");
  }

  @Test
  void aLotMakesTheSampleTellMore() throws IOException {
    JsonNode lot = CommandLine.json("rate 14/400 --against 5% --lot 1000");
    JsonNode endless = CommandLine.json("rate 14/400 --against 5%");
    assertThat(lot.at("/input/lot").asLong()).isEqualTo(1_000);
    assertThat(lot.at("/intervals/1/upper").asDouble())
        .isLessThan(endless.at("/intervals/1/upper").asDouble());
    assertThat(lot.at("/estimates/0/standardError").asDouble())
        .isLessThan(endless.at("/estimates/0/standardError").asDouble());
    assertThat(lot.at("/conditions/2/name").asText()).isEqualTo("random sample");
    assertThat(CommandLine.shell("rate 2/60 --against 5% --lot 500").out())
        .startsWith("The rate in the lot of 500 is ")
        .contains("In units of the lot, clopper-pearson: 3 to 55 of 500.");
    for (String[] each :
        new String[][] {
          {"--lot 50", "lot must be larger than the sample (60)"},
          {"--lot 510", "did you mean 25/510 or 26/510?"},
          {"--lot many", "--lot must be a whole number of units"},
          {"--lot 500 --tests wald", "tests must be among score, exact"},
          {"--lot 500 --working", "for trials without end"},
          {"--lot 500 --chart null=a.png", "for trials without end"}
        }) {
      CommandLine refused = CommandLine.shell("rate 2/60 --against 5% " + each[0]);
      assertThat(refused.status()).as(each[0]).isEqualTo(ExitStatus.USAGE);
      assertThat(refused.err()).as(each[0]).contains(each[1]);
    }
    assertThat(CommandLine.shell(SCRAP + " --group kiln --lot 5000").err())
        .contains("lot is about one rate");
  }

  @Test
  void underflowLeavesTheLogarithm() throws IOException {
    CommandLine text = CommandLine.shell("rate 700000/1000000 --against 50%");
    assertThat(text.out()).containsPattern("p = \\d\\.\\d\\de-\\d{5}");
    JsonNode answer = CommandLine.json("rate 700000/1000000 --against 50%");
    assertThat(answer.at("/tests/1/pValue").asDouble()).isZero();
    assertThat(answer.at("/tests/1/log10PValue").asDouble()).isLessThan(-30_000);
  }

  @Test
  void filesAreWrittenInTheFormOfTheirEnding() throws Exception {
    Path json = folder.resolve("answer.json");
    Path text = folder.resolve("answer.txt");
    Path png = folder.resolve("rates.png");
    Path svg = folder.resolve("rates.SVG");
    CommandLine answer =
        CommandLine.shell(SCRAP + " --group kiln --out " + json + " --chart " + png);
    assertThat(answer.status()).isZero();
    assertThat(answer.out()).isEmpty();
    assertThat(answer.err()).contains("Wrote " + json).contains("Wrote " + png);
    assertThat(new ObjectMapper().readTree(Files.readString(json)).get("groups")).hasSize(3);
    assertThat(ImageIO.read(png.toFile()).getWidth()).isEqualTo(1920);

    CommandLine.shell(SCRAP + " --alternative greater --out " + text + " --chart " + svg);
    assertThat(text).content().startsWith("grade cracked or warped: the rate is not shown");
    Document document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(Files.readAllBytes(svg)));
    assertThat(document.getDocumentElement().getAttribute("viewBox")).startsWith("0 0 960 ");
    assertThat(document.getDocumentElement().getTextContent())
        .contains("against 8%", "at least 7.0%", "98 of 1,196");
  }

  @Test
  void theDataFileIsNeverOverwritten() throws IOException {
    Path data = folder.resolve("data.json");
    Files.writeString(data, "grade\ncracked\nsound\n");
    String before = Files.readString(data);
    CommandLine answer =
        CommandLine.shell(
            "rate --data "
                + data
                + " --outcome grade --success cracked --against 5% --out "
                + data);
    assertThat(answer.status()).isEqualTo(ExitStatus.USAGE);
    assertThat(answer.err()).contains("which is being read");
    assertThat(data).hasContent(before);
  }

  @Test
  void lookShowsColumnsAndCommandsThatWork() {
    CommandLine look = CommandLine.shell("look --data demo/returns-by-depot.csv");
    assertThat(look.out())
        .startsWith("demo/returns-by-depot.csv: 16 rows, 3 columns, separated by commas, UTF-8\n")
        .contains("n\n  whole numbers,")
        .contains("--count n");
    for (String file : new String[] {"firing-log", "panel-survey", "returns-by-depot", "regrade"}) {
      String text = CommandLine.shell("look --data demo/" + file + ".csv").out();
      Matcher command =
          Pattern.compile("^  tavik (.*)$", Pattern.MULTILINE).matcher(text.replace(" \\\n", " "));
      int commands = 0;
      while (command.find()) {
        commands++;
        CommandLine answer = CommandLine.shell(command.group(1));
        assertThat(answer.status()).as(command.group(1) + answer.err()).isZero();
      }
      assertThat(commands).as(file).isBetween(2, 4);
    }
  }

  @Test
  void aStudyAnswersWhatItCan() throws IOException {
    Path study = folder.resolve("study.yaml");
    Path data = folder.resolve("log.csv");
    Files.writeString(data, "kiln,grade,ok\nNorth,cracked,no\nNorth,sound,yes\nSouth,sound,yes\n");
    Files.writeString(
        study,
        """
        study: Two kilns
        alpha: 0.01
        questions:
          - {ask: rate, label: good, data: log.csv, outcome: grade, success: [cracked], against: 1/4}
          - {ask: rate, label: where, data: log.csv, outcome: grade, success: cracked, against: 0.25,
             where: {kiln: North}, alpha: 10%}
          - {ask: rate, label: typo, data: log.csv, outcom: grade, success: cracked, against: 1/4}
          - {ask: rate, label: gone, data: none.csv, outcome: grade, success: cracked, against: 1/4}
          - {ask: guess, label: kind}
          - {ask: rate, label: words, data: log.csv, outcome: ok, success: yes, against: 1/2}
          - {ask: rate, label: pair, tally: {North: 14/400, South: 31/410}, against: 5}
        """);
    CommandLine answer = CommandLine.shell("run " + study + " --json");
    assertThat(answer.status()).isEqualTo(ExitStatus.DATA);
    JsonNode answers = new ObjectMapper().readTree(answer.out()).get("answers");
    assertThat(answers).hasSize(7);
    assertThat(answers.at("/5/input/tally").asText()).isEqualTo("2/3");
    assertThat(answers.at("/0/hypothesis/alpha").asDouble()).isEqualTo(0.01);
    assertThat(answers.at("/1/hypothesis/alpha").asDouble()).isEqualTo(0.1);
    assertThat(answers.at("/1/input/tally").asText()).isEqualTo("1/2");
    assertThat(answers.at("/2/error/code").asText()).isEqualTo("question-malformed");
    assertThat(answers.at("/2/error/message").asText())
        .contains("question 3: there is no key 'outcom'; did you mean outcome?");
    assertThat(answers.at("/3/error/code").asText()).isEqualTo("data-unreadable");
    assertThat(answers.at("/4/error/message").asText())
        .contains(
            "ask must be one of rate, compare, shares, cross, plan, tail, sweep, assess, got 'guess'");
    assertThat(answers.at("/6/error/message").asText()).contains("did you mean 5%?");
    assertThat(CommandLine.shell("run " + study).out())
        .contains("3. typo")
        .contains("Not answered:");
  }

  @Test
  void aStudyInJsonSaysTheSame() throws IOException {
    Path yaml = folder.resolve("study.yaml");
    Path json = folder.resolve("study.json");
    Files.writeString(yaml, "study: s\nquestions:\n  - {ask: rate, tally: 14/400, against: 5%}\n");
    Files.writeString(
        json,
        "{\"study\":\"s\",\"questions\":[{\"ask\":\"rate\",\"tally\":\"14/400\",\"against\":0.05}]}");
    assertThat(CommandLine.shell("run " + yaml).out())
        .isEqualTo(CommandLine.shell("run " + json).out())
        .startsWith("s\n\n1. rate\n\nThe rate is ");
  }

  @ParameterizedTest
  @CsvSource({"14/400, 14", "North=14/400, 14", "'a=b=14/400', 14"})
  void inlineTalliesMayHaveNames(String tally, int successes) throws IOException {
    assertThat(CommandLine.json("rate " + tally + " --against 5%").at("/input/successes").asInt())
        .isEqualTo(successes);
  }

  @Test
  void theDemoRunsFromAnywhereAndSavesItsFiles() throws IOException {
    CommandLine demo = CommandLine.run("demo");
    assertThat(demo.status()).isZero();
    assertThat(demo.out().replaceAll("\\s+", " "))
        .contains("$ tavik look --data demo/firing-log.csv")
        .contains("Above: South (13.0%, p = 0.000609); below: North (4.0%, p = 0.00573)")
        .contains("the 3 groups differ (pearson chi-square, p = 1.47e-5, alpha 0.05)")
        .contains("Discordant pairs, which alone tell the two apart: 13");
    Path target = folder.resolve("mine");
    assertThat(CommandLine.shell("demo --save " + target).status()).isZero();
    assertThat(Files.readString(target.resolve("regrade.csv"), StandardCharsets.UTF_8))
        .startsWith("tile,first_inspector,second_inspector\n");
    CommandLine again = CommandLine.shell("demo --save " + target);
    assertThat(again.status()).isEqualTo(ExitStatus.USAGE);
    assertThat(again.err()).contains("would overwrite");
  }
}
