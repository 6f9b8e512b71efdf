package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Origin;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.data.study.StudyFile;
import dev.tavik.report.Report;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

/** Reports that are handed on: whole, by themselves, for every reader, and to be made again. */
class ReportPagesTest {
  private static final Path STUDY = Path.of("../demo/kiln-acceptance.yaml");
  private static final Path EXAMPLE = Path.of("../docs/examples/kiln-acceptance.html");
  private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");

  @TempDir private Path folder;

  private static Document read(String page) throws Exception {
    String xml = page.replaceFirst("(?i)<!doctype html>", "").replaceAll("<(meta[^>]*)>", "<$1/>");
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(xml)));
  }

  private static List<Element> all(Document page, String name) {
    NodeList found = page.getElementsByTagName(name);
    return IntStream.range(0, found.getLength()).mapToObj(i -> (Element) found.item(i)).toList();
  }

  private String written(String command, String name) throws IOException {
    Path file = folder.resolve(name);
    CommandLine answer = CommandLine.shell(command + " --out " + file);
    assertThat(answer.status()).as(answer.err()).isZero();
    return Files.readString(file);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "run demo/kiln-acceptance.yaml",
        "rate --data demo/firing-log.csv --outcome grade --success cracked --against 5% --group kiln",
        "rate 14/400 --against 5% --bayes --simulate 200 --seed 1 --working",
        "compare North=14/400 South=31/410 --bayes --margin 5% --show noninferior",
        "cross --data demo/firing-log.csv --rows kiln --columns grade --tests all --pairwise",
        "shares ash=31 celadon=22 iron=17 --against 40%,30%,30%",
        "sweep --data demo/panel-codes.csv --group region --split ;",
        "plan compare --base 8% --expect 5%,4.5% --power 80%",
        "assess rate --n 40 --p 5%",
        "tail binomial --n 40 --p 5% --area 5%",
        "look --data demo/firing-log.csv"
      })
  void pagesServeEveryReader(String command) throws Exception {
    String text = written(command.replace(";", "';'"), "page.html");
    Document page = read(text);
    assertThat(page.getDocumentElement().getAttribute("lang")).isEqualTo("en");
    assertThat(all(page, "script")).isEmpty();
    assertThat(policy(page))
        .isEqualTo(
            "default-src 'none'; style-src 'sha256-"
                + digest(all(page, "style").get(0).getTextContent())
                + "'; base-uri 'none'; form-action 'none'");
    assertThat(text).doesNotContainPattern("<[^>]* (style|on\\w+)=");
    assertThat(all(page, "title").get(0).getTextContent()).isNotBlank();
    assertThat(text.replaceAll("xmlns(:\\w+)?=\"[^\"]*\"", "")).doesNotContain("http:", "https:");
    headings(page);
    for (Element table : all(page, "table")) {
      List<Element> cells = new ArrayList<>();
      NodeList headers = table.getElementsByTagName("th");
      IntStream.range(0, headers.getLength()).forEach(i -> cells.add((Element) headers.item(i)));
      assertThat(cells).isNotEmpty();
      assertThat(cells)
          .allSatisfy(
              cell -> {
                assertThat(cell.getAttribute("scope")).isIn("row", "col");
                assertThat(cell.getTextContent()).isNotBlank();
              });
    }
    for (Element svg : all(page, "svg")) {
      assertThat(svg.getAttribute("role")).isEqualTo("img");
      assertThat(svg.getFirstChild().getNodeName()).isEqualTo("title");
      assertThat(svg.getFirstChild().getTextContent()).isNotBlank();
    }
    Matcher ids = Pattern.compile(" id=\"([^\"]+)\"").matcher(text);
    List<String> known = ids.results().map(id -> id.group(1)).toList();
    assertThat(known).doesNotHaveDuplicates();
    Matcher links = Pattern.compile("(?:href=\"#|url\\(#)([^\")]+)").matcher(text);
    assertThat(links.results().map(link -> link.group(1))).allMatch(known::contains);
  }

  /** What the page lets a browser do. */
  private static String policy(Document page) {
    return all(page, "meta").stream()
        .filter(meta -> meta.getAttribute("http-equiv").equals("Content-Security-Policy"))
        .map(meta -> meta.getAttribute("content"))
        .findFirst()
        .orElseThrow();
  }

  private static String digest(String text) throws Exception {
    byte[] digest =
        MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
    return Base64.getEncoder().encodeToString(digest);
  }

  /** One first heading, and none that leaves a step out. */
  private static void headings(Document page) {
    int last = 0;
    int first = 0;
    NodeList elements = page.getElementsByTagName("*");
    for (int i = 0; i < elements.getLength(); i++) {
      String name = elements.item(i).getNodeName().toLowerCase(Locale.ROOT);
      if (name.matches("h[1-6]")) {
        int level = name.charAt(1) - '0';
        assertThat(level).as(elements.item(i).getTextContent()).isLessThanOrEqualTo(last + 1);
        first += level == 1 ? 1 : 0;
        last = level;
      }
    }
    assertThat(first).isEqualTo(1);
  }

  static Stream<Answer> demo() {
    return StudyFile.of(STUDY.toString(), SourceOpener.ofFiles()).read().ask().answers().stream();
  }

  /** Words as a shell takes them, in single quotes or with a character escaped. */
  private static List<String> shell(String line) {
    return Pattern.compile("(?:'[^']*'|\\\\.|[^\\s'])+")
        .matcher(line)
        .results()
        .map(word -> word.group().replace("'\\''", "\u0000").replace("'", "").replace('\0', '\''))
        .toList();
  }

  /** What a page says to type and to program gives the same answer. */
  @ParameterizedTest
  @MethodSource("demo")
  void everyQuestionCanBeMadeAgain(Answer answer) {
    Origin origin = answer.find(Origin.class).orElseThrow();
    List<String> typed = new ArrayList<>(shell(origin.command()));
    typed.remove(0);
    typed.add("--json");
    CommandLine again = CommandLine.run(typed.toArray(String[]::new));
    assertThat(again.status()).as(origin.command() + again.err()).isZero();
    String json = Report.JSON.of(answer, Detail.FINDINGS);
    assertThat(again.out())
        .isEqualTo(
            json.replace("\"firing-log", "\"../demo/firing-log")
                .replace("\"panel-survey", "\"../demo/panel-survey")
                .replace("\"returns-by", "\"../demo/returns-by")
                .replace("\"scrap-by", "\"../demo/scrap-by")
                .replace("\"regrade", "\"../demo/regrade"));
    String java = origin.java();
    String kind = java.replaceAll("(?s).*QuestionKind\\.(\\w+)\\..*", "$1");
    String[] words =
        LITERAL
            .matcher(java.substring(0, java.indexOf("Answer answer")))
            .results()
            .map(each -> each.group(1).translateEscapes())
            .toArray(String[]::new);
    Answer programmed =
        QuestionKind.valueOf(kind)
            .question(QuestionArguments.of(words), SourceOpener.ofFiles())
            .ask();
    assertThat(programmed.verdict().text()).isEqualTo(answer.verdict().text());
  }

  /** Pictures apart, whose letters one machine sets a hair wider than another. */
  @Test
  void theExampleIsWhatIsWrittenNow() throws IOException {
    String now = written("run demo/kiln-acceptance.yaml", "page.html");
    if ("write".equals(System.getProperty("tavik.guides"))) {
      Files.createDirectories(EXAMPLE.getParent());
      Files.writeString(EXAMPLE, now);
    }
    assertThat(settled(now)).isEqualTo(settled(Files.readString(EXAMPLE)));
  }

  private static String settled(String page) {
    return page.replaceAll("(?s)<svg.*?</svg>", "<svg/>")
        .replaceAll("Tavik \\d[\\w.-]*", "Tavik")
        .replaceAll(" of \\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d UTC", "");
  }

  @Test
  void picturesOfMarkdownLieBesideIt() throws IOException {
    String text = written("run demo/kiln-acceptance.yaml", "study.md");
    List<String> files =
        Pattern.compile("!\\[[^\\]]+]\\(<([^>]+)>\\)")
            .matcher(text)
            .results()
            .map(each -> each.group(1))
            .toList();
    assertThat(files).hasSize(16).contains("study-pictures/1-intervals.svg");
    assertThat(files)
        .allSatisfy(
            file ->
                assertThat(Files.readString(folder.resolve(file)))
                    .startsWith("<svg ")
                    .contains("Drawn by Tavik"));
    assertThat(text).contains("\n# Kiln acceptance, spring\n", "\n## 2\\. Scrap\n", "### Observed");
  }

  /** What somebody else wrote is kept, in whatever form; what Tavik wrote is made anew. */
  @ParameterizedTest
  @ValueSource(strings = {"txt", "md", "html", "json", "csv", "svg", "png"})
  void onlyItsOwnFilesAreReplaced(String ending) throws IOException {
    Path file = folder.resolve("answer." + ending);
    boolean picture = ending.matches("svg|png");
    String command = "rate 14/400 --against 5%" + (picture ? " --chart " : " --out ") + file;
    assertThat(CommandLine.shell(command).status()).isZero();
    byte[] own = Files.readAllBytes(file);
    assertThat(CommandLine.shell(command).status()).isZero();
    assertThat(Files.readAllBytes(file)).isEqualTo(own);
    Files.writeString(file, "<a>thesis</a>");
    CommandLine refused = CommandLine.shell(command);
    assertThat(refused.status()).isEqualTo(2);
    assertThat(refused.err()).contains("that Tavik didn't write", "--overwrite");
    assertThat(Files.readString(file)).isEqualTo("<a>thesis</a>");
    assertThat(CommandLine.shell(command + " --overwrite").status()).isZero();
    assertThat(Files.readAllBytes(file)).isEqualTo(own);
  }
}
