package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.bayes.Evidence;
import dev.tavik.bayes.SamplingPlan;
import dev.tavik.phrase.BayesFactorPhrases;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.result.Figures;
import dev.tavik.result.NotApplicableException;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The Bayesian view of a table: a Bayes factor for each sampling plan. */
final class CrossBelief {
  private CrossBelief() {}

  /** Works out the view; none where the settings ask for none. */
  static List<Finding> of(CrossQuestion question) {
    CrossSettings.Belief settings = question.settings().bayes();
    return settings == null ? List.of() : of(question, settings);
  }

  private record UnderPlan(
      SamplingPlan plan, @Nullable Double logBayesFactor, @Nullable String refused) {}

  private static UnderPlan under(SamplingPlan plan, CrossQuestion question, double prior) {
    try {
      return new UnderPlan(plan, plan.logBayesFactor(question.table().orElseThrow(), prior), null);
    } catch (NotApplicableException | ArithmeticException e) {
      return new UnderPlan(plan, null, RefusalPhrases.of(e));
    }
  }

  private static List<Finding> of(CrossQuestion question, CrossSettings.Belief settings) {
    List<UnderPlan> plans = new ArrayList<>();
    for (SamplingPlan plan : SamplingPlan.values()) {
      plans.add(under(plan, question, settings.prior()));
    }
    UnderPlan own =
        plans.stream().filter(each -> each.plan() == settings.plan()).findFirst().orElseThrow();
    Double log = own.logBayesFactor();
    if (log == null) {
      throw new IllegalArgumentException(
          "the Bayes factor for sampling " + settings.plan().id() + " " + own.refused());
    }
    List<Finding> findings = new ArrayList<>();
    findings.add(
        Posterior.of(
                "Bayesian view, prior parameter " + Figures.plain(settings.prior()) + " a cell",
                Value.fields()
                    .with("prior", Value.numbers(List.of(settings.prior())))
                    .with("sampling", settings.plan().id()),
                log,
                say(
                    "With %s: %s",
                    settings.plan().words(),
                    BayesFactorPhrases.words(log, "an association", "independence")
                        .replaceFirst("^The", "the")))
            .with("plans", Value.list(plans, CrossBelief::figures)));
    findings.add(shown(plans));
    for (UnderPlan each : plans) {
      if (each.refused() != null) {
        findings.add(
            Finding.say(
                Block.paragraph(
                    "not made: " + each.plan().id() + " " + each.refused() + ".",
                    Block.Style.HANGING)));
      }
    }
    return findings;
  }

  private static Value figures(UnderPlan each) {
    Value.Fields fields = Value.fields().with("sampling", each.plan().id());
    return each.refused() == null
        ? fields.with("logBayesFactor", each.logBayesFactor())
        : fields.with("refused", each.refused());
  }

  private static Sheet shown(List<UnderPlan> plans) {
    Sheet sheet =
        Sheet.read(
            "How the counts were collected changes the number",
            Column.words(),
            Column.words(),
            Column.numbers(""),
            Column.words());
    for (UnderPlan each : plans) {
      Double log = each.logBayesFactor();
      sheet.row(
          each.plan().id(),
          each.plan().words(),
          log == null ? Value.none() : Priors.times(log),
          log == null
              ? "not made"
              : Evidence.even(log)
                  ? "times, for neither"
                  : log < 0 ? "times for independence" : "times for an association");
    }
    return sheet;
  }
}
