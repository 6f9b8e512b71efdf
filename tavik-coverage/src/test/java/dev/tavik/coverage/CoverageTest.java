package dev.tavik.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.jacoco.core.analysis.Analyzer;
import org.jacoco.core.analysis.CoverageBuilder;
import org.jacoco.core.tools.ExecFileLoader;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The tests of all modules together run most lines of each; their records are read here. */
class CoverageTest {
  private static final Path ROOT = Path.of("..");
  private static final double FLOOR = 0.85;

  private static final ExecFileLoader RUN = new ExecFileLoader();

  @BeforeAll
  static void load() throws IOException {
    for (Path module : modules()) {
      Path record = module.resolve("target/jacoco.exec");
      if (Files.exists(record)) {
        RUN.load(record.toFile());
      }
    }
    assertThat(RUN.getExecutionDataStore().getContents())
        .as("what the tests ran; build all modules with mvn -B verify")
        .isNotEmpty();
  }

  private static List<Path> modules() throws IOException {
    try (Stream<Path> files = Files.list(ROOT)) {
      return files.filter(file -> Files.exists(file.resolve("pom.xml"))).sorted().toList();
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "tavik-core",
        "tavik-answer",
        "tavik-data",
        "tavik-sql",
        "tavik-report",
        "tavik-chart",
        "tavik-cli",
        "tavik-spark"
      })
  void mostLinesOfEveryModuleAreRun(String module) throws IOException {
    CoverageBuilder found = new CoverageBuilder();
    Path classes = ROOT.resolve(module).resolve("target/classes");
    Analyzer analyzer = new Analyzer(RUN.getExecutionDataStore(), found);
    try (Stream<Path> files = Files.walk(classes)) {
      for (Path file : files.filter(each -> each.toString().endsWith(".class")).toList()) {
        analyzer.analyzeAll(file.toFile());
      }
    }
    var lines = found.getBundle(module).getLineCounter();
    System.out.printf(
        "%s: %d of %d lines%n", module, lines.getCoveredCount(), lines.getTotalCount());
    assertThat(lines.getCoveredRatio()).as(module).isGreaterThanOrEqualTo(FLOOR);
  }
}
