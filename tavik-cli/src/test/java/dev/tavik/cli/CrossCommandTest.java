package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CrossCommandTest {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  private static final String KILNS =
      "cross --data demo/firing-log.csv --rows kiln --columns grade";

  private static final String SHIFTS =
      "cross --data demo/firing-log.csv --rows shift --columns grade --strata kiln --order early,late"
          + " --merge crazed+cracked+warped=damaged";
  private static final String PAIRED =
      "cross --data demo/regrade.csv --rows first_inspector --columns second_inspector --paired";
  private static final String RATINGS =
      "cross --data demo/panel-survey.csv --rows delivery --columns would_reorder --ordered rows"
          + " --order 'very poor,poor,fair,good,very good'";

  @TempDir Path folder;

  @Test
  void anAssociationIsToldAndPlaced() {
    CommandLine answer = CommandLine.shell(KILNS);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out())
        .startsWith(
            """
            kiln by grade: rows and columns are associated: South x cracked above (37,
            expected 22.5), North x cracked below (8, expected 22.2), South x sound below
            (322, expected 344) stand out, after adjustment for 12 cells; Cramer's V 0.10;
            p = 0.000333, pearson test at alpha 0.05. The test says nothing of direction or
            cause.

            Observed
                      sound  crazed  cracked  warped    all
              North     355      32        8       8    403
              South     322      33       37      16    408
              Tunnel    331      25       21       8    385
              all     1,008      90       66      32  1,196
              From demo/firing-log.csv, 1,200 rows.

            Adjusted residuals, standard normal under the null; * stands out
                       sound  crazed  cracked  warped
              North    2.58    0.39    -3.81*  -1.05
              South   -3.66*   0.53     3.87*   1.92
              Tunnel   1.11   -0.93    -0.07   -0.88

            Tests: null, rows and columns are independent; alpha 0.05
                                                         p
              pearson           X2 = 25.06  df 6  0.000333  rejects
              likelihood-ratio  G2 = 26.39  df 6  0.000188  rejects

            Strength, level 95%
              Cramer's V                      0.1024   0.04759   to  0.1335
              Cramer's V, corrected for bias  0.08933
              contingency coefficient         0.1433   0.06714   to  0.1855
              Cohen's w                       0.1448   0.06730   to  0.1887
              lambda, columns from rows       0
              lambda, rows from columns       0.04188  0         to  0.1052
              Theil's U, columns from rows    0.01852  0.005246  to  0.03180
              Theil's U, rows from columns    0.01004  0.002744  to  0.01734

            The verdict rests on pearson.
            """);
    assertThat(CommandLine.shell("cross --cells '12 5; 7 9'").out())
        .startsWith("Rows and columns are ")
        .contains("the largest departure is row 1\nx");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        KILNS + " --tests all --figures all --pairwise",
        SHIFTS,
        PAIRED + " --ordered both --order sound,crazed,cracked,warped",
        RATINGS + " --figures all --level 90%",
        "cross --paired --cells '4 1 0; 2 9 1; 0 3 5'",
        "cross --data demo/panel-survey.csv --rows region --columns delivery",
        "cross --data demo/returns-by-depot.csv --rows depot --columns reason --count n",
        "cross --table demo/scrap-by-kiln.csv",
        "cross --cells '1 2 3 4 5 6 7 8 9 10 11 12; 12 11 10 9 8 7 6 5 4 3 2 1; 100000 5 5 5 5 5 5 5 5 5 5 5'",
        "cross --cells '1 0; 0 1' --tests all",
        "cross --help"
      })
  void textStaysWithinEightyColumns(String line) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out().lines())
        .isNotEmpty()
        .allSatisfy(each -> assertThat(each.length()).as(each).isLessThanOrEqualTo(80));
    assertThat(answer.out()).doesNotContain("NaN").doesNotContain("Infinity");
  }

  @Test
  void cellsTableRowsAndFrequenciesGiveTheSameAnswer() throws IOException {
    Path table = folder.resolve("table.csv");
    Files.writeString(
        table, "Kilns\n,sound,cracked,none,Total\nN,12,5,0,17\nS,7,9,0,16\nTotal,19,14,0,33\n");
    Path rows = folder.resolve("rows.csv");
    Files.writeString(
        rows,
        "kiln,grade\n"
            + "N,sound\n".repeat(12)
            + "N,cracked\n".repeat(5)
            + "S,sound\n".repeat(7)
            + "S,cracked\n".repeat(9));
    Path counted = folder.resolve("counted.csv");
    Files.writeString(
        counted, "kiln,grade,n\nN,sound,10\nN,cracked,5\nS,sound,7\nS,cracked,9\nN,sound,2\n");
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, "questions:\n  - {ask: cross, cells: [[12, 5], [7, 9]], tests: all}\n");
    JsonNode cells = CommandLine.json("cross --cells '12 5; 7 9' --tests all");
    JsonNode labelled = CommandLine.json("cross --table " + table + " --tests all");
    JsonNode raw =
        CommandLine.json("cross --data " + rows + " --rows kiln --columns grade --tests all");
    JsonNode frequencies =
        CommandLine.json(
            "cross --data " + counted + " --rows kiln --columns grade --count n --tests all");
    JsonNode asked = CommandLine.json("run " + study).at("/answers/0");
    for (JsonNode other : new JsonNode[] {labelled, raw, frequencies, asked}) {
      assertThat(other.get("tests")).isEqualTo(cells.get("tests"));
      assertThat(values(other)).isEqualTo(values(cells));
      assertThat(other.get("intervals")).isEqualTo(cells.get("intervals"));
      assertThat(other.at("/cells/adjustedResiduals"))
          .isEqualTo(cells.at("/cells/adjustedResiduals"));
    }
    assertThat(cells.at("/tests").findValuesAsText("method"))
        .containsExactly(
            "pearson",
            "likelihood-ratio",
            "cressie-read",
            "n-1",
            "yates",
            "fisher",
            "trend",
            "linear");
    assertThat(cells.fieldNames())
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
            "cells",
            "preferred",
            "conditions",
            "cautions",
            "conclusion");
    // The empty column and both totals were left out, and that is told.
    assertThat(labelled.at("/cautions").findValuesAsText("code"))
        .contains("totals-left-out", "empty-group");
    assertThat(labelled.at("/cells/columns").toString()).isEqualTo("[\"sound\",\"cracked\"]");
    assertThat(CommandLine.json(KILNS + " --tests all").at("/tests/4/refused").asText())
        .contains("two rows and two columns");
  }

  private static List<String> values(JsonNode answer) {
    return answer.get("estimates").findValuesAsText("value");
  }

  /** To the last digit: the same counts as a comparison of two rates, and each names the other. */
  @Test
  void twoByTwoAgreesWithCompareAndPointsThere() throws IOException {
    JsonNode cross = CommandLine.json("cross --cells '14 386; 31 379' --tests fisher,pearson");
    JsonNode compare =
        CommandLine.json("compare North=14/400 South=31/410 --tests fisher,z-pooled");
    assertThat(cross.at("/tests/1/pValue")).isEqualTo(compare.at("/tests/0/pValue"));
    assertThat(values(cross)).containsAll(values(compare).subList(2, 5));
    for (JsonNode interval : compare.get("intervals")) {
      if (!interval.get("quantity").asText().equals("number-needed")) {
        assertThat(cross.get("intervals")).contains(interval);
      }
    }
    assertThat(CommandLine.shell("cross --cells '14 386; 31 379'").out())
        .contains("tavik compare 'row 1=14/400' 'row 2=31/410'");
    assertThat(CommandLine.shell("compare North=14/400 South=31/410").out())
        .contains("tavik cross --cells '14 386; 31 379'");
  }

  @Test
  void orderedLevelsBringATrendAndItsMeasures() throws IOException {
    assertThat(CommandLine.shell(RATINGS).out())
        .startsWith(
            """
            delivery by would_reorder: the share of yes rises from very poor to very good
            (33.3% to 76.4%); Cramer's V 0.29; p = 3.97e-16, trend test at alpha 0.05. The
            test says nothing of cause.
            """)
        .contains("trend             z = 8.139", "Kendall's tau-b", "Somers' d, columns from rows");
    JsonNode scored = CommandLine.json(RATINGS + " --row-scores 1,2,3,10,20");
    assertThat(scored.at("/input/rowScores").toString()).isEqualTo("[1.0,2.0,3.0,10.0,20.0]");
    assertThat(scored.at("/tests").findValuesAsText("method"))
        .containsExactly("pearson", "likelihood-ratio", "trend");
    Path numbers = folder.resolve("numbers.csv");
    Files.writeString(
        numbers, "dose,cracked,n\n10,yes,9\n10,no,20\n2,no,25\n2,yes,3\n5,yes,5\n5,no,21\n");
    JsonNode natural =
        CommandLine.json(
            "cross --data " + numbers + " --rows dose --columns cracked --count n --ordered rows");
    assertThat(natural.at("/cells/rows").toString()).isEqualTo("[\"2\",\"5\",\"10\"]");
    assertThat(natural.at("/input/rowScores").toString()).isEqualTo("[2.0,5.0,10.0]");
    assertThat(natural.at("/preferred/test").asText()).isEqualTo("trend");
    assertThat(CommandLine.shell("cross --cells '19 9 6; 8 18 10; 5 9 22' --ordered both").out())
        .startsWith("Rows and columns rise together: Kendall's tau-b 0.");
  }

  @Test
  void strataKeepTheirCommonOddsRatio() throws IOException {
    assertThat(CommandLine.shell(SHIFTS).out())
        .startsWith("shift by grade within kiln: within strata, early and late ")
        .contains("the odds of sound for early are 0.896 times those for late (95% interval")
        .contains("p = 0.497, mantel-haenszel test", "(p = 0.875, breslow-day)")
        .contains("North       187/212  88.2%  168/191  88.0%      1.024");
    // Turned round when put together: the groups are spread unevenly.
    Path turned = folder.resolve("turned.csv");
    Files.writeString(
        turned,
        """
        kiln,grade,glaze,n
        North,cracked,ash,2
        North,sound,ash,98
        South,cracked,ash,40
        South,sound,ash,860
        North,cracked,iron,300
        North,sound,iron,600
        South,cracked,iron,40
        South,sound,iron,60
        North,cracked,none,3
        """);
    JsonNode answer =
        CommandLine.json(
            "cross --data " + turned + " --rows kiln --columns grade --strata glaze --count n");
    assertThat(answer.at("/cautions").findValuesAsText("code"))
        .contains("strata-differ", "empty-group");
    assertThat(answer.at("/estimates/0/value").asDouble()).isLessThan(1);
    assertThat(answer.at("/estimates/3/value").asDouble()).isGreaterThan(1);
    assertThat(answer.at("/tests").findValuesAsText("method"))
        .containsExactly("mantel-haenszel", "breslow-day");
    assertThat(answer.at("/strata/1/first").asText()).isEqualTo("300/900");
    assertThat(CommandLine.json(SHIFTS + " --tests mantel-haenszel,breslow-day").get("tests"))
        .isEqualTo(CommandLine.json(SHIFTS).get("tests"));
    assertThat(CommandLine.shell(SHIFTS + " --tests fisher").err())
        .contains("which has mantel-haenszel and breslow-day");
  }

  @Test
  void theSameUnitsClassifiedTwiceAgreeOrNot() throws IOException {
    assertThat(CommandLine.shell(PAIRED).out())
        .startsWith(
            "first_inspector and second_inspector agree on 225 of 240 units (93.8%), kappa\n0.840");
    JsonNode answer =
        CommandLine.json(
            PAIRED + " --ordered both --order sound,crazed,cracked,warped --tests bowker");
    assertThat(answer.at("/estimates").findValuesAsText("quantity"))
        .containsExactly("proportion", "kappa", "kappa-linear", "kappa-quadratic");
    assertThat(answer.at("/tests/0/method").asText()).isEqualTo("bowker");
    assertThat(answer.at("/cells/rows")).hasSize(4);
    assertThat(CommandLine.shell("cross --cells '5 0; 0 7' --paired").out())
        .startsWith("First and Second agree on 12 of 12 units (100%), kappa 1.00.\n");
    // Asked as an association, it is noticed that the levels are the same.
    assertThat(
            CommandLine.json(PAIRED.replace(" --paired", ""))
                .at("/cautions")
                .findValuesAsText("code"))
        .contains("same-levels");
  }

  @Test
  void threeJudgementsOrMoreAreComparedByCochransTest() throws IOException {
    Path judged = folder.resolve("judged.csv");
    Files.writeString(
        judged,
        """
        ann,ben,cleo,n
        yes,yes,no,6
        no,no,no,16
        no,yes,no,2
        yes,no,yes,1
        yes,yes,yes,9
        no,no,yes,4
        yes,no,no,12
        """);
    String line =
        "compare --paired --data " + judged + " --outcome ann,ben,cleo --success yes --count n";
    JsonNode answer = CommandLine.json(line);
    assertThat(answer.at("/tests/0/method").asText()).isEqualTo("cochran-q");
    assertThat(answer.at("/pairs")).hasSize(3);
    assertThat(answer.at("/input/groups/0/tally").asText()).isEqualTo("28/50");
    assertThat(CommandLine.shell(line).out())
        .startsWith("yes: the 3 judgements of the same 50 units differ: ann ")
        .contains("ann minus ben", "mcnemar");
    assertThat(CommandLine.shell(line + " --tests mcnemar").err()).contains("cochran-q");
  }

  @Test
  void levelsArePutTogetherAndOrderedAsAsked() throws IOException {
    JsonNode merged =
        CommandLine.json(KILNS + " --merge cracked+warped=bent --order bent,crazed,sound");
    assertThat(merged.at("/cells/columns").toString()).isEqualTo("[\"bent\",\"crazed\",\"sound\"]");
    assertThat(merged.at("/cells/observed/0").toString()).isEqualTo("[16,32,355]");
    assertThat(merged.at("/cautions").findValuesAsText("code")).contains("levels-merged");
    JsonNode rows = CommandLine.json(KILNS + " --merge North+South=old --pairwise");
    assertThat(rows.at("/cells/observed/0").toString()).isEqualTo("[677,65,45,24]");
    assertThat(rows.at("/pairs")).hasSize(1);
    assertThat(rows.at("/pairs/0/test/adjustedPValue")).isEqualTo(rows.at("/pairs/0/test/pValue"));
    assertThat(
            CommandLine.json(KILNS + " --pairwise").at("/pairs/0/test/adjustedPValue").asDouble())
        .isEqualTo(
            3 * CommandLine.json(KILNS + " --pairwise").at("/pairs/0/test/pValue").asDouble());
  }

  /** Counts with their percents, columns of percents, thousands, a title and totals. */
  @Test
  void pastedTablesBringPercents() throws IOException {
    Path pasted = folder.resolve("pasted.csv");
    Files.writeString(
        pasted,
        """
        Returns in May,,,,
        ,broken,wrong shade,Share,Total
        Aldgarth,21 (55.3%),17 (44.7%),3.6%,38
        Brackwater,"1,012",9,96%,"1,021"
        Total,"1,033",26,,"1,059"
        """);
    JsonNode answer = CommandLine.json("cross --table " + pasted);
    assertThat(answer.at("/cells/observed").toString()).isEqualTo("[[21,17],[1012,9]]");
    assertThat(answer.at("/cautions").findValuesAsText("message").toString())
        .contains("column Share, row Total, column Total");
    Files.writeString(pasted, ",a,b,Works\nx,10,20,30\ny,20,30,50\nz,7,9,16\n");
    assertThat(CommandLine.shell("cross --table " + pasted).err())
        .contains("column 'Works' is the sum of the others", "call it Total");
    Files.writeString(pasted, ",a,b\nx,10,20\ny,20,30\nWorks,30,50\n");
    assertThat(CommandLine.shell("cross --table " + pasted).err())
        .contains("row 'Works' is the sum of the rows above it");
    Path one = folder.resolve("one.csv");
    Files.writeString(
        one, "glaze,n,share\nash,31,44%\nceladon,22,31%\niron,17,24%\nTotal,70,100%\n");
    assertThat(CommandLine.json("shares --table " + one + " --against equal").at("/tests/0"))
        .isEqualTo(
            CommandLine.json("shares ash=31 celadon=22 iron=17 --against equal").at("/tests/0"));
    Path percents = folder.resolve("percents.csv");
    Files.writeString(percents, ",a,b\nx,10%,90%\ny,20%,80%\n");
    assertThat(CommandLine.shell("cross --table " + percents).err())
        .contains("has percents only", "give the counts behind them");
    Files.writeString(percents, ",a,b\nx,10,90%\ny,20,80\n");
    assertThat(CommandLine.shell("cross --table " + percents).err())
        .contains("row 'x' has a percent in column b");
  }

  @Test
  void aBudgetIsKeptOrSaid() throws IOException {
    String hard =
        "cross --cells '12 15 11 14 13;15 12 14 11 13;11 13 15 12 14;14 11 13 15 12;13 14 12 10 15' --tests pearson,fisher";
    JsonNode refused = CommandLine.json(hard);
    assertThat(refused.at("/tests/1/refused").asText())
        .startsWith("would take longer than its budget of 5 seconds for about 1e")
        .contains("give it a larger budget");
    assertThat(CommandLine.json(hard + " --budget 1.5").at("/tests/1/refused").asText())
        .contains("its budget of 1.5 seconds");
    assertThat(CommandLine.shell(hard).out()).contains("not made: fisher: would take longer");
    assertThat(
            CommandLine.json("cross --cells '3 1 0; 0 2 4; 1 0 3' --budget 0.001")
                .at("/preferred/test")
                .asText())
        .isEqualTo("fisher");
  }

  @Test
  void picturesShowSharesDeparturesAndTheTail() throws IOException {
    Path chart = folder.resolve("chart.svg");
    Path mosaic = folder.resolve("mosaic.svg");
    Path density = folder.resolve("density.svg");
    CommandLine drawn =
        CommandLine.shell(
            KILNS + " --chart " + chart + " --chart mosaic=" + mosaic + " --chart null=" + density);
    assertThat(drawn.status()).as(drawn.err()).isZero();
    assertThat(Files.readString(chart))
        .contains("kiln by grade: shares of each row", "sound 88.1%", "cracked 2.0%, warped 2.0%");
    assertThat(Files.readString(mosaic))
        .contains("sound -3.7", ">cracked<", ">+3.9<", "fewer than expected", "adjusted residuals");
    assertThat(Files.readString(density))
        .contains("chi-square with 6 degrees of freedom", "p = 0.000333");
    CommandLine.shell(SHIFTS + " --chart " + chart + " --chart null=" + density);
    assertThat(Files.readString(chart)).contains("odds of sound, early against late", "in common");
    assertThat(Files.readString(density)).contains("without association within strata");
    CommandLine.shell(PAIRED + " --chart null=" + density);
    assertThat(Files.readString(density)).contains("bowker test");
  }

  @Test
  void smallExpectedCountsBringTheExactTest() throws IOException {
    JsonNode small = CommandLine.json("cross --cells '3 1 0; 0 2 4; 1 0 3'");
    assertThat(small.at("/preferred/test").asText()).isEqualTo("fisher");
    assertThat(small.at("/tests").findValuesAsText("method")).contains("pearson", "fisher");
    assertThat(small.at("/cautions").findValuesAsText("code")).contains("few-successes");
    assertThat(CommandLine.shell("cross --cells '3 1 0; 0 2 4; 1 0 3'").out())
        .contains("tables no more probable", "The verdict rests on fisher.");
  }

  @Test
  void wideTablesWrapByBlocksOfColumns() {
    String out =
        CommandLine.shell("cross --cells '1 2 3 4 5 2 1 2 1 1 2 1; 5 1 0 1 2 3 4 1 2 3 2 1'").out();
    assertThat(out.split("\n  row 1 ", -1).length - 1).isGreaterThan(3);
    assertThat(out).contains("column 12").contains("under 5 are");
  }

  @Test
  void aPictureThatCantBeDrawnCostsThePictureOnly() {
    CommandLine answer =
        CommandLine.shell("cross --cells '1 2; 3 4' --paired --chart mosaic=m.png");
    assertThat(answer.status()).as(answer.err()).isEqualTo(2);
    assertThat(answer.out()).contains("Observed");
    assertThat(answer.err())
        .startsWith("tavik: m.png is not drawn: ")
        .contains("not of pairs or strata");
  }

  /** Tables drawn where fisher declines: its own p, summed with a larger budget, lies within. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "40 30 2 25; 35 31 1 20; 29 38 4 30; 33 27 3 31",
        "12 3 5; 9 4 11; 3 1 7; 6 2 0",
        "4 1 0 2 1; 0 3 5 1 0; 2 2 1 6 0; 1 0 1 2 7"
      })
  void drawnTablesAgreeWithAllTables(String cells) throws IOException {
    String line = "cross --cells '" + cells + "' --json --budget ";
    JsonNode drawn = MAPPER.readTree(CommandLine.shell(line + "0.000001").out());
    assertThat(MAPPER.readTree(CommandLine.shell(line + "0.000001").out())).isEqualTo(drawn);
    JsonNode summed = MAPPER.readTree(CommandLine.shell(line + "60 --tests fisher").out());
    double exact = summed.at("/tests/0/pValue").asDouble();
    assertThat(drawn.at("/preferred/test").asText()).isEqualTo("fisher-drawn");
    assertThat(drawn.at("/drawn/lower").asDouble()).isLessThan(exact);
    assertThat(drawn.at("/drawn/upper").asDouble()).isGreaterThan(exact);
    double hits = drawn.at("/drawn/hits").asDouble();
    assertThat(drawn.at("/drawn/pValue").asDouble())
        .isCloseTo((hits + 1) / (drawn.at("/drawn/draws").asDouble() + 1), within(1e-15));
  }

  @Test
  void sharesAreDrawnWhereAllOutcomesAreTooMany() throws IOException {
    JsonNode answer =
        MAPPER.readTree(
            CommandLine.shell(
                    "shares a=2999 b=2003 c=2990 d=2001 e=2 f=5 --against"
                        + " 29.99%,20%,29.99%,20%,0.01%,0.01% --json")
                .out());
    assertThat(answer.at("/preferred/test").asText()).isEqualTo("pearson-drawn");
    assertThat(answer.at("/tests").toString()).contains("\"pearson-drawn\"");
    assertThat(answer.at("/drawn/lower").asDouble())
        .isLessThan(answer.at("/drawn/pValue").asDouble());
  }

  /** The command that asks for a direction is one that a shell takes as it stands. */
  @Test
  void namesOfGroupsAreQuotedInTheNextCommand() throws IOException {
    Path file = folder.resolve("names.csv");
    Files.writeString(file, "k,g\n\"a\"\" $(id)\",x\nb,y\nb,x\n\"a\"\" $(id)\",y\n");
    assertThat(CommandLine.shell("cross --rows k --columns g --data " + file).out())
        .contains("tavik compare 'a\" $(id)=1/2' 'b=1/2'");
  }
}
