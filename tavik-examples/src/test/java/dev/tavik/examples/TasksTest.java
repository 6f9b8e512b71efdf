package dev.tavik.examples;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Small programs as somebody writes them who has only read {@code docs/java.md}: they compile and
 * answer.
 */
class TasksTest {
  /** Programs that ask for what there isn't yet. */
  private static final Set<String> WANTED =
      Set.of("JsonBack", "OwnGenerator", "PowerAtSize", "SurveyOfObjects");

  static Stream<Path> tasks() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("src/test/resources/tasks"))) {
      return files.filter(file -> file.toString().endsWith(".java")).sorted().toList().stream();
    }
  }

  @ParameterizedTest
  @MethodSource("tasks")
  void programsCompileAndAnswer(Path task, @TempDir Path folder) throws Exception {
    String name = task.getFileName().toString().replace(".java", "");
    assertThat(Files.readAllLines(task)).hasSizeLessThanOrEqualTo(25);
    StringWriter troubles = new StringWriter();
    boolean compiles = compiles(task, folder, troubles);
    assertThat(compiles).as(name + ": " + troubles).isEqualTo(!WANTED.contains(name));
    if (compiles) {
      URL[] classes = {folder.toUri().toURL()};
      try (URLClassLoader loader = new URLClassLoader(classes, getClass().getClassLoader())) {
        Object said =
            loader.loadClass("dev.tavik.examples.tasks." + name).getMethod("run").invoke(null);
        assertThat(String.valueOf(said)).as(name).isNotBlank().isNotEqualTo("null");
      }
    }
  }

  private static boolean compiles(Path task, Path folder, StringWriter troubles)
      throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      return compiler
          .getTask(
              troubles,
              files,
              null,
              List.of(
                  "-proc:none",
                  "-classpath",
                  System.getProperty("java.class.path"),
                  "-d",
                  folder.toString()),
              null,
              files.getJavaFileObjects(task))
          .call();
    }
  }

  /** The shell of the JDK needs the class path and an import. */
  @Test
  void aShellAnswersToo() throws Exception {
    Path jshell = Path.of(System.getProperty("java.home"), "bin", "jshell");
    Process shell =
        new ProcessBuilder(
                jshell.toString(),
                "-s",
                "--class-path",
                System.getProperty("java.class.path"),
                "src/test/resources/tasks/tavik.jsh")
            .redirectErrorStream(true)
            .start();
    shell.getOutputStream().close();
    String said = new String(shell.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(shell.waitFor()).as(said).isZero();
    assertThat(said).startsWith("The rate is not shown to differ from 5%");
  }
}
