package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Posterior;
import dev.tavik.bayes.Evidence;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.result.Alternative;
import dev.tavik.study.rate.RateQuestion;
import java.io.PrintStream;
import java.util.Set;

/**
 * Does the cobalt glaze craze less than the 8 % that Harrowmere is used to? Its tiles are followed
 * through the firing log, tile by tile, and the answer is asked again with other priors.
 */
public final class IsTheNewGlazeBetter {
  private IsTheNewGlazeBetter() {}

  /**
   * Follows one glaze.
   *
   * @param arguments the glaze's name; cobalt without one
   */
  public static void main(String[] arguments) {
    follow(arguments.length > 0 ? arguments[0] : "cobalt", System.out);
  }

  static Answer follow(String glaze, PrintStream out) {
    OutcomeSequence tiles =
        Sources.open("firing-log.csv", DemoFiles::open)
            .inOrder(CountRequest.of("grade").where("glaze", glaze))
            .outcomes(Set.of("crazed"));

    Answer answer =
        RateQuestion.of(tiles.tally(), 0.08)
            .named(glaze + " glaze's crazing")
            .alternative(Alternative.LESS)
            .following(tiles)
            .ask();

    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    Posterior bayes = answer.find(Posterior.class).orElseThrow();
    boolean better = bayes.logBayesFactor() > 0;
    boolean clear = Evidence.of(bayes.logBayesFactor()).compareTo(Evidence.STRONG) >= 0;
    boolean agreed = bayes.sensitivity().stream().allMatch(log -> log > 0 == better);
    out.println(
        clear && agreed
            ? "\nDecide: the glaze is " + (better ? "better." : "no better.")
            : "\nFire more tiles before deciding" + (agreed ? "." : ": the prior still matters."));
    return answer;
  }
}
