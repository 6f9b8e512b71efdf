package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the documentation shows works as it stands there. */
class DocumentationTest {
  private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

  @TempDir Path folder;

  @ParameterizedTest
  @ValueSource(
      strings = {
        "README.md",
        "docs/rates.md",
        "docs/comparisons.md",
        "docs/shares.md",
        "docs/associations.md",
        "docs/bayes.md",
        "docs/simulation.md",
        "docs/planning.md"
      })
  void commandsAreAnswered(String page) throws IOException {
    int commands = 0;
    for (String block : blocks(page, "sh")) {
      for (String line : block.replaceAll(" \\\\\n\\s*", " ").split("\n")) {
        if (line.startsWith("./tavik ")) {
          commands++;
          String command =
              line.substring(8)
                  .replaceAll(" #.*", "")
                  .replaceAll("(--chart (?:[a-z]+=)?)([a-z]+\\.png)", "$1" + folder + "/$2");
          CommandLine answer = CommandLine.shell(command);
          assertThat(answer.status()).as(line + "\n" + answer.err()).isZero();
          assertThat(answer.out()).as(line).isNotBlank();
        }
      }
    }
    assertThat(commands).as("commands in " + page).isPositive();
  }

  @Test
  void javaIsThatOfAnExampleThatCompiles() throws IOException {
    String example =
        Files.readString(
            ROOT.resolve("tavik-examples/src/main/java/dev/tavik/examples/FirstAnswer.java"));
    List<String> blocks = blocks("README.md", "java");
    assertThat(blocks).hasSize(1);
    assertThat(example.replaceAll("\\s+", " ")).contains(blocks.get(0).replaceAll("\\s+", " "));
  }

  @Test
  void theStudyFileShownRuns() throws IOException {
    List<String> blocks = blocks("docs/json.md", "yaml");
    assertThat(blocks).hasSize(1);
    Files.copy(ROOT.resolve("demo/firing-log.csv"), folder.resolve("firing-log.csv"));
    Files.writeString(folder.resolve("study.yaml"), blocks.get(0));
    CommandLine answer = CommandLine.run("run", folder.resolve("study.yaml").toString());
    assertThat(answer.status()).as(answer.out() + answer.err()).isZero();
    assertThat(answer.out()).startsWith("Kiln acceptance, spring\n");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "README.md",
        "docs/rates.md",
        "docs/comparisons.md",
        "docs/shares.md",
        "docs/associations.md",
        "docs/bayes.md",
        "docs/simulation.md",
        "docs/planning.md",
        "docs/json.md",
        "CONTRIBUTING.md"
      })
  void linksLeadSomewhere(String page) throws IOException {
    Path at = ROOT.resolve(page);
    Matcher link = Pattern.compile("]\\(([^)#:]+)(#[^)]*)?\\)").matcher(Files.readString(at));
    while (link.find()) {
      assertThat(at.resolveSibling(link.group(1))).as(page).exists();
    }
  }

  private static List<String> blocks(String page, String language) throws IOException {
    List<String> blocks = new ArrayList<>();
    Matcher block =
        Pattern.compile("```" + language + "\n(.*?)```", Pattern.DOTALL)
            .matcher(Files.readString(ROOT.resolve(page)));
    while (block.find()) {
      blocks.add(block.group(1));
    }
    return blocks;
  }
}
