package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What shells are told could stand where a command line ends. */
class CompletionTest {
  private static final String LOG = "--data demo/firing-log.csv ";

  private static List<String> completed(String shell, List<String> words) {
    List<String> asked = new ArrayList<>(List.of("complete", shell));
    asked.addAll(words);
    CommandLine ended = CommandLine.run(asked.toArray(String[]::new));
    assertThat(ended.status()).isZero();
    assertThat(ended.err()).isEmpty();
    return ended.out().lines().map(line -> line.replaceFirst("\t.*", "")).toList();
  }

  private static List<String> completed(String line) {
    return completed("fish", Arrays.asList(line.replace("LOG ", LOG).split(" ", -1)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ra | rate",
        "s | shares sweep",
        "rate --alt | --alternative",
        "rate --out | --outcome --out",
        "rate --outcome grade --out | --out",
        "rate --where a=b --whe | --where",
        "rate --alternative ' | two-sided less greater",
        "rate --alternative=gr | --alternative=greater",
        "rate --missing l | level",
        "rate LOG --outcome ' | date kiln shift glaze grade",
        "rate LOG --outcome g | glaze grade",
        "rate LOG --outcome grade --success c | crazed cracked",
        "rate LOG --outcome grade --success cracked,w | cracked,warped",
        "rate LOG --outcome=grade --success=w | --success=warped",
        "rate LOG --where gl | glaze= :more",
        "rate LOG --where kiln=T | kiln=Tunnel",
        "rate LOG --merge cracked+w | cracked+warped",
        "compare LOG --group kiln --baseline N | North",
        "sweep LOG --outcomes kiln,gr | kiln,grade",
        "compare --tests barnard,bo | barnard,boschloo",
        "rate --intervals cl | clopper-pearson",
        "cross --tests yat | yates",
        "shares --intervals s | sison-glaz",
        "rate --chart nu | null= :more :files",
        "rate --data x | :files",
        "run st | :files",
        "plan ta | table",
        "plan rate --sides o | one-sided",
        "tail hy | hypergeometric",
        "help pl | plan",
        "nonsense --a | ''",
        "rate --data demo/none.csv --outcome g | ''",
        "rate 14/ | ''",
      })
  void aLineIsCompleted(String line, String expected) {
    List<String> words = expected.isEmpty() ? List.of() : List.of(expected.split(" "));
    assertThat(completed(line.replace("'", ""))).containsExactlyElementsOf(words);
  }

  /** As bash cuts it: the rest of the word after the last sign. */
  @Test
  void bashIsToldTheRestAfterItsCut() {
    List<String> line = new ArrayList<>(List.of("rate", "--data", "demo/firing-log.csv"));
    line.addAll(List.of("--where", "kiln", "=", "T"));
    assertThat(completed("bash", line)).containsExactly("Tunnel");
    assertThat(completed("bash", List.of("rate", "--alternative", "=", "l")))
        .containsExactly("less");
    assertThat(completed("bash", List.of("rate", "--chart", "null", "=", "f"))).contains(":files");
  }

  @Test
  void namesOfAnyKindAreCompletedAsTheyAre(@TempDir Path folder) throws IOException {
    Path file = folder.resolve("näme of file.csv");
    Files.writeString(file, "the kiln,Güte\n\"a, b\",1\n'$(x)',2\n");
    List<String> line = List.of("rate", "--data", file.toString(), "--outcome");
    assertThat(completed("zsh", with(line, ""))).containsExactly("the kiln", "Güte");
    assertThat(completed("bash", List.of("rate", "--data", "'" + file + "'", "--outcome", "'the")))
        .containsExactly("the kiln");
    List<String> levels = with(with(line, "the kiln"), "--success");
    assertThat(completed("fish", with(levels, "'"))).containsExactly("'$(x)'");
  }

  private static List<String> with(List<String> line, String word) {
    List<String> longer = new ArrayList<>(line);
    longer.add(word);
    return longer;
  }

  @Test
  void wordsSayWhatTheyMean() {
    CommandLine ended = CommandLine.run("complete", "zsh", "rate", "--alph");
    assertThat(ended.out()).isEqualTo("--alpha\tThe significance level\n");
  }
}
