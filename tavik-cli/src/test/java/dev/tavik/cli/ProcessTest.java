package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The program as a process of its own: standard streams, exit status, signals. */
@Order(1)
class ProcessTest {
  @TempDir private Path folder;
  private @Nullable Process process;

  @AfterEach
  void end() {
    if (process != null) {
      process.destroyForcibly();
    }
  }

  private Process started(String... words) throws IOException {
    return started(List.of(), words);
  }

  private Process started(List<String> flags, String... words) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    // What counts the lines that this run runs counts those of two such processes too.
    String agent = System.getProperty("tavik.agent", "").replace("\"", "").strip();
    if (agent.startsWith("-javaagent:")
        && Stream.of(words).anyMatch(Set.of("-", "--simulate")::contains)) {
      command.add(agent);
    }
    command.addAll(
        List.of(
            "-Xmx256m",
            "-XX:TieredStopAtLevel=1",
            "-Dtavik.progress=true",
            "-cp",
            System.getProperty("java.class.path")));
    command.addAll(flags);
    command.add("dev.tavik.cli.Main");
    command.addAll(List.of(words));
    process =
        new ProcessBuilder(command)
            .redirectOutput(folder.resolve("out").toFile())
            .redirectError(folder.resolve("err").toFile())
            .start();
    return process;
  }

  private String out() throws IOException {
    return Files.readString(folder.resolve("out"));
  }

  private String err() throws IOException {
    return Files.readString(folder.resolve("err"));
  }

  @Test
  void rowsComeFromStandardInput() throws IOException, InterruptedException {
    Process asked =
        started("rate", "--data", "-", "--outcome", "g", "--success", "cracked", "--against", "5%");
    try (OutputStream rows = asked.getOutputStream()) {
      rows.write("g\ncracked\nsound\nsound\n".getBytes(StandardCharsets.UTF_8));
    }
    assertThat(asked.waitFor()).as(err()).isZero();
    assertThat(out()).contains("1 of 3");
    assertThat(err()).isEmpty();
  }

  /** A pipe with a name works like standard input, whatever comes through it. */
  @ParameterizedTest
  @ValueSource(strings = {"firing-log.csv", "week-18.xlsx"})
  void rowsComeThroughAPipe(String file) throws IOException, InterruptedException {
    Path pipe = folder.resolve("pipe");
    assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor()).isZero();
    Process asked =
        started(
            "rate",
            "--data",
            pipe.toString(),
            "--outcome",
            "grade",
            "--success",
            "sound",
            "--against",
            "80%");
    try (OutputStream rows = Files.newOutputStream(pipe, StandardOpenOption.WRITE)) {
      Files.copy(Path.of("../demo").resolve(file), rows);
    }
    assertThat(asked.waitFor()).as(err()).isZero();
    assertThat(out()).contains("From " + pipe);
  }

  /** Killed while it writes, the program leaves what was there before, and whole. */
  @Test
  void aKilledProgramLeavesNothingHalfWritten() throws IOException, InterruptedException {
    Path report = folder.resolve("report.json");
    assertThat(
            CommandLine.run("rate", "14/400", "--against", "5%", "--out", report.toString())
                .status())
        .isZero();
    String before = Files.readString(report);
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, "questions:\n" + "  - {ask: rate, tally: 14/400, against: 5%}\n".repeat(5_000));
    Process asked = started("run", study.toString(), "--out", report.toString());
    while (asked.isAlive() && parts().isEmpty()) {
      Thread.onSpinWait();
    }
    assertThat(asked.destroyForcibly().waitFor()).as(err()).isNotZero();
    assertThat(report).content().isEqualTo(before);
    assertThat(parts()).hasSize(1);
    CommandLine again =
        CommandLine.run("rate", "15/400", "--against", "5%", "--out", report.toString());
    assertThat(again.status()).isZero();
    assertThat(report).content().contains("15").isNotEqualTo(before);
  }

  private List<Path> parts() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(file -> file.toString().endsWith(".part")).toList();
    }
  }

  /** What the threads of a process are doing. */
  private static String stacks(Process of) throws IOException {
    Process asked =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "jstack").toString(),
                Long.toString(of.pid()))
            .redirectErrorStream(true)
            .start();
    return new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  /** A statement that runs is cancelled when the program is interrupted. */
  @Test
  void anInterruptEndsAStatement() throws IOException, InterruptedException {
    Process asked =
        started(
            "rate",
            "--database",
            "jdbc:duckdb:",
            "--query",
            "SELECT a.i % 2 AS g FROM range(3000000) a(i), range(3000000) b(j)",
            "--outcome",
            "g",
            "--success",
            "1",
            "--against",
            "50%");
    while (asked.isAlive() && !stacks(asked).contains("duckdb_jdbc_execute")) {
      Thread.sleep(20);
    }
    assertThat(asked.isAlive()).as(err()).isTrue();
    asked.destroy();
    asked.waitFor();
    assertThat(out()).isEmpty();
  }

  @Test
  void troubleHasItsStatusAndStream() throws IOException, InterruptedException {
    Process asked = started("rate", "14/400", "--against", "5", "--bayes");
    assertThat(asked.waitFor()).isEqualTo(2);
    assertThat(out()).isEmpty();
    assertThat(err()).contains("did you mean 5%?");
  }

  @Test
  void whyPicturesAreMissingIsToldOnce() throws IOException, InterruptedException {
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study, "questions:\n" + "  - {ask: rate, tally: 14/400, against: 5%}\n".repeat(3));
    Path report = folder.resolve("report.html");
    Path none = folder.resolve("none");
    Process asked =
        started(
            List.of("-Djava.io.tmpdir=" + none),
            "run",
            study.toString(),
            "--out",
            report.toString());
    assertThat(asked.waitFor()).as(err()).isZero();
    assertThat(err()).containsOnlyOnce("lacks pictures").contains("temporary folder (" + none);
    assertThat(report).content().contains("14 of 400");
  }

  /** How far it has come is told; asked to stop, a simulation answers with what it has. */
  @Test
  void aStoppedSimulationIsAnswered() throws IOException, InterruptedException {
    Process asked =
        started("rate", "14/400", "--against", "5%", "--simulate", "9e9", "--seed", "7");
    while (asked.isAlive() && !err().contains("Drawing")) {
      Thread.sleep(20);
    }
    asked.destroy();
    asked.waitFor();
    assertThat(out().replaceAll("\\s+", " "))
        .contains("Simulated", "(interrupted; 9,000,000,000 were asked for)");
  }
}
