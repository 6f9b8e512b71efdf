package dev.tavik.data.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.tavik.answer.Question;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.data.words.Heading;
import dev.tavik.data.words.Parameter;
import dev.tavik.planning.Effect;
import dev.tavik.planning.RateDesign;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.simulation.Draws;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.assess.AssessQuestion;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.plan.PlanQuestion;
import dev.tavik.study.rate.EvidenceForecastQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Words make the question that Java makes, and the catalogue of words keeps its own order. */
class WordsTest {
  private static final Tally NORTH = Tally.of(14, 400);
  private static final Tally SOUTH = Tally.of(31, 410);

  private static Question asked(QuestionKind asking, String... words) {
    Map<String, List<String>> values = new LinkedHashMap<>();
    for (String word : words) {
      int equals = word.indexOf('=');
      values
          .computeIfAbsent(word.substring(0, equals), key -> new ArrayList<>())
          .add(word.substring(equals + 1));
    }
    return asking.question(
        new QuestionArguments(values, QuestionArguments.Wording.OPTION), SourceOpener::file);
  }

  static Stream<Arguments> questions() {
    RateQuestion rate = RateQuestion.of(NORTH, 0.05);
    CompareQuestion compare = CompareQuestion.of(NORTH, SOUTH).groups("North", "South");
    SharesQuestion shares =
        SharesQuestion.of(
            CategoryCounts.of(List.of("ash", "iron"), List.of(31L, 22L)), Shares.of(0.6, 0.4));
    return Stream.of(
        Arguments.of(rate, QuestionKind.RATE, "tally=14/400 against=5%"),
        Arguments.of(
            rate.named("Cracks").alternative(Alternative.LESS).alpha(0.01).level(0.9),
            QuestionKind.RATE,
            "tally=14/400 against=0.05 label=Cracks alternative=less alpha=1% level=90%"),
        Arguments.of(
            rate.tests(ProportionTest.EXACT, ProportionTest.MID_P)
                .intervals(ProportionInterval.BLAKER),
            QuestionKind.RATE,
            "tally=14/400 against=1/20 tests=exact,mid-p intervals=blaker"),
        Arguments.of(
            rate.tests(ProportionTest.values()),
            QuestionKind.RATE,
            "tally=14/400 against=5% tests=all"),
        Arguments.of(
            rate.tests(ProportionTest.SCORE).intervals(ProportionInterval.WILSON).lot(1000),
            QuestionKind.RATE,
            "tally=14/400 against=5% tests=score intervals=wilson lot=1000"),
        Arguments.of(
            rate.bayes(BayesSettings.usual()),
            QuestionKind.RATE,
            "tally=14/400 against=5% bayes=true"),
        Arguments.of(
            SimulatedQuestion.of(rate, Draws.of(1000, 7)),
            QuestionKind.RATE,
            "tally=14/400 against=5% simulate=1000 seed=7"),
        Arguments.of(
            EvidenceForecastQuestion.of(Hypothesis.less(0.05), 200L, 400L)
                .prior(new BetaPrior(2, 38))
                .threshold(10)
                .expecting(0.03),
            QuestionKind.RATE,
            "planned=200,400 against=5% alternative=less prior=2,38 threshold=10 expect=3%"),
        Arguments.of(compare, QuestionKind.COMPARE, "tally=North=14/400 tally=South=31/410"),
        Arguments.of(
            CompareQuestion.of(SOUTH, NORTH).groups("South", "North"),
            QuestionKind.COMPARE,
            "tally=North=14/400 tally=South=31/410 baseline=North"),
        Arguments.of(
            compare
                .against(0.02)
                .tests(TwoProportionTest.SCORE)
                .intervals(ComparisonInterval.DIFFERENCE_MEE, ComparisonInterval.ODDS_RATIO_SCORE),
            QuestionKind.COMPARE,
            "tally=North=14/400 tally=South=31/410 against=2% tests=score intervals=mee,score"),
        Arguments.of(
            compare.equivalent(0.03),
            QuestionKind.COMPARE,
            "tally=North=14/400 tally=South=31/410 margin=3% show=equivalent"),
        Arguments.of(
            compare.noninferior(0.03, Alternative.LESS),
            QuestionKind.COMPARE,
            "tally=North=14/400 tally=South=31/410 margin=3% show=noninferior alternative=less"),
        Arguments.of(
            PairedQuestion.of(PairedTally.of(49, 3, 10, 178))
                .alternative(Alternative.GREATER)
                .tests(PairedTest.MCNEMAR_MID_P)
                .intervals(PairedDifferenceInterval.WALD),
            QuestionKind.COMPARE,
            "paired=true cells=49_3;_10_178 alternative=greater tests=mcnemar-mid-p intervals=wald"),
        Arguments.of(shares, QuestionKind.SHARES, "counts=ash=31 counts=iron=22 against=60%,40%"),
        Arguments.of(
            shares
                .tests(SharesTest.PEARSON)
                .intervals(SharesInterval.WILSON, SharesInterval.GOODMAN)
                .alpha(0.1),
            QuestionKind.SHARES,
            "counts=ash=31 counts=iron=22 against=iron=0.4,ash=0.6 tests=pearson alpha=10%"
                + " intervals=wilson,goodman"),
        Arguments.of(
            CrossQuestion.of(CrossTable.of(new long[][] {{12, 5}, {7, 9}}))
                .tests(TableTest.FISHER, TableTest.PEARSON)
                .level(0.9),
            QuestionKind.CROSS,
            "cells=12_5;_7_9 tests=fisher,pearson level=0.9"),
        Arguments.of(
            PlanQuestion.forSizes(
                RateDesign.of(ProportionTest.SCORE, Hypothesis.twoSided(0.08), 0.05),
                List.of(Effect.rate(0.05), Effect.rate(0.06)),
                List.of(0.9)),
            QuestionKind.PLAN,
            "for=rate against=8% expect=5%,6% power=90%"),
        Arguments.of(
            AssessQuestion.rate(40, List.of(0.05, 0.1)).alternative(Alternative.LESS),
            QuestionKind.ASSESS,
            "for=rate n=40 p=5%,10% alternative=less"),
        Arguments.of(
            AssessQuestion.compare(40, 60, List.of(0.05, 0.1)),
            QuestionKind.ASSESS,
            "for=compare n=40,60 p=5%,10%"),
        Arguments.of(
            TailQuestion.beyond(Tail.normal(0, 1), -2.5),
            QuestionKind.TAIL,
            "distribution=normal value=-2.5"),
        Arguments.of(
            TailQuestion.leaving(Tail.chiSquare(6), 0.05),
            QuestionKind.TAIL,
            "distribution=chi-square df=6 area=5%"));
  }

  @ParameterizedTest(name = "{2}")
  @MethodSource("questions")
  void wordsMakeTheQuestionThatJavaMakes(Question expected, QuestionKind asking, String words) {
    String[] each = words.split(" ");
    for (int i = 0; i < each.length; i++) {
      each[i] = each[i].replace('_', ' ');
    }
    Question made = asked(asking, each);
    assertThat(made.ask().verdict().text()).isEqualTo(expected.ask().verdict().text());
    assertThat(made).usingRecursiveComparison().isEqualTo(expected);
  }

  /** Options, study keys and guides are made of it: each word once, said in a sentence. */
  @ParameterizedTest
  @EnumSource(QuestionKind.class)
  void everyWordIsSaidOnceAndExplained(QuestionKind asking) {
    CommandSchema words = asking.words();
    assertThat(QuestionKind.of(words.kind())).contains(asking);
    assertThat(CommandSchemas.all()).contains(words);
    assertThat(words.purpose()).matches("[A-Z].*[.?]");
    assertThat(words.examples()).isNotEmpty();
    assertThat(words.words()).extracting(Parameter::name).doesNotHaveDuplicates();
    assertThat(words.names()).containsAll(words.words().stream().map(Parameter::name).toList());
    assertThat(words.words())
        .allSatisfy(
            word -> {
              assertThat(word.name()).matches("[a-z][a-z-]*");
              assertThat(word.help()).as(word.name()).matches("(?s)[A-Za-z].*[.?]");
              assertThat(word.parameter().isEmpty()).isEqualTo(word.many() == Parameter.Many.FLAG);
              assertThat(Heading.values()).contains(word.heading());
            });
  }

  @Test
  void wordsOfOtherQuestionsAreNotAskedFor() {
    assertThat(QuestionKind.of("weigh")).isEmpty();
    assertThat(QuestionKind.RATE.words().names())
        .contains("tally", "against")
        .doesNotContain("cells", "rows");
    assertThat(QuestionKind.CROSS.words().names())
        .contains("cells", "rows")
        .doesNotContain("margin");
    assertThat(QuestionArguments.FLAGS)
        .containsAll(Set.of("bayes", "working", "paired", "sequence"));
  }

  /** Messages name words as they were written. */
  @ParameterizedTest
  @EnumSource(QuestionArguments.Wording.class)
  void messagesNameWordsAsTheyWereWritten(QuestionArguments.Wording wording) {
    Map<String, List<String>> values = Map.of("tally", List.of("14/400"), "lot", List.of("many"));
    String lot = wording == QuestionArguments.Wording.OPTION ? "--lot" : "lot";
    String against = wording == QuestionArguments.Wording.OPTION ? "--against" : "against";
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                QuestionKind.RATE.question(
                    new QuestionArguments(values, wording), SourceOpener::file))
        .withMessageStartingWith(against + " is needed");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                QuestionKind.RATE.question(
                    new QuestionArguments(values, wording).with("against", "5%"),
                    SourceOpener::file))
        .withMessage(lot + " must be a whole number of units, got 'many'");
  }
}
