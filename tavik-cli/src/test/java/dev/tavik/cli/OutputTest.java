package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import dev.tavik.data.SourceOpener;
import dev.tavik.report.Screen;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where answers go: nothing is lost without a word, and no file that is read is written over. */
class OutputTest {
  private static final String ROWS = "kiln,grade\nNorth,sound\nNorth,cracked\nSouth,sound\n";

  @TempDir private Path folder;
  private Path data;

  @BeforeEach
  void layOut() throws IOException {
    data = Files.writeString(folder.resolve("log.csv"), ROWS);
  }

  /** The program of its own, with its output sent where a shell sends it. */
  private record Ended(int status, String err) {}

  private Ended shell(String words, String redirection) throws IOException, InterruptedException {
    assumeTrue(Files.isExecutable(Path.of("/bin/sh")) && Files.exists(Path.of("/dev/full")));
    Path err = folder.resolve("err");
    Process process =
        new ProcessBuilder(
                "/bin/sh",
                "-c",
                "\"$0\" -XX:TieredStopAtLevel=1 -cp \"$1\" dev.tavik.cli.Main "
                    + words
                    + " "
                    + redirection,
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                System.getProperty("java.class.path"))
            .redirectError(err.toFile())
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    int status = process.waitFor();
    return new Ended(status, Files.readString(err, StandardCharsets.UTF_8));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "rate 14/400 --against 5%;>/dev/full;4;1",
        "rate 14/400 --against 5% --json;>/dev/full;4;1",
        "rate 14/400 --against 5%;>&-;4;1",
        "look --data demo/firing-log.csv --json;>&-;4;1",
        "--help;>/dev/full;4;1",
        "rate 14/400 --against 5%;| head -n 1;0;0",
        "rate 14/400 --against 5%;>/dev/null;0;0"
      })
  void outputThatIsLostIsSaid(String words, String redirection, int status, int lines)
      throws Exception {
    Ended ended = shell(words.replace("demo/", "../demo/"), redirection);
    assertThat(ended.status()).as(ended.err()).isEqualTo(status);
    assertThat(ended.err().lines()).as(ended.err()).hasSize(lines);
    assertThat(ended.err()).doesNotContain("Exception", "\tat ");
  }

  /** A page of thousands of answers is slow to open: it is an index then, beside its pages. */
  @Test
  void manyAnswersAreAnIndexAndPages() throws IOException {
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, "questions:\n" + "  - {ask: rate, tally: 14/400, against: 5%}\n".repeat(501));
    Path index = folder.resolve("big week.html");
    CommandLine answer = CommandLine.run("run", study.toString(), "--out", index.toString());
    assertThat(answer.err()).contains("big week.html", "page-1.html", "page-3.html");
    String verdicts = Files.readString(index);
    assertThat(verdicts).doesNotContain("<article").contains("501 questions");
    Matcher links = Pattern.compile("href=\"([^\"#]+)#(q\\d+)\"").matcher(verdicts);
    int number = 0;
    while (links.find()) {
      number++;
      assertThat(links.group(2)).isEqualTo("q" + number);
      Path page = folder.resolve(URLDecoder.decode(links.group(1), StandardCharsets.UTF_8));
      if (number % 100 == 1) {
        assertThat(page)
            .content()
            .contains("id=\"q" + number + "\"", "href=\"../big%20week.html\">All verdicts");
      }
    }
    assertThat(number).isEqualTo(501);
    assertThat(CommandLine.run("run", study.toString(), "--out", index.toString()).status())
        .isZero();
    Files.writeString(folder.resolve("big week/page-2.html"), "mine");
    assertThat(CommandLine.run("run", study.toString(), "--out", index.toString()).err())
        .contains("page-2.html that Tavik didn't write");
    Files.writeString(folder.resolve("big week/page-9.html"), "mine");
    Files.writeString(study, "questions:\n  - {ask: rate, tally: 14/400, against: 5%}\n");
    assertThat(
            CommandLine.run("run", study.toString(), "--out", index.toString(), "--overwrite")
                .status())
        .isZero();
    // Of the longer report nothing stays; what someone else wrote does.
    try (Stream<Path> left = Files.list(folder.resolve("big week"))) {
      assertThat(left.map(each -> each.getFileName().toString()))
          .containsExactlyInAnyOrder("page-2.html", "page-9.html");
    }
    try (Stream<Path> left = Files.walk(folder)) {
      assertThat(left.filter(each -> each.toString().endsWith(".part"))).isEmpty();
    }
  }

  /** A program that is told to end leaves no file, whole or in part, and nothing else is wrong. */
  @Test
  void whatIsCutOffLeavesNothing() throws IOException, InterruptedException {
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, "questions:\n" + "  - {ask: rate, tally: 14/400, against: 5%}\n".repeat(4_000));
    Path reports = Files.createDirectory(folder.resolve("reports"));
    Process running =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "dev.tavik.cli.Main",
                "run",
                study.toString(),
                "--out",
                reports.resolve("cut.html").toString())
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("said").toFile())
            .start();
    while (running.isAlive() && names(reports).size() < 2) {
      Thread.sleep(20);
    }
    running.destroy();
    assertThat(running.waitFor()).isEqualTo(143);
    assertThat(folder.resolve("said")).content().doesNotContain("pictures", "font", "Wrote");
    assertThat(names(reports)).isEmpty();
  }

  private static List<String> names(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.map(each -> each.getFileName().toString()).toList();
    }
  }

  @Test
  void aFileThatCantBeWrittenIsStatusFour() throws IOException {
    assumeTrue(Files.exists(Path.of("/dev/full")));
    Path link = Files.createSymbolicLink(folder.resolve("full.txt"), Path.of("/dev/full"));
    CommandLine answer = CommandLine.shell("rate 14/400 --against 5% --out " + link);
    Files.delete(link);
    assertThat(answer.status()).isEqualTo(4);
    assertThat(answer.err()).contains("full").doesNotContain("Exception");
  }

  @Test
  void whatIsReadIsNeverWrittenOver() throws IOException {
    Path link = Files.createSymbolicLink(folder.resolve("link.txt"), data);
    Path hard = Files.createLink(folder.resolve("hard.txt"), data);
    Path study =
        Files.writeString(
            folder.resolve("study.yaml"),
            """
            questions:
              - {ask: rate, tally: 1/9, against: 5%}
              - {ask: rate, data: log.csv, outcome: grade, success: sound, against: 5%}
            """);
    String rate = "rate --outcome grade --success sound --against 5% --data " + data;
    for (String asked :
        List.of(rate, "run " + study, rate + " --json", "run " + study + " --json")) {
      for (Path over : List.of(data, link, hard)) {
        CommandLine answer = CommandLine.shell(asked + " --out " + over);
        assertThat(answer.status()).as(asked + " --out " + over).isEqualTo(2);
        assertThat(answer.err()).contains("--out");
        assertThat(Files.readString(data)).isEqualTo(ROWS);
      }
    }
    String before = Files.readString(study);
    assertThat(CommandLine.shell("run " + study + " --out " + study).status()).isEqualTo(2);
    assertThat(Files.readString(study)).isEqualTo(before);
  }

  @Test
  void anOldAnswerStaysUntilTheNewOneIsThere() throws IOException {
    String before = "old\n\nWritten by Tavik 0.1.0.\n";
    Path old = Files.writeString(folder.resolve("answer.txt"), before);
    Path link = Files.createSymbolicLink(folder.resolve("latest.txt"), old);
    String rate = "rate --outcome grade --against 5% --data " + data + " --success ";
    assertThat(CommandLine.shell(rate + "nowhere --out " + old).status()).isEqualTo(3);
    assertThat(Files.readString(old)).isEqualTo(before);
    assertThat(CommandLine.shell(rate + "sound --out " + link).status()).isZero();
    assertThat(link).isSymbolicLink();
    assertThat(Files.readString(old)).contains("(2 of 3)");
    try (var files = Files.list(folder)) {
      assertThat(files).hasSize(3);
    }
    CommandLine saved = CommandLine.shell("demo --save " + old);
    assertThat(saved.status()).isEqualTo(2);
    assertThat(saved.err()).contains("must name a folder");
  }

  /** The picture is lost and said; the answer stands. */
  @Test
  void aPictureThatFailsCostsThePicture() {
    Path picture = folder.resolve("p.svg");
    CommandLine answer = CommandLine.shell("cross --paired --cells '5 1; 1 7' --chart " + picture);
    assertThat(answer.status()).isEqualTo(2);
    assertThat(answer.err()).contains("is not drawn");
    assertThat(answer.out()).contains("kappa 0.708");
    assertThat(picture).doesNotExist();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate 14/400 --against 5% --bayes --simulate 100|intervals,null,belief,priors,simulation",
        "compare North=14/400 South=31/410 --bayes|intervals,null,belief,priors",
        "shares ash=31 iron=22 --against equal|intervals,null",
        "cross --cells '14 386; 31 379' --simulate 100|shares,mosaic,null,simulation",
        "plan rate --against 8% --expect 5% --n 500|power,effects,errors",
        "assess rate --n 30 --p 5%|coverage",
        "tail normal --value 1|areas"
      })
  void allPicturesOfAnAnswerAreDrawnIntoAFolder(String line, String pictures) throws IOException {
    CommandLine answer = CommandLine.shell(line + " --charts " + folder);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.err().lines()).hasSize(pictures.split(",").length);
    for (String picture : pictures.split(",")) {
      assertThat(Files.readString(folder.resolve(picture + ".svg"))).as(picture).contains("<svg");
    }
    // A folder that isn't there is made; one in a folder that isn't there may be mistyped.
    Path made = folder.resolve("made");
    assertThat(CommandLine.shell(line + " --charts " + made).status()).isZero();
    assertThat(made.resolve(pictures.split(",")[0] + ".svg")).exists();
    CommandLine nowhere = CommandLine.shell(line + " --charts " + folder.resolve("none/made"));
    assertThat(nowhere.status()).isEqualTo(2);
    assertThat(nowhere.err()).contains("--charts: there is no folder");
    CommandLine file = CommandLine.shell(line + " --charts " + data);
    assertThat(file.err()).contains("--charts must name a folder, got the file");
  }

  /** A fault is told as such, without a trace, and asks to be reported. */
  @Test
  void faultsAreToldAsFaults() {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    SourceOpener broken =
        name -> {
          throw new IllegalStateException("the roof leaks");
        };
    Terminal terminal =
        new Terminal(new PrintWriter(out), new PrintWriter(err), broken, Screen.PLAIN, "tavik");
    int status = new Tavik(terminal).run("look", "--data", "x.csv");
    assertThat(status).isEqualTo(4);
    assertThat(out.toString()).isEmpty();
    assertThat(err.toString())
        .contains("a fault in Tavik, not in your data", "the roof leaks", "report it")
        .doesNotContain("\tat ");
    assertThat(new Tavik(terminal).run()).isZero();
    assertThat(out.toString()).contains("tavik", "rate", "compare");
  }
}
