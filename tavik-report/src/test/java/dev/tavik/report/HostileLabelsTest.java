package dev.tavik.report;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.SquareTable;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.simulation.Draws;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.assess.AssessQuestion;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.AgreementQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.EvidenceForecastQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.io.StringReader;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

/** Whatever data call their columns and levels: every form stays what it is, and loses nothing. */
class HostileLabelsTest {
  private static final String LABEL = "=A1|<script>alert('x')</script> & \"`*_[\u001b[31m";
  private static final String ONE = "<North>|\"a\"";
  private static final String TWO = "+South & `b`";
  private static final String THREE = "@T\u202eunnel\\";

  private static final Tally FIRST = Tally.of(14, 400);
  private static final Tally SECOND = Tally.of(31, 410);

  static Stream<Question> questions() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put(ONE, FIRST);
    groups.put(TWO, SECOND);
    RateQuestion rate = RateQuestion.of(FIRST, 0.05).named(LABEL).bayes(BayesSettings.usual());
    return Stream.of(
        rate,
        RateQuestion.of(groups, RateSettings.against(0.05)).named(LABEL),
        EvidenceForecastQuestion.of(Hypothesis.less(0.05), 40L).named(LABEL),
        CompareQuestion.of(FIRST, SECOND).named(LABEL).groups(ONE, TWO),
        CompareQuestion.of(
                List.of(
                    new NamedTally(ONE, FIRST),
                    new NamedTally(TWO, SECOND),
                    new NamedTally(THREE, FIRST)),
                CompareSettings.usual())
            .named(LABEL),
        PairedQuestion.of(PairedTally.of(49, 3, 10, 178)).named(LABEL).groups(ONE, TWO),
        SharesQuestion.of(
                CategoryCounts.of(List.of(ONE, TWO, THREE), List.of(31L, 22L, 17L)),
                Shares.equal(3))
            .named(LABEL),
        CrossQuestion.of(
                new CrossTable(
                    List.of(ONE, TWO),
                    List.of(TWO, THREE),
                    List.of(List.of(12L, 5L), List.of(7L, 9L))))
            .named(LABEL),
        AgreementQuestion.of(
                ONE,
                TWO,
                new SquareTable(List.of(ONE, TWO), List.of(List.of(12L, 5L), List.of(7L, 9L))))
            .named(LABEL),
        SimulatedQuestion.of(
            CompareQuestion.of(FIRST, SECOND).named(LABEL).groups(ONE, TWO), Draws.of(200, 7)),
        AssessQuestion.rate(20, List.of(0.05)).named(LABEL),
        TailQuestion.leaving(Tail.binomial(40, 0.05), 0.05).named(LABEL),
        RateQuestion.of(Tally.of(0, 9), 0.05).tests(ProportionTest.values()).named(LABEL));
  }

  @ParameterizedTest
  @MethodSource("questions")
  void textSteersNoTerminalAndFitsIt(Question question) {
    String text = Report.TEXT.of(question.ask());
    assertThat(text).doesNotContain("\u001b", "\u202e").contains("=A1|<script>");
    assertThat(text.lines()).allSatisfy(line -> assertThat(line).doesNotEndWith(" "));
  }

  @ParameterizedTest
  @MethodSource("questions")
  void tablesOfMarkdownKeepTheirColumns(Question question) {
    List<String> lines = Report.MARKDOWN.of(question.ask()).lines().toList();
    for (int i = 1; i < lines.size(); i++) {
      if (lines.get(i).startsWith("|") && lines.get(i - 1).startsWith("|")) {
        assertThat(pipes(lines.get(i))).as(lines.get(i)).isEqualTo(pipes(lines.get(i - 1)));
      }
    }
    assertThat(lines).noneMatch(line -> line.contains("<script>"));
  }

  private static int pipes(String row) {
    return row.replaceAll("\\\\.", "").replaceAll("[^|]", "").length();
  }

  @ParameterizedTest
  @MethodSource("questions")
  void pagesAreWellFormedAndRunNothing(Question question) throws Exception {
    String page =
        Report.HTML
            .of(question.ask())
            .replaceFirst("(?i)<!doctype html>", "")
            .replaceAll("<(meta[^>]*)>", "<$1/>");
    Document read =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new InputSource(new StringReader(page)));
    assertThat(read.getElementsByTagName("script").getLength()).isZero();
    assertThat(read.getDocumentElement().getTextContent()).contains("<script>alert('x')</script>");
    assertThat(page).doesNotContain("\u001b", "\u202e");
  }

  @ParameterizedTest
  @MethodSource("questions")
  void jsonHasLabelsAsTheyAre(Question question) throws Exception {
    Answer answer = question.ask();
    JsonNode read = new ObjectMapper().readTree(Report.JSON.of(answer));
    assertThat(read.get("label").asText()).isEqualTo(LABEL);
    assertThat(read.get("conclusion").asText()).isEqualTo(answer.verdict().text());
  }

  /** Rows that are all alike, and no cell that a spreadsheet would compute. */
  @ParameterizedTest
  @MethodSource("questions")
  void spreadsheetsComputeNothing(Question question) {
    List<CsvRecord> rows =
        CsvReader.builder().ofCsvRecord(Report.CSV.of(question.ask())).stream().toList();
    assertThat(rows).hasSizeGreaterThan(4);
    assertThat(rows)
        .allSatisfy(
            row -> {
              assertThat(row.getFieldCount()).isEqualTo(22);
              assertThat(row.getFields())
                  .allMatch(
                      cell ->
                          cell.matches("[-+]?[0-9.]+(E-?[0-9]+)?")
                              || !cell.matches("(?s)[=+@-].*"));
            });
    assertThat(rows).extracting(row -> row.getField(3)).contains("conclusion");
    assertThat(rows).extracting(row -> row.getField(1)).contains("'" + LABEL);
  }
}
