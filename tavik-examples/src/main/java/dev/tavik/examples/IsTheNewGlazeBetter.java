package dev.tavik.examples;

import dev.tavik.bayes.Evidence;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DelimitedText;
import dev.tavik.data.DemoFiles;
import dev.tavik.report.Detail;
import dev.tavik.report.Emphasis;
import dev.tavik.report.TextReport;
import dev.tavik.result.Alternative;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateBayes;
import dev.tavik.study.RateQuestion;
import java.io.PrintStream;
import java.util.Objects;
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

  static RateAnswer follow(String glaze, PrintStream out) {
    OutcomeSequence tiles =
        DelimitedText.of("firing-log.csv", DemoFiles::open)
            .inOrder(CountRequest.of("grade").where("glaze", glaze))
            .outcomes(Set.of("crazed"));

    RateAnswer answer =
        RateQuestion.of(tiles.tally(), 0.08)
            .labelled(glaze + " glaze's crazing")
            .alternative(Alternative.LESS)
            .following(tiles)
            .ask();

    out.print(new TextReport(Emphasis.NONE, Detail.FINDINGS).of(answer));
    RateBayes bayes = Objects.requireNonNull(answer.bayes());
    boolean better = bayes.logBayesFactor() > 0;
    boolean clear = Evidence.of(bayes.logBayesFactor()).compareTo(Evidence.STRONG) >= 0;
    boolean agreed =
        bayes.sensitivity().stream().allMatch(prior -> prior.logBayesFactor() > 0 == better);
    out.println(
        clear && agreed
            ? "\nDecide: the glaze is " + (better ? "better." : "no better.")
            : "\nFire more tiles before deciding" + (agreed ? "." : ": the prior still matters."));
    return answer;
  }
}
