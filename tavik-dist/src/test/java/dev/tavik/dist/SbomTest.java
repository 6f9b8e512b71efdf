package dev.tavik.dist;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.jar.JarFile;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The bills of materials name what lies in the packages, and nothing else. */
class SbomTest {
  private static final String VERSION = System.getProperty("tavik.version");
  private static final Path PROGRAM = Path.of("target", "tavik-" + VERSION, "tavik-" + VERSION);

  private record Component(String name, String version, String sha256) {}

  private static List<Component> components(Path bill) throws IOException {
    List<Component> components = new ArrayList<>();
    JsonNode read = new ObjectMapper().readTree(bill.toFile());
    assertThat(read.get("bomFormat").asText()).isEqualTo("CycloneDX");
    for (JsonNode each : read.get("components")) {
      assertThat(each.at("/licenses/0/license/id").asText()).isNotBlank();
      components.add(
          new Component(
              each.get("name").asText(),
              each.get("version").asText(),
              each.at("/hashes/0/content").asText()));
    }
    assertThat(components).extracting(Component::name).doesNotHaveDuplicates();
    return components;
  }

  /** All jars that a bill may speak of, by their digests. */
  private static Map<String, Path> jars() throws Exception {
    Map<String, Path> jars = new HashMap<>();
    List<String> all = new ArrayList<>();
    all.addAll(List.of(System.getProperty("java.class.path").split(File.pathSeparator)));
    all.addAll(
        List.of(System.getProperty("surefire.test.class.path", "").split(File.pathSeparator)));
    all.add("../tavik-spark/target/tavik-spark-" + VERSION + ".jar");
    for (String jar : all) {
      if (jar.endsWith(".jar") && Files.exists(Path.of(jar))) {
        byte[] digest =
            MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(Path.of(jar)));
        jars.put(HexFormat.of().formatHex(digest), Path.of(jar));
      }
    }
    return jars;
  }

  private static Set<String> classes(Path jar) throws IOException {
    Set<String> classes = new HashSet<>();
    try (JarFile file = new JarFile(jar.toFile())) {
      file.stream()
          .map(entry -> entry.getName())
          .filter(name -> name.endsWith(".class") && !name.endsWith("module-info.class"))
          .filter(name -> !name.startsWith("META-INF/"))
          .forEach(classes::add);
    }
    return classes;
  }

  @Test
  void theProgramIsMadeOfWhatItsBillNames() throws Exception {
    Map<String, Path> jars = jars();
    Set<String> inTheJar = classes(PROGRAM.resolve("tavik.jar"));
    Set<String> beside = new HashSet<>();
    for (String folder : List.of("lib", "lib/drivers")) {
      try (Stream<Path> files = Files.list(PROGRAM.resolve(folder))) {
        files.map(file -> file.getFileName().toString()).forEach(beside::add);
      }
    }
    Set<String> explained = new HashSet<>();
    for (Component component : components(PROGRAM.resolve("tavik.cdx.json"))) {
      assertThat(jars).as(component.toString()).containsKey(component.sha256());
      Path jar = Objects.requireNonNull(jars.get(component.sha256()));
      assertThat(jar.getFileName())
          .hasToString(component.name() + "-" + component.version() + ".jar");
      if (!beside.remove(jar.getFileName().toString())) {
        assertThat(inTheJar).as(component.toString()).containsAll(classes(jar));
        explained.addAll(classes(jar));
      }
    }
    assertThat(explained).containsAll(inTheJar);
    assertThat(beside).allMatch(name -> !name.endsWith(".jar"));
  }

  @Test
  void theLibraryIsItsModulesAndTheirLibraries() throws Exception {
    Map<String, Path> jars = jars();
    List<Component> components = components(Path.of("target/tavik-library.cdx.json"));
    assertThat(components)
        .extracting(Component::name)
        .contains(
            "tavik-core", "tavik-answer", "tavik-data", "tavik-sql", "tavik-report", "tavik-chart")
        .contains("tavik-cli", "tavik-spark", "commons-numbers-core", "jfreechart")
        .doesNotContain("duckdb_jdbc", "postgresql", "sqlite-jdbc")
        .noneMatch(name -> name.startsWith("spark-") || name.startsWith("scala"));
    assertThat(components)
        .allSatisfy(component -> assertThat(jars).containsKey(component.sha256()));
  }
}
