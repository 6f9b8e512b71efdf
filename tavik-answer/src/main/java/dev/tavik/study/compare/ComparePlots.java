package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.count.Tally;
import dev.tavik.plot.BeliefPlot;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.plot.Scale;
import dev.tavik.proportion.NullDistribution;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.parts.BeliefSlices;
import dev.tavik.study.parts.IntervalRows;
import dev.tavik.study.parts.NullPlots;
import dev.tavik.study.parts.PairPlots;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Plots of an answer about two rates.
 *
 * @param question the question
 * @param answer its answer
 */
record ComparePlots(CompareQuestion question, Answer answer) {
  private static final double REACH = 1.5;

  Plots all() {
    Plots plots =
        Plots.of(IntervalPlot.class, this::intervals).with(NullPlot.class, this::underNull);
    return question.settings().bayes() == null ? plots : plots.with(BeliefPlot.class, this::belief);
  }

  private String prefixed(String title) {
    return question.label().isEmpty() ? title : question.label() + ": " + title;
  }

  private IntervalPlot intervals() {
    List<IntervalPlot.Panel> panels = new ArrayList<>();
    panels.add(
        PairPlots.rates(List.of(question.first(), question.second()), question.settings().level()));
    List<IntervalPlot.Row> differences = new ArrayList<>();
    List<IntervalPlot.Row> ratios = new ArrayList<>();
    for (Interval interval : answer.intervals()) {
      if (interval.quantity() == Estimand.DIFFERENCE) {
        differences.add(row(interval, ""));
      } else if (interval.quantity() != Estimand.NUMBER_NEEDED) {
        ratios.add(row(interval, ", " + interval.quantity().id().replace('-', ' ')));
      }
    }
    ComparisonClaim claim = question.settings().claim();
    if (!differences.isEmpty()) {
      panels.add(
          new IntervalPlot.Panel(
              question.order() + ", in percentage points",
              Scale.POINTS,
              differences,
              PairPlots.references(claim)));
    }
    if (!ratios.isEmpty()) {
      panels.add(
          new IntervalPlot.Panel(
              say("%s against %s, as a ratio", question.first().name(), question.second().name()),
              Scale.TIMES,
              ratios,
              List.of(1.0)));
    }
    return new IntervalPlot(
        prefixed(
            say(
                "%s against %s",
                Figures.shortened(question.first().name()),
                Figures.shortened(question.second().name()))),
        say(
            "%s intervals; rates with Wilson's; %s test, %s: %s",
            Figures.exactPercent(question.settings().level()),
            answer.test().method().id(),
            claim.goal() == ComparisonGoal.DIFFERENCE
                ? claim.alternative().id()
                : "to show " + claim.goal().id(),
            Figures.pEquals(answer.test().log10PValue())),
        panels);
  }

  private IntervalPlot.Row row(Interval interval, String quantity) {
    String method = interval.method().id();
    // A conditional interval belongs to the conditional estimate.
    Estimand point =
        method.startsWith("conditional") ? Estimand.CONDITIONAL_ODDS_RATIO : interval.quantity();
    return new IntervalPlot.Row(
        method + quantity + IntervalRows.name(interval).substring(method.length()),
        answer.estimate(point).value(),
        interval,
        IntervalRows.limits(interval),
        true);
  }

  private NullPlot underNull() {
    Tally first = question.first().tally();
    Tally second = question.second().tally();
    CompareSettings settings = question.settings();
    Alternative alternative = settings.hypothesis().alternative();
    TwoProportionTest test =
        settings.tallyTests().stream()
            .filter(each -> each == TwoProportionTest.Z_POOLED || each == TwoProportionTest.FISHER)
            .filter(each -> settings.plain())
            .min(Comparator.comparing(each -> each != answer.test().method()))
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
    double points = 100 * (first.proportion() - second.proportion());
    return NullPlots.of(
        say(
            "%s to expect if there is no difference",
            question.label().isEmpty() ? "What" : question.label() + ": what"),
        NullPlots.subtitle(
            answer.test(test),
            fisher ? "hypergeometric probabilities" : "normal approximation",
            alternative,
            settings.alpha(),
            "where rejection begins"),
        distribution,
        new NullPlot.Marks(
            fisher
                ? say(
                    "how many of all %s successes fall to %s",
                    Figures.count(first.successes() + second.successes()), question.first().name())
                : question.order() + ", in percentage points",
            fisher ? (double) first.successes() : points,
            fisher ? Figures.count(first.successes()) : Figures.significant(points, 3),
            NullDistribution.critical(test, first, second, alternative, settings.alpha())));
  }

  private BeliefPlot belief() {
    Posterior bayes = answer.find(Posterior.class).orElseThrow();
    BayesSettings view = question.settings().bayes();
    BetaPrior prior = view == null ? BetaPrior.UNIFORM : view.prior();
    ComparedRates before = ComparedRates.before(prior);
    ComparedRates after =
        ComparedRates.of(prior, question.first().tally(), question.second().tally());
    BayesSettings.@Nullable Region region = question.settings().region();
    BeliefPlot.Axis axis =
        axis(after.equalTailed(Estimand.DIFFERENCE, BeliefSlices.NEARLY_ALL), region);
    double level = bayes.beliefs().get(0).credible().get(0).level();
    return new BeliefPlot(
        (question.label().isEmpty() ? "Two rates" : question.label())
            + ": what to believe of their difference, before and after",
        chances(bayes, after) + region(bayes, region),
        axis,
        new BeliefPlot.Held(
            0,
            "no difference",
            after.density(Estimand.DIFFERENCE, 0) / before.density(Estimand.DIFFERENCE, 0)),
        region == null ? null : new BeliefPlot.Region(region.low(), region.high()),
        slices(before).lane(prior + " for each rate", level, ComparePlots::points, axis),
        slices(after)
            .lane(
                say("%s and %s", question.first().tally(), question.second().tally()),
                level,
                ComparePlots::points,
                axis));
  }

  private static String points(double difference) {
    return Value.points(difference).text();
  }

  private static BeliefSlices slices(ComparedRates rates) {
    return new BeliefSlices(
        level -> rates.equalTailed(Estimand.DIFFERENCE, level),
        (low, high) -> rates.inside(Estimand.DIFFERENCE, low, high));
  }

  /** A region that is far wider than the belief would press it flat. */
  private BeliefPlot.Axis axis(Credible most, BayesSettings.@Nullable Region region) {
    double low = Math.min(most.lower(), 0);
    double high = Math.max(most.upper(), 0);
    if (region != null) {
      double reach = REACH * (high - low);
      low = region.low() == -1 ? low : Math.max(low - reach, Math.min(low, region.low()));
      high = region.high() == 1 ? high : Math.min(high + reach, Math.max(high, region.high()));
    }
    return BeliefSlices.axis(question.order() + ", in percentage points", low, high, -1, 1);
  }

  private static String region(Posterior bayes, BayesSettings.@Nullable Region region) {
    Double inside = bayes.inside().orElse(null);
    return region == null || inside == null
        ? ""
        : say(
            "; shaded: %s, probability %s",
            region.low() == -1 || region.high() == 1 ? "good enough" : "as good as none",
            Value.Share.PROBABILITY.of(inside).text());
  }

  private String chances(Posterior bayes, ComparedRates after) {
    return say(
        "Bayes factor %s, for %s; probability that %s is lower %s, higher %s",
        Evidence.times(bayes.logBayesFactor()),
        bayes.favours().equals("neither")
            ? "neither side"
            : bayes.logBayesFactor() < 0 ? "equal rates" : bayes.alternative(),
        question.first().name(),
        Value.Share.PROBABILITY.of(after.inside(Estimand.DIFFERENCE, -1, 0)).text(),
        Value.Share.PROBABILITY.of(bayes.above().orElseThrow()).text());
  }
}
