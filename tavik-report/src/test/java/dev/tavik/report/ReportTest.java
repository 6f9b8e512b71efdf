package dev.tavik.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import dev.tavik.answer.Answer;
import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.DataOverview.Kind;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.OddsRatioInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RatioInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Alternative;
import dev.tavik.result.Interval;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CompareGroupsQuestion;
import dev.tavik.study.CompareQuestion;
import dev.tavik.study.CompareSettings;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.PairedQuestion;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.RateByGroupQuestion;
import dev.tavik.study.RateQuestion;
import dev.tavik.study.RateSettings;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.Unanswered;
import java.awt.Font;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReportTest {
  private static final RateAnswer RATE =
      RateQuestion.of(Tally.of(14, 400), 0.05)
          .labelled("North kiln cracks")
          .alternative(Alternative.LESS)
          .ask();

  private static RateByGroupAnswer kilns() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("North", Tally.of(16, 403));
    groups.put("South", Tally.of(53, 408));
    return RateByGroupQuestion.of(groups, RateSettings.against(0.08)).labelled("Scrap").ask();
  }

  @Test
  void tablesAlignOnTheDecimalPoint() {
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.RIGHT);
    table.header("kiln", "rate", "n");
    table.row("North", "4.05%", "403");
    table.row("S", "12.9%", "1,408");
    table.row("T", "none", "9");
    table.row("U", "-3", "10");
    assertThat(table.lines(80))
        .containsExactly(
            "kiln     rate      n",
            "North   4.05%    403",
            "S      12.9%   1,408",
            "T        none      9",
            "U      -3         10");
    assertThatIllegalArgumentException().isThrownBy(() -> table.row("too", "few"));
  }

  @Test
  void namesTooLongForALineAreCut() {
    TextTable table = new TextTable(Align.LEFT, Align.RIGHT);
    table.row("a kiln with a very long name", "1,234");
    table.row("short", "5");
    assertThat(table.lines(24))
        .containsExactly("a kiln with a ve…  1,234", "short                  5");
  }

  @Test
  void emphasisIsOnlyForTerminals() {
    String plain = new TextReport(Emphasis.NONE, Detail.FINDINGS).of(RATE);
    String terminal = new TextReport(Emphasis.TERMINAL, Detail.FINDINGS).of(RATE);
    assertThat(plain).doesNotContain("\u001b");
    assertThat(terminal).contains("\u001b[1mObserved\u001b[0m");
    assertThat(terminal.replaceAll("\u001b\\[[01]m", "")).isEqualTo(plain);
  }

  @Test
  void jsonAndTextCarryTheSameNumbers() throws IOException {
    JsonNode json = new ObjectMapper().readTree(new JsonReport(Detail.FINDINGS).of(RATE));
    assertThat(json.at("/tests/0/pValue").asDouble()).isEqualTo(RATE.tests().get(0).pValue());
    assertThat(json.at("/intervals/3/upper").asDouble()).isEqualTo(RATE.intervals().get(3).upper());
    assertThat(json.at("/conclusion").asText()).isEqualTo(RATE.conclusion());
    assertThat(json.has("working")).isFalse();
    assertThat(new JsonReport(Detail.WORKING).of(RATE)).contains("\"working\": [");
  }

  @Test
  void aStudyListsEveryAnswerInItsPlace() throws IOException {
    StudyAnswer study =
        new StudyAnswer(
            "Spring",
            List.of(RATE, new Unanswered("rate", "gone", "data-unreadable", "no file"), kilns()));
    JsonNode json = new ObjectMapper().readTree(new JsonReport(Detail.FINDINGS).of(study));
    assertThat(json.at("/study").asText()).isEqualTo("Spring");
    assertThat(json.at("/answers/1"))
        .isEqualTo(
            new ObjectMapper()
                .readTree(
                    "{\"question\":\"rate\",\"label\":\"gone\",\"error\":"
                        + "{\"code\":\"data-unreadable\",\"message\":\"no file\"}}"));
    String text = new TextReport(Emphasis.NONE, Detail.FINDINGS).of(study);
    assertThat(text)
        .startsWith("Spring\n\n1. North kiln cracks\n\nNorth kiln cracks: the rate")
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
                new Column("n", Kind.WHOLE_NUMBERS, Map.of(), 9, 0, List.of("1", "9"), 45)));
    assertThat(new TextReport(Emphasis.NONE, Detail.FINDINGS).of(overview, List.of()))
        .startsWith("returns.csv: 1 row, 3 columns, separated by tabs, UTF-8\n")
        .contains("category, 15 levels; 1 row lacks a value\n")
        .contains("  and 3 more levels\n")
        .contains("(no name)\n  many values, 1,000 or more different ones\n")
        .endsWith("n\n  whole numbers, 1 to 9, in all 45\n");
  }

  @Test
  void picturesShowEveryRowAndTheNullValue() throws IOException {
    String svg = new String(IntervalPicture.of(kilns()).svg(), StandardCharsets.UTF_8);
    assertThat(svg)
        .contains(">Scrap<", ">North  16 of 403<", ">South  53 of 408<", ">against 8%<")
        .contains("rejected<", ">proportion, in percent<")
        .doesNotContain("<!DOCTYPE");
    BufferedImage image = png(IntervalPicture.of(RATE));
    int nullValue = 0xB84700;
    int interval = 0x00558C;
    assertThat(pixels(image, nullValue)).isGreaterThan(200);
    assertThat(pixels(image, interval)).isGreaterThan(2_000);
    assertThat(image.getRGB(2, 2) & 0xFFFFFF).isEqualTo(0xFFFFFF);
  }

  @Test
  void aNullPictureShadesThePValue() throws IOException {
    String svg = new String(NullPicture.of(RATE).svg(), StandardCharsets.UTF_8);
    assertThat(svg)
        .contains(">North kiln cracks: what to expect if the rate is 5%<")
        .contains(">observed 14<", ">area 0.0843<", ">12<", ">successes out of 400<");
    RateAnswer exact = RateQuestion.of(Tally.of(3, 60), 0.1).tests(ProportionTest.EXACT).ask();
    assertThat(new String(NullPicture.of(exact).svg(), StandardCharsets.UTF_8))
        .contains(">area 0.137<", ">area 0.142<", "binomial probabilities");
    long much = pixels(png(NullPicture.of(exact)), 0xB84700);
    RateAnswer extreme = RateQuestion.of(Tally.of(15, 60), 0.1).tests(ProportionTest.EXACT).ask();
    long little = pixels(png(NullPicture.of(extreme)), 0xB84700);
    assertThat(much).isGreaterThan(2 * little);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> NullPicture.of(kilns()))
        .withMessageContaining("about one rate");
    RateAnswer neither = RateQuestion.of(Tally.of(3, 60), 0.1).tests(ProportionTest.WALD).ask();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> NullPicture.of(neither))
        .withMessageContaining("needs the score or the exact test");
  }

  @Test
  void picturesGrowWithTheirRowsAndHoldExtremes() throws IOException {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("a group with a name that would leave no room for anything", Tally.of(0, 60));
    groups.put("B", Tally.of(999, 1_000));
    groups.put("C", Tally.of(1, 1_000_000_000));
    BufferedImage three =
        png(IntervalPicture.of(RateByGroupQuestion.of(groups, RateSettings.against(0.5)).ask()));
    BufferedImage two = png(IntervalPicture.of(kilns()));
    assertThat(three.getWidth()).isEqualTo(two.getWidth());
    assertThat(three.getHeight()).isGreaterThan(two.getHeight());
    assertThatIllegalArgumentException()
        .isThrownBy(() -> IntervalPicture.of(new Unanswered("rate", "", "x", "no file")))
        .withMessageContaining("no file");
  }

  private static CompareQuestion kilns(String north, String south) {
    return CompareQuestion.of(Tally.parse(north), Tally.parse(south)).labelled("North", "South");
  }

  @Test
  void theNumberNeededIsToldInWords() {
    assertThat(unwrapped(kilns("14/400", "31/410").ask()))
        .contains("North has one success fewer in 24.6 (13.5 to 106; 95%, from mee)");
    assertThat(text(kilns("31/410", "14/400").ask()))
        .contains("North has one success more in 24.6");
    Interval mee = DifferenceInterval.MEE.of(Tally.of(14, 400), Tally.of(20, 410), 0.95);
    assertThat(unwrapped(kilns("14/400", "20/410").ask()))
        .contains(
            String.format(
                Locale.ROOT,
                "from one fewer in %.1f through no difference, infinity, to one more in %.1f",
                -1 / mee.lower(),
                1 / mee.upper()));
    assertThat(text(kilns("3/12", "3/12").ask()))
        .contains("number needed: none, the proportions are equal");
    assertThat(text(kilns("3/12", "9/11").intervals(RatioInterval.LOG).ask()))
        .doesNotContain("number needed");
  }

  private static String text(Answer answer) {
    return new TextReport(Emphasis.NONE, Detail.FINDINGS).of(answer);
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
        new TextReport(Emphasis.NONE, Detail.WORKING)
            .of(
                kilns("14/400", "31/410")
                    .tests(TwoProportionTest.FISHER)
                    .intervals(DifferenceInterval.MEE)
                    .ask());
    assertThat(working).contains("None of these methods has a closed form");
  }

  @Test
  void ratiosStandOnTheirOwnScaleWithOpenEnds() throws IOException {
    String svg =
        svg(
            IntervalPicture.of(
                kilns("0/9", "4/8")
                    .intervals(RatioInterval.KOOPMAN, OddsRatioInterval.CONDITIONAL_EXACT)
                    .ask()));
    assertThat(svg).contains(">koopman, ratio<", ">0 to 0.680<", ">no difference<", ">1<");
    String wide =
        svg(IntervalPicture.of(kilns("1/900", "80/90").intervals(OddsRatioInterval.GART).ask()));
    // Over many powers of ten only these are labelled.
    assertThat(wide).contains(">0.001<", ">0.01<").doesNotContain(">0.002<");
    // Both ends of the margin have a line of their own.
    assertThat(svg(IntervalPicture.of(kilns("14/400", "31/410").equivalent(0.05).ask())))
        .contains(">5 points<", ">-5 points<", ">no difference<");
  }

  @Test
  void groupsAndPairsAreShownPairByPair() throws IOException {
    CompareGroupsAnswer groups =
        CompareGroupsQuestion.of(
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
    JsonNode json = new ObjectMapper().readTree(new JsonReport(Detail.WORKING).of(groups));
    assertThat(json.at("/pairs/0/tests/1/refused").asText()).contains("100,000 trials");
    assertThat(json.at("/pairs/1/input/order").asText()).isEqualTo("South minus Tunnel");
    assertThat(json.at("/pairs/0/working/0/steps")).hasSizeGreaterThan(5);
    assertThat(svg(IntervalPicture.of(groups)))
        .contains(">North minus Tunnel<", ">Tunnel  2 of 300,000<");

    PairedAnswer pairs = PairedQuestion.of("Ann", "Ben", PairedTally.of(49, 3, 10, 178)).ask();
    assertThat(unwrapped(pairs))
        .contains("Observed: 240 units, each judged twice")
        .contains("Ann yes 49 3 52", "Ann no 10 178 188", "all 59 181 240")
        .contains("Ann minus Ben is -2.917 points");
    JsonNode paired = new ObjectMapper().readTree(new JsonReport(Detail.FINDINGS).of(pairs));
    assertThat(paired.at("/hypothesis/quantity").asText()).isEqualTo("difference");
    assertThat(paired.at("/input/order").asText()).isEqualTo("Ann minus Ben");
    assertThat(paired.has("working")).isFalse();
  }

  private static String svg(Picture picture) {
    return new String(picture.svg(), StandardCharsets.UTF_8);
  }

  @Test
  void nullPicturesOfComparisonsShadeThePValue() {
    String pooled = svg(NullPicture.of(kilns("14/400", "31/410").ask()));
    assertThat(pooled)
        .contains(">What to expect if there is no difference<", ">observed -4.06<")
        .contains(
            ">area 0.00582<", ">-3.16<", ">3.16<", ">North minus South, in percentage points<");
    String fisher = svg(NullPicture.of(kilns("1/20", "6/21").alternative(Alternative.LESS).ask()));
    assertThat(fisher)
        .contains("hypergeometric probabilities", ">how many of all 7 successes fall to North<")
        // (C(21,7) + 20 C(21,6)) / C(41,7)
        .contains(">area 0.0534<");
    PairedAnswer pairs = PairedQuestion.of("Ann", "Ben", PairedTally.of(9, 1, 6, 4)).ask();
    assertThat(svg(NullPicture.of(pairs)))
        .contains(
            "binomial probabilities", ">Ann only, out of 7 discordant pairs<", ">area 0.0625<");
  }

  private static BufferedImage png(Picture picture) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(picture.png()));
  }

  private static long pixels(BufferedImage image, int colour) {
    long found = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        found += (image.getRGB(x, y) & 0xFFFFFF) == colour ? 1 : 0;
      }
    }
    return found;
  }

  /** The library draws inside a program of someone else's. */
  @Test
  void drawingChangesNoPropertyOfTheHost() throws IOException {
    Properties before = (Properties) System.getProperties().clone();
    Font own = new Font("Serif", Font.PLAIN, 12);
    String family = own.getFamily();
    assertThat(png(IntervalPicture.of(kilns())).getWidth()).isPositive();
    assertThat(NullPicture.of(RATE).svg()).isNotEmpty();
    assertThat(System.getProperty("sun.awt.fontconfig"))
        .isEqualTo(before.getProperty("sun.awt.fontconfig"));
    assertThat(new Font("Serif", Font.PLAIN, 12).getFamily()).isEqualTo(family);
  }

  /** Two curves a billionth wide beside a null far off. */
  @ParameterizedTest
  @CsvSource({"990,1000", "999999999,1000000000", "500000000000,1000000000000"})
  void posteriorsAreDrawnHoweverNarrow(long successes, long trials) {
    RateAnswer rate =
        RateQuestion.of(Tally.of(successes, trials), 0.1).bayes(BayesSettings.usual()).ask();
    String svg = new String(PosteriorPicture.of(rate).svg(), StandardCharsets.UTF_8);
    assertThat(svg).contains("posterior there", "null value 10%");
  }
}
