package dev.tavik.study.rate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Caution.Code;
import dev.tavik.answer.Condition.State;
import dev.tavik.answer.Verdict.Decision;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Derivation;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import dev.tavik.survey.SurveyTest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RateQuestionTest {

  /** What the verdict decides, by what; its words are those of the phrases. */
  @ParameterizedTest
  @CsvSource({
    "14/400, 0.05, less, NOT_REJECTED, score, 0.0843",
    "14/400, 0.08, less, REJECTED, score, 0.000454",
    "14/400, 0.08, two-sided, REJECTED, score, 0.000908",
    "3/40, 0.08, two-sided, NOT_REJECTED, score, 0.907",
    "40/400, 0.05, greater, REJECTED, score, 2.23e-6",
    "20/400, 0.05, greater, NOT_REJECTED, score, 0.500"
  })
  void theVerdictDecidesByItsTest(
      String tally, double against, String alternative, Decision decision, String test, String p) {
    Answer answer = ask(tally, against, alternative);
    assertThat(answer.verdict().decision()).isEqualTo(decision);
    assertThat(answer.test().method().id()).isEqualTo(test);
    assertThat(answer.verdict().interval()).contains(ProportionInterval.WILSON);
    assertThat(answer.verdict().text()).contains("p = " + p).doesNotContain("no difference");
    assertThat(RateQuestion.of(Tally.of(14, 400), 0.05).named("North").ask().verdict().text())
        .startsWith("North: the rate ");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "none",
      value = {
        "14/400 | 0.05 | two-sided | 0.05 | 0.95 | none",
        "14/400 | 0.05 | greater | 0.05 | 0.95 | OTHER_DIRECTION",
        "40/400 | 0.05 | less | 0.05 | 0.95 | OTHER_DIRECTION TEST_AND_INTERVAL",
        "3/40 | 0.08 | two-sided | 0.05 | 0.95 | none",
        "37/40 | 0.92 | two-sided | 0.05 | 0.95 | none",
        "0/400 | 0.05 | two-sided | 0.05 | 0.95 | ALL_OR_NONE",
        "400/400 | 0.95 | two-sided | 0.05 | 0.95 | ALL_OR_NONE",
        "29/400 | 0.05 | two-sided | 0.04 | 0.96 | TESTS_DISAGREE TEST_AND_INTERVAL",
        "14/400 | 0.05 | two-sided | 0.01 | 0.95 | LEVEL_ALPHA",
        "28/400 | 0.05 | greater | 0.05 | 0.95 | TEST_AND_INTERVAL"
      })
  void cautionsNameWhatTheAnalystShouldKnow(
      String tally, double against, String alternative, double alpha, double level, String codes) {
    Answer answer =
        RateQuestion.of(Tally.parse(tally), against)
            .alternative(Alternative.of(alternative))
            .alpha(alpha)
            .level(level)
            .ask();
    List<String> expected = codes == null ? List.of() : List.of(codes.split(" "));
    assertThat(answer.cautions().stream().map(Caution::code).map(Code::name))
        .containsExactlyInAnyOrderElementsOf(expected);
    assertThat(answer.cautions()).allSatisfy(c -> assertThat(c.message()).endsWith("."));
  }

  /** No pair of test and interval may contradict one another without a word about it. */
  @ParameterizedTest
  @EnumSource
  void contradictionsAreNeverSilent(Alternative alternative) {
    for (int x = 0; x <= 150; x++) {
      Answer answer = RateQuestion.of(Tally.of(x, 150), 0.3).alternative(alternative).ask();
      boolean rejects = answer.test().rejects(0.05);
      boolean contradicted =
          answer.intervals().stream().anyMatch(interval -> interval.contains(0.3) == rejects);
      boolean split =
          answer.tests().stream().map(test -> test.rejects(0.05)).distinct().count() > 1;
      assertThat(has(answer, Code.TEST_AND_INTERVAL)).as("x = " + x).isEqualTo(contradicted);
      assertThat(has(answer, Code.TESTS_DISAGREE)).as("x = " + x).isEqualTo(split);
    }
  }

  private static boolean has(Answer answer, Code code) {
    return answer.cautions().stream().anyMatch(caution -> caution.code() == code);
  }

  /** The first of three tests whose size, summed here over all counts, is near enough to alpha. */
  @ParameterizedTest
  @CsvSource({
    "400, 0.05, two-sided, 0.05, wilson",
    "706, 0.02, less, 0.05, clopper-pearson",
    "60, 0.05, two-sided, 0.05, wilson",
    "20, 0.05, greater, 0.05, any",
    "37, 0.5, two-sided, 0.05, any",
    "199, 0.95, two-sided, 0.01, any",
    "250, 0.01, greater, 0.1, any",
    "3, 0.3, less, 0.05, any"
  })
  void theVerdictRestsOnTheFirstTestOfItsSize(
      int n, double against, String alternative, double alpha, String interval) {
    List<ProportionTest> inTurn =
        List.of(ProportionTest.SCORE, ProportionTest.MID_P, ProportionTest.EXACT);
    Hypothesis hypothesis = new Hypothesis(against, Alternative.of(alternative));
    BinomialDistribution underTheNull = BinomialDistribution.of(n, against);
    ProportionTest wanted =
        inTurn.stream()
            .filter(
                test ->
                    IntStream.rangeClosed(0, n)
                            .filter(x -> test.of(Tally.of(x, n), hypothesis).rejects(alpha))
                            .mapToDouble(underTheNull::probability)
                            .sum()
                        <= 1.1 * alpha)
            .findFirst()
            .orElseThrow();
    for (int seen : new int[] {0, n / 3, n}) {
      Answer answer =
          RateQuestion.of(
                  Tally.of(seen, n),
                  RateSettings.against(against).alternative(hypothesis.alternative()).alpha(alpha))
              .ask();
      assertThat(answer.verdict().test()).contains(wanted);
      assertThat(answer.verdict().interval().orElseThrow().id())
          .isEqualTo(
              switch (wanted) {
                case SCORE -> "wilson";
                case MID_P -> "mid-p";
                default -> "clopper-pearson";
              });
      assertThat(interval).isIn("any", answer.verdict().interval().orElseThrow().id());
      assertThat(answer.conditions())
          .filteredOn(each -> each.name().equals("true size"))
          .allMatch(each -> each.state() == State.MET)
          .hasSize(1);
    }
  }

  /** What is asked for is kept, with what it does; so many trials need no sum. */
  @Test
  void anAskedTestIsKeptAndItsSizeTold() {
    Answer asked =
        RateQuestion.of(
                Tally.of(8, 706),
                RateSettings.against(0.02)
                    .alternative(Alternative.LESS)
                    .tests(List.of(ProportionTest.SCORE)))
            .ask();
    assertThat(asked.verdict().test()).contains(ProportionTest.SCORE);
    assertThat(asked.conditions()).anyMatch(each -> each.state() == State.NOT_MET);
    assertThat(asked.cautions().get(0).message()).contains("in 5.7% of such samples, not in 5%");
    Answer many = RateQuestion.of(Tally.of(8_000, 200_001), 0.05).ask();
    assertThat(many.verdict().test()).contains(ProportionTest.SCORE);
  }

  @Test
  void directionalQuestionsCarryTheMatchingBound() {
    assertThat(sides("less")).containsExactly(Side.TWO_SIDED, Side.UPPER);
    assertThat(sides("greater")).containsExactly(Side.TWO_SIDED, Side.LOWER);
    assertThat(sides("two-sided")).containsExactly(Side.TWO_SIDED);
  }

  private static List<Side> sides(String alternative) {
    return RateQuestion.of(Tally.of(14, 400), 0.05)
        .alternative(Alternative.of(alternative))
        .intervals(ProportionInterval.WILSON)
        .ask()
        .intervals()
        .stream()
        .map(Interval::side)
        .toList();
  }

  @Test
  void estimateStandsWithItsOwnStandardError() {
    Answer answer = ask("14/400", 0.05, "two-sided");
    assertThat(answer.estimates().get(0).value()).isEqualTo(0.035);
    assertThat(answer.estimates().get(0).standardError())
        .isCloseTo(Math.sqrt(0.035 * 0.965 / 400), within(1e-17));
  }

  /** Each line can be done again from the numbers it shows. */
  @Test
  void workingCanBeRedoneByHand() {
    List<Derivation> workings = ask("14/400", 0.05, "less").working();
    assertThat(workings).extracting(each -> each.method().id()).containsExactly("score", "wilson");
    List<WorkingStep> steps = workings.get(0).steps();
    assertThat(steps)
        .extracting(WorkingStep::name)
        .containsExactly(
            "observed proportion",
            "standard error under the null",
            "test statistic",
            "p-value",
            "critical value",
            "decision");
    assertThat(steps.get(1).substituted()).isEqualTo("sqrt(0.05 (1 - 0.05) / 400)");
    double standardError = Double.parseDouble(steps.get(1).value());
    assertThat(standardError).isCloseTo(Math.sqrt(0.05 * 0.95 / 400), within(1e-11));
    assertThat(Double.parseDouble(steps.get(2).value()))
        .isCloseTo((0.035 - 0.05) / standardError, within(1e-8));
    assertThat(steps.get(3).value()).isEqualTo("0.08433430944");
    assertThat(steps.get(4).value()).isEqualTo("1.644853627");
    assertThat(steps.get(5).value()).isEqualTo("do not reject the null");
  }

  /** The last line of every working is what the method itself says. */
  @ParameterizedTest
  @EnumSource
  void everyWorkingEndsWhereItsMethodDoes(Alternative alternative) {
    for (String tally : new String[] {"14/400", "31/400", "0/30", "1/30", "30/30"}) {
      Answer answer =
          RateQuestion.of(Tally.parse(tally), 0.05)
              .alternative(alternative)
              .tests(ProportionTest.values())
              .intervals(ProportionInterval.values())
              .ask();
      boolean degenerate = tally.equals("0/30") || tally.equals("30/30");
      assertThat(answer.working()).hasSize(degenerate ? 7 : 8);
      for (Derivation working : answer.working()) {
        List<WorkingStep> steps = working.steps();
        answer.intervals().stream()
            .filter(interval -> working.title().endsWith("interval by hand"))
            .filter(interval -> interval.method().equals(working.method()))
            .filter(interval -> interval.side() == Side.TWO_SIDED)
            .forEach(
                interval -> {
                  assertShown(steps.get(steps.size() - 2).value(), interval.lower());
                  assertShown(steps.get(steps.size() - 1).value(), interval.upper());
                  assertRedone(steps.get(steps.size() - 2));
                  assertRedone(steps.get(steps.size() - 1));
                });
        answer.tests().stream()
            .filter(test -> working.title().endsWith("test by hand"))
            .filter(test -> test.method().equals(working.method()))
            .forEach(test -> assertShown(steps.get(steps.size() - 3).value(), test.pValue()));
      }
    }
  }

  private static void assertShown(String shown, double value) {
    assertThat(Double.parseDouble(shown)).isCloseTo(value, within(1e-9 * Math.abs(value)));
  }

  /** A limit is the sum or difference of the two numbers shown, unless it was clipped. */
  private static void assertRedone(WorkingStep step) {
    String[] parts = step.substituted().split(" ");
    if (parts.length == 3 && step.reason().isEmpty()) {
      double sign = parts[1].equals("+") ? 1 : -1;
      double sum = Double.parseDouble(parts[0]) + sign * Double.parseDouble(parts[2]);
      assertThat(Double.parseDouble(step.value())).isCloseTo(sum, within(1e-9));
    }
  }

  @Test
  void holmAdjustsEachMethodOverTheGroups() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("North", Tally.of(16, 403));
    groups.put("South", Tally.of(53, 408));
    groups.put("Tunnel", Tally.of(29, 385));
    Answer answer = RateQuestion.of(groups, RateSettings.against(0.08)).named("Scrap").ask();
    for (int method = 0; method < 2; method++) {
      List<Double> raw = new ArrayList<>();
      List<Double> adjusted = new ArrayList<>();
      for (Answer group : answer.parts()) {
        TestResult test = group.tests().get(method);
        raw.add(test.pValue());
        adjusted.add(test.adjusted() == null ? Double.NaN : test.adjusted().pValue());
      }
      // South is smallest, then North, then Tunnel.
      double south = 3 * raw.get(1);
      double north = Math.max(south, 2 * raw.get(0));
      assertThat(adjusted.get(1)).isCloseTo(south, within(1e-15));
      assertThat(adjusted.get(0)).isCloseTo(north, within(1e-15));
      assertThat(adjusted.get(2)).isCloseTo(Math.max(north, raw.get(2)), within(1e-15));
    }
    assertThat(answer.verdict().text())
        .containsSubsequence(
            "South (13.0%, p = 0.000609)", "North (4.0%, p = 0.00573)", "Tunnel (7.5%, p = 0.735)");
  }

  @Test
  void aGroupThatIsSignificantOnlyAloneIsToldSo() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("A", Tally.of(29, 400));
    groups.put("B", Tally.of(20, 400));
    Answer answer = RateQuestion.of(groups, RateSettings.against(0.05)).ask();
    assertThat(answer.parts().get(0).test().rejects(0.05)).isTrue();
    assertThat(answer.parts().get(0).test().rejectsAdjusted(0.05)).isFalse();
    assertThat(has(answer.parts().get(0), Code.ADJUSTED_AWAY)).isTrue();
    assertThat(has(answer.parts().get(1), Code.ADJUSTED_AWAY)).isFalse();
  }

  @Test
  void whatHoldsForEveryGroupIsSaidOnce() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("North", Tally.of(14, 400));
    groups.put("South", Tally.of(31, 410));
    Answer answer = RateQuestion.of(groups, RateSettings.against(0.05).level(0.9)).ask();
    assertThat(answer.cautions()).extracting(Caution::code).containsExactly(Code.LEVEL_ALPHA);
    assertThat(answer.parts()).noneMatch(group -> has(group, Code.LEVEL_ALPHA));
  }

  @Test
  void allGroupsAreJudgedByTheSameTest() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("large", Tally.of(30, 400));
    groups.put("small", Tally.of(1, 20));
    Answer answer = RateQuestion.of(groups, RateSettings.against(0.05)).ask();
    assertThat(answer.parts())
        .allSatisfy(
            group -> assertThat(group.verdict().test().orElseThrow().id()).isEqualTo("mid-p"));
  }

  @Test
  void levelFollowsAlphaUntilItIsChosen() {
    RateSettings settings = RateSettings.against(0.05).alpha(0.001);
    assertThat(settings.level()).isEqualTo(0.999);
    assertThat(settings.levelMatchesAlpha()).isTrue();
    assertThat(settings.level(0.95).levelMatchesAlpha()).isFalse();
  }

  @Test
  void settingsOutOfRangeAreRefused() {
    RateQuestion question = RateQuestion.of(Tally.of(14, 400), 0.05);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> question.level(95))
        .withMessage(
            "level must lie strictly between 0 and 1 (0 % and 100 %), got 95; did you mean 95%?");
    assertThatIllegalArgumentException().isThrownBy(() -> question.alpha(5));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RateQuestion.of(Tally.of(14, 400), 0))
        .withMessageStartingWith("against must lie strictly between 0 and 1");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> question.tests(SurveyTest.T))
        .withMessageStartingWith("tests of a tally must be among score, ")
        .withMessageEndingWith(", got t");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RateQuestion.of(Map.of(), RateSettings.against(0.05)));
  }

  private static Answer ask(String tally, double against, String alternative) {
    return RateQuestion.of(Tally.parse(tally), against)
        .alternative(Alternative.of(alternative))
        .ask();
  }
}
