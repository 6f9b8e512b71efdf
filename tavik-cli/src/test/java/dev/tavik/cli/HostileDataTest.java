package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files that mean harm, and files that are only a bit odd. */
class HostileDataTest {
  @TempDir private Path folder;

  private Path file(String name, String content) throws IOException {
    return Files.writeString(folder.resolve(name), content.replace(';', '\n'));
  }

  /** Rows apart by semicolons here. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ash,31;celadon,22;iron,17 | looks like a row of counts",
        "North,12,20;South,9,30 | looks like a row of counts",
        "31;celadon,22;iron,17 | which looks like a count",
        "k,a,b;North,0.350,0.650;South,0.125,0.875 | is a fraction or may be one",
        "k,a,b;North,1.200,650;South,125,875 | is a fraction or may be one",
        "k,a,b;North,12.5 (35%),20;South,12,8 | is a fraction or may be one",
        "k,a,b;North,'1,350','2,650';South,'1,125','3,875' | which may mean a fraction",
        "k,a,b;North,3,4;South,5,6;Tunnel,, | row 'Tunnel' has no counts",
        "k,a,b;North,3,;South,5, | column 'b' has no counts",
        "k,a,b;North,3,4;South,5, | has nothing in column b"
      })
  void doubtfulTablesAreRefused(String rows, String message) throws IOException {
    Path table = file("t.csv", rows.replace('\'', '"'));
    for (String command : new String[] {"compare --table ", "cross --table "}) {
      CommandLine answer = CommandLine.shell(command + table);
      assertThat(answer.status()).as(answer.out()).isEqualTo(3);
      assertThat(answer.err()).contains(message);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "',count;ash,31;celadon,22;iron,17' | 31/70",
        "'Glazes of week 18;;,count;ash,31;celadon,22;iron,17' | 31/70",
        "'x,count;ash,\"1,231\";celadon,22;iron,17' | 1231/1270",
        "'x,count;ash,31 (44%);celadon,22 (31%);iron,17 (24%)' | 31/70"
      })
  void aFirstRowIsNotLost(String rows, String first) throws IOException {
    Path table = file("t.csv", rows);
    JsonNode answer = CommandLine.json("shares --against 40%,30%,30% --table " + table);
    assertThat(answer.at("/cells/observed")).hasSize(3);
    long total = 0;
    for (JsonNode count : answer.at("/cells/observed")) {
      total += count.asLong();
    }
    assertThat(answer.at("/cells/observed/0").asLong() + "/" + total).isEqualTo(first);
  }

  @Test
  void namesOfColumnsMayBeNumbersThatFollowOneAnother() throws IOException {
    Path table = file("t.csv", "kiln,2024,2025;North,12,20;South,9,30");
    assertThat(CommandLine.json("cross --table " + table).at("/cells/columns/1").asText())
        .isEqualTo("2025");
  }

  @Test
  void aColumnThatLooksLikeATotalIsAskedAbout() throws IOException {
    Path table = file("t.csv", "kiln,cracked,inspected;North,3,100;South,9,120");
    assertThat(CommandLine.json("compare --table " + table).at("/cautions").toString())
        .contains("may-be-total", "(total: inspected)");
    assertThat(
            CommandLine.json("compare --total inspected --table " + table)
                .at("/cautions")
                .toString())
        .doesNotContain("may-be-total");
    Path semicolon = Files.writeString(folder.resolve("s.csv"), "k,a,b\n\"x; y\",3,4\nz,5,6\n");
    assertThat(CommandLine.json("compare --table " + semicolon).at("/input/first/label").asText())
        .isEqualTo("x; y");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "kiln=north | 2 | 5",
        "kiln=North | 2 | 5",
        "KILN=SOUTH | 1 | 5",
        "kiln=Tunnel | 1 | 5",
        "kiln=tunnel | 1 | 5"
      })
  void aFilterIgnoresCaseWhereTheLevelItselfNeverOccurs(String where, int kept, int rows)
      throws IOException {
    Path log =
        file(
            "log.csv",
            "kiln,grade;North,sound;North,cracked;South,sound;Tunnel,sound;tunnel,sound");
    String asked = "rate --outcome grade --success sound --against 50% --data " + log;
    JsonNode input = CommandLine.json(asked + " --where " + where).get("input");
    assertThat(input.get("rows").asInt()).isEqualTo(rows);
    assertThat(rows - input.get("filtered").asInt()).isEqualTo(kept);
    assertThat(input.get("where")).hasSize(1);
    assertThat(CommandLine.shell(asked + " --where " + where).out().replaceAll("\\s+", " "))
        .contains("From " + log + ", rows with " + where + " only: " + kept + " of " + rows + ".");
    assertThat(CommandLine.shell(asked + " --where kiln=TUNNEL").err())
        .contains("several levels that could be 'TUNNEL': Tunnel, tunnel");
    for (String twice :
        new String[] {" --where kiln=North --where ", " --where KILN=North --where "}) {
      CommandLine both = CommandLine.shell(asked + twice + "kiln=South");
      assertThat(both.status()).isIn(2, 3);
      assertThat(both.out()).isEmpty();
    }
  }

  @Test
  void whatIsSaidTwiceCountsOnceOrIsRefused() throws IOException {
    JsonNode once = CommandLine.json("compare --table demo/scrap-by-kiln.csv --success scrapped");
    JsonNode twice =
        CommandLine.json("compare --table demo/scrap-by-kiln.csv --success scrapped,scrapped");
    assertThat(twice.get("groups")).isEqualTo(once.get("groups"));
    assertThat(CommandLine.shell("shares ash=5 iron=6 --against ash=10%,ash=25%,iron=75%").err())
        .contains("has two shares for 'ash'");
    assertThat(
            CommandLine.shell(
                    "cross --data demo/firing-log.csv --rows kiln --columns grade --merge"
                        + " sound+sound=x")
                .err())
        .contains("must put different levels together");
  }

  @Test
  void wordsHaveNoOrderOfTheirOwn() throws IOException {
    Path log =
        file(
            "o.csv", "kiln,view;N,good;S,poor;N,\"fair, mostly\";S,good;N,poor;S,\"fair, mostly\"");
    String asked = "cross --rows kiln --columns view --ordered columns --data " + log;
    CommandLine refused = CommandLine.shell(asked);
    assertThat(refused.status()).isEqualTo(2);
    assertThat(refused.err())
        .contains("needs to know the order of good, poor, fair, mostly", "--order");
    CommandLine given =
        CommandLine.run(
            ("cross|--rows|kiln|--columns|view|--ordered|columns|--data|"
                    + log
                    + "|--order|poor,\"fair, mostly\",good|--json")
                .split("\\|"));
    assertThat(given.status()).as(given.err()).isZero();
    assertThat(new ObjectMapper().readTree(given.out()).at("/cells/columns/1").asText())
        .isEqualTo("fair, mostly");
    assertThat(
            CommandLine.shell(
                    "cross --data demo/panel-survey.csv --rows delivery --columns would_reorder"
                        + " --ordered rows")
                .status())
        .isEqualTo(2);
  }

  @ParameterizedTest
  @CsvSource({"007,2", "7,1", "0x1F,1", "010,1", "yes,1", "1e3,1", "'1_000',1"})
  void codesInStudiesAreReadAsTheyAreWritten(String code, int expected) throws IOException {
    file("codes.csv", "code;7;007;007;0x1F;31;010;8;yes;1e3;1000;1_000");
    Path study =
        Files.writeString(
            folder.resolve("s.yaml"),
            "study: Codes\nquestions:\n  - {ask: rate, data: codes.csv, outcome: code, success: "
                + code
                + ", against: 5%, bayes: no}\n");
    JsonNode answer = CommandLine.json("run " + study).at("/answers/0");
    assertThat(answer.at("/input/successes").asInt()).isEqualTo(expected);
    assertThat(answer.has("bayes")).isFalse();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'study: [a, b]\nquestions: [{ask: rate, tally: 1/2, against: 5%}]' | 'study' must be a title",
        "'questions: [{ask: rate, tally: *x, against: 5%}]' | nothing before it is marked &x",
        "'questions: [{ask: rate, tally: 1/2, against: 5%}]\n---\na: b' | holds one study",
        "'questions: [{ask: rate, tally: 1/2, tally: 2/3, against: 5%}]' | uplicate"
      })
  void studiesThatCantBeMeantAreRefused(String text, String message) throws IOException {
    Path study = Files.writeString(folder.resolve("s.yaml"), text);
    CommandLine answer = CommandLine.shell("run " + study);
    assertThat(answer.status()).isEqualTo(3);
    assertThat(answer.err()).contains(message).doesNotContain("Feature", "Constraints", "java.");
  }

  @Test
  void oneQuestionThatFailsCostsItsOwnAnswerOnly() throws IOException {
    Path study =
        Files.writeString(
            folder.resolve("s.yaml"),
            """
            questions:
              - &one {ask: rate, tally: 14/400, against: 5%}
              - {ask: rate, tally: 14/400, against: 5%, lot: 300}
              - {ask: rate, tally: 14/400, against: 1e999999999}
              - {ask: plan, for: rate, against: 5%, expect: 5%, power: 80%}
              - {ask: compare, tally: [A=0/9, B=0/9], simulate: 100, null-model: pooled}
              - {ask: rate, tally: 14/400, against: 5%, tests: []}
              - {ask: rate, tally: 14/400, against: 5%, bayes: perhaps}
              - {<<: *one, label: the same, tests: score}
            """);
    CommandLine answer = CommandLine.shell("run " + study + " --json");
    assertThat(answer.status()).as(answer.err()).isEqualTo(3);
    JsonNode answers = new ObjectMapper().readTree(answer.out()).get("answers");
    assertThat(answers).hasSize(8);
    for (int i = 1; i <= 6; i++) {
      assertThat(answers.get(i).at("/error/message").asText())
          .contains("question " + (i + 1) + ": ");
    }
    assertThat(answers.at("/1/error/code").asText()).isEqualTo("question-refused");
    assertThat(answers.at("/0/tests")).isNotEmpty();
    assertThat(answers.at("/7/tests")).hasSize(1);
  }

  /** Controls, marks of direction, line ends; in levels, names of columns and of groups. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "\u001b[31mred",
        "bell\u0007",
        "a\u202eb",
        "\u2066x",
        "two\nlines",
        "cr\rx",
        "\u0085",
        "\u0001"
      })
  void labelsSteerNothing(String label) throws Exception {
    String quoted = '"' + label + '"';
    Path log =
        Files.writeString(
            folder.resolve("log.csv"),
            "kiln," + quoted + "\nNorth,sound\nSouth," + quoted + "\nSouth,sound\nNorth,sound\n",
            StandardCharsets.UTF_8);
    Path chart = folder.resolve("c.svg");
    for (String[] words :
        new String[][] {
          {"look", "--data", log.toString()},
          {
            "cross",
            "--data",
            log.toString(),
            "--rows",
            "kiln",
            "--columns",
            label,
            "--chart",
            chart.toString()
          },
          {
            "rate",
            "--data",
            log.toString(),
            "--outcome",
            label,
            "--success",
            "nothing",
            "--against",
            "5%"
          },
          {"rate", label + "=3/40", "B=4/40", "--against", "5%", "--chart", chart.toString()},
          {"compare", label + "=3/40", "B=4/40", "C=9/50", "--chart", chart.toString()}
        }) {
      CommandLine answer = CommandLine.run(words);
      String shown = answer.out() + answer.err();
      assertThat(shown.chars().filter(each -> each < ' ' && each != '\n').count()).isZero();
      assertThat(shown).doesNotContain("\u202e", "\u0085", "\u009b", "two\nlines");
      if (Files.exists(chart)) {
        DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(chart.toFile());
        Files.delete(chart);
      }
    }
    JsonNode whole = CommandLine.json("look --data " + log);
    assertThat(whole.at("/columns/1/name").asText()).isEqualTo(label.strip());
  }

  @Test
  void levelsThatLookAlikeAreNamed() throws IOException {
    Path log = file("n.csv", "k;cracked;cracked\u00a0;caf\u00e9;cafe\u0301");
    String cautions =
        CommandLine.json("rate --outcome k --success cracked --against 50% --data " + log)
            .get("cautions")
            .toString();
    assertThat(cautions).contains("cracked\\\\u00a0", "cafe\\\\u0301", "similar-levels");
  }
}
