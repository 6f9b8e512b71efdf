package dev.tavik.dist;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import dev.tavik.data.DemoFiles;
import dev.tavik.dist.Installation.Ended;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What was packaged, unpacked and run in surroundings that are as bare as they come. */
class InstallationTest {
  private static final String VERDICT = "The rate is not shown to differ from 5%";

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

  /** A Java of its own has its archive from the start, and keeps it wherever it is copied to. */
  @Test
  void theImageStartsFromItsArchiveWhereverItIs() throws Exception {
    assumeTrue(Installation.made("image"));
    Installation installed = Installation.of("image", temporary.resolve("copied"));
    assertThat(shared(installed)).isTrue();
    assertThat(shared(installed.moved(temporary.resolve("moved")))).isTrue();
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
