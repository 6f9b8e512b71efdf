package dev.tavik.dist;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A project that knows Tavik by its coordinates alone gets its answers in every way Java has. */
class CoordinatesTest {
  private static final Path BUILT = Path.of("target/it/by-coordinates/target").toAbsolutePath();
  private static final String MAIN = "works.harrowmere.Acceptance";

  private static String ran(String input, String tool, String... arguments) throws Exception {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", tool).toString());
    command.addAll(Arrays.asList(arguments));
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    process.getOutputStream().write(input.getBytes(StandardCharsets.UTF_8));
    process.getOutputStream().close();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor()).as(out).isZero();
    return out;
  }

  private static String jars() throws IOException {
    try (Stream<Path> jars = Files.list(BUILT.resolve("lib"))) {
      return jars.map(Path::toString).sorted().collect(Collectors.joining(File.pathSeparator));
    }
  }

  private static void assertAnswered(String out) {
    assertThat(out)
        .contains("The rate is below 10%: observed 5.5% (66 of 1,196)")
        .contains("true\ntrue\n");
  }

  @Test
  void byTheClassPath() throws Exception {
    String path = BUILT.resolve("classes") + File.pathSeparator + jars();
    assertAnswered(ran("", "java", "-Djava.awt.headless=true", "-cp", path, MAIN));
  }

  @Test
  void byTheModulePath() throws Exception {
    String path = BUILT.resolve("classes") + File.pathSeparator + BUILT.resolve("lib");
    String main = "works.harrowmere.acceptance/" + MAIN;
    assertAnswered(ran("", "java", "-Djava.awt.headless=true", "-p", path, "-m", main));
  }

  @Test
  void byTheShell() throws Exception {
    String asked =
        """
        import dev.tavik.count.*
        import dev.tavik.study.rate.*
        System.out.println(RateQuestion.of(Tally.of(14, 400), 0.05).ask().verdict().text())
        """;
    assertThat(ran(asked, "jshell", "--class-path", jars(), "-s", "-"))
        .contains("from 5%: observed 3.5% (14 of 400)");
  }
}
