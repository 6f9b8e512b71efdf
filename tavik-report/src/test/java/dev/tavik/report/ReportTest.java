package dev.tavik.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import dev.tavik.answer.Align;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.DataOverview.Kind;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Interval;
import dev.tavik.study.Gate;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.Unanswered;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import java.io.IOException;
import java.io.StringWriter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ReportTest {
  private static final Answer RATE =
      RateQuestion.of(Tally.of(14, 400), 0.05)
          .named("North kiln cracks")
          .alternative(Alternative.LESS)
          .ask();

  private static Answer kilns() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("North", Tally.of(16, 403));
    groups.put("South", Tally.of(53, 408));
    return RateQuestion.of(groups, RateSettings.against(0.08)).named("Scrap").ask();
  }

  /** A study is written answer by answer; nobody sees that from what is written. */
  @ParameterizedTest
  @EnumSource(Report.class)
  void aStudyIsWrittenAsItsAnswersAreMade(Report report) throws IOException {
    Question broken =
        () -> {
          throw new IllegalStateException("out of tiles");
        };
    Question odd = () -> RATE.with(new Broken());
    Map<String, Tally> groups = Map.of("North", Tally.of(16, 403), "South", Tally.of(53, 408));
    Study study =
        new Study(
            "Week 18",
            List.of(
                RateQuestion.of(Tally.of(14, 400), 0.05),
                broken,
                odd,
                RateQuestion.of(groups, RateSettings.against(0.08)),
                CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410))));
    StringWriter written = new StringWriter();
    StudyAnswer kept = report.write(study, Detail.WORKING, answer -> List.of(), Pages.of(written));
    StudyAnswer whole = study.ask();
    assertThat(written).hasToString(report.of(whole, Detail.WORKING));
    if (report == Report.JSON || report == Report.CSV) {
      whole = whole.written(each -> Report.JSON.of(each, Detail.WORKING));
      assertThat(written).hasToString(report.of(whole, Detail.WORKING));
    }
    assertThat(kept.faulty()).isTrue();
    if (report == Report.JSON || report == Report.TEXT) {
      assertThat(kept.decisions()).isEqualTo(whole.decisions());
      assertThat(Gate.of(kept)).isEqualTo(Gate.of(whole));
    }
  }

  /** A finding that can't be written. */
  private record Broken() implements Finding {
    @Override
    public String key() {
      return "broken";
    }

    @Override
    public Value figures() {
      throw new IllegalStateException("no figures");
    }
  }

  @Test
  void tablesAlignOnTheDecimalPoint() {
    TextTable table = new TextTable(List.of(Align.LEFT, Align.POINT, Align.RIGHT));
    table.header(List.of("kiln", "rate", "n"));
    table.row(List.of("North", "4.05%", "403"));
    table.row(List.of("S", "12.9%", "1,408"));
    table.row(List.of("T", "none", "9"));
    table.row(List.of("U", "-3", "10"));
    assertThat(table.lines(80))
        .containsExactly(
            "kiln     rate      n",
            "North   4.05%    403",
            "S      12.9%   1,408",
            "T        none      9",
            "U      -3         10");
    assertThatIllegalArgumentException().isThrownBy(() -> table.row(List.of("too", "few")));
  }

  @Test
  void namesTooLongForALineAreCut() {
    TextTable table = new TextTable(List.of(Align.LEFT, Align.RIGHT));
    table.row(List.of("a kiln with a very long name", "1,234"));
    table.row(List.of("short", "5"));
    assertThat(table.lines(24))
        .containsExactly("a kiln with a ve…  1,234", "short                  5");
  }

  @Test
  void emphasisIsOnlyForTerminals() {
    String plain = Report.TEXT.of(RATE, Detail.FINDINGS);
    String terminal = Report.text(RATE, Detail.FINDINGS, new Screen(Emphasis.TERMINAL, 80), "");
    assertThat(plain).doesNotContain("\u001b");
    assertThat(terminal).contains("\u001b[1mObserved\u001b[0m");
    assertThat(terminal.replaceAll("\u001b\\[[01]m", "") + Mark.lastLine()).isEqualTo(plain);
  }

  @Test
  void jsonAndTextCarryTheSameNumbers() throws IOException {
    JsonNode json = new ObjectMapper().readTree(Report.JSON.of(RATE, Detail.FINDINGS));
    assertThat(json.at("/tests/0/pValue").asDouble()).isEqualTo(RATE.tests().get(0).pValue());
    assertThat(json.at("/intervals/3/upper").asDouble()).isEqualTo(RATE.intervals().get(3).upper());
    assertThat(json.at("/conclusion").asText()).isEqualTo(RATE.verdict().text());
    assertThat(json.has("working")).isFalse();
    assertThat(Report.JSON.of(RATE, Detail.WORKING)).contains("\"working\": [");
  }

  private static Answer gone() {
    return Unanswered.of(
        RATE.question(), "rate", "gone", new Failure("data-unreadable", "no file"));
  }

  @Test
  void aStudyListsEveryAnswerInItsPlace() throws IOException {
    StudyAnswer study = new StudyAnswer("Spring", List.of(RATE, gone(), kilns()));
    JsonNode json = new ObjectMapper().readTree(Report.JSON.of(study, Detail.FINDINGS));
    assertThat(json.at("/study").asText()).isEqualTo("Spring");
    assertThat(json.at("/answers/1"))
        .isEqualTo(
            new ObjectMapper()
                .readTree(
                    "{\"question\":\"rate\",\"label\":\"gone\",\"error\":"
                        + "{\"code\":\"data-unreadable\",\"message\":\"no file\"}}"));
    String text = Report.TEXT.of(study, Detail.FINDINGS);
    assertThat(text)
        .startsWith("Spring\n\nThe 3 tests, p-values adjusted by Holm's method over all of them\n")
        .contains("\n1. North kiln cracks\n\nNorth kiln cracks: the rate")
        .contains("\n2. gone\n\nNot answered: no file\n\n3. Scrap\n\nScrap: each group's rate");
  }

  @Test
  void anOverviewCutsLongListsOfLevels() {
    Map<String, Long> levels = new LinkedHashMap<>();
    for (int i = 0; i < 15; i++) {
      levels.put("depot " + i, 10L + i);
    }
    DataOverview overview =
        new DataOverview(
            "returns.csv",
            "separated by tabs, UTF-8",
            1,
            List.of(
                new Column("depot", Kind.CATEGORY, levels, 15, 1, List.of(), 0),
                new Column("", Kind.MANY_VALUES, Map.of(), 1_000, 0, List.of(), 0),
                new Column("n", Kind.WHOLE_NUMBERS, Map.of(), 9, 0, List.of("1", "9"), 45)),
            List.of("the title 'Returns' above the header is passed over"));
    assertThat(Report.TEXT.of(overview, List.of()))
        .startsWith("returns.csv: 1 row, 3 columns, separated by tabs, UTF-8\n")
        .contains("  The title 'Returns' above the header is passed over.\n")
        .contains("category, 15 levels; 1 row lacks a value\n")
        .contains("  and 3 more levels\n")
        .contains("(no name)\n  many values, 1,000 or more different ones\n")
        .endsWith("n\n  whole numbers, 1 to 9, in all 45\n" + Mark.lastLine());
  }

  private static CompareQuestion kilns(String north, String south) {
    return CompareQuestion.of(Tally.parse(north), Tally.parse(south)).groups("North", "South");
  }

  @Test
  void theNumberNeededIsToldInWords() {
    assertThat(unwrapped(kilns("14/400", "31/410").ask()))
        .contains("North has one success fewer in 24.6 (13.5 to 106; 95%, from mee)");
    assertThat(text(kilns("31/410", "14/400").ask()))
        .contains("North has one success more in 24.6");
    Interval mee = ComparisonInterval.DIFFERENCE_MEE.of(Tally.of(14, 400), Tally.of(20, 410), 0.95);
    assertThat(unwrapped(kilns("14/400", "20/410").ask()))
        .contains(
            String.format(
                Locale.ROOT,
                "from one fewer in %.1f through no difference, infinity, to one more in %.1f",
                -1 / mee.lower(),
                1 / mee.upper()));
    assertThat(text(kilns("3/12", "3/12").ask()))
        .contains("number needed: none, the proportions are equal");
    assertThat(text(kilns("3/12", "9/11").intervals(ComparisonInterval.RATIO_LOG).ask()))
        .doesNotContain("number needed");
  }

  private static String text(Answer answer) {
    return Report.TEXT.of(answer, Detail.FINDINGS);
  }

  private static String unwrapped(Answer answer) {
    return text(answer).replaceAll("\\s+", " ");
  }

  @Test
  void bothSidesOfEquivalenceAndRefusalsAreShown() {
    String both = text(kilns("14/400", "31/410").equivalent(0.08).ask());
    assertThat(both)
        .contains("Tests: null, they differ by 8 points or more; alternative, by less; alpha 0.05")
        .contains("Both one-sided tests; the larger p counts")
        .contains("above -8 points", "below 8 points");
    String refused =
        text(
            kilns("14/400", "31/410")
                .tests(TwoProportionTest.SCORE, TwoProportionTest.FISHER, TwoProportionTest.BARNARD)
                .noninferior(0.02, Alternative.LESS)
                .ask());
    assertThat(refused)
        .contains("null, North is higher by 2 points or more; alternative, it is not")
        .contains("not made: fisher, barnard: tests the null of no difference only");
    String working =
        Report.TEXT.of(
            kilns("14/400", "31/410")
                .tests(TwoProportionTest.FISHER)
                .intervals(ComparisonInterval.DIFFERENCE_MEE)
                .ask(),
            Detail.WORKING);
    assertThat(working).contains("None of these methods has a closed form");
  }

  @Test
  void groupsAndPairsAreShownPairByPair() throws IOException {
    Answer groups =
        CompareQuestion.of(
                List.of(
                    new NamedTally("North", Tally.of(16, 403)),
                    new NamedTally("South", Tally.of(53, 408)),
                    new NamedTally("Tunnel", Tally.of(2, 300_000))),
                CompareSettings.usual()
                    .tests(List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.BOSCHLOO)))
            .baseline("Tunnel")
            .ask();
    String text = unwrapped(groups);
    assertThat(text)
        .startsWith("The 3 groups differ (pearson chi-square,")
        .contains("for 2 groups against Tunnel.")
        .contains("All groups together: null, the same proportion in every group")
        .contains("North minus Tunnel z-pooled")
        .contains("boschloo not made")
        .contains("Intervals are each for itself");
    JsonNode json = new ObjectMapper().readTree(Report.JSON.of(groups, Detail.WORKING));
    assertThat(json.at("/pairs/0/tests/1/refused").asText()).contains("100,000 trials");
    assertThat(json.at("/pairs/1/input/order").asText()).isEqualTo("South minus Tunnel");
    assertThat(json.at("/pairs/0/working/0/steps")).hasSizeGreaterThan(5);
    Answer pairs = PairedQuestion.of("Ann", "Ben", PairedTally.of(49, 3, 10, 178)).ask();
    assertThat(unwrapped(pairs))
        .contains("Observed: 240 units, each judged twice")
        .contains("Ann yes 49 3 52", "Ann no 10 178 188", "all 59 181 240")
        .contains("Ann minus Ben is -2.917 points");
    JsonNode paired = new ObjectMapper().readTree(Report.JSON.of(pairs, Detail.FINDINGS));
    assertThat(paired.at("/hypothesis/quantity").asText()).isEqualTo("difference");
    assertThat(paired.at("/input/order").asText()).isEqualTo("Ann minus Ben");
    assertThat(paired.has("working")).isFalse();
  }
}
