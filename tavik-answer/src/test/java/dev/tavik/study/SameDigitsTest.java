package dev.tavik.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The same digits however a Java runs: figures in {@code many-figures.txt} to the last bit, where
 * the platform's logarithms and powers are the same; elsewhere to what these may differ by. They
 * say nothing of being right, which other tests do. {@code -Dtavik.figures=write} writes them anew,
 * and {@code -Dtavik.javas=/one/java:/another} asks other Javas too.
 */
class SameDigitsTest {
  private static final Path FIGURES = Path.of("src/test/resources/many-figures.txt");

  /** What a platform's logarithm may be off, grown by a search for a limit. */
  private static final double ELSEWHERE = 1e-10;

  private static List<String> golden() throws IOException {
    if ("write".equals(System.getProperty("tavik.figures"))) {
      Files.write(FIGURES, ManyFigures.lines());
    }
    return Files.readAllLines(FIGURES);
  }

  @Test
  void figuresAreTheSameHere() throws IOException {
    List<String> golden = golden();
    assertThat(golden).hasSize(ManyFigures.FIGURES);
    assertClose(ManyFigures.lines(), golden);
    if (System.getProperty("os.arch").equals("amd64")) {
      assertThat(ManyFigures.lines()).isEqualTo(golden);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "-Xint",
        "-XX:TieredStopAtLevel=1",
        "-XX:-TieredCompilation",
        "-XX:UseAVX=0 -XX:-UseFMA",
        "-XX:+UseParallelGC"
      })
  void figuresAreTheSameHoweverTheyAreRun(String flags) throws IOException, InterruptedException {
    List<String> here = ManyFigures.lines();
    for (String java : javas()) {
      assertThat(printed(java, flags)).as(java + " " + flags).isEqualTo(here);
    }
  }

  /** Without the processor's own logarithms, as on another processor. */
  @Test
  void withOtherLogarithmsOnlyTheLastDigitsDiffer() throws IOException, InterruptedException {
    assertClose(
        printed(javas().get(0), "-XX:+UnlockDiagnosticVMOptions -XX:-UseLibmIntrinsic -Xint"),
        ManyFigures.lines());
  }

  private static List<String> javas() {
    List<String> javas = new ArrayList<>();
    javas.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    String others = System.getProperty("tavik.javas", "");
    javas.addAll(others.isEmpty() ? List.of() : List.of(others.split(":")));
    return javas;
  }

  private static List<String> printed(String java, String flags)
      throws IOException, InterruptedException {
    List<String> command = new ArrayList<>(List.of(java, "-XX:+IgnoreUnrecognizedVMOptions"));
    command.addAll(List.of(flags.split(" ")));
    command.addAll(
        List.of("-cp", System.getProperty("java.class.path"), ManyFigures.class.getName()));
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor()).as(out).isZero();
    return out.lines().filter(line -> !line.contains("warning")).toList();
  }

  private static void assertClose(List<String> lines, List<String> golden) {
    assertThat(lines).hasSameSizeAs(golden);
    for (int i = 0; i < lines.size(); i++) {
      int space = golden.get(i).lastIndexOf(' ');
      assertThat(lines.get(i)).startsWith(golden.get(i).substring(0, space + 1));
      if (!golden.get(i).endsWith("declined")) {
        double expected = Double.valueOf(golden.get(i).substring(space + 1));
        double found = Double.valueOf(lines.get(i).substring(space + 1));
        if (Double.isFinite(expected)) {
          assertThat(found)
              .as("figure %d: %s", i, golden.get(i))
              .isCloseTo(expected, within(ELSEWHERE * Math.max(1e-3, Math.abs(expected))));
        } else {
          assertThat(found).isEqualTo(Double.valueOf(expected));
        }
      }
    }
  }
}
