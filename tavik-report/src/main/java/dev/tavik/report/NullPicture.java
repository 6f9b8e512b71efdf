package dev.tavik.report;

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
import dev.tavik.result.TestResult;
import dev.tavik.study.AgreementAnswer;
import dev.tavik.study.Answer;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.CrossSettings;
import dev.tavik.study.MatchedAnswer;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.SharesAnswer;
import dev.tavik.study.StrataAnswer;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Draws what a p-value is: the counts to expect if the null is true, the observed count, and the
 * tails that make up the p-value, shaded and labelled with their areas.
 */
public final class NullPicture {
  private NullPicture() {}

  /**
   * The picture of the p-value that the verdict rests on, or of the first test that has one.
   *
   * @param answer an answer about one rate, with {@code score} or {@code exact} among its tests
   * @return the picture
   * @throws IllegalArgumentException if the answer is about several rates or has neither test
   */
  public static Picture of(Answer answer) {
    if (answer instanceof CompareAnswer comparison) {
      return of(comparison);
    }
    if (answer instanceof SharesAnswer shares) {
      return SharesPicture.underNull(shares);
    }
    if (answer instanceof PairedAnswer paired) {
      return of(paired);
    }
    if (answer instanceof CrossAnswer cross) {
      return ofChiSquare(
          cross.tests(),
          cross.preferred().id(),
          "if rows and columns are independent",
          cross.settings());
    }
    if (answer instanceof StrataAnswer strata) {
      return ofChiSquare(
          strata.tests(),
          "mantel-haenszel",
          "without association within strata",
          strata.settings());
    }
    if (answer instanceof AgreementAnswer agreement) {
      return SharesPicture.chiSquare(
          agreement.test(), "if moves balance those back", agreement.settings().alpha());
    }
    if (answer instanceof MatchedAnswer matched) {
      return SharesPicture.chiSquare(matched.test(), "if all have the same rate", matched.alpha());
    }
    if (!(answer instanceof RateAnswer rate)) {
      throw new IllegalArgumentException(
          "the picture of a p-value is about one rate or two groups; choose, for example with a"
              + " filter");
    }
    if (rate.settings().lot() != null) {
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

  /** The preferred test if it has a chi-square, else the first that has. */
  private static Picture ofChiSquare(
      List<TestResult> tests, String preferred, String world, CrossSettings settings) {
    TestResult test =
        tests.stream()
            .filter(each -> each.df() != null)
            .min(Comparator.comparing(each -> !each.method().id().equals(preferred)))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value needs a chi-square test, such as pearson, among the"
                            + " tests"));
    return SharesPicture.chiSquare(test, world, settings.alpha());
  }

  private static Optional<ProportionTest> pictured(RateAnswer rate) {
    return rate.settings().tests().stream()
        .filter(test -> test == ProportionTest.SCORE || test == ProportionTest.EXACT)
        .min(
            (first, second) ->
                Boolean.compare(isPreferred(second, rate), isPreferred(first, rate)));
  }

  private static boolean isPreferred(ProportionTest test, RateAnswer rate) {
    return test.id().equals(rate.preference().test().id());
  }

  private static Optional<Picture> draw(RateAnswer rate, ProportionTest test) {
    int position = rate.settings().tests().indexOf(test);
    double log10PValue = rate.tests().get(position).log10PValue();
    return NullDistribution.of(test, rate.tally(), rate.settings().hypothesis())
        .map(
            distribution ->
                new NullChart(
                        title(rate),
                        subtitle(rate, test, log10PValue),
                        distribution,
                        marks(rate.tally(), rate.criticalCounts().get(position)))
                    .picture());
  }

  private static String title(RateAnswer rate) {
    String subject = rate.label().isEmpty() ? "What" : rate.label() + ": what";
    return subject
        + " to expect if the rate is "
        + Figures.exactPercent(rate.settings().hypothesis().against());
  }

  private static String subtitle(RateAnswer rate, ProportionTest test, double log10PValue) {
    Alternative alternative = rate.settings().hypothesis().alternative();
    String how = test == ProportionTest.EXACT ? "binomial probabilities" : "normal approximation";
    return String.format(
        Locale.ROOT,
        "%s test, %s; shaded: %s; dotted: first count rejected at alpha %s",
        test.id(),
        how,
        Figures.pEquals(log10PValue)
            + (alternative == Alternative.TWO_SIDED ? ", both tails together" : ""),
        Figures.plain(rate.settings().alpha()));
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

  private static Picture of(CompareAnswer answer) {
    Tally first = answer.first().tally();
    Tally second = answer.second().tally();
    Alternative alternative = answer.settings().hypothesis().alternative();
    double alpha = answer.settings().alpha();
    TwoProportionTest test =
        answer.settings().tests().stream()
            .filter(each -> each == TwoProportionTest.Z_POOLED || each == TwoProportionTest.FISHER)
            .filter(each -> answer.settings().plain())
            .min(Comparator.comparing(each -> !each.id().equals(answer.preference().test().id())))
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
            .filter(each -> each.method().id().equals(test.id()))
            .findFirst()
            .orElseThrow()
            .log10PValue();
    NullChart.Marks marks =
        fisher
            ? new NullChart.Marks(
                String.format(
                    Locale.ROOT,
                    "how many of all %s successes fall to %s",
                    Figures.count(first.successes() + second.successes()),
                    answer.first().name()),
                (double) first.successes(),
                Figures.count(first.successes()),
                NullDistribution.critical(test, first, second, alternative, alpha))
            : new NullChart.Marks(
                answer.order() + ", in percentage points",
                100 * (first.proportion() - second.proportion()),
                Figures.significant(100 * (first.proportion() - second.proportion()), 3),
                NullDistribution.critical(test, first, second, alternative, alpha));
    String title =
        (answer.label().isEmpty() ? "What" : answer.label() + ": what")
            + " to expect if there is no difference";
    String how = fisher ? "hypergeometric probabilities" : "normal approximation";
    return new NullChart(
            title, subtitle(test.id(), how, log10PValue, alternative, alpha), distribution, marks)
        .picture();
  }

  private static Picture of(PairedAnswer answer) {
    PairedTally pairs = answer.tally();
    if (pairs.discordant() == 0) {
      throw new IllegalArgumentException("there is nothing to draw: no pair is discordant");
    }
    Alternative alternative = answer.settings().alternative();
    double alpha = answer.settings().alpha();
    PairedTest test =
        answer.settings().tests().stream()
            .filter(each -> each == PairedTest.MCNEMAR || each == PairedTest.MCNEMAR_EXACT)
            .min(Comparator.comparing(each -> !each.id().equals(answer.preference().test().id())))
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
            "What to expect if " + answer.first() + " and " + answer.second() + " don't differ",
            subtitle(
                test.id(),
                fair == ProportionTest.EXACT ? "binomial probabilities" : "normal approximation",
                answer.tests().get(answer.settings().tests().indexOf(test)).log10PValue(),
                alternative,
                alpha),
            NullDistribution.of(fair, tally, half).orElseThrow(),
            new NullChart.Marks(
                String.format(
                    Locale.ROOT,
                    "%s only, out of %s discordant pairs",
                    answer.first(),
                    Figures.count(tally.trials())),
                marks.observed(),
                marks.observedText(),
                marks.critical()))
        .picture();
  }

  private static String subtitle(
      String test, String how, double log10PValue, Alternative alternative, double alpha) {
    return String.format(
        Locale.ROOT,
        "%s test, %s; shaded: %s; dotted: where rejection begins at alpha %s",
        test,
        how,
        Figures.pEquals(log10PValue)
            + (alternative == Alternative.TWO_SIDED ? ", both tails together" : ""),
        Figures.plain(alpha));
  }
}
