package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.CsvReader;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Origin;
import dev.tavik.chart.Charts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.report.Report;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.sweep.SweepQuestion;
import java.io.StringReader;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

/** Fifty labels that mean harm, or only look like it, through every form of report. */
class FiftyLabelsTest {
  static Stream<String> labels() {
    return Stream.of(
        "<script>alert(1)</script>",
        "</title><img src=x onerror=alert(1)>",
        "<!-- ",
        "-->",
        "]]>",
        "<style>*{display:none}</style>",
        "</svg><script>x</script>",
        "<?xml version=\"1.0\"?>",
        "&lt;b&gt;",
        "&amp;",
        "&#0;",
        "a & b",
        "\"quoted\"",
        "'single'",
        "a=\"b\" onload=\"x\"",
        "javascript:alert(1)",
        "=1+1",
        "=HYPERLINK(\"x\")",
        "+1",
        "-1",
        "@SUM(A1)",
        "\tTAB",
        "\rCR",
        "=cmd|' /C calc'!A0",
        "| pipe | table |",
        "`code`",
        "```",
        "**bold**",
        "_under_ [a](b)",
        "# heading",
        "1. item",
        "- item",
        "![x](y)",
        "\\backslash\\",
        "$math$",
        "${PLACE}",
        "%s %n",
        "{\"json\": 1}",
        "line\nbreak",
        "\u0000nul",
        "\u0007bell",
        "\u001b[31mred",
        "\u202eright",
        "\u200bzero\ufeff",
        "\ud800",
        "e\u0301\u0301\u0301",
        "東京の窯",
        "عربي",
        "👩‍👩‍👧🔥",
        "x".repeat(10_000));
  }

  private static List<Answer> answers(String label) {
    String other = "Other";
    Tally first = Tally.of(14, 400);
    Tally second = Tally.of(31, 410);
    CrossTable table =
        new CrossTable(
            List.of(label, other),
            List.of(label + " yes", "no"),
            List.of(List.of(14L, 386L), List.of(31L, 379L)));
    Origin origin =
        QuestionKind.RATE.origin(
            QuestionArguments.of("tally=" + label + "=14/400", "against=5%"),
            SourceOpener.ofFiles());
    return List.of(
        CompareQuestion.of(first, second).named(label).groups(label, other).ask().with(origin),
        CrossQuestion.of(table).named(label).ask(),
        SweepQuestion.of(label, Map.of(label, table)).ask());
  }

  private static Document xml(String text) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(text)));
  }

  @ParameterizedTest
  @MethodSource("labels")
  void passThroughEveryFormHarmlessly(String label) throws Exception {
    List<Answer> answers = answers(label);
    StudyAnswer study = new StudyAnswer(label, answers);
    String page = Report.HTML.of(study, Detail.WORKING, Charts::main);
    Document read =
        xml(page.replaceFirst("(?i)<!doctype html>", "").replaceAll("<(meta[^>]*)>", "<$1/>"));
    assertThat(read.getElementsByTagName("script").getLength()).isZero();
    assertThat(read.getElementsByTagName("img").getLength()).isZero();
    assertThat(read.getElementsByTagName("style").getLength()).isEqualTo(1);
    assertThat(read.getElementsByTagName("article").getLength()).isEqualTo(3);
    String plain = Report.TEXT.of(study, Detail.FINDINGS);
    assertThat(page + plain).doesNotContain("\u0000", "\u0007", "\u001b", "\u202e", "\ufeff");
    String[] lines = Report.MARKDOWN.of(study, Detail.WORKING).split("\n");
    boolean code = false;
    for (int i = 1; i < lines.length; i++) {
      code ^= lines[i].equals("```");
      assertThat(code || !lines[i].matches(".*(?<!\\\\)<[a-z!/?].*")).as(lines[i]).isTrue();
      if (lines[i].startsWith("|") && lines[i - 1].startsWith("|")) {
        assertThat(pipes(lines[i])).as(lines[i]).isEqualTo(pipes(lines[i - 1]));
      }
    }
    JsonNode json = new ObjectMapper().readTree(Report.JSON.of(study, Detail.WORKING));
    String unpaired = label.replace('\ud800', '?');
    assertThat(json.get("study").asText().replace('\ud800', '?')).isEqualTo(unpaired);
    assertThat(json.at("/answers/1/label").asText().replace('\ud800', '?')).isEqualTo(unpaired);
    CsvReader.builder()
        .ofCsvRecord(Report.CSV.of(study, Detail.WORKING))
        .forEach(
            row -> {
              assertThat(row.getFieldCount()).isEqualTo(22);
              assertThat(row.getFields())
                  .noneMatch(
                      cell -> cell.matches("(?s)[=+@\t\r-].*") && !cell.matches("-[0-9.E-]+"));
            });
  }

  private static int pipes(String row) {
    return row.replaceAll("\\\\.", "").replaceAll("[^|]", "").length();
  }
}
