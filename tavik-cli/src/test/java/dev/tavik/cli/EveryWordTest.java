package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.data.words.CommandSchemas;
import dev.tavik.data.words.Parameter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** No word is taken and ignored: each one either is refused, or changes the answer. */
@Order(1)
class EveryWordTest {
  private static final String DESIGN = " --design cluster=date";
  private static final String LOG = "--data demo/firing-log.csv ";

  /** Commands that are answered, one for each way in and each kind of question. */
  private static final List<String> COMMANDS =
      List.of(
          "rate 14/400 --against 5%",
          "rate 14/400 --against 5% --bayes",
          "rate 14/400 --against 5% --lot 5000",
          "rate North=14/400 South=31/410 --against 5%",
          "rate " + LOG + "--outcome grade --success cracked --against 5%",
          "rate " + LOG + "--outcome grade --success cracked --group kiln --against 5%",
          "rate --against 5% --planned 100",
          "compare North=14/400 South=31/410",
          "compare North=14/400 South=31/410 Tunnel=20/390",
          "compare --table demo/scrap-by-kiln.csv",
          "compare " + LOG + "--outcome grade --success cracked --group shift",
          "compare --paired --cells '14 1; 2 211'",
          "compare --paired --data demo/regrade.csv --outcome first_inspector,second_inspector"
              + " --success cracked",
          "shares ash=31 celadon=22 iron=17 --against 40%,30%,30%",
          "shares " + LOG + "--outcome grade --against equal --where kiln=Tunnel",
          "cross --cells '12 5; 7 9'",
          "cross --cells '12 5 8; 7 9 11; 10 20 9'",
          "cross " + LOG + "--rows kiln --columns grade",
          "cross "
              + LOG
              + "--rows shift --columns glaze --strata kiln --merge"
              + " ash+celadon=light --merge cobalt+iron=dark",
          "cross --data demo/regrade.csv --rows first_inspector --columns second_inspector"
              + " --paired",
          "sweep " + LOG + "--group kiln",
          "rate " + LOG + "--outcome grade --success cracked --against 5%" + DESIGN,
          "compare " + LOG + "--outcome grade --success cracked --group kiln" + DESIGN,
          "compare " + LOG + "--outcome grade --success cracked --group shift" + DESIGN,
          "shares " + LOG + "--outcome grade --against equal" + DESIGN,
          "cross " + LOG + "--rows kiln --columns grade" + DESIGN,
          "sweep " + LOG + "--group kiln" + DESIGN,
          "plan rate --against 8% --expect 5% --power 80%",
          "plan rate --expect 5% --half-width 2%",
          "plan rate --against 8% --expect 5% --n 400 --bayes",
          "plan compare --base 30% --expect 12% --power 80%",
          "plan compare --base 30% --expect 20% --half-width 10%",
          "plan compare --base 30% --expect 30% --power 80% --show noninferior --margin 20%"
              + " --alternative less",
          "plan compare --paired --first-only 4% --second-only 1% --power 80%",
          "plan table --w 0.3 --df 2 --power 80%",
          "plan table --trend 5%,8%,12% --power 80%",
          "assess rate --n 40 --p 5%",
          "assess compare --n 20,20 --p 20%",
          "tail normal --value 1.96",
          "tail binomial --n 40 --p 5% --area 5%");

  /** A value for each word, other than what it has unless it is given. */
  private static final Map<String, String> VALUES =
      Map.ofEntries(
          Map.entry("label", "Tiles"),
          Map.entry("against", "7%"),
          Map.entry("alternative", "less"),
          Map.entry("alpha", "1%"),
          Map.entry("level", "80%"),
          Map.entry("tests", "all"),
          Map.entry("intervals", "all"),
          Map.entry("lot", "9000"),
          Map.entry("data", "demo/regrade.csv"),
          Map.entry("table", "demo/scrap-by-kiln.csv"),
          Map.entry("cells", "3 4; 5 6"),
          Map.entry("outcome", "glaze"),
          Map.entry("success", "warped"),
          Map.entry("group", "glaze"),
          Map.entry("count", "n"),
          Map.entry("where", "kiln=North"),
          Map.entry("levels", "cracked,molten"),
          Map.entry("missing", "level"),
          Map.entry("prior", "2,3"),
          Map.entry("region", "1%,6%"),
          Map.entry("planned", "50"),
          Map.entry("threshold", "5"),
          Map.entry("expect", "6%"),
          Map.entry("simulate", "200"),
          Map.entry("seed", "7"),
          Map.entry("null-model", "pooled"),
          Map.entry("total", "n"),
          Map.entry("baseline", "North"),
          Map.entry("margin", "4%"),
          Map.entry("show", "equivalent"),
          Map.entry("rows", "glaze"),
          Map.entry("columns", "shift"),
          Map.entry("strata", "glaze"),
          Map.entry("ordered", "both"),
          Map.entry("order", "cracked,warped"),
          Map.entry("merge", "cracked+warped=bent"),
          Map.entry("row-scores", "1,2,4"),
          Map.entry("column-scores", "1,2,4"),
          Map.entry("figures", "expected"),
          Map.entry("budget", "0.001"),
          Map.entry("sampling", "rows"),
          Map.entry("n", "123"),
          Map.entry("p", "9%"),
          Map.entry("base", "9%"),
          Map.entry("power", "85%"),
          Map.entry("sides", "one-sided"),
          Map.entry("method", "exact"),
          Map.entry("units", "tiles"),
          Map.entry("response", "40%"),
          Map.entry("half-width", "1%"),
          Map.entry("design", "cluster=glaze"),
          Map.entry("design-effect", "1.5"),
          Map.entry("allocation", "2"),
          Map.entry("difference", "-2%"),
          Map.entry("ratio", "0.5"),
          Map.entry("odds-ratio", "0.5"),
          Map.entry("first-only", "5%"),
          Map.entry("second-only", "2%"),
          Map.entry("df", "3"),
          Map.entry("shape", "3x3"),
          Map.entry("categories", "4"),
          Map.entry("w", "0.2"),
          Map.entry("conventional", "small"),
          Map.entry("cramers-v", "0.2"),
          Map.entry("trend", "1%,2%,3%"),
          Map.entry("scores", "1,2,4"),
          Map.entry("value", "2"),
          Map.entry("between", "1,2"),
          Map.entry("area", "10%"),
          Map.entry("mean", "1"),
          Map.entry("sd", "2"),
          Map.entry("noncentrality", "2"),
          Map.entry("population", "500"),
          Map.entry("successes", "25"),
          Map.entry("encoding", "UTF-16LE"),
          Map.entry("outcomes", "shift,glaze"),
          Map.entry("adjust", "none"),
          Map.entry("sort", "file"),
          Map.entry("sheet", "2"),
          Map.entry("range", "A1:B7"),
          Map.entry("codebook", "demo/panel-codes.schema.json"),
          Map.entry("cut", "grade:1-2=few"),
          Map.entry("split", ";"),
          Map.entry("database", "jdbc:sqlite:none.db"),
          Map.entry("relation", "log"),
          Map.entry("query", "SELECT 1"),
          Map.entry("order-by", "day"),
          Map.entry("engine-above", "1x"),
          Map.entry("db-timeout", "7"),
          Map.entry("db-credentials", "none.properties"),
          Map.entry("driver-path", "none.jar"));

  private static final List<String> FLAGS =
      List.of(
          "--bayes",
          "--sequence",
          "--pairwise",
          "--paired",
          "--working",
          "--until-clear",
          "--show-sql");

  /** Words that say what holds anyway: all the tests there are, no value missing in the file. */
  private static final Set<String> ALREADY_SO =
      Set.of(
          "--tests of strata",
          "--tests of pairs",
          "--missing of pairs",
          "--bayes of planned",
          "--intervals of two by design");

  private static String about(String command) {
    if (command.startsWith("compare") && command.contains("--design")) {
      return "two by design";
    }
    return command.contains("--strata")
        ? "strata"
        : command.contains("regrade") ? "pairs" : command.contains("--planned") ? "planned" : "";
  }

  static List<String> commands() {
    return COMMANDS;
  }

  @ParameterizedTest
  @MethodSource("commands")
  void isRefusedOrTakesEffect(String command) {
    CommandLine plain = CommandLine.shell(command);
    assertThat(plain.status()).as(plain.err()).isZero();
    List<String> given = Arrays.asList(command.split(" "));
    List<String> ignored = new ArrayList<>();
    VALUES.forEach(
        (word, value) -> {
          String option = "--" + word;
          if (!given.contains(option) && !ALREADY_SO.contains(option + " of " + about(command))) {
            CommandLine more = CommandLine.shell(command + " " + option + " '" + value + "'");
            assertThat(more.status()).as(command + " " + option + more.err()).isBetween(0, 3);
            if (more.status() == 0 && more.out().equals(plain.out())) {
              ignored.add(option + " " + value);
            }
          }
        });
    for (String flag : FLAGS) {
      CommandLine more = CommandLine.shell(command + " " + flag);
      assertThat(more.status()).as(command + " " + flag + more.err()).isBetween(0, 3);
      if (!given.contains(flag)
          && !ALREADY_SO.contains(flag + " of " + about(command))
          && more.status() == 0
          && more.out().equals(plain.out())) {
        ignored.add(flag);
      }
    }
    assertThat(ignored).isEmpty();
  }

  /** A word that is new must be tried too. */
  @Test
  void everyWordIsTried() {
    Set<String> tried = new HashSet<>(VALUES.keySet());
    FLAGS.forEach(flag -> tried.add(flag.substring(2)));
    // A faster way to the same answer, and what look writes beside it.
    tried.addAll(List.of("engine", "codebook-out"));
    assertThat(tried)
        .containsAll(
            CommandSchemas.all().stream()
                .flatMap(kind -> kind.words().stream())
                .map(Parameter::name)
                .toList());
  }
}
