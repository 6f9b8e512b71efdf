package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Value;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.Parameter;
import dev.tavik.report.Report;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every question of the guides, in every format: each figure of the answer stands in each. */
class EveryFormatTest {
  private static final Pattern WORD = Pattern.compile("\"([^\"]*)\"|'([^']*)'|(\\S+)");

  static Stream<String> commands() throws IOException {
    return DocumentationTest.commands()
        .map(line -> line.replaceAll(" --chart \\S+| --json| --gate| --quiet", "").strip())
        .filter(line -> !line.matches("(demo|look|run).*"))
        .distinct();
  }

  private static Answer ask(String line) {
    List<String> words = new ArrayList<>();
    Matcher matcher = WORD.matcher(line);
    while (matcher.find()) {
      words.add(
          Stream.of(1, 2, 3).map(matcher::group).filter(each -> each != null).findFirst().get());
    }
    QuestionKind asking = QuestionKind.of(words.get(0)).orElseThrow();
    CommandSchema vocabulary = asking.words();
    Map<String, List<String>> values = new LinkedHashMap<>();
    for (int i = 1; i < words.size(); i++) {
      String name =
          words.get(i).startsWith("--")
              ? words.get(i).substring(2)
              : vocabulary.positional().orElseThrow().name();
      boolean flag =
          vocabulary.words().stream()
              .anyMatch(word -> word.name().equals(name) && word.many() == Parameter.Many.FLAG);
      String value = flag ? "true" : words.get(words.get(i).startsWith("--") ? ++i : i);
      values.computeIfAbsent(name, key -> new ArrayList<>()).add(value);
    }
    return asking
        .question(
            new QuestionArguments(values, QuestionArguments.Wording.OPTION),
            name ->
                name.startsWith("demo/")
                    ? DemoFiles.open(name.substring(5))
                    : SourceOpener.file(name))
        .ask();
  }

  @ParameterizedTest
  @MethodSource("commands")
  void everyFigureStandsInEveryFormat(String line) throws Exception {
    Answer answer = ask(line);
    List<String> shown = new ArrayList<>();
    answer.reading(Detail.WORKING).forEach(block -> cells(block, shown));
    String text = words(Report.TEXT.of(answer, Detail.WORKING));
    String markdown = words(Report.MARKDOWN.of(answer, Detail.WORKING).replaceAll("\\\\(.)", "$1"));
    String html = Report.HTML.of(answer, Detail.WORKING);
    String read = words(xml(html));
    for (String each : shown) {
      String cell = words(each);
      assertThat(markdown).as(line).contains(cell);
      assertThat(read).as(line).contains(cell);
      if (cell.length() < 20 && !cell.contains("*")) {
        assertThat(text).as(line).contains(cell);
      }
    }
    Map<String, Object> figures = new LinkedHashMap<>();
    flatten("", answer.figures(Detail.WORKING), figures);
    assertThat(figures).isNotEmpty();
    JsonNode json = new ObjectMapper().readTree(Report.JSON.of(answer, Detail.WORKING));
    Set<String> cells = cells(Report.CSV.of(answer, Detail.WORKING));
    figures.forEach(
        (path, figure) -> {
          JsonNode node = json.at("/" + path.replace(SEPARATOR, "/"));
          if (figure instanceof Number number) {
            assertThat(node.doubleValue()).as(path).isEqualTo(number.doubleValue());
          }
          String cell = String.valueOf(figure);
          boolean named = path.endsWith("question") || path.endsWith("label");
          assertThat(named || cells.contains(cell) || cells.contains("'" + cell))
              .as(line + ": " + path + " " + cell)
              .isTrue();
        });
  }

  private static final String SEPARATOR = "\u0001";

  private static void flatten(String path, Value value, Map<String, Object> into) {
    Object bare = value.bare();
    if (bare instanceof Map<?, ?> fields) {
      fields.forEach((key, each) -> flatten(join(path, pointer("" + key)), (Value) each, into));
    } else if (bare instanceof List<?> values) {
      for (int i = 0; i < values.size(); i++) {
        flatten(join(path, String.valueOf(i)), (Value) values.get(i), into);
      }
    } else if (bare != null) {
      into.put(path, bare);
    }
  }

  private static String join(String path, String key) {
    return path.isEmpty() ? key : path + SEPARATOR + key;
  }

  private static String pointer(String key) {
    return key.replace("~", "~0").replace("/", "~1");
  }

  private static Set<String> cells(String text) throws IOException {
    Set<String> cells = new HashSet<>();
    try (CsvReader<CsvRecord> reader = CsvReader.builder().ofCsvRecord(text)) {
      reader.forEach(record -> cells.addAll(record.getFields()));
    }
    return cells;
  }

  private static void cells(Block block, List<String> shown) {
    if (block instanceof Block.Table table) {
      table.rows().forEach(row -> row.forEach(value -> shown.add(value.text())));
    } else if (block instanceof Block.Grid grid) {
      grid.cells().forEach(row -> row.forEach(value -> shown.add(value.text())));
    } else if (block instanceof Block.Paragraph paragraph
        && paragraph.manner() != Block.Style.UNBROKEN) {
      shown.add(paragraph.text());
    }
  }

  /** The text of a page, which must be well-formed. */
  private static String xml(String html) throws Exception {
    String page =
        html.replace("<!DOCTYPE html>", "").replace("<br>", " ").replaceAll("<meta[^>]*>", "");
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(
            new java.io.ByteArrayInputStream(
                page.getBytes(java.nio.charset.StandardCharsets.UTF_8)))
        .getDocumentElement()
        .getTextContent();
  }

  private static String words(String text) {
    return text.replaceAll("[\\s|]+", " ").strip();
  }
}
