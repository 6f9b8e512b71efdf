package dev.tavik.dist;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.cli.Tavik;
import dev.tavik.cli.Terminal;
import dev.tavik.data.SourceOpener;
import dev.tavik.report.Screen;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.jar.JarFile;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine;

/** What lies beside the program. */
class ContentsTest {
  private static final Path PROGRAM = Path.of("target", "tavik-" + version(), "tavik-" + version());

  private static String version() {
    return System.getProperty("tavik.version");
  }

  /** The list is checked in, so that a new library is seen by who reviews it. */
  @Test
  void whatIsHandedOnIsListedAsItIs() throws IOException {
    assertThat(Path.of("..", "THIRD-PARTY.txt"))
        .as("copy tavik-dist/target/third-party.txt to THIRD-PARTY.txt")
        .hasSameTextualContentAs(Path.of("target/third-party.txt"));
  }

  @Test
  void everyLibraryHasTheTextOfItsLicence() throws IOException {
    List<String> libraries =
        Files.readAllLines(Path.of("..", "THIRD-PARTY.txt")).stream()
            .filter(line -> line.matches("[^:]+: [^: ]+:[^: ]+:[^: ]+"))
            .map(line -> line.split(":")[2])
            .toList();
    assertThat(libraries).hasSizeGreaterThan(30).contains("jfreechart", "duckdb_jdbc", "picocli");
    for (String library : libraries) {
      try (Stream<Path> texts = Files.list(PROGRAM.resolve("licenses").resolve(library))) {
        assertThat(texts.filter(text -> text.toFile().length() > 500)).as(library).isNotEmpty();
      }
    }
    assertThat(PROGRAM.resolve("licenses/jfreechart/LICENSE.txt"))
        .content()
        .contains("GNU LESSER GENERAL PUBLIC LICENSE");
    assertThat(PROGRAM.resolve("LICENSE")).content().contains("Apache License");
  }

  @ParameterizedTest
  @ValueSource(strings = {"core", "answer", "data", "sql", "report", "chart", "cli"})
  void everyJarSaysUnderWhichLicenceItIs(String module) throws IOException {
    Path jar =
        Path.of("..", "tavik-" + module, "target", "tavik-" + module + "-" + version() + ".jar");
    try (JarFile file = new JarFile(jar.toFile())) {
      assertThat(file.getEntry("META-INF/LICENSE")).isNotNull();
      assertThat(file.getEntry("META-INF/NOTICE")).isNotNull();
      assertThat(file.getEntry("module-info.class")).isNotNull();
    }
  }

  @Test
  void everyCommandHasAPageWithAllOfItsOptions() throws IOException {
    PrintWriter nowhere = new PrintWriter(Writer.nullWriter());
    CommandLine all =
        new Tavik(new Terminal(nowhere, nowhere, SourceOpener.ofFiles(), Screen.PLAIN, "tavik"))
            .everything();
    String overview = Files.readString(PROGRAM.resolve("man/man1/tavik.1"));
    for (String name : all.getSubcommands().keySet()) {
      if (name.equals("help")) {
        continue;
      }
      assertThat(overview).contains("tavik " + name.replace("-", "\\-"));
      String page = Files.readString(PROGRAM.resolve("man/man1/tavik-" + name + ".1"));
      assertThat(page).startsWith(".TH \"TAVIK-").doesNotContain("%%");
      all.getSubcommands().get(name).getCommandSpec().options().stream()
          .filter(option -> !option.hidden())
          .forEach(option -> assertThat(page).contains("\\fB" + namesOf(option.names()) + "\\fR"));
    }
  }

  private static String namesOf(String... names) {
    return String.join(", ", names).replace("-", "\\-");
  }
}
