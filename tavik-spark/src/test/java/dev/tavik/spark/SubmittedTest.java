package dev.tavik.spark;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import dev.tavik.data.CountRequest;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.SparkSession;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The program for spark-submit. */
class SubmittedTest {
  @TempDir private static Path folder;

  private static SparkSession session;

  @BeforeAll
  static void begin() throws IOException {
    session = Cluster.threads();
    Dataset<Row> log = Cluster.text(session, Path.of("../demo/firing-log.csv"));
    log.write().parquet(folder.resolve("log").toString());
    log.write().orc(folder.resolve("log.orc").toString());
    Files.copy(Path.of("../demo/firing-log.csv"), folder.resolve("log.csv"));
    log.createOrReplaceTempView("firing_log");
    Files.writeString(
        folder.resolve("kilns.yaml"),
        """
        study: Kilns, week ${WEEK}
        data: firing-log.csv
        questions:
          - {ask: cross, rows: kiln, columns: grade}
          - {ask: sweep, group: kiln, outcomes: "*"}
          - {ask: rate, outcome: grade, success: cracked, against: 5%}
          - {ask: rate, tally: 14/400, against: 5%}
        """);
  }

  @AfterAll
  static void end() {
    session.stop();
  }

  private record Ended(int status, String said) {}

  private static Ended run(String line) {
    StringWriter said = new StringWriter();
    String[] arguments =
        Arrays.stream(line.replace("@", folder + "/").split(" ")).toArray(String[]::new);
    int status = Submitted.run(session, new PrintWriter(said), arguments);
    return new Ended(status, said.toString());
  }

  @ParameterizedTest
  @CsvSource({
    "--data @log, parquet",
    "--data @log.orc, orc",
    "--data @log.csv, csv",
    "--table firing_log, table",
    "--data file:@log.csv --format csv, uri"
  })
  void aStudyIsAskedOfAnyRows(String where, String name) throws IOException {
    Path out = folder.resolve(name + ".json");
    Ended ended = run("@kilns.yaml " + where + " --set WEEK=18 --out file:" + out);
    assertThat(ended.said()).isEmpty();
    assertThat(ended.status()).isZero();
    JsonNode study = new ObjectMapper().readTree(out.toFile());
    assertThat(study.path("study").asText()).isEqualTo("Kilns, week 18");
    JsonNode answers = study.path("answers");
    assertThat(answers).hasSize(4);
    assertThat(answers.path(0).path("cells").path("observed").path(0).path(0).asInt() > 0).isTrue();
    assertThat(answers.path(2).path("input").path("rows").asLong()).isEqualTo(1_200);
    assertThat(answers.path(2).path("estimates").path(0).path("value").asDouble())
        .isEqualTo(66.0 / 1_196);
    assertThat(answers.path(3).path("estimates").path(0).path("value").asDouble()).isEqualTo(0.035);
    try (Stream<Path> beside = Files.list(folder)) {
      assertThat(
              beside.filter(
                  file ->
                      file.getFileName().toString().startsWith(".")
                          && file.toString().contains(name)))
          .isEmpty();
    }
  }

  @ParameterizedTest
  @CsvSource({
    "html, <!DOCTYPE html>",
    "csv, 'question,label,group,kind'",
    "md, Kilns",
    "txt, Kilns"
  })
  void anAnswerHasAnyForm(String ending, String content) throws IOException {
    Path out = folder.resolve("form." + ending);
    String line = "@kilns.yaml --data @log --set WEEK=18 --out " + out;
    assertThat(run(line).status()).isZero();
    // The rows are nowhere that a command could name.
    assertThat(Files.readString(out))
        .containsIgnoringCase(content)
        .contains("Kiln")
        .doesNotContain("tavik cross");
    // Its own it replaces.
    assertThat(run(line)).isEqualTo(new Ended(0, ""));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2 | @kilns.yaml --out @a.json | Missing required argument",
        "2 | @kilns.yaml --data @log --table firing_log --out @a.json | mutually exclusive",
        "2 | @kilns.yaml --data @log --out @a.pdf | the ending of --out says the form",
        "2 | @kilns.yaml --data @log --format paquet --out @a.json | did you mean parquet?",
        "2 | @kilns.yaml --data @log.tsv --out @a.json | text is separated by commas",
        "2 | @kilns.yaml --table firing_log --format csv --out @a.json | knows its own",
        "2 | @kilns.yaml --data @log --set WEEK=1 --out @kilns.json | wasn't written by Tavik",
        "3 | @none.yaml --data @log --out @a.json | none.yaml",
        "3 | @kilns.yaml --data @nothing --set WEEK=1 --out @a.json | nothing can't be read",
        "3 | @kilns.yaml --table nothing --set WEEK=1 --out @a.json | nothing can't be read",
        "4 | @kilns.yaml --data @log --set WEEK=1 --out @log.csv/a.json | can't be written",
      })
  void whatIsWrongIsSaidInOneLine(int status, String line, String said) throws IOException {
    Files.writeString(folder.resolve("kilns.json"), "{\"mine\": 1}");
    Ended ended = run(line);
    assertThat(ended.said()).startsWith("tavik: ").contains(said).doesNotContain("Exception");
    assertThat(ended.said().strip().lines()).hasSize(1);
    assertThat(ended.status()).isEqualTo(status);
    assertThat(folder.resolve("a.json")).doesNotExist();
    assertThat(folder.resolve("kilns.json")).content().isEqualTo("{\"mine\": 1}");
  }

  @Test
  void aQuestionThatCantBeAnsweredIsSaidInItsPlace() throws IOException {
    Files.writeString(
        folder.resolve("half.yaml"),
        """
        data: log
        questions:
          - {ask: rate, outcome: grade, success: cracked, against: 5%}
          - {ask: rate, outcome: gloss, success: dull, against: 5%}
        """);
    Path out = folder.resolve("half.json");
    assertThat(run("@half.yaml --data @log --out " + out)).isEqualTo(new Ended(3, ""));
    JsonNode answers = new ObjectMapper().readTree(out.toFile()).path("answers");
    assertThat(answers.path(0).path("tests")).isNotEmpty();
    assertThat(answers.path(1).path("error").path("code").asText()).isEqualTo("unknown-column");
    assertThat(run("--help").said()).contains("--data=URI", "--out");
  }

  /** Parts of text are read by position on a cluster: what a single file couldn't be is refused. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "grade,kiln;sound,North | part-2.csv, line 1 has the columns grade, kiln, but the first",
        "kiln,grade,shift;North,sound,late | part-2.csv, line 1 has the columns kiln, grade, shift",
        "kiln,grade;North,sound;South | part-2.csv, line 3",
        "kiln,grade;North,sound,more | part-2.csv, line 2",
        "kiln,grade;Süd,sound | part-2.csv"
      })
  void partsThatAreNotAlikeAreRefused(String part, String message) throws IOException {
    Path parts = Files.createDirectories(folder.resolve("parts.csv"));
    Path study =
        Files.writeString(
            folder.resolve("parts.yaml"),
            "questions:\n  - {ask: rate, data: x.csv, outcome: grade, success: sound, against: 5%}\n");
    Files.writeString(parts.resolve("part-1.csv"), "kiln,grade\nNorth,cracked\nSouth,sound\n");
    Files.write(
        parts.resolve("part-2.csv"),
        (part.replace(";", "\n") + "\n").getBytes(StandardCharsets.ISO_8859_1));
    Ended ended = run(study + " --data " + parts + " --out " + folder.resolve("parts.json"));
    assertThat(ended.status()).as(ended.said()).isEqualTo(3);
    assertThat(ended.said()).contains(message);
    Files.writeString(parts.resolve("part-2.csv"), "kiln,grade\nSüd,sound\n");
    assertThat(run(study + " --data " + parts + " --out " + folder.resolve("ok.json")).status())
        .isZero();
  }

  /** A level that is the name of a folder is as it is written there. */
  @Test
  void levelsInNamesOfFoldersAreWrittenAsTheyAre() throws IOException {
    for (String kiln : List.of("007", "7", "07.0")) {
      session
          .sql("SELECT 'sound' AS grade")
          .write()
          .parquet(folder.resolve("batches/kiln=" + kiln).toString());
    }
    Path study =
        Files.writeString(
            folder.resolve("batches.yaml"),
            "questions:\n  - {ask: shares, data: x, outcome: kiln, against: equal}\n");
    Path out = folder.resolve("batches.json");
    Ended ended = run(study + " --data " + folder.resolve("batches") + " --out " + out);
    assertThat(ended.status()).as(ended.said()).isZero();
    assertThat(out).content().contains("\"007\"", "\"7\"", "\"07.0\"");
  }

  /** A collation that ignores case hides no level. */
  @Test
  void levelsAreExactWhateverACollationSays() {
    Dataset<Row> log =
        session.sql(
            "SELECT collate(kiln, 'UTF8_LCASE') AS kiln, grade FROM VALUES ('North', 'sound'),"
                + " ('north', 'sound'), ('NORTH', 'cracked') AS made(kiln, grade)");
    assertThat(SparkCounts.of(log).count(CountRequest.of("kiln")).levels(0))
        .containsExactlyInAnyOrder("North", "north", "NORTH");
  }
}
