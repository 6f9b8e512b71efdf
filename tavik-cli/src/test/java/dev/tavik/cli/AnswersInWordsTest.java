package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What sentences say, and don't; figures in them are those of the tables beneath. */
class AnswersInWordsTest {
  @TempDir private Path folder;

  private static String words(String line) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isZero();
    return answer.out().replaceAll("\\s+", " ");
  }

  /** Ratios and odds are told as such, whichever group is the baseline. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--intervals koopman | North against South: the rate of North 0.179 to 0.521 times that of South",
        "--intervals woolf | North against South: the odds of North 0.155 to 0.493 times that of South",
        "--intervals score | North against South: the odds of North",
        "--intervals conditional-exact | North against South: the odds of North",
        "--intervals koopman --baseline North | South against North: the rate of South 1.92 to 5.60 times",
        "--intervals gart --baseline South | North against South: the odds of North",
        "--margin 5% --intervals koopman | the rate of North 0.179 to 0.521 times"
      })
  void ratiosOfGroupsAreNoPoints(String more, String says) {
    String verdict =
        words("compare --table demo/scrap-by-kiln.csv " + more).replaceAll(" Observed .*", "");
    assertThat(verdict).contains(says);
    assertThat(verdict).doesNotContain("percentage points", "higher by", "lower by");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "compare a=60/200 b=30/200 c=0/200 --intervals koopman | of a 15.9 to any number of times that of c",
        "compare a=60/200 b=30/200 c=10/200 --against 10% | differ from 10 percentage points: a minus b (",
        "compare a=30/100 b=31/100 c=32/100 | differ: a and b (",
        "cross --data demo/regrade.csv --rows first_inspector --columns second_inspector --paired | first_inspector and second_inspector agree",
        "cross --data demo/firing-log.csv --rows kiln --columns grade | kiln by grade",
        "rate 3/20 --against 5% | The null expects only 1 success, too few",
        "rate 2000000/10000000 --against 10% | 9.98 to 10.02 percentage points above",
        "cross --cells '90000 10; 7 9000' | Cramer's V 0.999",
        "cross --cells '90000 10; 7 9000' | 90,000, expected 81,820",
        "plan compare --base 5% --expect 5% --show noninferior --margin 1% --power 80% | less than 1 point below",
        "plan shares --against 40%,30%,30% --expect 30%,40%,30% --power 80% | With 166 observations",
        "plan rate --against 1/1000000 --expect 7.2% --power 90% | With 31 observations",
        "rate 5/20 --against 50% --bayes | Beta(1, 1)",
        "compare A=3/3 B=0/3 --alpha 0.1 --tests fisher | p = 0.100",
        "tail normal --value 1e-140 | P(X ≤ 1e-140) = 0.500",
        "look --data demo/regrade.csv | --paired",
        "look --data demo/scrap-by-kiln.csv | tavik compare --table",
        "look --data demo/firing-log.csv | ash 425 35.7% celadon 297 25.0%",
        "rate 0/29 --against 17% --tests wald | wald 1 to 2, 10 to 28"
      })
  void sentencesSayWhatIsMeant(String line, String says) {
    assertThat(words(line)).contains(says);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "compare A=1/10 B=2/10 --success x | 2 | names levels of a file",
        "compare --paired --cells '14 1; 2 211' --outcome x | 2 | leave one out",
        "compare --paired --cells '14 1; 2 211' --success x | 2 | leave one out",
        "compare --paired --cells '14 1; 2 211' --where a=b | 2 | leave one out",
        "compare --paired --cells '14 1; 2 211' --count n | 2 | leave one out",
        "compare --paired --cells '14 1; 2 211' --missing level | 2 | leave one out",
        "cross --data demo/firing-log.csv --rows shift --columns glaze --strata kiln --ordered rows | 2 | doesn't go with --strata",
        "cross --cells '3 4; 5 6' --budget 5 | 2 | needs none",
        "plan rate --against 5% --expect 8% --power 80% --group kiln | 2 | doesn't go with plan rate",
        "plan compare --base 8% --expect 5% --power 80% --show noninferior --margin 4% --alternative two-sided | 2 | is about one side",
        "plan rate --against 10% --expect 10% --power 80% | 2 | is the null value itself",
        "plan rate --against 50% --expect 50.0001% --power 99.9999% | 2 | there is no plan",
        "rate 3/20 --against 5%x | 2 | --against",
        "rate --data '' --outcome x --success y --against 5% | 3 | got an empty one",
        "rate --data demo/firing-log.csv --outcome grade --success craked --against 5% | 3 | cracked",
        "assess rate --n 30000 --p 10% | 2 | from 1 to 20000",
        "compare --data demo/firing-log.csv --outcome grade --success cracked --group date | 0 |",
        "shares ash=5 --against 1 | 2 | at least two"
      })
  void refusalsSayWhy(String line, int status, String says) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.out() + answer.err()).isEqualTo(status);
    if (says != null) {
      assertThat(answer.err()).contains(says).doesNotContain("java.", "Exception");
      assertThat(answer.out()).isEmpty();
    }
  }

  /** Overall and against a baseline to 1,000 groups, all pairs to 100, in a form to be read. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "41 | | 200",
        "100 | | 200",
        "101 | | 200",
        "101 | --baseline g7 | 200",
        "1000 | --baseline g7 | 200",
        "1000 | --bayes | 220"
      })
  void manyGroupsAreSummedUp(int groups, String more, int most) throws IOException {
    String counts =
        IntStream.rangeClosed(1, groups)
            .mapToObj(i -> "g" + i + "," + (i % 9 + 3) + "," + (100 - i % 9))
            .collect(Collectors.joining("\n", "group,bad,good\n", "\n"));
    Path table = Files.writeString(folder.resolve("groups.csv"), counts);
    Path all = folder.resolve("all.txt");
    String line = "compare --table " + table + (more == null ? "" : " " + more);
    CommandLine answer = CommandLine.shell(line + " --out " + all);
    assertThat(answer.status()).as(answer.err()).isZero();
    CommandLine shown = CommandLine.shell(line);
    assertThat(shown.out().lines().count()).isLessThan(most);
    assertThat(shown.out()).contains(String.format(Locale.ROOT, "the %,d groups", groups));
    assertThat(Files.readAllLines(all)).hasSizeGreaterThanOrEqualTo(groups);
  }

  @Test
  void moreThanAThousandGroupsAreRefusedByName() throws IOException {
    String counts =
        IntStream.rangeClosed(1, 1001)
            .mapToObj(i -> "g" + i + ",3,9")
            .collect(Collectors.joining("\n", "group,bad,good\n", "\n"));
    Path table = Files.writeString(folder.resolve("groups.csv"), counts);
    CommandLine answer = CommandLine.shell("compare --table " + table);
    assertThat(answer.status()).isIn(2, 3);
    assertThat(answer.err()).contains("1,000", "1,001").doesNotContain("null");
  }
}
