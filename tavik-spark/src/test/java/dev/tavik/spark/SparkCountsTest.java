package dev.tavik.spark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.tavik.answer.Detail;
import dev.tavik.count.Crossings;
import dev.tavik.count.DataOverview;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.Missing;
import dev.tavik.data.Recoding;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.Sources;
import dev.tavik.data.study.StudyFile;
import dev.tavik.report.Report;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.RowFactory;
import org.apache.spark.sql.SparkSession;
import org.apache.spark.sql.execution.QueryExecution;
import org.apache.spark.sql.types.StructType;
import org.apache.spark.sql.util.QueryExecutionListener;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Counted on a cluster is counted as ever. */
class SparkCountsTest {
  private static final List<String> QUESTIONS =
      List.of(
          "ask: rate, data: firing-log.csv, outcome: grade, success: [cracked, warped], against: 8%,"
              + " group: kiln",
          "ask: rate, data: firing-log.csv, outcome: grade, success: crazed, where: glaze=cobalt,"
              + " against: 8%, missing: level",
          "ask: compare, data: firing-log.csv, outcome: grade, success: cracked, group: shift,"
              + " tests: all, intervals: all",
          "ask: compare, data: firing-log.csv, outcome: grade, success: bad, group: kiln,"
              + " merge: cracked+warped=bad",
          "ask: shares, data: firing-log.csv, outcome: grade, against: equal, tests: pearson",
          "ask: sweep, data: firing-log.csv, group: kiln, outcomes: 'shift,grade,glaze'",
          "ask: cross, data: firing-log.csv, rows: kiln, columns: grade, strata: shift,"
              + " merge: crazed+cracked+warped=bad, where: GLAZE=Ash",
          "ask: cross, data: firing-log.csv, rows: kiln, columns: grade, bayes: true",
          "ask: cross, data: panel-codes.csv, codebook: panel-codes.schema.json, rows: region,"
              + " columns: recommend, cut: 'recommend:0-6=low,7-8=middle,9-10=high'",
          "ask: rate, data: panel-codes.csv, codebook: panel-codes.schema.json, outcome: reorder,"
              + " success: '1', against: 70%, where: Region=Uplands",
          "ask: rate, data: panel-codes.csv, outcome: glazes, split: ;, success: ash, against: 50%",
          "ask: rate, data: firing-log.csv, outcome: grade, success: wraped, against: 5%",
          "ask: rate, data: firing-log.csv, outcome: grades, success: warped, against: 5%",
          "ask: rate, data: firing-log.csv, outcome: grade, success: warped, against: 5%,"
              + " where: kiln=Nroth",
          "ask: cross, data: firing-log.csv, rows: kiln, columns: grade, missing: fail",
          "ask: rate, data: panel-codes.csv, outcome: region, cut: 'region:1-2=a', success: a,"
              + " against: 5%",
          "ask: shares, data: returns-by-depot.csv, outcome: reason, count: n, against: equal",
          "ask: sweep, data: returns-by-depot.csv, group: depot, outcomes: '*', count: n",
          "ask: sweep, data: firing-log.csv, group: shift, outcomes: '*', where: kiln=Nroth",
          "ask: rate, data: panel-survey.csv, outcome: would_reorder, success: 'yes', against: 70%,"
              + " design: 'weight=weight,strata=region,cluster=dealer', group: channel",
          "ask: compare, data: panel-survey.csv, outcome: would_reorder, success: 'yes',"
              + " group: channel, design: 'weight=weight,strata=region,cluster=dealer'",
          "ask: shares, data: panel-survey.csv, outcome: delivery, against: equal,"
              + " design: 'weight=weight'",
          "ask: cross, data: panel-survey.csv, rows: channel, columns: delivery,"
              + " design: 'weight=weight,strata=region'",
          "ask: sweep, data: panel-survey.csv, group: channel, outcomes: 'delivery,would_reorder',"
              + " design: 'weight=weight,cluster=dealer'");

  @TempDir private static Path folder;

  private static SparkSession session;

  @BeforeAll
  static void begin() throws IOException {
    session = Cluster.threads();
    Path demo = Path.of("../demo");
    for (String name : List.of("firing-log.csv", "panel-codes.csv", "returns-by-depot.csv")) {
      Files.write(folder.resolve(name), ArrangedRows.of(Files.readAllLines(demo.resolve(name))));
    }
    // Weights of quarters: their sums are exact in any order.
    List<String> panel =
        Files.readAllLines(demo.resolve("panel-survey.csv")).stream()
            .map(
                line -> {
                  int comma = line.lastIndexOf(',');
                  String weight = line.substring(comma + 1);
                  return weight.equals("weight")
                      ? line
                      : line.substring(0, comma + 1)
                          + Math.round(4 * Double.parseDouble(weight)) / 4.0;
                })
            .toList();
    Files.write(folder.resolve("panel-survey.csv"), ArrangedRows.of(panel));
    Files.copy(demo.resolve("panel-codes.schema.json"), folder.resolve("panel-codes.schema.json"));
  }

  @AfterAll
  static void end() {
    session.stop();
  }

  /** Files as they are; data as rows on the cluster. */
  private static SourceOpener onCluster() {
    SourceOpener files = SourceOpener.ofFiles();
    return new SourceOpener() {
      @Override
      public InputStream open(String name) throws IOException {
        return files.open(name);
      }

      @Override
      public Optional<CountSource> source(String name) {
        Dataset<Row> rows = Cluster.text(session, folder.resolve(name)).repartition(3);
        return Optional.of(SparkCounts.of(rows).named(name).asText());
      }
    };
  }

  private static String json(Path study, SourceOpener opening) {
    return Report.JSON
        .of(StudyFile.of(study.toString(), opening).read().ask(), Detail.EVERY_ROW)
        .replaceAll("(?s),\\s*\"remarks\": \\[[^]]*]", "")
        .replace(folder + "/", "")
        .replaceAll(" of \\d{4}-\\d\\d-\\d\\d", "");
  }

  /** Each asked every night, every third one usually. */
  static List<String> questions() {
    return IntStream.range(0, QUESTIONS.size())
        .filter(i -> i % 3 == 0 || Boolean.getBoolean("tavik.proofs"))
        .mapToObj(QUESTIONS::get)
        .toList();
  }

  @ParameterizedTest
  @MethodSource("questions")
  void isAnsweredAsAFileIs(String question) throws IOException {
    Path study = folder.resolve("study.yaml");
    Files.writeString(study, "study: All\nquestions:\n  - {" + question + "}\n");
    String counted = json(study, onCluster());
    // In data on a cluster no line has a number.
    String place = "(firing-log|panel-codes).csv(, (line|group) \\d+)?";
    assertThat(rounded(counted.replaceAll(place, "")))
        .contains("\"question\"")
        .isEqualTo(rounded(json(study, SourceOpener.ofFiles()).replaceAll(place, "")));
  }

  /**
   * Where a design makes matrices of its combinations, their order, that of first appearance, shows
   * in the last digits: numbers to thirteen.
   */
  private static String rounded(String json) {
    return Pattern.compile("-?\\d+\\.\\d{10,}(E-?\\d+)?")
        .matcher(json.contains("\"design\"") ? json : "")
        .results()
        .map(MatchResult::group)
        .distinct()
        .reduce(
            json,
            (text, number) ->
                text.replace(number, new BigDecimal(number).round(new MathContext(13)).toString()));
  }

  private static Dataset<Row> made(List<Row> rows, String... columns) {
    StructType schema = new StructType();
    for (String column : columns) {
      int space = column.lastIndexOf(' ');
      schema =
          schema.add(
              column.substring(0, space),
              org.apache.spark.sql.types.DataType.fromDDL(column.substring(space + 1)));
    }
    return session.createDataFrame(rows, schema);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "double | 1.0;2.5;-0.0;0.0;NaN;1e20 | 0=2;1=1;2.5=1;100000000000000000000=1 | 1",
        "float | 0.1;10.0;9.0 | 0.1=1;9=1;10=1 | 0",
        "int | 10;9;9 | 9=2;10=1 | 0",
        "boolean | true;false;true | false=1;true=2 | 0",
        "string | b;;NA;b; a;10;9 | 9=1;10=1; a=1;NA=1;b=2 | 1",
        "decimal(5,2) | 1.50;1.50;10.00 | 1.5=2;10=1 | 0",
        "date | 2026-04-06;2026-01-01 | 2026-01-01=1;2026-04-06=1 | 0",
        "timestamp_ntz | 2026-04-06T10:00 | 2026-04-06 10:00=1 | 0"
      })
  void valuesAreWhatAFileWouldWrite(String type, String values, String levels, long missing) {
    List<Row> rows = new ArrayList<>();
    for (String value : values.split(";", -1)) {
      rows.add(RowFactory.create(parsed(type, value), "x"));
    }
    rows.add(RowFactory.create(null, "x"));
    SparkCounts counts = SparkCounts.of(made(rows, "a.b " + type, "g string"));
    Map<String, Long> expected = new LinkedHashMap<>();
    for (String level : levels.split(";")) {
      String[] parts = level.split("=");
      expected.put(parts[0], Long.valueOf(parts[1]));
    }
    Tabulation alone = counts.count(CountRequest.of("a.b"));
    assertThat(alone.levels(0)).containsExactlyElementsOf(expected.keySet());
    expected.forEach(
        (level, count) -> assertThat(alone.counts()).containsEntry(List.of(level), count));
    assertThat(alone.missing()).containsEntry("a.b", missing + 1);
    Crossings crossed = counts.countAgainst("g", CountRequest.of("*"));
    assertThat(crossed.tables().get(0).levels(0)).isEqualTo(alone.levels(0));
    expected.forEach(
        (level, count) ->
            assertThat(crossed.tables().get(0).counts()).containsEntry(List.of(level, "x"), count));
  }

  /** Where clocks are set back one hour follows itself. */
  @Test
  void anHourThatIsThereTwiceIsTwoLevels() {
    session.conf().set("spark.sql.session.timeZone", "Europe/Berlin");
    try {
      Dataset<Row> rows =
          session
              .range(0, 4)
              .selectExpr("timestamp_seconds(1792884600 + 3600 * id) as fired", "id % 2 as kiln");
      assertThat(SparkCounts.of(rows).count(CountRequest.of("fired")).levels(0))
          .containsExactly(
              "2026-10-25 01:30",
              "2026-10-25 02:30",
              "2026-10-25 02:30 +01:00",
              "2026-10-25 03:30");
    } finally {
      session.conf().unset("spark.sql.session.timeZone");
    }
  }

  private static Object parsed(String type, String value) {
    return switch (type) {
      case "double" -> Double.valueOf(value);
      case "float" -> Float.valueOf(value);
      case "int" -> Integer.valueOf(value);
      case "boolean" -> Boolean.valueOf(value);
      case "decimal(5,2)" -> new BigDecimal(value);
      case "date" -> java.sql.Date.valueOf(value);
      case "timestamp_ntz" -> java.time.LocalDateTime.parse(value);
      default -> value;
    };
  }

  private record Drawn(
      String grade, Integer score, Double weight, String stratum, String cluster, long times) {
    Row row() {
      return RowFactory.create(grade, score, weight, stratum, cluster, times);
    }
  }

  private static List<Drawn> drawn(long seed) {
    Random random = new Random(seed);
    return IntStream.range(0, 5_000)
        .mapToObj(
            i -> {
              int stratum = random.nextInt(3);
              int grade = random.nextInt(5);
              return new Drawn(
                  grade == 4 ? "" : "grade " + grade,
                  random.nextInt(11),
                  random.nextInt(50) == 0 ? 0.0 : random.nextDouble() * 3,
                  "s" + stratum,
                  "s" + stratum + " c" + random.nextInt(12),
                  random.nextInt(4));
            })
        .toList();
  }

  private static Dataset<Row> dataset(List<Drawn> rows) {
    return made(
        rows.stream().map(Drawn::row).toList(),
        "grade string",
        "score int",
        "weight double",
        "stratum string",
        "cluster string",
        "times bigint");
  }

  /** However many columns, the rows are read once. */
  @Test
  void allRequestsOfAQuestionAreOneAggregation() throws TimeoutException {
    AtomicInteger executions = new AtomicInteger();
    QueryExecutionListener counting =
        new QueryExecutionListener() {
          @Override
          public void onSuccess(String name, QueryExecution execution, long nanoseconds) {
            executions.incrementAndGet();
          }

          @Override
          public void onFailure(String name, QueryExecution execution, Exception trouble) {
            executions.addAndGet(100);
          }
        };
    SparkCounts counts = SparkCounts.of(dataset(drawn(50)));
    session.listenerManager().register(counting);
    try {
      counts.countAgainst("stratum", CountRequest.of("*"));
      counts.survey(
          SampleDesign.weighted("weight").strata("stratum"),
          List.of(CountRequest.of("grade"), CountRequest.of("score", "grade")));
      counts.overview();
      counts.count(CountRequest.of("grade", "score", "stratum").where("cluster", "s1 c1"));
      session.sparkContext().listenerBus().waitUntilEmpty();
    } finally {
      session.listenerManager().unregister(counting);
    }
    assertThat(executions).hasValue(4);
  }

  /** Of counts and of exact sums, whatever lies where. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 13})
  void countsAndSumsAreExactHoweverRowsAreSpread(int partitions) {
    List<Drawn> rows = drawn(2026 + partitions);
    SparkCounts counts = SparkCounts.of(dataset(rows).repartition(partitions));
    Recoding cut = Recoding.cut("0-6=low,7-8=middle,9-10=high");
    CountRequest request =
        CountRequest.of("grade", "score").recode("score", cut).where("stratum", "s1");
    Map<List<String>, Long> expected = new HashMap<>();
    Map<List<String>, BigDecimal> sums = new HashMap<>();
    for (Drawn row : rows) {
      if (!row.grade().isEmpty() && row.stratum().equals("s1")) {
        String score = row.score() < 7 ? "low" : row.score() < 9 ? "middle" : "high";
        expected.merge(List.of(row.grade(), score), row.times(), Long::sum);
      }
      if (!row.grade().isEmpty() && row.weight() > 0) {
        sums.merge(List.of(row.grade()), new BigDecimal(row.weight()), BigDecimal::add);
      }
    }
    Tabulation counted = counts.count(request.frequency("times"));
    assertThat(counted.counts()).containsExactlyInAnyOrderEntriesOf(expected);
    assertThat(counted.levels(1)).containsExactly("low", "middle", "high");
    assertThat(counted.rows()).isEqualTo(5_000);
    SurveyCounts sample =
        counts
            .survey(
                SampleDesign.weighted("weight"),
                List.of(CountRequest.of("grade"), CountRequest.of("cluster")))
            .get(0);
    double[] totals = sample.totals();
    for (int i = 0; i < totals.length; i++) {
      BigDecimal exact = sums.getOrDefault(sample.combinations().get(i), BigDecimal.ZERO);
      assertThat(totals[i]).isEqualTo(exact.doubleValue());
    }
    assertThat(totals).hasSize(4);
  }

  @Test
  void whatIsNoClassificationIsRefusedByName() {
    Dataset<Row> rows =
        session
            .range(0, 30_000, 1, 6)
            .selectExpr(
                "id",
                "id % 3 as kiln",
                "array(id) as tiles",
                "map('a', id) as marks",
                "struct(id) as firing",
                "unhex(hex(id)) as photo",
                "id % 900 as batch");
    SparkCounts counts = SparkCounts.of(rows).named("firings");
    assertThatThrownBy(() -> counts.count(CountRequest.of("tiles", "kiln")))
        .isInstanceOf(DataException.class)
        .hasMessage(
            "firings: column tiles is of type array<bigint>, which is not one value a row; take a"
                + " part of it, or a row for each of its values");
    for (String column : List.of("marks", "firing", "photo")) {
      assertThatThrownBy(() -> counts.count(CountRequest.of(column)))
          .isInstanceOf(DataException.class)
          .hasMessageContaining("column " + column + " is of type");
    }
    String many =
        "firings: column id has more than 10,000 different values, too many for a classification; is"
            + " it the column you meant?";
    assertThatThrownBy(() -> counts.count(CountRequest.of("kiln", "id"))).hasMessage(many);
    assertThatThrownBy(
            () ->
                counts.survey(
                    SampleDesign.weighted("batch"), List.of(CountRequest.of("id", "kiln"))))
        .hasMessage(many);
    assertThatThrownBy(() -> counts.countAgainst("id", CountRequest.of("kiln")))
        .hasMessageContaining(
            "column id has more than 1,000 different values, too many for groups");
    assertThatThrownBy(() -> counts.inOrder(CountRequest.of("kiln")))
        .hasMessageContaining("no order");
    assertThatThrownBy(() -> counts.count(CountRequest.of("kilm")))
        .hasMessageContaining("firings has no column 'kilm'; did you mean kiln?");
    assertThatThrownBy(() -> SparkCounts.of(rows.filter("id < 0")).count(CountRequest.of("kiln")))
        .hasMessageContaining("no rows of data");
    Crossings swept = counts.countAgainst("kiln", CountRequest.of("*"));
    assertThat(swept.leftOut())
        .containsOnlyKeys("id", "tiles", "marks", "firing", "photo")
        .containsEntry("photo", "binary, which is not one value a row");
    assertThat(counts.overview().remarks())
        .contains("photo is of type binary, which is not one value a row");
    assertThat(counts.overview().columns()).hasSize(7);
    assertThatThrownBy(() -> counts.countAgainst("photo", CountRequest.of("kiln")))
        .hasMessageContaining("column photo is of type binary");
    assertThat(swept.tables()).hasSize(1);
    assertThat(swept.tables().get(0).counts()).hasSize(900);
  }

  @Test
  void aSweepOfSomeRowsCountsWhatThatOfAFileDoes() throws IOException {
    Recoding cut = Recoding.cut("0-6=low,7-10=high,99=no answer");
    Map<String, CountRequest> asked =
        Map.of(
            "firing-log.csv:shift",
            CountRequest.of("*").missing(Missing.LEVEL).where("kiln", "North"),
            "panel-codes.csv:region",
            CountRequest.of("*").where("recommend", "low").recode("recommend", cut));
    for (Map.Entry<String, CountRequest> each : asked.entrySet()) {
      String[] of = each.getKey().split(":");
      Path file = folder.resolve(of[0]);
      Crossings here = Sources.open(file).countAgainst(of[1], each.getValue());
      Crossings there =
          SparkCounts.of(Cluster.text(session, file).repartition(3))
              .asText()
              .countAgainst(of[1], each.getValue());
      assertThat(there.leftOut()).isEqualTo(here.leftOut());
      assertThat(there.tables()).hasSameSizeAs(here.tables()).hasSizeGreaterThan(2);
      for (int i = 0; i < here.tables().size(); i++) {
        Tabulation one = here.tables().get(i);
        Tabulation other = there.tables().get(i);
        assertThat(other.counts()).isEqualTo(one.counts());
        assertThat(other.missing()).isEqualTo(one.missing());
        assertThat(List.of(other.rows(), other.total()))
            .isEqualTo(List.of(one.rows(), one.total()));
      }
    }
  }

  /** However many levels they have in the rest, and in however many combinations. */
  @Test
  void columnsAreHeldAgainstGroupsInTheRowsThatMatch() {
    Dataset<Row> rows =
        session
            .range(0, 1_200_000, 1, 2)
            .selectExpr(
                "id",
                "id % 3 as kiln",
                "if(id % 4 = 0, 'red', 'white') as clay",
                "if(id % 4 = 0, id % 5, id) as rack",
                "id % 7 as day");
    SparkCounts counts = SparkCounts.of(rows);
    CountRequest red = CountRequest.of("*").where("clay", "red");
    Crossings swept = counts.countAgainst("kiln", red);
    assertThat(swept.leftOut()).containsOnly(Map.entry("id", "more than 1,000 different values"));
    assertThat(swept.tables())
        .extracting(each -> each.columns().get(0))
        .containsExactly("rack", "day");
    Tabulation racks = swept.tables().get(0);
    assertThat(racks.counts())
        .hasSize(15)
        .allSatisfy((levels, n) -> assertThat(n).isEqualTo(20_000));
    assertThat(racks.rows()).isEqualTo(1_200_000);
    assertThat(racks.total()).isEqualTo(300_000);
    Crossings alone =
        counts.countAgainst("kiln", CountRequest.of("rack").where("clay", "red").where("day", "0"));
    // Every 28th row, from the first.
    assertThat(alone.tables().get(0).total()).isEqualTo(1_200_000 / 28 + 1);
  }

  @Test
  void aColumnOfManyNumbersIsCutWhereItLies() {
    Dataset<Row> rows =
        session
            .range(0, 200_000, 1, 5)
            .selectExpr("id / 1000 as minutes", "id % 2 as late", "id % 4 as weight");
    Recoding cut = Recoding.cut("0-<50=short,50-<150=usual,>=150=long");
    CountRequest request = CountRequest.of("minutes", "late").recode("minutes", cut);
    SparkCounts counts = SparkCounts.of(rows);
    Tabulation counted = counts.count(request);
    assertThat(counted.counts())
        .containsEntry(List.of("short", "0"), 25_000L)
        .containsEntry(List.of("usual", "1"), 50_000L)
        .containsEntry(List.of("long", "1"), 25_000L)
        .hasSize(6);
    SurveyCounts weighted = counts.survey(SampleDesign.weighted("weight"), List.of(request)).get(0);
    assertThat(weighted.totals()).containsExactlyInAnyOrder(25e3, 50e3, 50e3, 100e3, 25e3, 50e3);
    Recoding part = Recoding.cut("0-<50=short");
    assertThatThrownBy(() -> counts.count(CountRequest.of("minutes").recode("minutes", part)))
        .isInstanceOf(DataException.class)
        .hasMessageContaining("lies in none of the classes short");
  }

  @Test
  void whatIsThereIsSeenAsOfAFile() throws IOException {
    Path log = folder.resolve("firing-log.csv");
    DataOverview seen = SparkCounts.of(Cluster.text(session, log)).asText().overview();
    DataOverview file = Sources.open(log).overview();
    assertThat(seen.rows()).isEqualTo(file.rows());
    assertThat(seen.columns()).usingRecursiveComparison().isEqualTo(file.columns());
    assertThat(seen.layout()).isEqualTo("rows on a cluster");
  }

  @Test
  void eachColumnIsCountedByItself() {
    List<Drawn> rows = drawn(7);
    SparkCounts counts = SparkCounts.of(dataset(rows));
    List<Tabulation> each =
        counts.countEach(
            new CountRequest(List.of("grade,score"), Map.of(), null, Missing.LEVEL, Map.of()));
    assertThat(each).hasSize(2);
    assertThat(each.get(0).levels(0)).last().isEqualTo(Missing.LEVEL_NAME);
    assertThat(each.get(1).levels(0))
        .containsExactly("0", "1", "2", "3", "4", "5", "6", "7", "8", "9", "10");
    for (Tabulation one : each) {
      assertThat(one.total()).isEqualTo(5_000);
    }
  }

  @ParameterizedTest
  @CsvSource({"-1, below 0", "null, no value"})
  void aWeightThatIsNoneIsRefused(String weight, String said) {
    Dataset<Row> rows =
        session.range(0, 10).selectExpr("id % 2 as kiln", "if(id = 3, " + weight + ", 1.5) as w");
    CountRequest strict = new CountRequest(List.of("kiln"), Map.of(), null, Missing.FAIL, Map.of());
    assertThatThrownBy(
            () -> SparkCounts.of(rows).survey(SampleDesign.weighted("w"), List.of(strict)))
        .isInstanceOf(DataException.class)
        .hasMessageContaining("column w")
        .hasMessageContaining(said);
  }
}
