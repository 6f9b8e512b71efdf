package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.data.SourceOpener;
import dev.tavik.report.Screen;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jline.terminal.impl.DumbTerminal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Questions asked step by step, of a person who is a script. */
class GuideTest {
  private static final Pattern AGAIN =
      Pattern.compile("To ask it again:\n(.*)\n\nThe same as a study[^\n]*\n(.*)", Pattern.DOTALL);

  @TempDir private Path folder;

  /** What a person saw, what came out, and what was said beside. */
  private record Told(int status, String seen, String out, String err) {
    String again(int group) {
      Matcher again = AGAIN.matcher(out);
      assertThat(again.find()).as(seen + out + err).isTrue();
      return again.group(group);
    }

    String command() {
      return again(1).replace(" \\\n", "").replaceAll("\\s+", " ").replace("'", "").strip();
    }
  }

  private static Told told(String typed) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    ByteArrayOutputStream seen = new ByteArrayOutputStream();
    InputStream keys = new ByteArrayInputStream(typed.getBytes(StandardCharsets.UTF_8));
    Terminal terminal =
        new Terminal(
            new PrintWriter(out),
            new PrintWriter(err),
            SourceOpener.ofFiles(),
            Screen.PLAIN,
            "tavik");
    int status =
        new Tavik(
                terminal,
                () -> new DumbTerminal("test", "dumb", keys, seen, StandardCharsets.UTF_8))
            .run("ask");
    return new Told(status, seen.toString(StandardCharsets.UTF_8), out.toString(), err.toString());
  }

  private static Told answered(String answers) {
    String log = Path.of("..", "demo", "firing-log.csv").toString();
    return told(answers.replace("LOG", log).replace("; ", "\n").replace("_", "") + "\n");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "counts; rate; 14/400; 5%; less; y; _ | rate 14/400 --against 5% --alternative less"
            + " --alpha 5%",
        "2; 2; North=14/400; South=31/410; _; two-sided; 1% | compare North=14/400 South=31/410"
            + " --alternative two-sided --alpha 1%",
        "2; 2; A=1/9; B=2/9; C=3/9; _; _ | compare A=1/9 B=2/9 C=3/9 --alpha 5%",
        "2; 3; ash=31 celadon=22 iron=17; 40%,30%,30%; _ | shares ash=31 celadon=22 iron=17"
            + " --against 40%,30%,30% --alpha 5%",
        "file; LOG; rate; grade; cracked,warped; 8%; 3; y; _ | rate --data LOG --outcome grade"
            + " --success cracked,warped --against 8% --alternative greater --alpha 5%",
        "1; LOG; compare; grade; 3,4; kiln; Tunnel; _ | compare --data LOG --outcome grade"
            + " --success cracked,warped --group kiln --baseline Tunnel --alpha 5%",
        "1; LOG; compare; 4; 3; shift; early; less; y; 5% | compare --data LOG --outcome grade"
            + " --success cracked --group shift --baseline early --alternative less --alpha 5%",
        "1; LOG; cross; kiln; grade; _ | cross --data LOG --rows kiln --columns grade --alpha 5%",
        "1; LOG; shares; kiln; equal; _ | shares --data LOG --outcome kiln"
            + " --order South,North,Tunnel --against equal --alpha 5%",
        "table; ../demo/scrap-by-kiln.csv; cross; _ | cross --table ../demo/scrap-by-kiln.csv"
            + " --alpha 5%",
      })
  void stepsMakeACommandAndAStudyThatAskTheSame(String answers, String command) throws IOException {
    Told told = answered(answers);
    assertThat(told.status()).as(told.err() + told.seen()).isZero();
    String line = command.replace("LOG", "../demo/firing-log.csv").replaceAll("\\s+", " ");
    assertThat(told.command()).isEqualTo("tavik " + line);
    CommandLine again = CommandLine.run(line.split(" "));
    assertThat(told.out()).startsWith("\n" + again.out());
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, told.again(2).replace("../demo", Path.of("..", "demo").toAbsolutePath().toString()));
    CommandLine run = CommandLine.run("run", study.toString(), "--allow-outside");
    assertThat(run.status()).as(run.err() + told.again(2)).isZero();
    String verdict = again.out().substring(0, again.out().indexOf("\n\n"));
    assertThat(words(run.out())).contains(words(verdict));
  }

  private static String words(String text) {
    return text.replaceAll("\\s+", " ");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2; 1; 400/14; 14/400; 5%; 1; _ | successes must be between 0 and trials",
        "2; 1; 14/400; 5; 5%; 1; _ | 5",
        "2; 1; 14/400; 0.05%; n; 5%; 1; _ | 0.05% is 5 in 10,000, far below what is seen",
        "2; 1; 14/400; 5%; greater; y; _ | The observed difference is in the opposite direction",
        "2; 1; 14/400; 5%; less; n; _ | two-sided it is",
        "2; 1; 14/400; 5%; 1; 95%; 5% | 95% looks like a confidence level, whose alpha is 5%",
        "2; 1; 14/400; 5%; sideways; 1; _ | there is no sideways",
        "2; 1; 14/400; 5%; 7; 1; _ | there are 3 to choose from, got 7",
        "9; counst; 2; 1; 14/400; 5%; 1; _ | there is no counst; did you mean counts?",
        "1; none.csv; LOG; 3; kiln; grade; _ | none.csv",
        "1; LOG; 1; grade; 1,2,3,4; 3; 8%; 1; _ | With every level a success the rate is 100%",
        "1; LOG; 1; grade; 3; 8%; 1; _ | grade lacks a value in 4 rows",
      })
  void slipsAreToldWhereTheyHappenAndAskedAgain(String answers, String warning) {
    Told told = answered(answers);
    assertThat(told.status()).as(told.err()).isZero();
    assertThat(words(told.seen())).contains("! ").contains(warning);
    assertThat(told.command()).startsWith("tavik ");
  }

  @Test
  void leavingLosesNothingAndIsNoTrouble() {
    for (String typed : List.of("", "2\n", "2\n1\n14/400\n\u0003")) {
      Told told = told(typed);
      assertThat(told.status()).isZero();
      assertThat(told.err()).isEqualTo("Left; nothing was asked.\n");
      assertThat(told.out()).isEmpty();
    }
  }

  @Test
  void levelsWithCommasQuotesAndBlanksComeThrough() throws IOException {
    Path file = folder.resolve("it's a file.csv");
    Files.writeString(file, "the \"answer\"\n" + "\"yes, often\"\n".repeat(30) + "no\n".repeat(20));
    Told told = told("1\n" + file + "\n1\n1\nyes, often\n50%\n1\n\n");
    assertThat(told.status()).as(told.err() + told.seen()).isZero();
    assertThat(told.out()).contains("30 of 50");
    Path study = folder.resolve("study.yaml");
    Files.writeString(study, told.again(2));
    assertThat(CommandLine.run("run", study.toString()).out()).contains("30 of 50");
  }

  @Test
  void aFileWithoutCategoriesIsAskedForAgain() throws IOException {
    Path file = Files.writeString(folder.resolve("numbers.csv"), "x\n1.5\n");
    Told told = answered("1; " + file + "; LOG; 1; grade; 3; 8%; 1; _");
    assertThat(told.status()).as(told.err() + told.seen()).isZero();
    assertThat(words(told.seen())).contains("has no column of categories; tavik look says");
  }

  @Test
  void withoutATerminalItSaysWhatToUse() {
    CommandLine asked = CommandLine.run("ask");
    assertThat(asked.status()).isEqualTo(2);
    assertThat(asked.err()).contains("ask needs a terminal").contains("tavik look --data FILE");
  }
}
