package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CrossCommandTest {
  private static final String KILNS =
      "cross --data demo/firing-log.csv --rows kiln --columns grade";

  @TempDir Path folder;

  private static JsonNode json(String line) throws IOException {
    CommandLine answer = CommandLine.shell(line + " --json");
    assertThat(answer.status()).as(answer.err()).isZero();
    return new ObjectMapper().readTree(answer.out());
  }

  @Test
  void anAssociationIsToldAndPlaced() {
    CommandLine answer = CommandLine.shell(KILNS);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out())
        .startsWith(
            """
            Kiln by grade: rows and columns are associated: South x cracked above (37,
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

            Expected if rows and columns are independent
                      sound  crazed  cracked  warped
              North   339.7   30.33    22.24   10.78
              South   343.9   30.70    22.52   10.92
              Tunnel  324.5   28.97    21.25   10.30

            Adjusted residuals, standard normal under the null; * stands out
                       sound  crazed  cracked  warped
              North    2.58    0.39    -3.81*  -1.05
              South   -3.66*   0.53     3.87*   1.92
              Tunnel   1.11   -0.93    -0.07   -0.88
            """);
    assertThat(CommandLine.shell("cross --cells '12 5; 7 9'").out())
        .startsWith(
            "Rows and columns are not shown to be associated: the largest departure is row 1\nx");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        KILNS + " --tests all",
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
    JsonNode cells = json("cross --cells '12 5; 7 9' --tests all");
    JsonNode labelled = json("cross --table " + table + " --tests all");
    JsonNode raw = json("cross --data " + rows + " --rows kiln --columns grade --tests all");
    JsonNode frequencies =
        json("cross --data " + counted + " --rows kiln --columns grade --count n --tests all");
    JsonNode asked = json("run " + study).at("/answers/0");
    for (JsonNode other : new JsonNode[] {labelled, raw, frequencies, asked}) {
      assertThat(other.get("tests")).isEqualTo(cells.get("tests"));
      assertThat(other.get("estimates")).isEqualTo(cells.get("estimates"));
      assertThat(other.at("/cells/adjustedResiduals"))
          .isEqualTo(cells.at("/cells/adjustedResiduals"));
    }
    assertThat(cells.at("/tests").findValuesAsText("method"))
        .containsExactly("pearson", "likelihood-ratio", "cressie-read", "n-1", "yates", "fisher");
    assertThat(cells.fieldNames())
        .toIterable()
        .containsExactly(
            "question",
            "label",
            "input",
            "hypothesis",
            "estimates",
            "tests",
            "cells",
            "preferred",
            "conditions",
            "cautions",
            "conclusion");
    // The empty column and both totals were left out, and that is told.
    assertThat(labelled.at("/cautions").findValuesAsText("code"))
        .contains("totals-left-out", "empty-group");
    assertThat(labelled.at("/cells/columns").toString()).isEqualTo("[\"sound\",\"cracked\"]");
    assertThat(json(KILNS + " --tests all").at("/tests/4/refused").asText())
        .contains("two rows and two columns");
  }

  @Test
  void smallExpectedCountsBringTheExactTest() throws IOException {
    JsonNode small = json("cross --cells '3 1 0; 0 2 4; 1 0 3'");
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

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2|cross|nothing to count",
        "2|cross --cells '1 2; 3'|as many counts in every row",
        "2|cross --cells '1 2; 3 x'|rows of whole counts",
        "2|cross --cells '1 2; 3 4' --table t.csv|counts come from one place",
        "2|cross --cells '1 2; 3 4' --rows kiln|--rows needs --data",
        "2|cross --data demo/firing-log.csv --rows kiln|--columns is needed",
        "2|cross --data demo/firing-log.csv --rows kiln --columns kiln|different columns",
        "2|cross --cells '1 2; 3 4' --tests fischer|has no 'fischer'",
        "2|cross --cells '10 20 30; 30 40 50' --tests yates|two rows and two columns",
        "3|cross --cells '1 2; 0 0'|two rows and two columns with counts",
        "3|cross --data demo/firing-log.csv --rows kiln --columns grad|grade",
        "3|cross --table nowhere.csv|there is no file"
      })
  void everyTroubleIsOneMessageAndAStatus(int status, String line, String message) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isEqualTo(status);
    assertThat(answer.out()).isEmpty();
    assertThat(answer.err()).contains(message).doesNotContain("Exception").doesNotContain("fault");
  }
}
