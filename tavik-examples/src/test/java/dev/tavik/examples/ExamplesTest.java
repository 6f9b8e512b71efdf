package dev.tavik.examples;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.SimulationFinding;
import dev.tavik.association.TableTest;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.survey.SurveyComparisonInterval;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ExamplesTest {

  @ParameterizedTest
  @CsvSource({
    "South, 53/408, Take the kiln out.",
    "North, 16/403, The kiln may stay in use for now.",
    "Tunnel, 29/385, The kiln may stay in use for now."
  })
  void acceptAKilnDecides(String kiln, String tally, String decision) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Answer answer;
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      answer = AcceptAKiln.judge(kiln, out);
    }
    assertThat(((RateQuestion) answer.question()).tally().orElseThrow()).hasToString(tally);
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .startsWith(kiln + " kiln's scrap: the rate is ")
        .endsWith(decision + System.lineSeparator());
  }

  @Test
  void compareTwoKilnsTellsDifferenceAndLikeness() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Answer answer;
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      answer = CompareTwoKilns.compare("South", "Tunnel", out);
    }
    assertThat(((CompareQuestion) answer.question()).first().tally()).hasToString("53/408");
    assertThat(answer.tests()).extracting(test -> test.rejects(0.05)).containsOnly(true);
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .startsWith("Scrap: South and Tunnel differ: South 13.0% (53 of 408)")
        .contains("be equivalent within 2 percentage points");
  }

  @Test
  void tenTasksLeadFromAColumnToAReport(@TempDir Path folder) throws IOException {
    Tabulation counts = TenTasks.count();
    Answer comparison = TenTasks.compare(counts);
    assertThat(TenTasks.rate(counts).verdict().text()).startsWith("Cracked tiles: the rate is");
    assertThat(comparison.verdict().text()).contains("North", "South");
    assertThat(TenTasks.read(comparison)).matches("[-.\\dE]+: -?0\\.\\d+ to -?0\\.\\d+");
    assertThat(TenTasks.pairs().verdict().text()).contains("Ann", "Ben");
    assertThat(TenTasks.shares(counts).tests()).isNotEmpty();
    assertThat(TenTasks.cross(counts).test().method()).isEqualTo(TableTest.PEARSON);
    Answer views = TenTasks.otherViews(counts);
    assertThat(views.find(SimulationFinding.class)).isPresent();
    assertThat(views.find(Posterior.class)).isPresent();
    assertThat(TenTasks.plan()).isBetween(400L, 800L);
    TenTasks.report(comparison, folder);
    assertThat(Files.readString(folder.resolve("answer.html"))).contains("<html", "fisher");
    assertThat(Files.readString(folder.resolve("answer.json"))).contains("\"fisher\"");
    assertThat(Files.readString(folder.resolve("answer.svg"))).contains("<svg");
  }

  @Test
  void howManyTilesPlansTheTrial() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      assertThat(HowManyTiles.plan(400, out).sizes().first()).isEqualTo(750);
    }
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .contains(
            "With 750 tiles from each firing (1,500 in all)",
            "no less than a fall to 3.4% or a rise to 14.2%");
  }

  @Test
  void theNewGlazeIsFollowedTileByTile() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Answer answer;
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      answer = IsTheNewGlazeBetter.follow("cobalt", out);
    }
    assertThat(((RateQuestion) answer.question()).tally().orElseThrow()).hasToString("15/246");
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .contains("Followed through the file in its order", "Most for the alternative after ")
        .endsWith(
            "Fire more tiles before deciding: the prior still matters." + System.lineSeparator());
  }

  @Test
  void theNullWorldIsSeen() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Answer answer;
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      answer = SeeTheNullWorld.shuffle(50_000, out);
    }
    assertThat(answer.find(SimulationFinding.class).orElseThrow().agrees(0)).isFalse();
    assertThat(answer.find(SimulationFinding.class).orElseThrow().agrees(1)).isTrue();
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .contains("50,000 shuffles of 24 successes among 793 trials", "from the normal curve");
  }

  @Test
  void twoInspectorsAreJudgedByTheTilesTheyDifferOn() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Answer answer;
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      answer = TwoInspectors.compare(out);
    }
    assertThat(((PairedQuestion) answer.question()).tally())
        .isEqualTo(PairedTally.of(49, 3, 10, 178));
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .startsWith("First inspector and Second inspector are ");
  }

  @Test
  void boxesAreHeldAgainstTheirLabel() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      // (392-400)²/400 + (331-300)²/300 + (277-300)²/300 = 5.127: below 5.991, the 5 % point.
      Answer answer = DoBoxesMatchTheirLabel.check(List.of(392L, 331L, 277L), out);
      assertThat(answer.test().pValue()).isBetween(0.05, 0.1);
    }
    assertThat(bytes.toString(StandardCharsets.UTF_8)).startsWith("Mixed boxes: the counts are ");
  }

  @Test
  void returnsComeBrokenFromColdmere() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      Answer answer = WhereDoReturnsComeFrom.look(out);
      assertThat(((CrossQuestion) answer.question()).table().orElseThrow().total()).isEqualTo(291);
      assertThat(answer.tests()).hasSize(2);
    }
    assertThat(bytes.toString(StandardCharsets.UTF_8)).contains("Coldmere x broken above");
  }

  @Test
  void aWorkbookACodebookAndADatabaseAreRead(@TempDir Path folder)
      throws IOException, SQLException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      assertThat(
              ((CrossQuestion) ReadTheWorkbook.ask("Firings", out).question())
                  .table()
                  .orElseThrow()
                  .total())
          .isEqualTo(100);
      CompareQuestion regions =
          (CompareQuestion) ReadThePanel.compare("Uplands", "Coast", out).question();
      assertThat(regions.first().tally()).hasToString("39/76");
      assertThat(regions.second().tally()).hasToString("83/123");
      assertThat(
              ((RateQuestion) AskTheDatabase.ask(folder.resolve("made.db"), out).question())
                  .tally())
          .contains(Tally.of(37, 408));
    }
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .startsWith("100 tiles; the title 'Firings of week 18, 2026' above the header")
        .contains(
            "Recommend at 9 or 10: 172 of 382.", "counted by SELECT (\"kiln\" COLLATE BINARY), ");
  }

  /** The design catches the truth, which the rows alone miss. */
  @Test
  void aPanelIsAnsweredByItsDesign() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (PrintStream out = new PrintStream(bytes, true, StandardCharsets.UTF_8)) {
      Answer answer = WouldTheyOrderAgain.compare(out);
      TradePopulation population = TradePopulation.all();
      double truth = population.reorders("Uplands") - population.reorders("Moors");
      assertThat(answer.interval(SurveyComparisonInterval.WALD).contains(truth)).isTrue();
      assertThat(population.reorders()).isBetween(0.605, 0.607);
    }
    assertThat(bytes.toString(StandardCharsets.UTF_8))
        .contains("60.8% by the design, 65.0% of the rows, 60.6% in truth");
  }

  /** A workbook is never twice the same to the byte; what it holds is. */
  @Test
  void theDemoWorkbookIsThatOfTheGenerator(@TempDir Path folder) throws IOException {
    HarrowmereData.main(new String[] {folder.toString()});
    CountRequest whole = CountRequest.of("date", "kiln", "shift", "glaze", "grade");
    assertThat(Sources.open(folder.resolve("week-18.xlsx")).count(whole).counts())
        .isEqualTo(Sources.open("week-18.xlsx", DemoFiles::open).count(whole).counts());
  }

  @Test
  void demoDataAreThoseOfTheGenerator() throws IOException {
    for (Map.Entry<String, String> file : HarrowmereData.files().entrySet()) {
      try (InputStream in = DemoFiles.open(file.getKey())) {
        assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
            .as(file.getKey())
            .isEqualTo(file.getValue());
      }
    }
  }

  @Test
  void theStepsOfTheGuideLeadFromALookToAPlan() {
    assertThat(TheGuide.look().rows()).isEqualTo(1_200);
    assertThat(TheGuide.state().verdict().text()).contains("98 of 1,196");
    assertThat(TheGuide.check().verdict().text()).contains("mid-p test");
    assertThat(TheGuide.testAndEstimate()).contains("percentage points");
    assertThat(TheGuide.picture(TheGuide.state())).isGreaterThan(10_000);
    assertThat(TheGuide.conclude(DemoFiles::open)).contains("Kiln acceptance, spring", "<svg");
    assertThat(TheGuide.plan()).isEqualTo(1_059);
    assertThat(TheGuide.sweep(TenTasks.count()).parts()).hasSize(1);
  }
}
