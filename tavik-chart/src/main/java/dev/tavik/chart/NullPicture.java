package dev.tavik.chart;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.association.StratifiedTest;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.NullDistribution;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.AgreementQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.cross.CrossSettings;
import dev.tavik.study.cross.StrataQuestion;
import dev.tavik.study.paired.MatchedQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesQuestion;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Draws what a p-value is: the counts to expect if the null is true, the observed count, and the
 * tails that make up the p-value, shaded and labelled with their areas.
 */
final class NullPicture {
  private static final Drawings DRAWINGS =
      new Drawings(
              "the picture of a p-value is about one rate or two groups; choose, for example with a"
                  + " filter")
          .of(RateQuestion.class, NullPicture::ofRate)
          .of(CompareQuestion.class, NullPicture::ofTwo)
          .of(SharesQuestion.class, SharesPicture::underNull)
          .of(PairedQuestion.class, NullPicture::ofPairs)
          .of(
              CrossQuestion.class,
              cross ->
                  ofChiSquare(
                      cross.tests(),
                      cross.test(),
                      "if rows and columns are independent",
                      cross.question().settings()))
          .of(
              StrataQuestion.class,
              strata ->
                  ofChiSquare(
                      strata.tests(),
                      StratifiedTest.MANTEL_HAENSZEL,
                      "without association within strata",
                      strata.question().settings()))
          .of(
              AgreementQuestion.class,
              agreement ->
                  SharesPicture.chiSquare(
                      agreement.tests().get(0),
                      "if moves balance those back",
                      agreement.question().settings().alpha()))
          .of(
              MatchedQuestion.class,
              matched ->
                  SharesPicture.chiSquare(
                      matched.tests().get(0),
                      "if all have the same rate",
                      matched.question().alpha()));

  private NullPicture() {}

  /**
   * The picture of the p-value that the verdict rests on, or of the first test that has one.
   *
   * @param answer an answer about one rate, with {@code score} or {@code exact} among its tests
   * @return the picture
   * @throws IllegalArgumentException if the answer is about several rates or has neither test
   */
  static Picture of(Answer answer) {
    return DRAWINGS.draw(answer);
  }

  private static Picture ofRate(View<RateQuestion> rate) {
    if (rate.question().settings().lot() != null) {
      throw new IllegalArgumentException(
          "the picture of a p-value is drawn for trials without end; leave the lot out");
    }
    return pictured(rate)
        .flatMap(test -> draw(rate, test))
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of a p-value needs the score or the exact test among the tests"));
  }

  private static Picture ofChiSquare(
      List<TestResult> tests, Method preferred, String world, CrossSettings settings) {
    TestResult test =
        tests.stream()
            .filter(each -> each.df() != null)
            .min(Comparator.comparing(each -> each.method() != preferred))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value needs a chi-square test, such as pearson, among the"
                            + " tests"));
    return SharesPicture.chiSquare(test, world, settings.alpha());
  }

  private static Optional<ProportionTest> pictured(View<RateQuestion> rate) {
    return rate.question().settings().tests().stream()
        .filter(test -> test == ProportionTest.SCORE || test == ProportionTest.EXACT)
        .min(
            (first, second) ->
                Boolean.compare(isPreferred(second, rate), isPreferred(first, rate)));
  }

  private static boolean isPreferred(ProportionTest test, View<RateQuestion> rate) {
    return test == rate.test();
  }

  private static Optional<Picture> draw(View<RateQuestion> rate, ProportionTest test) {
    double log10PValue = rate.answer().test(test).log10PValue();
    RateSettings settings = rate.question().settings();
    Tally tally = rate.question().tally();
    return NullDistribution.of(
            test, rate.question().tally(), rate.question().settings().hypothesis())
        .map(
            distribution ->
                new NullChart(
                        title(rate),
                        subtitle(rate, test, log10PValue),
                        distribution,
                        marks(
                            tally,
                            test.criticalCounts(
                                tally.trials(), settings.hypothesis(), settings.alpha())))
                    .picture());
  }

  private static String title(View<RateQuestion> rate) {
    String subject = rate.label().isEmpty() ? "What" : rate.label() + ": what";
    return say(
        "%s to expect if the rate is %s",
        subject, Figures.exactPercent(rate.question().settings().hypothesis().against()));
  }

  private static String subtitle(View<RateQuestion> rate, ProportionTest test, double log10PValue) {
    Alternative alternative = rate.question().settings().hypothesis().alternative();
    String how = test == ProportionTest.EXACT ? "binomial probabilities" : "normal approximation";
    return say(
        "%s test, %s; shaded: %s; dotted: first count rejected at alpha %s",
        test.id(),
        how,
        Figures.pEquals(log10PValue)
            + (alternative == Alternative.TWO_SIDED ? ", both tails together" : ""),
        Figures.plain(rate.question().settings().alpha()));
  }

  private static NullChart.Marks marks(Tally tally, CriticalCounts counts) {
    return new NullChart.Marks(
        "successes out of " + Figures.count(tally.trials()),
        (double) tally.successes(),
        Figures.count(tally.successes()),
        Stream.of(counts.atMost(), counts.atLeast())
            .filter(Objects::nonNull)
            .map(Long::doubleValue)
            .toList());
  }

  private static Picture ofTwo(View<CompareQuestion> answer) {
    Tally first = answer.question().first().tally();
    Tally second = answer.question().second().tally();
    Alternative alternative = answer.question().settings().hypothesis().alternative();
    double alpha = answer.question().settings().alpha();
    TwoProportionTest test =
        answer.question().settings().tests().stream()
            .filter(each -> each == TwoProportionTest.Z_POOLED || each == TwoProportionTest.FISHER)
            .filter(each -> answer.question().settings().plain())
            .min(Comparator.comparing(each -> each != answer.test()))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value of two groups needs z-pooled or fisher among the"
                            + " tests, and the null of no difference"));
    NullDistribution distribution =
        NullDistribution.of(test, first, second, alternative)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "there is nothing to draw: every unit of both groups has the same outcome"));
    boolean fisher = test == TwoProportionTest.FISHER;
    double log10PValue =
        answer.tests().stream()
            .filter(each -> each.method() == test)
            .findFirst()
            .orElseThrow()
            .log10PValue();
    NullChart.Marks marks =
        fisher
            ? new NullChart.Marks(
                say(
                    "how many of all %s successes fall to %s",
                    Figures.count(first.successes() + second.successes()),
                    answer.question().first().name()),
                (double) first.successes(),
                Figures.count(first.successes()),
                NullDistribution.critical(test, first, second, alternative, alpha))
            : new NullChart.Marks(
                answer.question().order() + ", in percentage points",
                100 * (first.proportion() - second.proportion()),
                Figures.significant(100 * (first.proportion() - second.proportion()), 3),
                NullDistribution.critical(test, first, second, alternative, alpha));
    String title =
        say(
            "%s to expect if there is no difference",
            answer.label().isEmpty() ? "What" : answer.label() + ": what");
    String how = fisher ? "hypergeometric probabilities" : "normal approximation";
    return new NullChart(
            title, subtitle(test.id(), how, log10PValue, alternative, alpha), distribution, marks)
        .picture();
  }

  private static Picture ofPairs(View<PairedQuestion> answer) {
    PairedTally pairs = answer.question().tally();
    require(pairs.discordant() != 0, "there is nothing to draw: no pair is discordant");
    Alternative alternative = answer.question().settings().alternative();
    double alpha = answer.question().settings().alpha();
    PairedTest test =
        answer.question().settings().tests().stream()
            .filter(each -> each == PairedTest.MCNEMAR || each == PairedTest.MCNEMAR_EXACT)
            .min(Comparator.comparing(each -> each != answer.test()))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value of pairs needs mcnemar or mcnemar-exact among the"
                            + " tests"));
    // Given the discordant pairs, those of the first are as many as heads of so many fair throws.
    ProportionTest fair = test == PairedTest.MCNEMAR ? ProportionTest.SCORE : ProportionTest.EXACT;
    Hypothesis half = new Hypothesis(0.5, alternative);
    Tally tally = Tally.of(pairs.firstOnly(), pairs.discordant());
    NullChart.Marks marks = marks(tally, fair.criticalCounts(tally.trials(), half, alpha));
    return new NullChart(
            say(
                "What to expect if %s and %s don't differ",
                answer.question().first(), answer.question().second()),
            subtitle(
                test.id(),
                fair == ProportionTest.EXACT ? "binomial probabilities" : "normal approximation",
                answer.answer().test(test).log10PValue(),
                alternative,
                alpha),
            NullDistribution.of(fair, tally, half).orElseThrow(),
            new NullChart.Marks(
                say(
                    "%s only, out of %s discordant pairs",
                    answer.question().first(), Figures.count(tally.trials())),
                marks.observed(),
                marks.observedText(),
                marks.critical()))
        .picture();
  }

  private static String subtitle(
      String test, String how, double log10PValue, Alternative alternative, double alpha) {
    return say(
        "%s test, %s; shaded: %s; dotted: where rejection begins at alpha %s",
        test,
        how,
        Figures.pEquals(log10PValue)
            + (alternative == Alternative.TWO_SIDED ? ", both tails together" : ""),
        Figures.plain(alpha));
  }
}
