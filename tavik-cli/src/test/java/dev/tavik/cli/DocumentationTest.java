package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.tavik.answer.Caution;
import dev.tavik.data.study.QuestionKind;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the documentation shows works as it stands there. */
@Order(1)
class DocumentationTest {
  private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
  private static final Map<String, CommandLine> ANSWERED = new HashMap<>();

  @TempDir Path folder;

  @ParameterizedTest
  @MethodSource("commands")
  void commandsAreAnswered(String line) {
    CommandLine answer = answered(line);
    boolean gated = line.contains("--gate");
    assertThat(answer.status()).as(answer.err()).isIn(gated ? List.of(0, 10, 11) : List.of(0));
    assertThat(line.contains("--quiet") ? answer.err() : answer.out()).isNotBlank();
  }

  /** Each command is run once, and its pictures go into the folder target. */
  private static CommandLine answered(String command) {
    return ANSWERED.computeIfAbsent(
        command,
        line ->
            CommandLine.shell(
                line.replaceAll("(--chart (?:[a-z]+=)?)([\\w-]+\\.png)", "$1target/$2")));
  }

  /** The commands that README and guides show, each once. */
  static Stream<String> commands() throws IOException {
    Set<String> commands = new LinkedHashSet<>();
    for (Path page : pages().toList()) {
      for (String block : blocks(page.toString(), "sh")) {
        block
            .replaceAll(" \\\\\n\\s*", " ")
            .lines()
            .filter(line -> line.startsWith("./tavik "))
            .forEach(line -> commands.add(line.substring(8).replaceAll(" #.*", "").strip()));
      }
    }
    assertThat(commands).hasSizeGreaterThan(60);
    return commands.stream();
  }

  /** The examples are run by tests of their own. */
  @ParameterizedTest
  @CsvSource({
    "README.md, FirstAnswer, 1",
    "docs/java.md, TenTasks, 10",
    "docs/guide/look.md, TheGuide, 1",
    "docs/guide/state.md, TheGuide, 1",
    "docs/guide/check.md, TheGuide, 1",
    "docs/guide/test.md, TheGuide, 1",
    "docs/guide/estimate.md, TheGuide, 1",
    "docs/guide/picture.md, TheGuide, 1",
    "docs/guide/conclude.md, TheGuide, 1",
    "docs/guide/plan.md, TheGuide, 1",
    "docs/guide/sweep.md, TheGuide, 1",
    "docs/survey.md, WouldTheyOrderAgain, 1"
  })
  void javaIsThatOfAnExampleThatCompiles(String page, String example, int number)
      throws IOException {
    String code =
        Files.readString(
                ROOT.resolve(
                    "tavik-examples/src/main/java/dev/tavik/examples/" + example + ".java"))
            .replaceAll("\\s+", " ");
    assertThat(blocks(page, "java"))
        .hasSize(number)
        .allSatisfy(block -> assertThat(code).contains(block.replaceAll("\\s+", " ").strip()));
  }

  /** Keys that aren't labels from data. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "rate 14/400 --against 5% --bayes --region 4%,6% --working --simulate 100 --seed 7",
        "rate A=1/9 B=2/9 --against 5%",
        "rate --planned 40 --against 5% --expect 3%",
        "compare A=14/400 B=31/410 --bayes --working --simulate 100 --seed 7 --tests all",
        "compare A=14/400 B=31/410 --margin 3% --show equivalent",
        "compare A=14/400 B=31/410 C=9/90",
        "compare --paired --cells '49 3; 10 178'",
        "shares a=3 b=4 --against equal --bayes",
        "cross --cells '14 386 3; 31 379 9; 4 5 6' --pairwise --ordered both --bayes",
        "plan rate --against 8% --expect 5%,6% --n 40",
        "plan compare --base 30% --expect 12% --power 80%",
        "plan compare --half-width 3% --base 8% --expect 5%",
        "assess rate --n 40 --p 5%",
        "sweep --data demo/panel-survey.csv --group channel",
        "rate --data demo/panel-survey.csv --outcome would_reorder --success yes --against 65%"
            + " --group region --design weight=weight,strata=region,cluster=dealer",
        "compare --data demo/panel-survey.csv --outcome would_reorder --success yes --group"
            + " channel --design weight=weight,strata=region,cluster=dealer",
        "shares --data demo/panel-survey.csv --outcome channel --against equal --design"
            + " weight=weight,strata=region,cluster=dealer",
        "cross --data demo/panel-survey.csv --rows delivery --columns channel --strata region"
            + " --design weight=weight,strata=region,cluster=dealer",
        "sweep --data demo/panel-survey.csv --group channel --design"
            + " weight=weight,strata=region,cluster=dealer",
        "run demo/kiln-acceptance.yaml",
        "tail normal --value 1"
      })
  void everyKeyOfJsonIsExplained(String line) throws IOException {
    String page = Files.readString(ROOT.resolve("docs/json.md"));
    Set<String> keys = new TreeSet<>();
    keys(CommandLine.json(line), keys);
    assertThat(keys).allSatisfy(key -> assertThat(page).contains("`" + key + "`"));
  }

  private static void keys(JsonNode node, Set<String> into) {
    node.properties()
        .forEach(
            field -> {
              into.add(field.getKey());
              if (!Set.of("counts", "leftOut", "missing", "where").contains(field.getKey())) {
                keys(field.getValue(), into);
              }
            });
    if (node.isArray()) {
      node.forEach(each -> keys(each, into));
    }
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
  @MethodSource("pages")
  void linksLeadSomewhere(Path at) throws IOException {
    Matcher link = Pattern.compile("]\\(([^)#:]+)(#[^)]*)?\\)").matcher(Files.readString(at));
    while (link.find()) {
      assertThat(at.resolveSibling(link.group(1))).as(at + " leads to " + link.group(1)).exists();
    }
  }

  /**
   * Methods and options in a guide are those of the program. They are written anew with {@code
   * -Dtavik.guides=write}.
   */
  @ParameterizedTest
  @MethodSource("pages")
  void whatGuidesListIsWhatThereIs(Path page) throws IOException {
    String text = Files.readString(page);
    String made =
        Pattern.compile("<!-- list: (.*?) -->\n.*?<!-- end -->", Pattern.DOTALL)
            .matcher(text)
            .replaceAll(
                part ->
                    Matcher.quoteReplacement(
                        "<!-- list: "
                            + part.group(1)
                            + " -->\n\n"
                            + GuideParts.of(part.group(1))
                            + "\n<!-- end -->"));
    made = OUTPUT.matcher(made).replaceAll(DocumentationTest::shown);
    if ("write".equals(System.getProperty("tavik.guides"))) {
      Files.writeString(page, made);
    }
    assertThat(Files.readString(page)).isEqualTo(made);
  }

  /** A command and so many lines of what it prints now. */
  private static final Pattern OUTPUT =
      Pattern.compile(
          "```sh\n((?:(?!```).)*?)\n```\n\n<!-- output (\\d+) -->\n.*?<!-- end -->",
          Pattern.DOTALL);

  private static String shown(MatchResult part) {
    List<String> lines = new ArrayList<>();
    for (String command : part.group(1).replaceAll(" \\\\\n\\s*", " ").split("\n")) {
      CommandLine answer = answered(command.replaceFirst("^\\./tavik ", ""));
      lines.addAll((answer.out() + answer.err().replace("target/", "")).lines().toList());
    }
    int most = Integer.parseInt(part.group(2));
    List<String> some = new ArrayList<>(lines.subList(0, Math.min(most, lines.size())));
    if (lines.size() > most) {
      some.add("…");
    }
    return Matcher.quoteReplacement(
        String.format(
            "```sh\n%s\n```\n\n<!-- output %s -->\n\n```text\n%s\n```\n\n<!-- end -->",
            part.group(1), part.group(2), String.join("\n", some)));
  }

  /** Every caution has its place, and no place is of one that there isn't. */
  @Test
  void everyCautionIsExplained() throws IOException {
    assertThat(
            Pattern.compile("(?m)^## `([a-z-]+)`$")
                .matcher(Files.readString(ROOT.resolve("docs/guide/cautions.md")))
                .results()
                .map(heading -> heading.group(1)))
        .containsExactlyInAnyOrderElementsOf(
            Arrays.stream(Caution.Code.values()).map(Caution.Code::id).toList());
  }

  @Test
  void everyMethodAndEveryQuestionStandsInAGuide() throws IOException {
    StringBuilder all = new StringBuilder();
    for (Path page : pages().toList()) {
      all.append(Files.readString(page));
    }
    assertThat(GuideParts.FAMILIES.keySet())
        .allSatisfy(family -> assertThat(all).contains("<!-- list: " + family + " -->"));
    assertThat(QuestionKind.values())
        .extracting(kind -> kind.words().kind())
        .allSatisfy(kind -> assertThat(all).contains("<!-- list: options of " + kind + " -->"));
  }

  @ParameterizedTest
  @MethodSource("pages")
  void linesAreShortEnoughToRead(Path page) throws IOException {
    assertThat(Files.readAllLines(page))
        .allSatisfy(line -> assertThat(line.length()).as(line).isLessThanOrEqualTo(120));
  }

  private static Stream<Path> pages() throws IOException {
    try (Stream<Path> root = Files.list(ROOT);
        Stream<Path> docs = Files.list(ROOT.resolve("docs"));
        Stream<Path> guide = Files.list(ROOT.resolve("docs/guide"))) {
      return Stream.concat(Stream.concat(root, docs), guide)
          .filter(file -> file.toString().endsWith(".md"))
          .sorted()
          .toList()
          .stream();
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
