package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Evidence;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.study.BayesSettings;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;

/** What Bayesian views of rates have in common: priors, regions, how much the prior matters. */
public final class Priors {
  private Priors() {}

  public static Value.Fields fields(BetaPrior prior) {
    return Value.fields().with("prior", Value.numbers(List.of(prior.a(), prior.b())));
  }

  public static Value times(double logBayesFactor) {
    return new Value.Real(logBayesFactor, () -> Evidence.times(logBayesFactor));
  }

  /**
   * Priors around one half and around a rate.
   *
   * @param even both parameters of each around one half
   * @param rate the rate
   * @param strengths how many observations each around it is worth; those too weak are left out
   * @param least the smallest parameter
   */
  public static List<BetaPrior> around(
      double[] even, double rate, double[] strengths, double least) {
    List<BetaPrior> priors = new ArrayList<>();
    for (double each : even) {
      priors.add(new BetaPrior(each, each));
    }
    for (double strength : strengths) {
      double a = times(strength, rate);
      double b = times(strength, DecimalFraction.complement(rate));
      // Next to 0 or 1 a weak prior is almost improper.
      if (Math.min(a, b) >= least) {
        priors.add(new BetaPrior(a, b));
      }
    }
    return priors;
  }

  private static double times(double strength, double share) {
    return BigDecimal.valueOf(strength).multiply(BigDecimal.valueOf(share)).doubleValue();
  }

  public static void inside(
      Posterior posterior,
      List<Finding> findings,
      BayesSettings.Region region,
      double probability,
      String what,
      DoubleFunction<String> written) {
    posterior.inside(region.low(), region.high(), probability);
    findings.add(
        Finding.sentence(
            say(
                "The probability that %s is %s is %s.",
                what,
                region.low() == -1
                    ? "below " + written.apply(region.high())
                    : region.high() == 1
                        ? "above " + written.apply(region.low())
                        : say(
                            "between %s and %s",
                            written.apply(region.low()), written.apply(region.high())),
                Value.Share.PROBABILITY.of(probability).text())));
  }

  public static void sensitivity(
      Posterior posterior,
      List<Finding> findings,
      String title,
      List<BetaPrior> priors,
      ToDoubleFunction<BetaPrior> logBayesFactor) {
    Sheet sheet = Sheet.read(title, Column.words(), Column.numbers(""), Column.words());
    List<Value> figures = new ArrayList<>();
    List<Double> logs = new ArrayList<>();
    for (BetaPrior prior : priors) {
      double log = logBayesFactor.applyAsDouble(prior);
      logs.add(log);
      figures.add(fields(prior).with("logBayesFactor", log));
      sheet.row(
          prior.toString(),
          times(log),
          Evidence.even(log)
              ? "times, for neither"
              : log < 0 ? "times for the null" : "times for the alternative");
    }
    posterior.sensitivity(new Value.Listing(figures), logs);
    findings.add(sheet);
  }
}
