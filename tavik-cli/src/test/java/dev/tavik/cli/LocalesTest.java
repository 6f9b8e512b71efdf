package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Words, numbers, help and reports are the same where commas are decimal points, i has no dot or
 * digits differ. The tests of this module all start in Arabic, so that classes are loaded there.
 */
@Isolated
class LocalesTest {
  private static final Locale BEFORE = Locale.getDefault();

  private static final List<String> COMMANDS =
      List.of(
          "rate",
          "compare",
          "shares",
          "cross",
          "plan rate",
          "plan compare",
          "plan table",
          "assess",
          "tail",
          "sweep",
          "look",
          "run",
          "ask",
          "demo");

  @TempDir private Path folder;

  @AfterEach
  void restore() {
    Locale.setDefault(BEFORE);
  }

  @ParameterizedTest
  @ValueSource(strings = {"ar-EG", "de-DE", "tr-TR"})
  void answersHelpAndReportsAreTheSame(String tag) throws IOException {
    Locale.setDefault(Locale.forLanguageTag(tag));
    assertThat(GoldenTest.sections(GoldenTest.answers("text")))
        .isEqualTo(GoldenTest.golden("text"));
    String here = helpAndReports();
    Locale.setDefault(Locale.ENGLISH);
    assertThat(here).isEqualTo(helpAndReports());
  }

  private String helpAndReports() throws IOException {
    StringBuilder all = new StringBuilder();
    for (String command : COMMANDS) {
      CommandLine help = CommandLine.shell(command + " --help");
      assertThat(help.status()).as(help.err()).isZero();
      all.append(help.out());
    }
    for (String mistyped : List.of("RATE 14/400", "rate 14/400 --AGAINST 5%", "rate 14/400 --i")) {
      all.append(CommandLine.shell(mistyped).err());
    }
    for (String ending : List.of("html", "md", "csv", "json", "txt")) {
      Path report = folder.resolve("report." + ending);
      CommandLine written = CommandLine.shell("run demo/kiln-acceptance.yaml --out " + report);
      assertThat(written.status()).as(written.err()).isZero();
      all.append(Files.readString(report));
    }
    return all.toString();
  }
}
