package dev.tavik.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Detail;
import dev.tavik.answer.SimpleRandom;
import dev.tavik.answer.Verdict.Decision;
import dev.tavik.association.Shares;
import dev.tavik.count.SurveyCounts;
import dev.tavik.fixture.SurveyRows;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.sweep.SweepQuestion;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import dev.tavik.survey.SurveyTest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Questions of designed samples: what they answer follows from the estimates, and mirrors. */
class SurveyQuestionsTest {

  /** Tiles of 40 pallets from two kilns and three lines, in two halls; pallets have a will. */
  private static SurveyRows pallets(long seed, double north, double south) {
    Random random = new Random(seed);
    SurveyRows rows = new SurveyRows();
    for (int pallet = 0; pallet < 40; pallet++) {
      double will = 0.15 * random.nextGaussian();
      for (int tile = 0; tile < 8; tile++) {
        boolean first = random.nextBoolean();
        double chance = Math.max(0.02, Math.min(0.98, (first ? north : south) + will));
        rows.row(
            pallet < 18 ? "hall 1" : "hall 2",
            "pallet " + pallet,
            1 + 2 * random.nextDouble(),
            random.nextDouble() < chance ? "cracked" : "sound",
            first ? "North" : "South");
      }
    }
    return rows;
  }

  private static SurveyCounts two() {
    return pallets(3, 0.25, 0.6).byCluster();
  }

  /** The same rows by one column. */
  private static SurveyCounts one(SurveyRows rows, int column) {
    SurveyRows alone = new SurveyRows();
    rows.rows()
        .forEach(
            row -> alone.row(row.stratum(), row.cluster(), row.weight(), row.levels().get(column)));
    return alone.byCluster();
  }

  private static SurveyCounts outcome() {
    return one(pallets(3, 0.25, 0.6), 0);
  }

  private static List<String> codes(Answer answer) {
    return answer.cautions().stream().map(Caution::code).map(Caution.Code::id).toList();
  }

  /** What is not a success against what is not the null value: the same p, limits turned round. */
  @ParameterizedTest
  @EnumSource(SurveyTest.class)
  void aRateAndItsComplementMirror(SurveyTest method) {
    RateQuestion cracked = RateQuestion.of(outcome(), 0.35, "cracked");
    RateQuestion sound = RateQuestion.of(outcome(), 0.65, "sound");
    for (Alternative alternative : Alternative.values()) {
      Alternative turned =
          switch (alternative) {
            case TWO_SIDED -> Alternative.TWO_SIDED;
            case LESS -> Alternative.GREATER;
            case GREATER -> Alternative.LESS;
          };
      double p = cracked.alternative(alternative).tests(method).ask().test(method).pValue();
      assertThat(sound.alternative(turned).tests(method).ask().test(method).pValue())
          .as("%s %s", method, alternative)
          .isCloseTo(p, within(1e-11));
    }
    Answer one = cracked.intervals(SurveyInterval.values()).ask();
    Answer other = sound.intervals(SurveyInterval.values()).ask();
    for (SurveyInterval interval : SurveyInterval.values()) {
      assertThat(other.interval(interval).lower())
          .as(interval.id())
          .isCloseTo(1 - one.interval(interval).upper(), within(1e-11));
    }
  }

  @ParameterizedTest
  @EnumSource(SurveyInterval.class)
  void aHigherLevelIsWider(SurveyInterval method) {
    double before = 0;
    for (double level : new double[] {0.5, 0.8, 0.9, 0.95, 0.99, 0.999}) {
      Interval interval =
          RateQuestion.of(outcome(), 0.5, "cracked")
              .intervals(method)
              .level(level)
              .ask()
              .interval(method);
      assertThat(interval.upper() - interval.lower()).isGreaterThan(before);
      before = interval.upper() - interval.lower();
    }
  }

  /** Rejecting at alpha is leaving the null value out at the level that matches. */
  @ParameterizedTest
  @CsvSource({"0.2", "0.3", "0.4", "0.44", "0.5", "0.6"})
  void theVerdictAgreesWithItsInterval(double against) {
    for (double alpha : new double[] {0.001, 0.05, 0.2}) {
      Answer answer = RateQuestion.of(outcome(), against, "cracked").alpha(alpha).ask();
      Interval interval = answer.interval(SurveyInterval.LOGIT);
      assertThat(answer.verdict().decision())
          .as("%s at %s", against, alpha)
          .isEqualTo(interval.contains(against) ? Decision.NOT_REJECTED : Decision.REJECTED);
      assertThat(answer.test().method()).isEqualTo(SurveyTest.T_LOGIT);
    }
  }

  @Test
  void groupsAreAdjustedAndStandBesideTheNaiveAnswer() {
    Answer answer = RateQuestion.of(two(), 0.4, "cracked").named("Cracks").ask();
    assertThat(answer.parts()).hasSize(2);
    List<Double> raw = new ArrayList<>();
    for (Answer part : answer.parts()) {
      TestResult test = part.test(SurveyTest.T_LOGIT);
      raw.add(test.pValue());
      SimpleRandom simply = part.find(SimpleRandom.class).orElseThrow();
      assertThat(simply.interval().contains(simply.value())).isTrue();
      assertThat(part.estimate(Estimand.PROPORTION).standardError()).isPositive();
    }
    double least = Math.min(raw.get(0), raw.get(1));
    for (Answer part : answer.parts()) {
      TestResult test = part.test(SurveyTest.T_LOGIT);
      double expected = test.pValue() == least ? 2 * least : Math.max(2 * least, test.pValue());
      assertThat(Objects.requireNonNull(test.adjusted()).pValue())
          .isCloseTo(Math.min(1, expected), within(1e-14));
    }
    assertThat(answer.verdict().text()).startsWith("Cracks: each group's rate against 40%");
  }

  /** Turned groups turn the difference round and the ratios over. */
  @Test
  void turnedGroupsMirror() {
    CompareQuestion question =
        CompareQuestion.of(two(), "cracked")
            .tests(SurveyComparisonTest.values())
            .among("North", "South");
    Answer one = question.ask();
    Answer other = question.among("South", "North").ask();
    for (SurveyComparisonTest test : SurveyComparisonTest.values()) {
      assertThat(other.test(test).pValue()).isCloseTo(one.test(test).pValue(), within(1e-12));
    }
    Interval difference = one.interval(SurveyComparisonInterval.WALD);
    assertThat(other.interval(SurveyComparisonInterval.WALD).lower())
        .isCloseTo(-difference.upper(), within(1e-14));
    for (SurveyComparisonInterval method :
        List.of(SurveyComparisonInterval.LOG_RATIO, SurveyComparisonInterval.LOG_ODDS)) {
      assertThat(other.interval(method).lower())
          .isCloseTo(1 / one.interval(method).upper(), within(1e-12));
    }
    assertThat(one.verdict().decision()).isEqualTo(Decision.REJECTED);
    assertThat(one.verdict().text()).contains("North lower by").contains("weighted");
  }

  @Test
  void aDirectionHasItsBoundAndItsCaution() {
    CompareQuestion question = CompareQuestion.of(two(), "cracked").among("North", "South");
    Answer less = question.alternative(Alternative.LESS).ask();
    Answer greater = question.alternative(Alternative.GREATER).ask();
    double p = less.test(SurveyComparisonTest.T_DIFFERENCE).pValue();
    assertThat(greater.test(SurveyComparisonTest.T_DIFFERENCE).pValue())
        .isCloseTo(1 - p, within(1e-12));
    assertThat(less.interval(SurveyComparisonInterval.WALD, Side.UPPER).upper()).isNegative();
    assertThat(codes(greater)).contains("other-direction");
    assertThat(codes(less)).doesNotContain("other-direction");
    double twoSided = question.ask().test(SurveyComparisonTest.T_DIFFERENCE).pValue();
    assertThat(twoSided).isCloseTo(2 * p, within(1e-12));
  }

  /** Two one-sided tests, the larger p counts; the interval at 1 - 2 alpha lies within. */
  @ParameterizedTest
  @CsvSource({"0.6, REJECTED", "0.02, NOT_REJECTED"})
  void equivalenceIsShownWithinAMargin(double margin, Decision decision) {
    Answer answer = CompareQuestion.of(two(), "cracked").equivalent(margin).ask();
    Interval interval = answer.interval(SurveyComparisonInterval.WALD);
    assertThat(interval.level()).isEqualTo(0.9);
    boolean within = interval.lower() > -margin && interval.upper() < margin;
    assertThat(answer.verdict().decision()).isEqualTo(decision);
    assertThat(within).isEqualTo(decision == Decision.REJECTED);
    assertThat(answer.verdict().rejectionWanted()).isTrue();
  }

  @Test
  void aSmallDifferenceIsSignificantAndOfNoMeaning() {
    Answer answer = CompareQuestion.of(two(), "cracked").margin(0.9).ask();
    assertThat(codes(answer)).contains("within-margin");
    Answer wide = CompareQuestion.of(two(), "cracked").margin(0.01).ask();
    assertThat(codes(wide)).doesNotContain("within-margin");
  }

  private static SurveyCounts lines() {
    Random random = new Random(8);
    SurveyRows rows = new SurveyRows();
    for (int pallet = 0; pallet < 30; pallet++) {
      for (int tile = 0; tile < 12; tile++) {
        String line = new String[] {"A", "B", "C"}[random.nextInt(3)];
        double chance = line.equals("A") ? 0.2 : line.equals("B") ? 0.25 : 0.6;
        rows.row(
            "",
            "p" + pallet,
            1 + random.nextDouble(),
            random.nextDouble() < chance ? "cracked" : "sound",
            line);
      }
    }
    return rows.byCluster();
  }

  @Test
  void severalGroupsArePairedOrHeldAgainstABaseline() {
    Answer all = CompareQuestion.of(lines(), "cracked").among("A", "B", "C").ask();
    assertThat(all.parts())
        .extracting(Answer::label)
        .containsExactly("A minus B", "A minus C", "B minus C");
    assertThat(all.tests().get(0).method()).isEqualTo(SurveyTableTest.RAO_SCOTT);
    Answer against =
        CompareQuestion.of(lines(), "cracked").among("A", "B", "C").baseline("C").ask();
    assertThat(against.parts()).extracting(Answer::label).containsExactly("A minus C", "B minus C");
    // The same pair is the same by itself; only what it is adjusted for is another number.
    Answer alone = CompareQuestion.of(lines(), "cracked").among("A", "C").ask();
    TestResult single = alone.test(SurveyComparisonTest.T_DIFFERENCE);
    for (Answer each : List.of(all.parts().get(1), against.parts().get(0))) {
      assertThat(each.test(SurveyComparisonTest.T_DIFFERENCE).pValue())
          .isCloseTo(single.pValue(), within(1e-14));
      assertThat(each.interval(SurveyComparisonInterval.WALD).lower())
          .isCloseTo(alone.interval(SurveyComparisonInterval.WALD).lower(), within(1e-14));
    }
    assertThat(single.adjusted()).isNull();
    assertThat(all.verdict().text()).contains("the 3 groups differ").contains("A lower by");
  }

  /** Claimed shares that are the estimated ones leave nothing to reject; others much. */
  @Test
  void sharesAreHeldAgainstClaims() {
    SurveyCounts counts = one(pallets(5, 0.3, 0.3), 0);
    Answer far = SharesQuestion.of(counts, Shares.of(0.9, 0.1)).ask();
    assertThat(far.verdict().decision()).isEqualTo(Decision.REJECTED);
    double share = far.estimates().get(0).value();
    Answer near =
        SharesQuestion.of(counts, Shares.of(share, 1 - share))
            .tests(SurveyTableTest.values())
            .ask();
    assertThat(near.tests()).hasSize(3).allSatisfy(test -> assertThat(test.pValue()).isEqualTo(1));
    assertThat(far.intervals()).hasSize(2).allMatch(each -> each.quantity() == Estimand.SHARE);
    // Of two categories the tests are the square of one t, whichever way it is written.
    Answer some =
        SharesQuestion.of(counts, Shares.of(0.6, 0.4)).tests(SurveyTableTest.values()).ask();
    double t = (some.estimates().get(0).value() - 0.6) / some.estimates().get(0).standardError();
    assertThat(Objects.requireNonNull(some.test(SurveyTableTest.WALD_F).statistic()).value())
        .isCloseTo(t * t, within(1e-9));
    assertThat(some.test(SurveyTableTest.RAO_SCOTT).pValue())
        .isCloseTo(some.test(SurveyTableTest.WALD_F).pValue(), within(1e-9));
    assertThat(codes(some)).contains("one-at-a-time");
  }

  /** Rows and columns may change places: the same deviations. */
  @Test
  void aTableAndItsTurnAreTestedAlike() {
    SurveyRows rows = pallets(6, 0.2, 0.6);
    SurveyRows turned = new SurveyRows();
    rows.rows()
        .forEach(
            row ->
                turned.row(
                    row.stratum(),
                    row.cluster(),
                    row.weight(),
                    row.levels().get(1),
                    row.levels().get(0)));
    Answer one = CrossQuestion.of(rows.byCluster()).tests(SurveyTableTest.values()).ask();
    Answer other = CrossQuestion.of(turned.byCluster()).tests(SurveyTableTest.values()).ask();
    for (SurveyTableTest test : SurveyTableTest.values()) {
      assertThat(other.test(test).pValue())
          .as(test.id())
          .isCloseTo(one.test(test).pValue(), within(1e-10));
    }
    assertThat(other.estimate(Estimand.CRAMERS_V).value())
        .isCloseTo(one.estimate(Estimand.CRAMERS_V).value(), within(1e-13));
    // A difference of two rates is an association of two rows: nearly the same p.
    double difference =
        CompareQuestion.of(rows.byCluster(), "cracked")
            .ask()
            .test(SurveyComparisonTest.T_DIFFERENCE)
            .pValue();
    assertThat(Math.log(one.test(SurveyTableTest.RAO_SCOTT).pValue()))
        .isCloseTo(Math.log(difference), within(0.35 * Math.abs(Math.log(difference))));
    Cells cells =
        one.findAll(Cells.class).stream()
            .filter(each -> !each.key().isEmpty())
            .findFirst()
            .orElseThrow();
    for (int j = 0; j < 2; j++) {
      double column =
          cells.figure("columnProportions", 0, j) + cells.figure("columnProportions", 1, j);
      assertThat(column).isCloseTo(1, within(1e-14));
      assertThat(cells.figure("designResiduals", 0, j))
          .isCloseTo(-cells.figure("designResiduals", 1, j), within(1e-9));
    }
  }

  /** What each layer says is what a filter on it would. */
  @Test
  void layersAreAskedEachByItself() {
    SurveyRows rows = new SurveyRows();
    SurveyRows morning = new SurveyRows();
    Random random = new Random(2);
    for (int pallet = 0; pallet < 24; pallet++) {
      for (int tile = 0; tile < 10; tile++) {
        boolean early = random.nextBoolean();
        String[] levels = {
          random.nextInt(3) == 0 ? "cracked" : "sound",
          random.nextBoolean() ? "North" : "South",
          early ? "early" : "late"
        };
        double weight = 1 + random.nextDouble();
        rows.row("", "p" + pallet, weight, levels);
        morning.row(
            "", "p" + pallet, weight, early ? new String[] {levels[0], levels[1]} : new String[0]);
      }
    }
    SurveyCounts counts = rows.byCluster();
    Answer layered = CrossQuestion.of(counts).ask();
    assertThat(layered.parts()).hasSize(2);
    Answer early =
        layered.parts().stream()
            .filter(part -> part.label().equals("early"))
            .findFirst()
            .orElseThrow();
    Answer filtered = CrossQuestion.of(morning.byCluster()).ask();
    assertThat(early.test().pValue()).isCloseTo(filtered.test().pValue(), within(1e-12));
    assertThat(codes(layered)).contains("many-tests");
    assertThat(layered.reading(Detail.FINDINGS).toString()).contains("mantel-haenszel");
  }

  @Test
  void aSweepAsksEachColumnAndAdjusts() {
    Map<String, SurveyCounts> columns = new LinkedHashMap<>();
    columns.put("alike", pallets(11, 0.4, 0.4).byCluster());
    columns.put("unlike", pallets(12, 0.15, 0.7).byCluster());
    Answer swept = SweepQuestion.ofSamples("kiln", columns).ask();
    assertThat(swept.parts()).extracting(Answer::label).containsExactly("unlike", "alike");
    for (Answer part : swept.parts()) {
      Answer alone = CrossQuestion.of(Objects.requireNonNull(columns.get(part.label()))).ask();
      assertThat(part.test().pValue()).isEqualTo(alone.test().pValue());
    }
    assertThat(swept.verdict().text()).startsWith("1 of 2 columns differs").contains("unlike (V ");
    assertThat(
            Adjustment.HOLM
                .of(swept.parts().stream().map(Answer::test).toList())
                .get(0)
                .rejectsAdjusted(0.05))
        .isTrue();
    assertThat(codes(swept)).doesNotContain("no-statistic");
    SurveyRows certain = new SurveyRows();
    for (int i = 0; i < 24; i++) {
      boolean north = i % 2 == 0;
      certain.row("", "c" + i / 2, 1, north ? "cracked" : "sound", north ? "North" : "South");
    }
    columns.put("certain", certain.byCluster());
    Answer undecided = SweepQuestion.ofSamples("kiln", columns).ask();
    assertThat(undecided.cautions())
        .filteredOn(caution -> caution.code() == Caution.Code.NO_STATISTIC)
        .singleElement()
        .satisfies(caution -> assertThat(caution.message()).startsWith("certain: "));
    assertThat(undecided.verdict().text()).startsWith("1 of 2 columns differs");
    assertThat(undecided.parts())
        .filteredOn(part -> part.label().equals("alike"))
        .singleElement()
        .satisfies(part -> assertThat(part.verdict().text()).contains("over 2 columns"));
  }

  /** Cautions and conditions by what the sample is like. */
  @Test
  void aDesignIsJudgedByItsClustersAndWeights() {
    SurveyRows few = new SurveyRows();
    SurveyRows heavy = new SurveyRows();
    for (int c = 0; c < 30; c++) {
      for (int i = 0; i < 4; i++) {
        String level = (c + i) % 3 == 0 ? "cracked" : "sound";
        if (c < 6) {
          few.row("", "c" + c, 1, level);
        }
        heavy.row("", "c" + c, c == 7 ? 90 : 1, c == 7 ? level : "sound");
      }
    }
    Answer small = RateQuestion.of(few.byCluster(), 0.5, "cracked").ask();
    assertThat(codes(small)).contains("few-degrees");
    assertThat(small.conditions())
        .filteredOn(each -> each.name().equals("degrees of freedom"))
        .allMatch(each -> each.state() == Condition.State.NOT_MET);
    Answer uneven = RateQuestion.of(heavy.byCluster(), 0.5, "cracked").ask();
    assertThat(codes(uneven)).contains("few-clusters").doesNotContain("few-degrees");
    Answer usual = RateQuestion.of(outcome(), 0.5, "cracked").ask();
    assertThat(codes(usual)).doesNotContain("few-degrees", "few-clusters", "extreme-weights");
    assertThat(usual.conditions())
        .extracting(Condition::name)
        .containsExactly("degrees of freedom", "smallest stratum", "weights", "the design");
  }

  /** A jackknife of the same clusters answers nearly the same, of every kind of question. */
  @Test
  void replicatesAnswerEveryKindOfQuestion() {
    SurveyRows rows = new SurveyRows();
    pallets(4, 0.3, 0.5)
        .rows()
        .forEach(
            row -> rows.row("", row.cluster(), row.weight(), row.levels().toArray(String[]::new)));
    Answer plain = CompareQuestion.of(rows.byCluster(), "cracked").ask();
    Answer replicated = CompareQuestion.of(rows.byJackknife(), "cracked").ask();
    double error = plain.estimate(Estimand.DIFFERENCE).standardError();
    assertThat(replicated.estimate(Estimand.DIFFERENCE).standardError())
        .isCloseTo(error, within(0.08 * error));
    assertThat(replicated.test().df()).isEqualTo(39.0);
    Answer table = CrossQuestion.of(rows.byJackknife()).ask();
    Interval strength =
        table.intervals().stream()
            .filter(each -> each.quantity() == Estimand.CRAMERS_V)
            .findFirst()
            .orElseThrow();
    assertThat(strength.contains(table.estimate(Estimand.CRAMERS_V).value())).isTrue();
    assertThat(Math.log(table.test().pValue()))
        .isCloseTo(Math.log(CrossQuestion.of(rows.byCluster()).ask().test().pValue()), within(1.0));
    assertThat(table.reading(Detail.FINDINGS).toString())
        .contains("40 jackknife replicate weights (39 degrees of freedom)");
  }

  @Test
  void wrongQuestionsAreRefused() {
    SurveyCounts counts = two();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RateQuestion.of(counts, 1.5, "cracked"))
        .withMessageContaining("against");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RateQuestion.of(counts, 0.5))
        .withMessageContaining("success must name at least one level");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> CompareQuestion.of(counts, "cracked").among("North"))
        .withMessageContaining("between 2 and 100");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> CompareQuestion.of(counts, "cracked").baseline("East"))
        .withMessageContaining("must be one of South, North");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> CompareQuestion.of(counts, "cracked").among("North", "East").ask())
        .withMessageContaining("a row with a weight above 0");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SharesQuestion.of(counts, Shares.equal(5)))
        .withMessageContaining("2 categories");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RateQuestion.of(counts, 0.5, "cracked").tests(ProportionTest.SCORE))
        .withMessage(
            "tests of a designed sample must be among t-logit, t, korn-graubard, got score");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RateQuestion.of(counts, 0.5, "cracked").lot(1000))
        .withMessageContaining("lot is part of the design");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> CompareQuestion.of(counts, "cracked").bayes(BayesSettings.usual()))
        .withMessageContaining("needs a likelihood");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SweepQuestion.ofSamples("kiln", Map.of()))
        .withMessageContaining("at least one column");
    SurveyRows census = new SurveyRows().population("", 2);
    census.row("", "a", 1, "cracked").row("", "b", 1, "sound");
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> RateQuestion.of(census.byCluster(), 0.5, "cracked").ask())
        .withMessage("whole-population");
    assertThat(Set.copyOf(codes(RateQuestion.of(two(), 0.5, "cracked").ask())))
        .doesNotContain("no-statistic");
  }
}
