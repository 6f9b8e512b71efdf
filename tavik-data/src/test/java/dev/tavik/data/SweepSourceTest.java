package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.Crossings;
import dev.tavik.count.DataOverview;
import dev.tavik.count.Tabulation;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Counting many columns against groups in one pass is counting each by itself. */
class SweepSourceTest {
  private static final List<String> VALUES =
      List.of(
          "yes",
          "no",
          "NA",
          "\"NA\"",
          "",
          "1",
          "2",
          "3",
          "4",
          "5",
          "6",
          "7",
          "8",
          "9",
          "ten",
          "as long as a sentence",
          "über",
          "東京",
          "\"a,b\"",
          " spaced ");

  private static CountSource source(String text) {
    return Sources.open(
        "log.csv", name -> new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
  }

  /** Columns of two to twenty levels, of short and long values, some missing, quoted or not. */
  private static String rows(int seed, int groups) {
    Random random = new Random(seed);
    StringBuilder text = new StringBuilder("group,a,b,c,d,n,shift\n");
    for (int row = 0; row < 600; row++) {
      text.append(random.nextInt(50) == 0 ? "NA" : "g" + random.nextInt(groups));
      for (int levels : new int[] {2, 5, 12, 20}) {
        text.append(',').append(VALUES.get(random.nextInt(levels)));
      }
      text.append(',').append(random.nextInt(4));
      text.append(',').append(random.nextBoolean() ? "early" : "late").append('\n');
    }
    return text.toString();
  }

  @ParameterizedTest
  @CsvSource({"1, 3, DROP", "2, 11, DROP", "3, 3, LEVEL", "4, 40, LEVEL"})
  void onePassCountsWhatEachPassWould(int seed, int groups, Missing missing) {
    CountSource source = source(rows(seed, groups));
    CountRequest rules =
        CountRequest.of("*").missing(missing).frequency("n").where("shift", "late");
    Crossings crossings = source.countAgainst("group", rules);
    assertThat(crossings.tables())
        .extracting(each -> each.columns().get(0))
        .containsExactly("a", "b", "c", "d");
    for (Tabulation each : crossings.tables()) {
      CountRequest alone =
          CountRequest.of(each.columns().get(0), "group")
              .missing(missing)
              .frequency("n")
              .where("shift", "late");
      Tabulation counted = source.count(alone);
      assertThat(each.counts())
          .as(each.columns().toString())
          .containsExactlyInAnyOrderEntriesOf(positive(counted.counts()));
      assertThat(each.levels(0)).isEqualTo(counted.levels(0));
      assertThat(each.filtered()).isEqualTo(counted.filtered());
      assertThat(each.rows()).isEqualTo(600);
    }
  }

  private static Map<List<String>, Long> positive(Map<List<String>, Long> counts) {
    Map<List<String>, Long> positive = new LinkedHashMap<>(counts);
    positive.values().removeIf(count -> count == 0);
    return positive;
  }

  /** Plain text is read by its bytes, UTF-16 is not: whatever happens to it, the same comes out. */
  @Test
  void bytesAndLettersAreReadAlike() {
    Random random = new Random(23);
    String[] harm = {
      "\"",
      ",",
      "\n",
      "\r",
      "\r\n",
      " ",
      "é",
      "\t",
      "\n\n",
      "\"x\"",
      "longer than eight",
      ",\"x, y\",",
      "\"\"",
      "NA",
      "\"NA\"",
      ";"
    };
    int rounds = Boolean.getBoolean("tavik.proofs") ? 100_000 : 500;
    for (int round = 0; round < rounds; round++) {
      StringBuilder text = new StringBuilder("group,a,b\n");
      int rows = 1 + random.nextInt(12);
      for (int row = 0; row < rows; row++) {
        text.append("g").append(random.nextInt(3)).append(',');
        text.append(random.nextBoolean() ? "yes" : "no").append(',').append(random.nextInt(12));
        text.append(row + 1 < rows || random.nextBoolean() ? "\n" : "");
      }
      for (int hurt = random.nextInt(4); hurt > 0; hurt--) {
        text.insert(random.nextInt(text.length() + 1), harm[random.nextInt(harm.length)]);
      }
      String seen = text.toString().replace("\n", "\\n").replace("\r", "\\r");
      assertThat(outcome(text.toString().getBytes(StandardCharsets.UTF_8)))
          .as(seen)
          .isEqualTo(outcome(("\ufeff" + text).getBytes(StandardCharsets.UTF_16LE)));
    }
  }

  /** What a sweep, a count, an overview and the rows in order make of a text. */
  private static String outcome(byte[] bytes) {
    CountSource source = Sources.open("log.csv", name -> new ByteArrayInputStream(bytes));
    CountRequest both = CountRequest.of("a", "b").missing(Missing.LEVEL);
    List<Supplier<Object>> looks =
        List.of(
            () -> {
              Crossings swept = source.countAgainst("group", CountRequest.of("*"));
              return swept.tables().toString() + swept.leftOut();
            },
            () -> source.count(both).counts(),
            () -> source.count(CountRequest.of("b").where("a", "yes")).counts(),
            () -> source.overview().columns());
    return looks.stream().map(SweepSourceTest::told).collect(Collectors.joining("\n"));
  }

  private static String told(Supplier<Object> look) {
    try {
      return String.valueOf(look.get());
    } catch (DataException e) {
      return e.code() + " " + e.getMessage();
    }
  }

  /** Rows that end within a block and across its end, of every kind of line end. */
  @ParameterizedTest
  @CsvSource({"LF, 1", "LF, 7", "CRLF, 2", "CRLF, 5", "CR, 3"})
  void longFilesAreReadAcrossBlocks(String ends, int width) {
    String end = ends.equals("LF") ? "\n" : ends.equals("CRLF") ? "\r\n" : "\r";
    StringBuilder text = new StringBuilder("group,a,filler").append(end);
    for (int row = 0; row < 40_000; row++) {
      text.append(row % 3 == 0 ? "x" : "yy").append(',').append(row % 5).append(',');
      text.append("z".repeat(row % (width + 9))).append(end);
    }
    Crossings swept = source(text.toString()).countAgainst("group", CountRequest.of("a"));
    Tabulation counted = swept.tables().get(0);
    assertThat(counted.rows()).isEqualTo(40_000);
    for (int level = 0; level < 5; level++) {
      long x = 0;
      for (int row = level; row < 40_000; row += 5) {
        x += row % 3 == 0 ? 1 : 0;
      }
      assertThat(counted.counts()).containsEntry(List.of("" + level, "x"), x);
      assertThat(counted.counts()).containsEntry(List.of("" + level, "yy"), 8_000 - x);
    }
  }

  /** Any other kind of source counts one column after another; the same comes out. */
  @Test
  void otherSourcesGiveTheSame() {
    CountSource rows = source(rows(5, 4));
    CountSource other =
        new CountSource() {
          @Override
          public Tabulation count(CountRequest request) {
            return rows.count(request);
          }

          @Override
          public DataOverview overview() {
            return rows.overview();
          }
        };
    for (CountRequest rules :
        List.of(CountRequest.of("*"), CountRequest.of("b", "D").where("shift", "early"))) {
      List<Map<List<String>, Long>> one = counts(rows.countAgainst("group", rules));
      assertThat(counts(other.countAgainst("group", rules))).isEqualTo(one);
    }
  }

  private static List<Map<List<String>, Long>> counts(Crossings crossings) {
    return crossings.tables().stream().map(each -> positive(each.counts())).toList();
  }

  @Test
  void whatIsNoClassificationIsLeftOutAndTroubleIsTold() {
    List<String> rows = new ArrayList<>(List.of("group,id,grade"));
    for (int i = 0; i < 3_000; i++) {
      rows.add("g" + i % 3 + ",tile " + i + "," + (i % 2 == 0 ? "sound" : "cracked"));
    }
    Crossings swept = source(String.join("\n", rows)).countAgainst("group", CountRequest.of("*"));
    assertThat(swept.leftOut()).containsOnlyKeys("id");
    assertThat(swept.tables()).hasSize(1);
    assertThat(swept.tables().get(0).total()).isEqualTo(3_000);
    refused(rows, "id", CountRequest.of("*"), "more than 1,000 different values");
    refused(rows, "kiln", CountRequest.of("*"), "no column 'kiln'");
    refused(rows, "group", CountRequest.of("colour"), "no column 'colour'");
    refused(rows, "group", CountRequest.of("*").where("grade", "green"), "no row has grade=green");
    refused(rows, "group", CountRequest.of("*").frequency("grade"), "line 2, frequency column");
    refused(rows.subList(0, 1), "group", CountRequest.of("*"), "no rows of data");
    refused(rows, "group", CountRequest.of("*").where("grade", "Sound"), "did you mean sound?");
    String large = "group,n,grade\na,900000000000,x\nb,900000000000,y\n";
    refused(
        large.lines().toList(),
        "group",
        CountRequest.of("*").frequency("n"),
        "line 3, frequency column n makes a total above 1,000,000,000,000");
    rows.set(5, "g1,,sound");
    refused(
        rows,
        "group",
        CountRequest.of("*").missing(Missing.FAIL),
        "log.csv, line 6, column id has no value");
  }

  /**
   * What a filter leaves out is no level, and gives no column up; a filter may name a label or a
   * code.
   */
  @Test
  void onlyRowsThatCountHaveLevels() {
    StringBuilder text = new StringBuilder("grade,kiln,id,remark\n");
    for (int i = 0; i < 4_000; i++) {
      text.append(i < 3_990 ? "2" : "1").append(i % 2 == 0 ? ",N," : ",S,").append(i % 3_995);
      text.append(",a remark of its own, ".replace(", ", "")).append(i).append('\n');
    }
    CountSource source = source(text.toString());
    CountRequest rules = CountRequest.of("*");
    assertThat(source.countAgainst("kiln", rules).leftOut()).containsOnlyKeys("id", "remark");
    Crossings few = source.countAgainst("kiln", rules.where("grade", "1"));
    assertThat(few.leftOut()).isEmpty();
    assertThat(few.tables()).allSatisfy(each -> assertThat(each.total()).isEqualTo(10));
    Recoding labels = Recoding.labels(Map.of("1", "sound", "2", "cracked"), List.of());
    Crossings named =
        source.countAgainst("kiln", rules.where("grade", "sound").recode("grade", labels));
    assertThat(named.tables()).isEqualTo(few.tables());
    Crossings coded =
        source.countAgainst("kiln", rules.where("grade", "1").recode("grade", labels));
    assertThat(coded.tables()).isEqualTo(few.tables());
  }

  /** A missing number lies in no class, as of any other question; what is no number is told. */
  @Test
  void aFilterMayNameAClass() {
    String text = "score,kiln,grade\n3,N,a\n,N,a\n NA ,S,b\n2,S,b\n9,S,a\n";
    CountRequest low =
        CountRequest.of("*")
            .where("score", "low")
            .recode("score", Recoding.cut("0-6=low,7-10=high"));
    assertThat(source(text).countAgainst("kiln", low).tables().get(0).counts())
        .containsExactlyInAnyOrderEntriesOf(Map.of(List.of("a", "N"), 1L, List.of("b", "S"), 1L));
    refused(
        List.of((text + "\"NA\",S,b").split("\n")),
        "kiln",
        low,
        "log.csv, line 7, column score has 'NA', which is no number to cut");
  }

  private static void refused(List<String> rows, String group, CountRequest rules, String why) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> source(String.join("\n", rows)).countAgainst(group, rules))
        .withMessageContaining(why);
  }
}
