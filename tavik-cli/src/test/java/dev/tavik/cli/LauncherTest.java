package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The launcher in a checkout of its own, whose Java only says what it was given. */
class LauncherTest {
  private static final List<String> HOSTILE =
      List.of("-delete", "-exec", "-n", "--", "!", "(", "a b.csv", "*", "$(touch pwned)", "'q'");

  private static final Path SHARED = Path.of("tavik-dist/src/main/program/lib/launch.sh");

  @TempDir private Path folder;
  private final Map<String, String> environment = new HashMap<>();
  private Path launcher;
  private Path data;

  @BeforeEach
  void layOut() throws IOException {
    assumeTrue(Files.isExecutable(Path.of("/bin/sh")));
    Path root = Files.createDirectories(folder.resolve("-check out"));
    launcher = root.resolve("tavik");
    Files.copy(Path.of("..", "tavik"), launcher);
    Path shared = root.resolve(SHARED);
    Files.createDirectories(shared.getParent());
    Files.copy(Path.of("..").resolve(SHARED), shared);
    Files.createDirectories(root.resolve("tavik-cli/target"));
    Files.createFile(root.resolve("tavik-cli/target/tavik.jar"));
    Path java = Files.createDirectories(root.resolve("jdk/bin")).resolve("java");
    Files.writeString(java, "#!/bin/sh\nprintf '%s\\n' \"$@\"\n");
    assertThat(java.toFile().setExecutable(true)).isTrue();
    data = Files.createDirectories(folder.resolve("data"));
    for (String name : HOSTILE) {
      Files.writeString(data.resolve(name), "kiln,grade\nNorth,sound\n");
    }
  }

  private List<String> launched(String... words) throws IOException, InterruptedException {
    List<String> command = new ArrayList<>(List.of("/bin/sh", launcher.toString()));
    command.addAll(Arrays.asList(words));
    ProcessBuilder builder = new ProcessBuilder(command).directory(data.toFile());
    builder.environment().put("JAVA_HOME", launcher.resolveSibling("jdk").toString());
    builder.environment().putAll(environment);
    Process process = builder.redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor()).as(out).isZero();
    return out.lines().toList();
  }

  /** A change in any module that the one jar is made of makes it anew. */
  @Test
  void everyModuleOfTheJarIsLookedAt() throws IOException {
    String script = Files.readString(Path.of("..", "tavik"));
    Matcher module =
        Pattern.compile("<module>(.*)</module>")
            .matcher(Files.readString(Path.of("..", "pom.xml")));
    List<String> apart =
        List.of(
            "checks.xml",
            "tavik-bom",
            "tavik-spark",
            "tavik-examples",
            "tavik-bench",
            "tavik-fuzz",
            "tavik-coverage",
            "tavik-dist");
    while (module.find()) {
      assertThat(script.contains("\"$home\"/" + module.group(1)))
          .as(module.group(1))
          .isNotEqualTo(apart.contains(module.group(1)));
    }
  }

  /** The checkers read the sources of every module, those of its tests too. */
  @Test
  void everyModuleIsChecked() throws IOException {
    String checks = Files.readString(Path.of("..", "checks.xml"));
    try (Stream<Path> modules = Files.list(Path.of(".."))) {
      for (Path module : modules.filter(each -> Files.exists(each.resolve("pom.xml"))).toList()) {
        for (String kind : List.of("main", "test")) {
          String sources = module.getFileName() + "/src/" + kind + "/java";
          assertThat(checks.contains("/" + sources + "<"))
              .as(sources)
              .isEqualTo(Files.isDirectory(Path.of("..", sources)));
        }
      }
    }
  }

  private List<String> names() throws IOException {
    try (Stream<Path> files = Files.list(data)) {
      return files.map(file -> file.getFileName().toString()).toList();
    }
  }

  @Test
  void wordsOfTheUsersReachJavaAndNothingElse() throws Exception {
    List<String> words = new ArrayList<>(List.of("run"));
    words.addAll(HOSTILE);
    List<String> given = launched(words.toArray(String[]::new));
    assertThat(given).endsWith(words.toArray(String[]::new));
    assertThat(names()).containsExactlyInAnyOrderElementsOf(HOSTILE);
  }

  @Test
  void largeFilesAndSimulationsGetTheThoroughCompiler() throws Exception {
    String quick = "-XX:TieredStopAtLevel=1";
    assertThat(launched("rate", "14/400", "--against", "5%")).contains(quick);
    assertThat(launched("look", "--data", "-delete")).contains(quick);
    assertThat(launched("look", "--data", "-")).doesNotContain(quick);
    assertThat(launched("rate", "14/400", "--simulate=1000")).doesNotContain(quick);
    try (var large =
        Files.newByteChannel(
            data.resolve("-large"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      large.position(40_000_000);
      large.write(ByteBuffer.wrap(new byte[] {10}));
    }
    assertThat(launched("look", "--data", "-large")).doesNotContain(quick);
    assertThat(launched("look", "--data=-large")).doesNotContain(quick);
  }

  @Test
  void optionsOfTheUsersForJavaComeLastAndReplaceOwn() throws Exception {
    assertThat(launched("--version")).contains("-Xmx512m", "-XX:+UseSerialGC");
    environment.put("JAVA_OPTS", "-Xmx2g -XX:+UseParallelGC");
    environment.put("COLUMNS", "132");
    assertThat(launched("--version"))
        .doesNotContain("-Xmx512m", "-XX:+UseSerialGC")
        .containsSubsequence("-Xmx2g", "-XX:+UseParallelGC", "-Dtavik.width=132", "-jar");
  }

  @Test
  void aBuiltCheckoutThatMayNotBeWrittenToRuns() throws Exception {
    Path root = launcher.resolveSibling("");
    Files.writeString(root.resolve("pom.xml"), "newer than the program");
    Files.setLastModifiedTime(
        root.resolve("tavik-cli/target/tavik.jar"), FileTime.fromMillis(1_000_000_000_000L));
    Path target = root.resolve("tavik-cli/target");
    assertThat(target.toFile().setWritable(false)).isTrue();
    assumeTrue(!Files.isWritable(target));
    assertThat(launched("--version")).endsWith("--version");
    assertThat(target.toFile().setWritable(true)).isTrue();
  }
}
