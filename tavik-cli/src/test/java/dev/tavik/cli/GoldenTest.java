package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.report.Report;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What commands answer stays as it is, to the letter. {@code -Dtavik.golden=write} writes the files
 * anew, for a difference that is meant.
 */
class GoldenTest {
  private static final Path FOLDER = Path.of("src/test/resources/golden");
  private static final Pattern TEXT_ONLY =
      Pattern.compile("^demo$|--out |--split|^compare D01.*[0-9]$|--sequence");

  @ParameterizedTest
  @ValueSource(strings = {"text", "json"})
  void answersAreThoseOfTheGoldenFiles(String form) throws IOException {
    String all = answers(form);
    Path golden = FOLDER.resolve(form + ".golden");
    if ("write".equals(System.getProperty("tavik.golden"))) {
      Files.writeString(golden, all);
    }
    Path now = Path.of("target/golden." + form);
    Files.createDirectories(now.toAbsolutePath().getParent());
    Files.writeString(now, all);
    assertThat(sections(all)).isEqualTo(golden(form));
  }

  /** What the listed commands answer now. */
  static String answers(String form) throws IOException {
    StringBuilder all = new StringBuilder();
    for (String command : Files.readAllLines(FOLDER.resolve("commands.txt"))) {
      if (form.equals("text") || !TEXT_ONLY.matcher(command).find()) {
        all.append("$ tavik ").append(command).append('\n');
        all.append(answer(command + (form.equals("json") ? " --json" : ""))).append('\n');
      }
    }
    return all.toString();
  }

  static List<String> golden(String form) throws IOException {
    return sections(Files.readString(FOLDER.resolve(form + ".golden")));
  }

  private static String answer(String command) throws IOException {
    Path out = Files.createTempFile("golden", ".txt");
    Files.delete(out);
    CommandLine answer = CommandLine.shell(command.replace("OUT.txt", out.toString()));
    String text = answer.out() + answer.err();
    if (Files.exists(out)) {
      text += Files.readString(out);
      Files.delete(out);
    }
    return text.replace(out.toString(), "OUT.txt").replace(Report.version(), "VERSION")
        + (answer.status() == 0 ? "" : "status " + answer.status() + "\n");
  }

  static List<String> sections(String all) {
    List<String> sections = new ArrayList<>(List.of(all.split("(?m)^(?=\\$ tavik )")));
    sections.removeIf(String::isBlank);
    return sections;
  }
}
