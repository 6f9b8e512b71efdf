package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CompareCommandTest {
  private static final String KILNS =
      "compare --data demo/firing-log.csv --outcome grade --success cracked,warped --group kiln";
  private static final String INSPECTORS =
      "compare --paired --data demo/regrade.csv --outcome first_inspector,second_inspector"
          + " --success crazed,cracked,warped";

  @TempDir Path folder;

  @Test
  void twoGroupsAreComparedInWordsAndTables() {
    CommandLine answer = CommandLine.shell("compare North=14/400 South=31/410");
    assertThat(answer.err()).isEmpty();
    assertThat(answer.status()).isZero();
    assertThat(answer.out())
        .isEqualTo(
            """
            North and South differ: North 3.5% (14 of 400), South 7.6% (31 of 410), North
            lower by 0.94 to 7.4 percentage points (95% Mee interval); p = 0.0116, z-pooled
            test at alpha 0.05. North looks lower; the two-sided test asked only whether
            they differ.

            Observed
                     successes   of  proportion
              North         14  400      3.500%
              South         31  410      7.561%

            North against South
              difference  -4.061   points, North minus South
              ratio        0.4629  North divided by South
              odds ratio   0.4434  cross product a d / (b c)
              odds ratio   0.4439  conditional maximum likelihood
              Cohen's h   -0.1807
              number needed: North has one success fewer in 24.6 (13.5 to 106; 95%, from
              mee)

            Tests: null, no difference; alternative, they differ; alpha 0.05
                                                               p
              z-pooled  z = -2.523                        0.0116  rejects
              fisher    tables as improbable, or more so  0.0136  rejects

            Intervals, level 95%; differences in points
              difference  mee                -7.389   to  -0.9441
                          newcombe           -7.347   to  -0.8979
              ratio       koopman             0.2520  to   0.8474
              odds ratio  conditional-exact   0.2146  to   0.8754

              As a table: tavik cross --cells '14 386; 31 379'

            The verdict rests on z-pooled and mee: at least 22.2 successes are expected in
            each group, enough for the normal approximation; fisher is the cautious one: it
            rejects less often than alpha allows.

            Assumptions
              met           expected counts: with the same proportion in both groups, each
                            is expected to have at least 22.2 successes, enough for the
                            normal approximation.
              not testable  independent units: each unit is in one group only and tells
                            nothing about another. The same units judged twice are pairs and
                            want a paired comparison; units of one batch or person are often
                            alike, and then p-values come out too small. Counts can't show
                            this: you have to know how they were collected.
            """);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "compare North=14/400 South=31/410 --tests all --intervals all --working",
        "compare North=14/400 South=31/410 --tests all --against 2%",
        "compare North=14/400 South=31/410 --margin 3% --show equivalent --working",
        "compare A=0/9 'A group with a name that goes on and on and on and on=4/8'",
        "compare 3/3 0/4 --alternative greater --tests all --intervals all",
        "compare 0/3 0/4 --tests all --intervals all --working",
        KILNS,
        KILNS + " --baseline Tunnel --working --tests all --intervals all",
        INSPECTORS + " --working --tests all --intervals all --alternative less",
        "compare --paired --cells '9 0; 0 4'",
        "compare --help"
      })
  void textStaysWithinEightyColumns(String line) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out().lines())
        .isNotEmpty()
        .allSatisfy(each -> assertThat(each.length()).as(each).isLessThanOrEqualTo(80));
    assertThat(answer.out().lines()).noneMatch(each -> each.endsWith(" "));
    assertThat(answer.out()).doesNotContain("NaN").doesNotContain("Infinity");
  }

  @Test
  void everyMethodAnswersByItsId() throws IOException {
    JsonNode answer =
        CommandLine.json(
            "compare North=14/400 South=31/410 --tests all --intervals all --alternative less");
    assertThat(answer.at("/tests").findValuesAsText("method"))
        .containsExactly(
            "z-pooled",
            "z-pooled-cc",
            "z-separate",
            "score",
            "likelihood-ratio",
            "fisher",
            "fisher-doubled",
            "fisher-mid-p",
            "barnard",
            "boschloo");
    assertThat(answer.at("/tests/8/nuisance").asDouble()).isBetween(0.0, 1.0);
    assertThat(answer.at("/tests/0").has("nuisance")).isFalse();
    StringBuilder intervals = new StringBuilder();
    answer
        .at("/intervals")
        .forEach(
            each -> {
              if (each.get("side").asText().equals("two-sided")) {
                intervals
                    .append(each.get("quantity").asText())
                    .append(' ')
                    .append(each.get("method").asText())
                    .append(", ");
              }
            });
    assertThat(intervals)
        .hasToString(
            "difference wald, difference wald-cc, difference agresti-caffo, difference newcombe,"
                + " difference newcombe-cc, difference mee, difference miettinen-nurminen, ratio"
                + " log, ratio koopman, ratio miettinen-nurminen, odds-ratio woolf, odds-ratio"
                + " gart, odds-ratio score, odds-ratio conditional-exact, odds-ratio"
                + " conditional-mid-p, number-needed mee, ");
    JsonNode both = CommandLine.json("compare A=14/400 B=31/410 --intervals miettinen-nurminen");
    assertThat(both.at("/intervals").findValuesAsText("quantity"))
        .containsExactly("difference", "ratio", "number-needed");
    JsonNode paired = CommandLine.json(INSPECTORS + " --tests all --intervals all");
    assertThat(paired.at("/tests").findValuesAsText("method"))
        .containsExactly("mcnemar", "mcnemar-cc", "mcnemar-exact", "mcnemar-mid-p");
    assertThat(paired.at("/intervals").findValuesAsText("method"))
        .containsExactly("wald", "bonett-price", "newcombe", "tango");
    assertThat(paired.at("/input/cells").toString()).isEqualTo("[[49,3],[10,178]]");
    assertThat(paired.at("/input/outcome").asText()).isEqualTo("first_inspector, second_inspector");
  }

  @Test
  void jsonHasTheKeysInTheirOrder() throws IOException {
    JsonNode answer =
        CommandLine.json("compare North=14/400 South=31/410 --label Cracks --working");
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
            "preferred",
            "conditions",
            "cautions",
            "working",
            "lookUp",
            "conclusion");
    assertThat(answer.at("/input/order").asText()).isEqualTo("North minus South");
    assertThat(answer.at("/input/first/tally").asText()).isEqualTo("14/400");
    assertThat(answer.at("/estimates").findValuesAsText("quantity"))
        .containsExactly(
            "proportion",
            "proportion",
            "difference",
            "ratio",
            "odds-ratio",
            "conditional-odds-ratio",
            "cohens-h",
            "number-needed");
    assertThat(answer.at("/estimates/7/value").asDouble())
        .isCloseTo(1 / (14 / 400.0 - 31 / 410.0), within(1e-12));
    JsonNode needed = answer.at("/intervals/4");
    assertThat(needed.get("throughInfinity").asBoolean()).isFalse();
    assertThat(needed.get("lower").asDouble())
        .isCloseTo(1 / answer.at("/intervals/0/upper").asDouble(), within(1e-9));

    JsonNode groups = CommandLine.json(KILNS);
    assertThat(groups.fieldNames())
        .toIterable()
        .containsExactly(
            "tavik",
            "question",
            "label",
            "input",
            "hypothesis",
            "groups",
            "overall",
            "adjustment",
            "pairs",
            "cautions",
            "conclusion");
    assertThat(groups.at("/overall").findValuesAsText("method"))
        .containsExactly("pearson", "likelihood-ratio");
    assertThat(groups.at("/overall/0/df").asInt()).isEqualTo(2);
    assertThat(groups.at("/pairs")).hasSize(3);
    assertThat(groups.at("/pairs/1/tests/0/adjustedPValue").isNumber()).isTrue();

    JsonNode margin =
        CommandLine.json("compare A=14/400 B=31/410 --margin 3% --show equivalent --tests all");
    assertThat(margin.at("/hypothesis/show").asText()).isEqualTo("equivalent");
    assertThat(margin.at("/hypothesis/margin").asDouble()).isEqualTo(0.03);
    assertThat(margin.at("/oneSidedTests")).hasSize(4);
    assertThat(margin.at("/tests/0/refused").asText()).contains("no difference only");
    assertThat(margin.at("/tests/3/method").asText()).isEqualTo("score");
    assertThat(CommandLine.json("compare A=0/9 B=0/8").at("/estimates/3/value").isNull()).isTrue();
    assertThat(CommandLine.json("compare A=0/9 B=0/8").at("/intervals/2/upper").isNull()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "compare A=0/5 B=0/5 --chart null=a.png|nothing to draw",
        "compare A=1/5 B=2/5 --tests score --chart null=a.png|needs z-pooled or fisher",
        "compare --paired --cells '1 0; 0 4' --chart null=a.png|no pair is discordant"
      })
  void aPictureThatCantBeDrawnCostsThePictureOnly(String line, String why) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isEqualTo(2);
    assertThat(answer.out()).contains("Observed");
    assertThat(answer.err()).startsWith("tavik: a.png is not drawn: ").contains(why);
  }

  @Test
  void picturesShowGroupsDifferencesAndRatios() throws Exception {
    Path svg = folder.resolve("kilns.svg");
    Path png = folder.resolve("null.png");
    assertThat(
            CommandLine.shell(
                    "compare North=14/400 South=31/410 --chart " + svg + " --chart null=" + png)
                .status())
        .isZero();
    assertThat(text(svg))
        .contains(
            "North against South",
            "North minus South, in percentage points",
            "no difference",
            "koopman, ratio",
            "14 of 400");
    assertThat(ImageIO.read(png.toFile()).getWidth()).isEqualTo(1920);
    CommandLine.shell(KILNS + " --chart " + svg);
    assertThat(text(svg)).contains("Tunnel  29 of 385", "South minus Tunnel", "rejected");
    CommandLine.shell(INSPECTORS + " --chart " + svg + " --chart null=" + png);
    assertThat(text(svg)).contains("the same 240 units", "tango");
    CommandLine.shell("compare A=2/9 B=6/8 --chart null=" + svg);
    assertThat(text(svg))
        .contains("how many of all 8 successes fall to A", "hypergeometric", "observed 2");
    CommandLine.shell("compare A=0/9 B=3/8 --intervals all --chart " + svg);
    assertThat(text(svg)).contains("no limit");
  }

  private static String text(Path svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new ByteArrayInputStream(Files.readAllBytes(svg)))
        .getDocumentElement()
        .getTextContent();
  }

  @Test
  void aStudyMayCompare() throws IOException {
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        """
        study: Kilns
        questions:
          - {ask: compare, first: {label: North, tally: 14/400}, second: {label: South, tally: 31/410},
             alternative: less}
          - {ask: compare, tally: {North: 14/400, South: 31/410, East: 9/300}, baseline: South}
          - {ask: compare, paired: true, cells: [[49, 3], [10, 178]], label: Inspectors}
          - {ask: compare, tally: {North: 14/400, South: 31/410}, margin: 8%, show: equivalent}
          - {ask: compare, tally: {North: 14/400}}
          - {ask: compair, tally: 14/400}
        """);
    CommandLine answer = CommandLine.run("run", study.toString(), "--json");
    assertThat(answer.status()).isEqualTo(ExitStatus.DATA);
    JsonNode root = new ObjectMapper().readTree(answer.out());
    assertThat(root.at("/answers/0/conclusion").asText()).startsWith("North is lower than South");
    assertThat(root.at("/answers/1/pairs")).hasSize(2);
    assertThat(root.at("/answers/2/conclusion").asText())
        .startsWith("Inspectors: First and Second");
    assertThat(root.at("/answers/3/conclusion").asText())
        .contains("equivalent within 8 percentage");
    assertThat(root.at("/answers/4/error/message").asText()).contains("needs two groups");
    assertThat(root.at("/answers/5/error/message").asText())
        .contains("must be one of rate, compare, shares, cross, plan, tail");
    assertThat(root.at("/adjust").asText()).isEqualTo("holm");
    assertThat(root.at("/decisions")).hasSize(5);
    assertThat(CommandLine.run("run", study.toString()).out())
        .contains("The 5 tests, p-values adjusted by Holm's method over all of them");
  }
}
