package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Questions by the design of a sample, from files and databases, and what is refused. */
class SurveyCommandTest {
  private static final String DESIGN = " --design weight=weight,strata=region,cluster=dealer";
  private static final String PANEL = "demo/panel-survey.csv";
  private static final String RATE =
      "rate --outcome would_reorder --success yes --against 65%" + DESIGN;

  @TempDir private Path folder;

  private String file(String name, String text) throws IOException {
    return Files.writeString(folder.resolve(name), text).toString();
  }

  private static String panel() throws IOException {
    return Files.readString(Path.of("../demo/panel-survey.csv"));
  }

  /**
   * Of a rate and of two groups it comes out at the rows that there are, less a little: a plan
   * takes the normal deviate where the answer has a t.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --outcome would_reorder --success yes --against 65% | 885",
        "rate --outcome would_reorder --success yes --against 65% --level 90% --where region=Coast"
            + " | 232",
        "compare --outcome would_reorder --success yes --group region | 408"
      })
  void theNextSampleIsPlannedByTheCommandThatIsNamed(String command, int rows) throws IOException {
    String data =
        command.contains("--group")
            ? file("two.csv", panel().replaceAll("(?m)^(Coast|Valley).*\n", ""))
            : PANEL;
    assertThat(planned(command + " --data " + data).at("/total").asDouble() / rows)
        .isBetween(0.75, 1.0);
  }

  /** Of very many pairs those with the smallest p are read, in a sample as in counts. */
  @ParameterizedTest
  @ValueSource(strings = {"", DESIGN})
  void ofManyPairsThoseWithTheSmallestPAreShown(String design) throws IOException {
    StringBuilder rows = new StringBuilder("region,dealer,line,weight,fault\n");
    for (int i = 0; i < 2_000; i++) {
      String line = "L" + i * 7 % 50;
      boolean fault = i % 50 > 0 && i * 31 % 97 < 30;
      rows.append("R,D" + i % 43 + "," + line + "," + (1 + i % 3) + "," + fault + "\n");
    }
    String command =
        "compare --outcome fault --success true --group line --data "
            + file("lines.csv", rows.toString())
            + design;
    String read = CommandLine.shell(command).out();
    assertThat(read)
        .containsPattern("The 40\\s+pairs of [0-9,]+ with the smallest p")
        .doesNotContain("Pair by pair");
    JsonNode pairs = CommandLine.json(command).path("pairs");
    assertThat(pairs.size()).isEqualTo(1225);
    if (!design.isEmpty()) {
      assertThat(read).containsPattern("nothing decided, of 49\\s+pairs\\.");
    }
    assertThat(pairs.at("/0/label").asText()).isEqualTo(pairs.at("/0/input/order").asText());
  }

  /** A margin is compared with the two-sided interval, whatever the direction of the test. */
  @ParameterizedTest
  @ValueSource(strings = {"two-sided", "less", "greater"})
  void aMarginIsComparedWithTheTwoSidedInterval(String direction) {
    String command = "compare A=140/4000 B=150/4000 --margin 3% --alternative " + direction;
    assertThat(CommandLine.shell(command).out()).contains("the mee interval lies within it");
  }

  private static JsonNode planned(String command) throws IOException {
    String answer = CommandLine.shell(command + DESIGN).out();
    List<String> named =
        answer.lines().map(String::strip).filter(line -> line.startsWith("tavik plan ")).toList();
    assertThat(named).as(answer).hasSize(1);
    return CommandLine.json(named.get(0).substring("tavik ".length())).at("/lines/0");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "shares --outcome channel --against 40%,25%,35%",
        "cross --rows delivery --columns channel"
      })
  void theNextTestIsPlannedWithTheEffectThatWasFound(String command) throws IOException {
    String data = " --data " + PANEL;
    JsonNode answer = CommandLine.json(command + DESIGN + data).at("/designEffects");
    JsonNode plan = planned(command + data);
    double rows = command.startsWith("shares") ? 904 : 893;
    assertThat(plan.at("/df").asLong()).isEqualTo(answer.at("/df").asLong());
    assertThat(plan.at("/w").asDouble())
        .isCloseTo(Math.sqrt(answer.at("/pearson").asDouble() / rows), within(0.005));
  }

  @Test
  void layersTellOfMissingValues() throws IOException {
    JsonNode answer =
        CommandLine.json(
            "cross --rows would_reorder --columns channel --strata region"
                + DESIGN
                + " --data "
                + PANEL);
    assertThat(answer.at("/cautions").findValuesAsText("code"))
        .contains("missing-values", "many-tests");
  }

  /**
   * By bytes, by letters, packed, in other words for numbers, from a database: the same figures.
   */
  @Test
  void everySourceGivesTheSameFigures() throws IOException, SQLException {
    String text = panel();
    List<String> sources = new ArrayList<>();
    sources.add("--data " + file("quoted.csv", text.replaceAll("(?m)([^,\n]+)", "\"$1\"")));
    sources.add("--data " + file("letters.csv", text + "Coast,Łódź,online,yes,good,0\n"));
    sources.add(
        "--data "
            + file("comma.csv", text.replace(",", ";").replaceAll("(?m)(\\d)\\.(\\d+)$", "$1,$2")));
    Path packed = folder.resolve("panel.csv.gz");
    try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(packed))) {
      out.write(text.getBytes(StandardCharsets.UTF_8));
    }
    sources.add("--data " + packed);
    for (String type : List.of("REAL", "TEXT")) {
      sources.add("--database " + database(text, type) + " --relation panel");
    }
    for (String command :
        List.of(
            RATE,
            RATE + " --group channel",
            "compare --outcome would_reorder --success yes --group region" + DESIGN,
            "cross --rows delivery --columns channel --where region=Coast" + DESIGN,
            "shares --outcome channel --against 40%,25%,35%" + DESIGN)) {
      JsonNode expected = CommandLine.json(command + " --data " + PANEL);
      for (String source : sources) {
        same(expected, CommandLine.json(command + " " + source), command + " " + source);
      }
    }
  }

  private String database(String text, String type) throws SQLException {
    String url = "jdbc:sqlite:" + folder.resolve(type + ".db");
    try (Connection connection = DriverManager.getConnection(url);
        Statement statement = connection.createStatement()) {
      statement.execute(
          "CREATE TABLE panel (region TEXT, dealer TEXT, channel TEXT, would_reorder TEXT,"
              + " delivery TEXT, weight "
              + type
              + ")");
      connection.setAutoCommit(false);
      for (String line : text.lines().skip(1).toList()) {
        statement.execute(
            "INSERT INTO panel VALUES ('" + line.replace(",", "', '").replace("''", "NULL") + "')");
      }
      connection.commit();
    }
    return url;
  }

  /** Figures to 10⁻⁹, words but for names of sources and what only rows of text tell. */
  private static void same(JsonNode expected, JsonNode found, String where) {
    if (expected.isNumber() && found.isNumber()) {
      double value = expected.asDouble();
      assertThat(found.asDouble())
          .as(where)
          .isCloseTo(value, within(1e-9 * Math.max(1e-6, Math.abs(value))));
    } else if (expected.isObject()) {
      for (Iterator<Map.Entry<String, JsonNode>> each = expected.properties().iterator();
          each.hasNext(); ) {
        Map.Entry<String, JsonNode> entry = each.next();
        if (!List.of("input", "design", "cautions", "conditions").contains(entry.getKey())) {
          same(entry.getValue(), found.path(entry.getKey()), where + " " + entry.getKey());
        }
      }
    } else if (expected.isArray()) {
      assertThat(found.size()).as(where).isEqualTo(expected.size());
      for (int i = 0; i < expected.size(); i++) {
        same(expected.get(i), found.get(i), where + "[" + i + "]");
      }
    } else {
      assertThat(found).as(where).isEqualTo(expected);
    }
  }

  /** The known population has 60.6%: the design catches it, the rows alone don't. */
  @Test
  void theVerdictRestsOnTheDesignAndTheNaiveAnswerStandsBeside() throws IOException {
    String out = CommandLine.shell(RATE + " --data " + PANEL).out().replaceAll("\\s+", " ");
    assertThat(out)
        .startsWith("would_reorder yes: the rate is ")
        .contains("in 48 clusters (dealer) of 4 strata (region): 44 degrees of freedom")
        .contains("As if simple random: 65.0%, 61.8% to 68.0% (wilson)")
        .contains("The verdict rests on t-logit and logit")
        .contains("planned with it");
    JsonNode json = CommandLine.json(RATE + " --data " + PANEL);
    assertThat(json.at("/intervals/0/method").asText()).isEqualTo("logit");
    assertThat(json.at("/intervals/0/lower").asDouble()).isLessThan(0.606);
    assertThat(json.at("/intervals/0/upper").asDouble()).isGreaterThan(0.606);
    assertThat(json.at("/asIfSimpleRandom/interval/lower").asDouble()).isGreaterThan(0.606);
    assertThat(json.at("/design/df").asDouble()).isEqualTo(44);
    JsonNode uplands = CommandLine.json(RATE + " --where region=Uplands --data " + PANEL);
    assertThat(uplands.at("/design/clusterCount").asLong()).isEqualTo(48);
    assertThat(uplands.at("/tests/0/df").asDouble()).isEqualTo(10);
    assertThat(uplands.findValuesAsText("code")).contains("few-degrees");
  }

  /** Replicates that leave out one dealer each, made here: errors near those of linearisation. */
  @Test
  void replicateWeightsAnswerTheSameQuestions() throws IOException {
    List<String> lines = panel().lines().toList();
    List<String> dealers =
        lines.stream().skip(1).map(line -> line.split(",")[1]).distinct().toList();
    StringBuilder text = new StringBuilder(lines.get(0));
    for (int r = 0; r < dealers.size(); r++) {
      text.append(",rw_").append(r);
    }
    for (String line : lines.subList(1, lines.size())) {
      String[] fields = line.split(",", -1);
      text.append('\n').append(line);
      for (String dealer : dealers) {
        double weight = Double.parseDouble(fields[5]) * dealers.size() / (dealers.size() - 1.0);
        text.append(',').append(fields[1].equals(dealer) ? 0 : weight);
      }
    }
    String data = " --data " + file("replicates.csv", text + "\n");
    String by = data + " --design weight=weight,replicates=rw_*,method=jackknife";
    JsonNode plain =
        CommandLine.json(
            "rate --outcome would_reorder --success yes --against 65% --design"
                + " weight=weight,cluster=dealer"
                + data);
    JsonNode rate =
        CommandLine.json("rate --outcome would_reorder --success yes --against 65%" + by);
    double error = plain.at("/estimates/0/standardError").asDouble();
    assertThat(rate.at("/estimates/0/standardError").asDouble())
        .isCloseTo(error, within(0.06 * error));
    assertThat(rate.at("/tests/0/df").asDouble()).isEqualTo(47);
    assertThat(rate.at("/estimates/0/value").asDouble())
        .isCloseTo(plain.at("/estimates/0/value").asDouble(), within(1e-13));
    JsonNode cross = CommandLine.json("cross --rows delivery --columns channel" + by);
    assertThat(cross.findValuesAsText("quantity")).contains("cramers-v");
    assertThat(
            CommandLine.shell("cross --rows delivery --columns channel" + by)
                .out()
                .replaceAll("\\s+", " "))
        .contains("by replicates");
    String half = by.replace("jackknife", "balanced-fay=0.5");
    // 1/(48 · 0.25) in place of 47/48, and so much more variance.
    assertThat(
            CommandLine.json("rate --outcome would_reorder --success yes --against 65%" + half)
                .at("/estimates/0/standardError")
                .asDouble())
        .isCloseTo(
            rate.at("/estimates/0/standardError").asDouble() * Math.sqrt(1 / 12.0 / (47 / 48.0)),
            within(1e-12));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "weight | line 3, column w has -1, below 0; a weight is a number from 0",
        "text | line 3, column w has 'heavy', which is no number; a weight is a number from 0",
        "thousand | line 3, column w has '1,234', which may be a thousand or a fraction",
        "zero | no row has a weight above 0 in column w",
        "stratum | line 3, column h has no value, and a row must be in a stratum",
        "cluster | line 3, column c has no value, and a row must be in a cluster",
        "twice | line 5, column c has 'c1' in stratum 'b' and before in 'a'",
        "population | line 4, column n has 3, where other rows of stratum 'a' have 9",
        "small | the sample has 2 clusters in stratum 'a', and the population only 1",
        "lone | stratum 'b' has only one cluster",
        "row | no degrees of freedom are left"
      })
  void badDesignsAreRefusedWithTheirPlace(String kind, String message) throws IOException {
    String text =
        """
        h,c,w,n,y
        a,c1,1.5,9,yes
        a,c1,2,9,no
        a,c2,1,9,no
        b,c3,2,9,yes
        b,c4,2,9,no
        """;
    String bad =
        switch (kind) {
          case "weight" -> text.replace("a,c1,2", "a,c1,-1");
          case "text" -> text.replace("a,c1,2", "a,c1,heavy");
          case "thousand" -> text.replace("a,c1,2", "a,c1,\"1,234\"");
          case "zero" -> text.replaceAll("(,c\\d),[\\d.]+", "$1,0");
          case "stratum" -> text.replace("a,c1,2", ",c1,2");
          case "cluster" -> text.replace("a,c1,2", "a,,2");
          case "twice" -> text.replace("c3", "c1");
          case "population" -> text.replace("a,c2,1,9", "a,c2,1,3");
          case "small" -> text.replace(",9,", ",1,");
          case "lone" -> text.replace("b,c4,2,9,no\n", "");
          default -> text.lines().limit(2).reduce("", (a, b) -> a + b + "\n");
        };
    String command =
        "rate --outcome y --success yes --against 50% --design"
            + " weight=w,strata=h,cluster=c,population=n --data "
            + file("bad.csv", bad);
    CommandLine answer = CommandLine.shell(command);
    assertThat(answer.status()).as(answer.err()).isEqualTo(3);
    assertThat(answer.err().strip()).contains(message).doesNotContain("\tat ");
    assertThat(answer.out()).isEmpty();
  }

  /** What is lacking or nothing is left out and told; the other names are what they say. */
  @Test
  void rowsWithoutWeightAreLeftOutAndTold() throws IOException {
    String data =
        file(
            "some.csv",
            """
            h,c,w,y
            a,1,2,yes
            a,2,3,no
            a,2,0,no
            b,1,NA,yes
            b,1,2.5,yes
            b,3,1e0,no
            """);
    String command =
        "rate --outcome y --success yes --against 50% --design weight=w,strata=h,cluster=c";
    assertThat(CommandLine.shell(command + " --data " + data).err()).contains("say nest");
    JsonNode json = CommandLine.json(command + ",nest --data " + data);
    assertThat(json.at("/estimates/0/value").asDouble()).isCloseTo(4.5 / 8.5, within(1e-15));
    assertThat(json.at("/design/zeroWeights").asLong()).isEqualTo(1);
    assertThat(json.at("/design/missingWeights").asLong()).isEqualTo(1);
    assertThat(json.at("/design/clusterCount").asLong()).isEqualTo(4);
    assertThat(json.findValuesAsText("code")).contains("no-weight");
    assertThat(CommandLine.shell(command + ",nest --missing fail --data " + data).err())
        .contains("line 5, column w has no value");
    String stages = command.replace("cluster=c", "cluster=c/y,nest") + " --data " + data;
    assertThat(CommandLine.shell(stages).out().replaceAll("\\s+", " "))
        .contains("the variance rests on the first stage, c, whatever was drawn within (y)");
  }

  /** A column of replicates that is shorter than the others lacks values. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rw_* | line 3, column rw_2 has no value, where the row has a weight",
        "rw_1 | replicates name 1 column, and from 2 to 2,000 are needed",
        "rw_1/rw_3 | has no column 'rw_3'",
        "rw_1/w | must be different columns",
        "rw_1/rw_2,scale=0.5/0.5/0.5 | scale has 3 numbers; give one for all or one for each"
      })
  void replicatesMustBeThere(String columns, String message) throws IOException {
    String data = file("short.csv", "y,w,rw_1,rw_2\nyes,1,2,0\nno,1,0,\nno,1,1,1\n");
    CommandLine answer =
        CommandLine.shell(
            "rate --outcome y --success yes --against 50% --design weight=w,method=bootstrap"
                + ",replicates="
                + columns
                + " --data "
                + data);
    assertThat(answer.status()).isEqualTo(3);
    assertThat(answer.err()).contains(message);
  }

  /** No odds and no spread: the binomial at the effective size decides. */
  /**
   * A variance of zero is no knowledge: no p-value, no interval, no decision, and the line waits.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "compare --success yes --group g | 24 | whether A 0% (weighted; 0 of 24 rows) and B 100%",
        "compare --success yes --group g | 46 | and B 100% (weighted; 2 of 2 rows) differ",
        "compare --success yes --group g --show equivalent --margin 5% | 24 | are equivalent can't",
        "cross --rows y --columns g | 24 | whether rows and columns are associated can't",
        "shares --against no=50%,yes=50% | 24 | whether the shares are as claimed can't"
      })
  void withoutVarianceNothingIsDecided(String command, int first, String verdict)
      throws IOException {
    StringBuilder text = new StringBuilder("g,y,w,c\n");
    for (int i = 0; i < 48; i++) {
      boolean yes = i >= first || (first > 24 && i % 3 == 0);
      text.append(i < first ? "A," : "B,").append(yes ? "yes,1," : "no,1,").append(i % 12);
      text.append('\n');
    }
    String outcome = command.startsWith("cross") ? "" : " --outcome y";
    String line =
        command + outcome + " --design weight=w,cluster=c --data " + file("flat.csv", text + "");
    CommandLine answer = CommandLine.shell(line + " --gate");
    assertThat(answer.status()).as(answer.out() + answer.err()).isEqualTo(11);
    assertThat(answer.out().replaceAll("\\s+", " ")).contains(verdict, "can't be decided");
    JsonNode json = CommandLine.json(line);
    assertThat(json.get("tests")).isNotEmpty();
    for (JsonNode test : json.get("tests")) {
      assertThat(test.has("refused")).isTrue();
      assertThat(test.has("pValue")).isFalse();
    }
  }

  /** Of several groups those that vary are compared; one row of a third costs them nothing. */
  @Test
  void aGroupOfOneRowLeavesTheOthersTheirAnswer() throws IOException {
    StringBuilder text = new StringBuilder("g,y,w,r1,r2,r3,c\n");
    for (int i = 0; i < 80; i++) {
      text.append(i < 40 ? "A," : "B,").append(i % 3 == 0 || i % 7 == 1 ? "yes" : "no");
      text.append(",1,").append(1 + i % 2).append(',').append(1 + i % 3).append(",1,");
      text.append(i % 20).append('\n');
    }
    String data = file("one.csv", text + "C,yes,1,0,1,1,3\n");
    for (String design : List.of("weight=w,cluster=c", "weight=w,replicates=r*,method=jackknife")) {
      String rest = " --success yes --design " + design + " --data " + data;
      String compared =
          CommandLine.shell("compare --outcome y --group g" + rest).out().replaceAll("\\s+", " ");
      assertThat(compared).contains("nothing decided, of A minus C, B minus C", "A minus B t-diff");
      assertThat(compared).doesNotContain("Infinity", "NaN", "(0 pairs)");
      for (String other :
          List.of(
              "rate --outcome y --group g --against 30%" + rest,
              "shares --outcome g --against A=40%,B=40%,C=20%" + rest.replace("--success yes", ""),
              "sweep --group g" + rest.replace("--success yes", ""),
              "cross --rows y --columns g" + rest.replace("--success yes", ""))) {
        CommandLine answer = CommandLine.shell(other);
        assertThat(answer.status()).as(other + answer.err()).isZero();
        assertThat(answer.out()).doesNotContain("NaN", "Infin");
      }
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"yes", "no"})
  void allOrNoneRestOnKornGraubard(String success) throws IOException {
    StringBuilder text = new StringBuilder("c,w,y\n");
    for (int i = 0; i < 60; i++) {
      text.append(i / 3).append(',').append(1 + i % 2).append(",no\n");
    }
    String data = file("none.csv", text + "99,1,maybe\n");
    CommandLine answer =
        CommandLine.shell(
            "rate --outcome y --success "
                + (success.equals("yes") ? "maybe" : "no")
                + " --where y=no --against 10% --design weight=w,cluster=c --data "
                + data);
    if (success.equals("yes")) {
      assertThat(answer.out().replaceAll("\\s+", " "))
          .contains("The verdict rests on korn-graubard, test and interval:")
          .contains("None of 60 rows is a success", "no row at hand has maybe");
    } else {
      assertThat(answer.out().replaceAll("\\s+", " "))
          .contains("The verdict rests on korn-graubard, test and interval:")
          .contains("Every one of 60 rows is a success")
          .contains("not made: t-logit: has no odds where all are successes, or none");
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --bayes | a Bayes factor needs a likelihood",
        "rate --simulate 1000 | worlds are drawn row by row",
        "rate --lot 5000 | population=N",
        "rate --tests exact | exact is a test of simple random samples",
        "rate --tests t-logti | has no 't-logti'",
        "rate --design wait=w | --design has no part 'wait'",
        "rate --design weight=weight,lone=ignore | lone must be fail, centre or certain",
        "rate --design weight=weight,replicates=rw_* | replicates need method",
        "rate --design weight=weight,replicates=rw_*,method=jackknive | did you mean jackknife",
        "rate --design weight=weight,replicates=rw_*,method=bootstrap | has no column like 'rw_*'",
        "rate --design weight=weight,strata=region,replicates=rw_*,method=bootstrap | without strata",
        "rate --design weight=weight,weight=region | has weight twice",
        "rate --design weight=weight,cluster=dealer,nest=,population=2 | the population only 2",
        "rate --design weight=weight,strata=region,population=9999 | there are 4 strata",
        "rate --design weight=weight,strata=weight | must be different columns",
        "rate --design weight=would_reorder | can't be both weight and counted or filtered",
        "compare --paired | pairs by a design aren't offered",
        "cross --ordered rows | it is of simple random samples",
        "shares --against 50%,50% | must have one share for each of the 3 categories"
      })
  void whatCannotBeHadIsDeclinedWithTheReason(String command, String message) {
    String kind = command.substring(0, command.indexOf(' '));
    String words =
        switch (kind) {
          case "rate" -> " --outcome would_reorder --success yes --against 65%";
          case "compare" -> " --outcome would_reorder --success yes --group channel";
          case "cross" -> " --rows delivery --columns channel";
          default -> " --outcome channel";
        };
    String design = command.contains("--design") ? "" : DESIGN;
    CommandLine answer = CommandLine.shell(command + words + design + " --data " + PANEL);
    assertThat(answer.status()).as(answer.err()).isBetween(2, 3);
    assertThat(answer.err()).containsIgnoringCase(message);
    assertThat(answer.out()).isEmpty();
  }

  /** A column called like a weight is noticed where nobody used it, and only there. */
  @Test
  void unusedWeightsAreTold() throws IOException {
    String rate = "rate --outcome would_reorder --success yes --against 65% --data " + PANEL;
    assertThat(CommandLine.json(rate).findValuesAsText("code")).contains("weight-unused");
    assertThat(CommandLine.json(rate + DESIGN).findValuesAsText("code"))
        .doesNotContain("weight-unused");
    assertThat(
            CommandLine.json("sweep --data " + PANEL + " --group channel").findValuesAsText("code"))
        .contains("weight-unused");
    assertThat(CommandLine.shell("look --data " + PANEL).out()).contains("--design weight=weight");
    String whole = file("whole.csv", "y,survey_weight\nyes,3\nno,4\n");
    assertThat(
            CommandLine.shell(
                    "rate --outcome y --success yes --against 50% --count survey_weight --data "
                        + whole)
                .out()
                .replaceAll("\\s+", " "))
        .contains("survey_weight, called like a weight, was taken for how often each row counts");
    CommandLine counted = CommandLine.shell(rate + " --count weight");
    assertThat(counted.err()).contains("weights are not counts").contains("weight=COLUMN");
  }

  /** A study asks by mappings, and is judged and adjusted as any other. */
  @Test
  void studiesKnowDesigns() throws IOException {
    Files.writeString(folder.resolve("panel.csv"), panel());
    String study =
        file(
            "study.yaml",
            """
            study: Panel
            questions:
              - {ask: compare, data: panel.csv, outcome: would_reorder, success: "yes", group: channel,
                 baseline: online, alternative: greater, design: {weight: weight, strata: region, cluster: dealer}}
              - {ask: compare, data: panel.csv, outcome: would_reorder, success: "yes", group: region, margin: 20%,
                 show: equivalent, baseline: Moors, where: [channel=online],
                 design: {weight: weight, strata: region, cluster: dealer}}
              - {ask: sweep, data: panel.csv, group: channel, design: {weight: weight, cluster: dealer}}
            """);
    CommandLine answer = CommandLine.run("run", study);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out()).contains("t-difference").contains("rao-scott");
    for (String form : List.of("html", "md", "csv", "json")) {
      Path out = folder.resolve("out." + form);
      assertThat(CommandLine.run("run", study, "--out", out.toString()).status()).isZero();
      assertThat(Files.readString(out)).contains("rao-scott");
    }
  }
}
