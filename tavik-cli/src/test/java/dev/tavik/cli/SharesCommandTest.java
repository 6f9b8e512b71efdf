package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SharesCommandTest {
  private static final String RETURNS =
      "shares --data demo/returns-by-depot.csv --outcome reason --count n --against equal";

  @TempDir Path folder;

  @Test
  void sharesAreHeldAgainstClaims() {
    CommandLine answer =
        CommandLine.shell("shares ash=31 celadon=22 iron=17 --against 40%,30%,30%");
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out())
        .startsWith("The counts are ")
        .contains(
            """

            Observed against expected
                       count   share  claimed  expected  X2 part  residual  Holm p
              ash         31  44.29%   40.00%     28.00   0.321      0.732   0.928
              celadon     22  31.43%   30.00%     21.00   0.0476     0.261   0.928
              iron        17  24.29%   30.00%     21.00   0.762     -1.04    0.890
              70 units; residuals are adjusted, standard normal under the null. Cohen's w,
              sqrt(X2 / n): 0.127.

            Tests: null, the shares are as claimed; alpha 0.05
                                                                      p
              pearson            X2 = 1.13                  df 2  0.568  does not reject
              exact-multinomial  outcomes no more probable        0.572  does not reject

            Intervals of the shares, level 95%
              goodman, together  ash      31.05%  to  58.39%
                                 celadon  19.99%  to  45.68%
                                 iron     14.28%  to  38.19%
            """);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        RETURNS + " --tests all --intervals all",
        "shares 'a glaze with a name that goes on and on and on=9' b=0 --against 1:9 --tests all",
        "shares a=0 b=9 --against equal --intervals all",
        "shares a=4000000000 b=5000000000 c=1 --against 4:5:1 --tests all --intervals all",
        "shares --help"
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
  void inlineRawTabulatedAndStudyGiveTheSameAnswer() throws IOException {
    Path rows = folder.resolve("rows.csv");
    Files.writeString(rows, "glaze\n" + "ash\n".repeat(7) + "iron\n".repeat(2) + "cobalt\n");
    Path counted = folder.resolve("counted.csv");
    Files.writeString(counted, "glaze,kiln,n\nash,N,3\niron,N,2\ncobalt,S,1\nash,S,4\n");
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        """
        study: Glazes
        questions:
          - {ask: shares, counts: {ash: 7, iron: 2, cobalt: 1}, against: {ash: 50%, iron: 30%, cobalt: 20%},
             tests: all, intervals: all}
          - {ask: shares, data: counted.csv, outcome: glaze, count: n, against: 5:3:2}
        """);
    String how = " --against 5:3:2 --tests all --intervals all";
    JsonNode inline = CommandLine.json("shares ash=7 iron=2 cobalt=1" + how);
    JsonNode raw = CommandLine.json("shares --data " + rows + " --outcome glaze" + how);
    JsonNode tabulated =
        CommandLine.json("shares --data " + counted + " --outcome glaze --count n" + how);
    JsonNode asked = CommandLine.json("run " + study).at("/answers/0");
    for (JsonNode other : new JsonNode[] {raw, tabulated, asked}) {
      for (String key : new String[] {"tests", "intervals", "cells", "estimates"}) {
        assertThat(other.get(key)).as(key).isEqualTo(inline.get(key));
      }
    }
    assertThat(inline.at("/tests").findValuesAsText("method"))
        .containsExactly("pearson", "likelihood-ratio", "exact-multinomial");
    assertThat(inline.fieldNames())
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
    assertThat(inline.at("/cells/rows").toString()).isEqualTo("[\"ash\",\"iron\",\"cobalt\"]");
    assertThat(inline.at("/cells/expected").toString()).isEqualTo("[5.0,3.0,2.0]");
    assertThat(inline.at("/intervals")).hasSize(9);
  }

  @Test
  void levelsKeepAMeaningfulOrder() throws IOException {
    Path rows = folder.resolve("rows.csv");
    Files.writeString(rows, "score,size\n10,small\n2,large\n1,medium\n2,small\n");
    assertThat(
            CommandLine.json("shares --data " + rows + " --outcome score --against equal")
                .at("/cells/rows"))
        .hasToString("[\"1\",\"2\",\"10\"]");
    assertThat(
            CommandLine.json("shares --data " + rows + " --outcome size --against equal")
                .at("/cells/rows"))
        .hasToString("[\"small\",\"large\",\"medium\"]");
    String ordered = "shares --data " + rows + " --outcome size --order small,medium,large";
    assertThat(CommandLine.json(ordered + " --against 2:1:1").at("/cells/observed"))
        .hasToString("[2,1,1]");
    assertThat(CommandLine.json("shares a=3 b=4 --against b=50%,a=30%,c=20%").at("/cells/observed"))
        .hasToString("[3,4,0]");
  }

  @Test
  void picturesShowClaimsAndChiSquare() throws IOException {
    Path shares = folder.resolve("shares.svg");
    Path chi = folder.resolve("chi.svg");
    assertThat(CommandLine.shell(RETURNS + " --chart " + shares + " --chart null=" + chi).status())
        .isZero();
    assertThat(Files.readString(shares))
        .contains("reason: observed and claimed shares of 291", "33.7%, claimed 25.0%, stands out");
    assertThat(Files.readString(chi))
        .contains(
            "chi-square with 3 degrees of freedom", "observed 41.4", "area 5.42e-9", ">7.81<");
  }
}
