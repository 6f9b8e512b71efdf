package dev.tavik.report;

import dev.tavik.proportion.NullDistribution;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.Answer;
import dev.tavik.study.RateAnswer;
import java.util.Optional;

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
    if (!(answer instanceof RateAnswer rate)) {
      throw new IllegalArgumentException(
          "the picture of a p-value is about one rate; choose one group, for example with a filter");
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

  private static Optional<ProportionTest> pictured(RateAnswer rate) {
    return rate.settings().tests().stream()
        .filter(test -> test == ProportionTest.SCORE || test == ProportionTest.EXACT)
        .min(
            (first, second) ->
                Boolean.compare(isPreferred(second, rate), isPreferred(first, rate)));
  }

  private static boolean isPreferred(ProportionTest test, RateAnswer rate) {
    return test.id().equals(rate.preference().test());
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
                        rate.tally(),
                        rate.criticalCounts().get(position))
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
        "%s test, %s; shaded: %s; dotted: first count rejected at alpha %s",
        test.id(),
        how,
        Figures.pEquals(log10PValue)
            + (alternative == Alternative.TWO_SIDED ? ", both tails together" : ""),
        Figures.plain(rate.settings().alpha()));
  }
}
