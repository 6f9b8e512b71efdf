package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.chart.BeliefLanes.Belief;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.rate.RateQuestion;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Draws what is believed of a rate, or of a difference, before and after the data. */
record PosteriorPicture(Answer answer, Posterior bayes) {
  private static final double NEARLY_ALL = 0.999;
  private static final double REACH = 1.5;

  /**
   * The picture; of two rates that of their difference.
   *
   * @param answer an answer about one rate, or about two, with its Bayesian view
   * @return the picture
   * @throws IllegalArgumentException if the answer has no such view
   */
  static Picture of(Answer answer) {
    Optional<Posterior> bayes = answer.find(Posterior.class);
    if (bayes.isPresent() && answer.question() instanceof RateQuestion rate) {
      return new PosteriorPicture(answer, bayes.get()).picture(rate);
    }
    if (bayes.isPresent() && answer.question() instanceof CompareQuestion compared) {
      return new PosteriorPicture(answer, bayes.get()).picture(compared);
    }
    throw new IllegalArgumentException(
        "the picture of what to believe is of one rate or of two, and needs their Bayesian view,"
            + " --bayes");
  }

  private static BetaPrior prior(@Nullable BayesSettings view) {
    return view == null ? BetaPrior.uniform() : view.prior();
  }

  private double level() {
    return bayes.beliefs().get(0).credible().get(0).level();
  }

  private String subject(String otherwise) {
    return answer.label().isEmpty() ? otherwise : answer.label();
  }

  private Picture picture(RateQuestion rate) {
    BetaPrior prior = prior(rate.settings().bayes());
    BetaPosterior before = BetaPosterior.of(prior.a(), prior.b());
    BetaPosterior after = prior.posterior(rate.tally());
    double against = rate.settings().hypothesis().against();
    Credible most = after.equalTailed(NEARLY_ALL);
    List<Double> ends =
        BeliefLanes.ends(Math.min(most.lower(), against), Math.max(most.upper(), against), 0, 1);
    double times = Math.exp(after.logDensity(against) - before.logDensity(against));
    String tally =
        say(
            "%s of %s",
            Figures.count(rate.tally().successes()), Figures.count(rate.tally().trials()));
    return new BeliefLanes(
            "rate, in percent", ends.get(0), ends.get(1), against, Figures::finePercent)
        .before(new Belief(before::equalTailed, before::inside), prior.toString(), level())
        .after(new Belief(after::equalTailed, after::inside), tally, level())
        .held("held against " + Figures.exactPercent(against), times)
        .picture(subject("The rate") + ": what to believe before and after " + tally, factor(rate));
  }

  private String factor(RateQuestion rate) {
    boolean directed = rate.settings().hypothesis().alternative() != Alternative.TWO_SIDED;
    return say(
        "Bayes factor%s %s, for %s",
        directed ? " of the directional alternative" : "",
        Evidence.times(bayes.logBayesFactor()),
        bayes.favours().equals("neither") ? "neither side" : "the " + bayes.favours());
  }

  private Picture picture(CompareQuestion compared) {
    BetaPrior prior = prior(compared.settings().bayes());
    ComparedRates before = ComparedRates.before(prior);
    ComparedRates after =
        ComparedRates.of(prior, compared.first().tally(), compared.second().tally());
    BayesSettings.@Nullable Region region = compared.settings().region();
    List<Double> ends = ends(after.equalTailed(Estimand.DIFFERENCE, NEARLY_ALL), region);
    double times = after.density(Estimand.DIFFERENCE, 0) / before.density(Estimand.DIFFERENCE, 0);
    BeliefLanes lanes =
        new BeliefLanes(
            compared.order() + ", in percentage points",
            ends.get(0),
            ends.get(1),
            0,
            difference -> Value.points(difference).text());
    if (region != null) {
      lanes.region(region.low(), region.high());
    }
    return lanes
        .before(believed(before), prior + " for each rate", level())
        .after(
            believed(after),
            say("%s and %s", compared.first().tally(), compared.second().tally()),
            level())
        .held("no difference", times)
        .picture(
            subject("Two rates") + ": what to believe of their difference, before and after",
            chances(compared, after) + region(compared));
  }

  private static Belief believed(ComparedRates rates) {
    return new Belief(
        level -> rates.equalTailed(Estimand.DIFFERENCE, level),
        (low, high) -> rates.inside(Estimand.DIFFERENCE, low, high));
  }

  /** A region that is far wider than the belief would press it flat. */
  private static List<Double> ends(Credible most, BayesSettings.@Nullable Region region) {
    double low = Math.min(most.lower(), 0);
    double high = Math.max(most.upper(), 0);
    if (region != null) {
      double reach = REACH * (high - low);
      low = region.low() == -1 ? low : Math.max(low - reach, Math.min(low, region.low()));
      high = region.high() == 1 ? high : Math.min(high + reach, Math.max(high, region.high()));
    }
    return BeliefLanes.ends(low, high, -1, 1);
  }

  private String region(CompareQuestion compared) {
    BayesSettings.@Nullable Region region = compared.settings().region();
    Double inside = bayes.inside().orElse(null);
    return region == null || inside == null
        ? ""
        : say(
            "; shaded: %s, probability %s",
            region.low() == -1 || region.high() == 1 ? "good enough" : "as good as none",
            Value.Share.PROBABILITY.of(inside).text());
  }

  private String chances(CompareQuestion compared, ComparedRates after) {
    return say(
        "Bayes factor %s, for %s; probability that %s is lower %s, higher %s",
        Evidence.times(bayes.logBayesFactor()),
        bayes.favours().equals("neither")
            ? "neither side"
            : bayes.logBayesFactor() < 0 ? "equal rates" : bayes.alternative(),
        compared.first().name(),
        Value.Share.PROBABILITY.of(after.inside(Estimand.DIFFERENCE, -1, 0)).text(),
        Value.Share.PROBABILITY.of(bayes.above().orElseThrow()).text());
  }
}
