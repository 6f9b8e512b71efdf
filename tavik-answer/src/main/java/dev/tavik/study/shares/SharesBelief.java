package dev.tavik.study.shares;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.PosteriorSummary;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.DirichletPrior;
import dev.tavik.count.CategoryCounts;
import dev.tavik.phrase.BayesFactorPhrases;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import java.util.List;

/** The Bayesian view of claimed shares. */
final class SharesBelief {
  private SharesBelief() {}

  /** Works out the view; none where the settings have no prior. */
  static List<Finding> of(SharesQuestion question) {
    DirichletPrior prior = question.settings().prior();
    return prior == null ? List.of() : of(question, prior);
  }

  private static List<Finding> of(SharesQuestion question, DirichletPrior prior) {
    CategoryCounts counts = question.counts().orElseThrow();
    double level = question.settings().level();
    double log = prior.logBayesFactor(counts, question.claimed().parts());
    Posterior posterior =
        Posterior.of(
            "Bayesian view, prior " + prior,
            Value.fields().with("prior", Value.numbers(prior.parameters())),
            log,
            BayesFactorPhrases.words(log, "shares that may be anything", "the claimed shares"));
    Sheet sheet =
        Sheet.read(
            say(
                "Posterior shares, credible intervals at %s one at a time",
                Figures.exactPercent(level)),
            Column.words(),
            Column.numbers("mean"),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    for (int i = 0; i < counts.size(); i++) {
      BetaPosterior share = prior.posterior(counts, i);
      PosteriorSummary belief =
          new PosteriorSummary(
              Estimand.SHARE,
              counts.levels().get(i),
              share.mean(),
              share.median(),
              List.of(share.equalTailed(level)));
      posterior.belief(belief);
      sheet.row(
          belief.label(),
          Value.Share.FINE.of(belief.mean()),
          Value.Share.FINE.of(belief.credible().get(0).lower()),
          "to",
          Value.Share.FINE.of(belief.credible().get(0).upper()));
    }
    return List.of(posterior, sheet);
  }
}
