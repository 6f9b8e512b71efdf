package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.tavik.count.Tabulation;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Codes read as labels, numbers as the classes they lie in. */
class RecodingTest {

  private static CountSource text(String content) {
    return Sources.open(
        "panel.csv", name -> new ByteArrayInputStream(content.getBytes(StandardCharsets.UTF_8)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0-6=low,7-8=middle,9-10=high | 0:low 6:low 6.0:low 7:middle 8.00:middle 10:high",
        "0..6=low,7..8=middle | 3:low 7.5:middle",
        "0-<7=low,7-10=high | 6.999:low 7:high 0:low",
        "<0=cold,0=none,>0=warm | -0.1:cold 0:none 0.0:none 00:none 0.1:warm",
        "<=5=few,>5=many | 5:few 5.0001:many -1000000:few",
        "-5--1=below,-0.5..0.5=about | -5:below -1:below -0.5:about 0,5:about",
        ">=18=grown up | 18:grown up"
      })
  void numbersLieInTheirClasses(String classes, String expected) {
    Recoding cut = Recoding.cut(classes);
    for (String each : expected.split(" (?=-?\\d)")) {
      String[] pair = each.split(":");
      assertThat(cut.of(pair[0])).as(each).isEqualTo(pair[1]);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0-6 | must be written RANGE=NAME",
        "=low | must be written RANGE=NAME",
        "0-6= | must be written RANGE=NAME",
        "6-0=low | a range must rise",
        "a-b=low | a range must be written like",
        "0-6=low,6-9=high | must not overlap",
        "0-6=low,3=three | must not overlap",
        "<5=few,>4=many | must not overlap",
        "<5=few,<2=fewer | must not overlap"
      })
  void classesThatMakeNoSenseAreRefused(String classes, String message) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Recoding.cut(classes))
        .withMessageContaining(message);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "7 | has 7, which lies in none of the classes low, high",
        "many | has 'many', which is no number to cut",
        "1,200 | may be a thousand or a fraction"
      })
  void numbersInNoClassAreRefusedByTheirPlace(String value, String message) {
    String content = "score\n1\n\"" + value + "\"\n";
    CountRequest request =
        CountRequest.of("score").recode("score", Recoding.cut("0-6=low,8-10=high"));
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> text(content).count(request))
        .withMessageStartingWith("panel.csv, line 3, column score ")
        .withMessageContaining(message);
  }

  /** More values than are remembered are read one by one, and counted all the same. */
  @Test
  void aColumnOfNumbersWithoutEndIsCut() {
    String rows =
        IntStream.range(0, 30_000).mapToObj(i -> i + ".5\n").collect(Collectors.joining());
    Tabulation counted =
        text("score\n" + rows + rows)
            .count(
                CountRequest.of("score")
                    .recode("score", Recoding.cut("0-<10000=low,10000-29999.5=high")));
    assertThat(counted.counts())
        .isEqualTo(Map.of(List.of("low"), 20_000L, List.of("high"), 40_000L));
    assertThat(counted.levels(0)).containsExactly("low", "high");
  }

  @Test
  void codesHaveLabelsInTheirOrder() {
    Recoding grades =
        Recoding.labels(
            Map.ofEntries(Map.entry("1", "cracked"), Map.entry("NA", "not asked")), Set.of("9"));
    CountSource panel = text("grade,kiln\n007,N\n1,N\n9,S\nNA,S\n,S\n1,S\n");
    Tabulation counted = panel.count(CountRequest.of("grade").recode("grade", grades));
    assertThat(counted.counts())
        .isEqualTo(Map.of(List.of("007"), 1L, List.of("cracked"), 2L, List.of("not asked"), 1L));
    assertThat(counted.missing()).isEqualTo(Map.of("grade", 2L));
    assertThat(counted.remarks())
        .containsExactly("grade has a code without a label in the codebook: 007");
    // A filter takes the label or the code.
    for (String level : List.of("cracked", "1", "CRACKED")) {
      CountRequest filtered = CountRequest.of("kiln").recode("grade", grades).where("grade", level);
      assertThat(panel.count(filtered).total()).as(level).isEqualTo(2);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[] | has no list of fields",
        "{\"fields\": [{}]} | has a field without a name",
        "{\"fields\": [{\"name\": \"a\"}, {\"name\": \"a\"}]} | has two fields called 'a'",
        "{\"fields\": [{\"name\": \"a\", \"categories\": 1}]} | must list the cat",
        "{\"fields\": [{\"name\": \"a\", \"categories\": [{}]}]} | a category without a value",
        "{\"fields\": [{\"name\": \"a\", \"categories\": [1, 1]}]} | has the value '1' twice",
        "{\"fields\": [{\"name\": \"a\"}], \"missingValues\": 9} | a list of missing values",
        "{\"fields\": | is not valid JSON",
        "{\"fields\": [{\"name\": \"other\"}]} | none of the columns that its codebook describes"
      })
  void aCodebookThatIsNoneIsNamed(String content, String message) {
    SourceOpener opening =
        name -> new ByteArrayInputStream(content.strip().getBytes(StandardCharsets.UTF_8));
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(
            () ->
                text("a\n1\n")
                    .count(CountRequest.of("a").recode(Codebook.read("book.json", opening))))
        .withMessageContaining(message);
  }

  @ParameterizedTest
  @CsvSource({
    "log.csv, log.schema.json",
    "log.csv.gz, log.schema.json",
    "week.18/log.xlsx, week.18/log.schema.json",
    "week.zip#log.csv, week.schema.json",
    "log, ''",
    "-, ''",
    "../.hidden, ''"
  })
  void aCodebookLiesBesideTheData(String data, String book) {
    assertThat(Codebook.beside(data).orElse("")).isEqualTo(book);
  }

  @Test
  void orderAndLabelsComeFromAnEnumerationToo() {
    String content =
        "{\"fields\": [{\"name\": \"size\", \"constraints\": {\"enum\": [\"small\", \"large\"]},"
            + " \"missingValues\": [{\"value\": \"?\"}]}]}";
    Codebook book =
        Codebook.read(
            "book.json",
            name -> new ByteArrayInputStream(content.getBytes(StandardCharsets.UTF_8)));
    Tabulation counted =
        text("size\nlarge\nsmall\n?\nhuge\n").count(CountRequest.of("size").recode(book));
    assertThat(counted.levels(0)).containsExactly("small", "large", "huge");
    assertThat(counted.totalMissing()).isOne();
  }
}
