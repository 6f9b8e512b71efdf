package dev.tavik.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Failure;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Effect;
import dev.tavik.planning.RateDesign;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.Unanswered;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.plan.PlanQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.awt.Font;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What pictures show, and that they are drawn whatever the figures. */
class ChartTest {
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

  private static CompareQuestion kilns(String north, String south) {
    return CompareQuestion.of(Tally.parse(north), Tally.parse(south)).groups("North", "South");
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
    Answer exact = RateQuestion.of(Tally.of(3, 60), 0.1).tests(ProportionTest.EXACT).ask();
    assertThat(new String(NullPicture.of(exact).svg(), StandardCharsets.UTF_8))
        .contains(">area 0.137<", ">area 0.142<", "binomial probabilities");
    long much = pixels(png(NullPicture.of(exact)), 0xB84700);
    Answer extreme = RateQuestion.of(Tally.of(15, 60), 0.1).tests(ProportionTest.EXACT).ask();
    long little = pixels(png(NullPicture.of(extreme)), 0xB84700);
    assertThat(much).isGreaterThan(2 * little);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> NullPicture.of(kilns()))
        .withMessageContaining("about one rate");
    Answer neither = RateQuestion.of(Tally.of(3, 60), 0.1).tests(ProportionTest.WALD).ask();
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
        png(IntervalPicture.of(RateQuestion.of(groups, RateSettings.against(0.5)).ask()));
    BufferedImage two = png(IntervalPicture.of(kilns()));
    assertThat(three.getWidth()).isEqualTo(two.getWidth());
    assertThat(three.getHeight()).isGreaterThan(two.getHeight());
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                Chart.INTERVALS.of(
                    Unanswered.of(RATE.question(), "rate", "", new Failure("x", "no file"))))
        .withMessageContaining("no file");
  }

  /** What has no extent has no place: no path of a picture says NaN. */
  @Test
  void noPathIsWithoutPlace() throws IOException {
    assertThat(svg(NullPicture.of(kilns("10/10", "0/10").ask()))).doesNotContain("NaN");
    Answer between = TailQuestion.between(Tail.normal(0, 1), 1, 1).ask();
    assertThat(svg(TailPicture.of(between))).doesNotContain("NaN");
  }

  /** Many curves and lines, and words that say which is which. */
  @Test
  void noCurveRunsThroughWords() {
    CompareDesign kilns =
        CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08, Hypothesis.twoSided(0), 0.05);
    List<Effect> expected = List.of(Effect.rate(0.04), Effect.rate(0.05), Effect.rate(0.06));
    for (List<Effect> effects : List.of(expected, expected.subList(0, 1))) {
      Answer plan = PlanQuestion.forSizes(kilns, effects, List.of(0.8, 0.9)).ask();
      for (Chart chart : List.of(Chart.POWER, Chart.EFFECTS)) {
        String svg = svg(chart.of(plan));
        Map<String, Rectangle2D> words = words(svg);
        assertThat(words).containsKeys("80% wanted", "90% wanted");
        List<Line2D> lines = lines(svg);
        assertThat(lines).hasSizeGreaterThan(200);
        words.forEach(
            (word, box) -> assertThat(lines).as(word).noneMatch(line -> line.intersects(box)));
      }
    }
  }

  /** Where words stand, by the width of most letters. */
  private static Map<String, Rectangle2D> words(String svg) {
    Map<String, Rectangle2D> boxes = new LinkedHashMap<>();
    Matcher text =
        Pattern.compile("<text [^>]*?x=\"([0-9.]+)\"[^>]*?y=\"([0-9.]+)\">([^<]+)<").matcher(svg);
    while (text.find()) {
      double x = Double.parseDouble(text.group(1));
      double y = Double.parseDouble(text.group(2));
      String word = text.group(3).strip();
      x += 4 * text.group(3).indexOf(word);
      boxes.put(word, new Rectangle2D.Double(x, y - 9, 6.5 * word.length(), 9));
    }
    return boxes;
  }

  /** The pieces of curves, and straight lines. */
  private static List<Line2D> lines(String svg) {
    List<Line2D> lines = new ArrayList<>();
    Matcher path = Pattern.compile(" d=\"M([-0-9. L]+)\" fill=\"none\"").matcher(svg);
    while (path.find()) {
      String[] points = path.group(1).trim().split(" L| ", -1);
      for (int i = 3; i < points.length; i += 2) {
        lines.add(line(points[i - 3], points[i - 2], points[i - 1], points[i]));
      }
    }
    Matcher line =
        Pattern.compile("x1=\"(.+?)\" x2=\"(.+?)\" y1=\"(.+?)\" y2=\"(.+?)\"").matcher(svg);
    while (line.find()) {
      lines.add(line(line.group(1), line.group(3), line.group(2), line.group(4)));
    }
    return lines;
  }

  private static Line2D line(String x1, String y1, String x2, String y2) {
    return new Line2D.Double(
        Double.parseDouble(x1),
        Double.parseDouble(y1),
        Double.parseDouble(x2),
        Double.parseDouble(y2));
  }

  /** The last number at an axis isn't beyond what was computed, 1.5 times the size. */
  @Test
  void anAxisEndsWhereTheDataDo() {
    RateDesign design = RateDesign.of(ProportionTest.SCORE, Hypothesis.twoSided(0.05), 0.05);
    List<Effect> effects = List.of(Effect.rate(0.065), Effect.rate(0.08));
    String svg = svg(Chart.POWER.of(PlanQuestion.forPower(design, effects, List.of(800L)).ask()));
    assertThat(svg)
        .contains("> 8% against 5%: n = 800, 9", ">1,200<")
        .doesNotContain(">1,300<", ">1,400<");
  }

  /** What a tile has no room for stands behind its band, once, or is counted. */
  @Test
  void everyTileIsNamedOnceOrCounted() {
    Answer few =
        CrossQuestion.of(
                CrossTable.of(new long[][] {{355, 32, 8, 8}, {322, 33, 37, 16}, {331, 25, 21, 8}}))
            .ask();
    String mosaic = svg(Chart.MOSAIC.of(few));
    assertThat(mosaic.split("3\\.9", -1)).hasSize(2);
    assertThat(mosaic).contains(">column 3 -3.8<");
    Answer many =
        CrossQuestion.of(CrossTable.of(new long[][] {{900, 3, 4, 5, 6}, {800, 3, 3, 9, 2}})).ask();
    assertThat(svg(Chart.SHARES.of(many))).contains(">column 2 0.33%<", ">column 3 0.44%, 2 more<");
  }

  /** The words of what was observed stand clear of where rejection begins. */
  @Test
  void theObservedCountStandsClearOfOtherLines() {
    String svg = svg(NullPicture.of(RateQuestion.of(Tally.of(16, 403), 0.07).ask()));
    Rectangle2D observed = words(svg).get("observed 16");
    assertThat(lines(svg)).noneMatch(line -> line.intersects(observed));
  }

  @Test
  void ratiosStandOnTheirOwnScaleWithOpenEnds() throws IOException {
    String svg =
        svg(
            IntervalPicture.of(
                kilns("0/9", "4/8")
                    .intervals(
                        ComparisonInterval.RATIO_KOOPMAN,
                        ComparisonInterval.ODDS_RATIO_CONDITIONAL_EXACT)
                    .ask()));
    assertThat(svg).contains(">koopman, ratio<", ">0 to 0.680<", ">no difference<", ">1<");
    String wide =
        svg(
            IntervalPicture.of(
                kilns("1/900", "80/90").intervals(ComparisonInterval.ODDS_RATIO_GART).ask()));
    // Over many powers of ten only these are labelled.
    assertThat(wide).contains(">0.001<", ">0.01<").doesNotContain(">0.002<");
    // Both ends of the margin have a line of their own.
    assertThat(svg(IntervalPicture.of(kilns("14/400", "31/410").equivalent(0.05).ask())))
        .contains(">5 points<", ">-5 points<", ">no difference<");
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
    Answer pairs = PairedQuestion.of("Ann", "Ben", PairedTally.of(9, 1, 6, 4)).ask();
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

  /** Belief a billionth wide beside a null far off. */
  @ParameterizedTest
  @CsvSource({"990,1000", "999999999,1000000000", "500000000000,1000000000000"})
  void posteriorsAreDrawnHoweverNarrow(long successes, long trials) {
    Answer rate =
        RateQuestion.of(Tally.of(successes, trials), 0.1).bayes(BayesSettings.usual()).ask();
    String svg = new String(BeliefPicture.of(rate).svg(), StandardCharsets.UTF_8);
    assertThat(svg).contains("hardly any belief is left here", "held against 10%");
  }

  @Test
  void groupsAreDrawnPairByPair() {
    Answer groups =
        CompareQuestion.of(
                List.of(
                    new NamedTally("North", Tally.of(16, 403)),
                    new NamedTally("South", Tally.of(53, 408)),
                    new NamedTally("Tunnel", Tally.of(2, 300_000))),
                CompareSettings.usual())
            .baseline("Tunnel")
            .ask();
    assertThat(svg(Chart.main(groups).of(groups)))
        .contains(">North minus Tunnel<", ">Tunnel  2 of 300,000<");
  }

  /** For readers who can't see it, for printers, and at another size. */
  @Test
  void picturesDescribeThemselvesAndKeepTheirResolution() throws IOException {
    Picture picture = Chart.INTERVALS.of(RATE);
    assertThat(svg(picture))
        .contains("role=\"img\"", "<title>North kiln cracks: 3.5% (14 of 400)</title>")
        .contains("<desc>95% intervals for the true rate", "'DejaVu Sans', sans-serif");
    BufferedImage large = png(picture.sized(700, 500));
    assertThat(large.getWidth()).isEqualTo(1_400);
    assertThat(large.getHeight()).isEqualTo(1_000);
    // Two pixels a unit of a 96th of an inch: 192 an inch, 7559 a metre.
    String file = new String(picture.png(), StandardCharsets.ISO_8859_1);
    int physical = file.indexOf("pHYs");
    assertThat(file.substring(physical + 6, physical + 8)).isEqualTo("\u001d\u0087");
    assertThat(file).contains("Drawn by Tavik");
    assertThat(picture.lacking()).isEmpty();
    Answer far = RateQuestion.of(Tally.of(1, 9), 0.5).named("東京 Kiln").ask();
    assertThat(Chart.INTERVALS.of(far).lacking()).isEqualTo("東京");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> picture.sized(100, 500))
        .withMessageContaining("between 240 and 4000");
    assertThat(Charts.of(RATE)).extracting(each -> each.id()).containsExactly("intervals", "null");
    assertThat(Charts.main(RATE).get(0).in("a/1-").file()).isEqualTo("a/1-intervals.svg");
  }

  @Test
  void picturesAreFoundByTheirNames() {
    assertThat(Chart.of(AnswerKind.COMPARE).get(0)).isEqualTo(Chart.INTERVALS);
    assertThat(Chart.of(AnswerKind.CROSS).get(0)).isEqualTo(Chart.SHARES);
    for (Chart chart : Chart.of(AnswerKind.PLAN)) {
      assertThat(Chart.named(chart.id(), AnswerKind.PLAN)).isEqualTo(chart);
    }
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Chart.named("mosaic", AnswerKind.RATE))
        .withMessage(
            "rate has no picture 'mosaic'; it has intervals, null, belief, priors, sequence,"
                + " simulation");
  }
}
