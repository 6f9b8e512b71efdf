package dev.tavik.dist;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import dev.tavik.data.DemoFiles;
import dev.tavik.dist.Installation.Ended;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.jar.JarFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What was packaged, unpacked and run in surroundings that are as bare as they come. */
class InstallationTest {
  private static final String VERDICT = "The rate is ";

  @TempDir private Path temporary;
  private Path here;

  static List<String> packaged() {
    return Installation.packaged();
  }

  @BeforeEach
  void open() throws Exception {
    assumeTrue(Files.isExecutable(Path.of("/bin/sh")));
    Files.setPosixFilePermissions(temporary, PosixFilePermissions.fromString("rwxrwxrwx"));
    here = Files.createDirectory(temporary.resolve("here"));
    Files.setPosixFilePermissions(here, PosixFilePermissions.fromString("rwxrwxrwx"));
  }

  private Path noFonts() throws Exception {
    Path none = temporary.resolve("fonts.conf");
    return Files.writeString(none, "<?xml version=\"1.0\"?><fontconfig/>\n");
  }

  /** As nobody, without a home, from a folder with blanks that is read-only, without a font. */
  @ParameterizedTest
  @MethodSource("packaged")
  void theTourRunsInTheBarestSurroundings(String kind) throws Exception {
    Installation installed =
        Installation.of(kind, temporary.resolve("it's a folder"))
            .with("FONTCONFIG_FILE", noFonts().toString())
            .with("LANG", "C")
            .asNobody();
    if (kind.equals("image") || kind.equals(".deb")) {
      installed.without("JAVA_HOME").with("PATH", "/usr/bin:/bin");
    }
    try {
      Ended tour = installed.run(here, "demo");
      assertThat(tour.status()).as(tour.err()).isZero();
      assertThat(tour.out()).contains("Harrowmere").contains("The report is in ");
      assertThat(tour.err()).isEqualTo("Wrote kiln-acceptance.html\n");
      assertThat(here.resolve("kiln-acceptance.html")).content().contains("<svg");
      Ended drawn =
          installed.run(here, "rate", "Größe=14/400", "--against", "5%", "--chart", "größe.png");
      assertThat(drawn.status()).as(drawn.err()).isZero();
      assertThat(drawn.out()).startsWith("Größe: the rate is not shown");
      assertThat(Files.readAllBytes(here.resolve("größe.png"))).startsWith(0x89, 'P', 'N', 'G');
      assertThat(installed.run(here, "--version").out())
          .isEqualTo("tavik " + System.getProperty("tavik.version") + "\n");
    } finally {
      installed.release();
    }
  }

  /**
   * Where nothing can be kept, nothing is; else it is made once for a place, and again for another.
   */
  @Test
  void theArchiveOfClassesIsMadeOnceForAPlace() throws Exception {
    Installation installed = Installation.of(".zip", temporary.resolve("first"));
    Path archive = installed.program().resolve("lib/tavik.jsa");
    assertThat(installed.run(here, "rate", "14/400", "--against", "5%").out()).startsWith(VERDICT);
    assertThat(archive).exists();
    FileTime made = Files.getLastModifiedTime(archive);
    assertThat(installed.run(here, "rate", "14/400", "--against", "5%").out()).startsWith(VERDICT);
    assertThat(Files.getLastModifiedTime(archive)).isEqualTo(made);
    // Only with the archive is a class not read from the jar.
    assertThat(shared(installed)).isTrue();

    Installation moved = installed.moved(temporary.resolve("second"));
    assertThat(moved.run(here, "rate", "14/400", "--against", "5%").out()).startsWith(VERDICT);
    assertThat(shared(moved)).isTrue();
  }

  private boolean shared(Installation installed) throws Exception {
    installed.with("JAVA_OPTS", "-Xlog:class+load:file=" + here.resolve("classes.txt"));
    installed.run(here, "--version");
    installed.without("JAVA_OPTS");
    return Files.readString(here.resolve("classes.txt"))
        .contains("dev.tavik.cli.Tavik source: shared objects file");
  }

  @Test
  void aReadOnlyProgramKeepsItsArchiveInTheCache() throws Exception {
    Path cache = Files.createDirectory(temporary.resolve("my cache"));
    Files.setPosixFilePermissions(cache, PosixFilePermissions.fromString("rwxrwxrwx"));
    Installation installed =
        Installation.of(".zip", temporary.resolve("there"))
            .with("XDG_CACHE_HOME", cache.toString())
            .asNobody();
    try {
      assertThat(installed.run(here, "--version").status()).isZero();
      assertThat(shared(installed)).isTrue();
      assertThat(installed.program().resolve("lib/tavik.jsa")).doesNotExist();
      assertThat(cache.resolve("tavik")).isNotEmptyDirectory();
    } finally {
      installed.release();
    }
  }

  /** That the first start prepares something is said, once. */
  @ParameterizedTest
  @ValueSource(strings = {".zip", "image"})
  void theFirstStartSaysThatItPrepares(String kind) throws Exception {
    assumeTrue(Installation.made(kind));
    Installation installed = Installation.of(kind, temporary.resolve("there"));
    assertThat(installed.run(here, "--version").err())
        .isEqualTo("tavik: preparing once for a quick start, this takes some seconds ...\n");
    assertThat(installed.run(here, "--version").err()).isEmpty();
    assertThat(shared(installed)).isTrue();
  }

  /** The packages without the driver of 80 MB name it, and those with it answer. */
  @ParameterizedTest
  @MethodSource("packaged")
  void aDriverThatIsLeftOutIsNamed(String kind) throws Exception {
    Installation installed = Installation.of(kind, temporary.resolve("there"));
    installed.run(here, "--version");
    Path drivers = installed.program().resolve("lib/drivers");
    Ended asked =
        installed.run(
            here,
            "rate",
            "--database",
            "jdbc:duckdb:",
            "--query",
            "SELECT 'a' AS g",
            "--outcome",
            "g",
            "--success",
            "a",
            "--against",
            "5%");
    Files.write(here.resolve("panel.parquet"), "PAR1xxxxPAR1".getBytes(StandardCharsets.UTF_8));
    Ended looked = installed.run(here, "look", "--data", "panel.parquet");
    if (kind.equals("-full.zip") || kind.equals("image")) {
      assertThat(looked.err()).contains("no Parquet file that can be read");
      assertThat(asked.status()).as(asked.err()).isZero();
    } else {
      for (Ended ended : List.of(asked, looked)) {
        assertThat(ended.status()).isEqualTo(3);
        assertThat(ended.err().strip().replaceAll("\\s+", " "))
            .matches(
                "tavik \\w+: .*Parquet files and DuckDB databases need the driver"
                    + " duckdb_jdbc-[0-9.]+\\.jar \\(org\\.duckdb:duckdb_jdbc:[0-9.]+\\), which isn't"
                    + " installed; put that file into the folder .*")
            .endsWith(drivers + ".");
      }
    }
  }

  /** Another version of the library that the LGPL protects takes its place. */
  @Test
  void theDrawingLibraryLiesApart() throws Exception {
    Installation installed = Installation.of(".zip", temporary.resolve("there"));
    try (JarFile jar = new JarFile(installed.program().resolve("tavik.jar").toFile())) {
      String beside = jar.getManifest().getMainAttributes().getValue("Class-Path");
      assertThat(installed.program().resolve(beside)).isNotEmptyFile();
      assertThat(beside).matches("lib/jfreechart-[0-9.]+\\.jar");
      assertThat(jar.stream().filter(entry -> entry.getName().startsWith("org/jfree/"))).isEmpty();
      assertThat(jar.getEntry("META-INF/LICENSE").getSize()).isGreaterThan(10_000);
      assertThat(jar.getEntry("META-INF/NOTICE")).isNotNull();
      Files.delete(installed.program().resolve(beside));
    }
    Ended missing = installed.run(here, "rate", "14/400", "--against", "5%");
    assertThat(missing.status()).isEqualTo(4);
    assertThat(missing.err())
        .contains("a part of the program is missing, the class org.jfree.")
        .doesNotContain("\tat ");
  }

  @Test
  void thePackageForDebianSaysWhatItNeeds() throws Exception {
    assumeTrue(Installation.made(".deb"));
    Path root = temporary.resolve("root");
    Path program = Installation.of(".deb", root).program();
    assertThat(root.resolve("usr/share/doc/tavik/copyright"))
        .content()
        .contains("License: Apache-2.0", "GPL-2.0 with Classpath exception", "LGPL-2.1");
    assertThat(program.resolve("runtime/legal/java.base/LICENSE")).isNotEmptyFile();
    assertThat(program.resolve("THIRD-PARTY.txt")).content().contains("OpenJDK");
    assertThat(program.resolve("tavik.cdx.json"))
        .content()
        .contains("OpenJDK")
        .doesNotContain("duckdb");
    assertThat(Path.of("src/main/deb/control"))
        .content()
        .contains("libfreetype6", "libharfbuzz0b", "libfontconfig1");
  }

  /** In a root with nothing but Debian's base and what the package names; see .ci/clean-root. */
  @Test
  @EnabledIfSystemProperty(named = "tavik.root", matches = ".+")
  void aCleanDebianDraws() throws Exception {
    Path root = Path.of(System.getProperty("tavik.root"));
    Process drawing =
        new ProcessBuilder(
                "chroot",
                root.toString(),
                "/bin/sh",
                "-c",
                "cd /tmp && tavik rate 14/400 --against 5% --chart rate.png")
            .redirectErrorStream(true)
            .start();
    String said = new String(drawing.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(drawing.waitFor()).as(said).isZero();
    assertThat(Files.readAllBytes(root.resolve("tmp/rate.png"))).startsWith(0x89, 'P', 'N', 'G');
  }

  @Test
  void anOldJavaIsToldInOneLine() throws Exception {
    Path java = Files.createDirectories(temporary.resolve("old/bin")).resolve("java");
    Files.writeString(java, "#!/bin/sh\nexit 1\n");
    assertThat(java.toFile().setExecutable(true)).isTrue();
    Files.writeString(temporary.resolve("old/release"), "JAVA_VERSION=\"11.0.2\"\n");
    Installation installed =
        Installation.of(".zip", temporary.resolve("there"))
            .with("JAVA_HOME", temporary.resolve("old").toString());
    Ended run = installed.run(here, "--version");
    assertThat(run.status()).isEqualTo(4);
    assertThat(run.err())
        .matches("tavik: Java 17 or newer is needed, .*/old/bin/java is 11.0.2; install one.*\n");
  }

  @ParameterizedTest
  @CsvSource({
    "bash, '_completed() { COMP_WORDS=(tavik \"$@\"); COMP_CWORD=$#; _tavik;"
        + " printf \"%s\\n\" \"${COMPREPLY[@]}\"; }; . $T/completions/tavik.bash 2>/dev/null;"
        + " compopt() { :; }; _completed '",
    "fish, 'source $T/completions/tavik.fish; complete -C \"tavik '",
  })
  void shellsCompleteCommandsColumnsAndLevels(String shell, String script) throws Exception {
    assumeTrue(Files.isExecutable(Path.of("/usr/bin", shell)));
    Installation installed = Installation.of(".zip", temporary.resolve("there"));
    installed.with("T", installed.program().toString()).with("HOME", here.toString());
    installed.run(here, "demo", "--save", "demo");
    String end = shell.equals("fish") ? "\"" : "";
    String data = "rate --data demo/firing-log.csv ";
    assertThat(completed(installed, shell, script + "comp" + end)).containsExactly("compare");
    assertThat(completed(installed, shell, script + data + "--outcome gr" + end))
        .containsExactly("grade");
    assertThat(completed(installed, shell, script + data + "--outcome grade --success cra" + end))
        .containsExactly("cracked", "crazed");
    assertThat(completed(installed, shell, script + "rate --data demo/firing" + end))
        .containsExactly("demo/firing-log.csv");
  }

  private List<String> completed(Installation installed, String shell, String script)
      throws Exception {
    Ended ended = installed.shell(here, shell, script);
    return ended.out().lines().map(line -> line.replaceFirst("\t.*", "")).sorted().toList();
  }

  @Test
  void demoDataLieBesideTheProgram() throws Exception {
    Installation installed = Installation.of(".zip", temporary.resolve("there"));
    for (String name : DemoFiles.NAMES) {
      assertThat(installed.program().resolve("demo").resolve(name)).isNotEmptyFile();
    }
    Ended run = installed.run(installed.program(), "run", "demo/kiln-acceptance.yaml");
    assertThat(run.status()).as(run.err()).isZero();
  }
}
