package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.plot.BeliefPlot;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.plot.SequencePlot;
import dev.tavik.proportion.NullDistribution;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.parts.BeliefSlices;
import dev.tavik.study.parts.IntervalRows;
import dev.tavik.study.parts.NullPlots;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Plots of an answer about one rate.
 *
 * @param question the question
 * @param answer its answer
 */
record RatePlots(RateQuestion question, Answer answer) {
  private static final int MOST_INTERVALS = 240;

  Plots all() {
    Plots plots =
        Plots.of(IntervalPlot.class, this::intervals).with(NullPlot.class, this::underNull);
    if (settings().bayes() != null) {
      plots.with(BeliefPlot.class, this::belief);
    }
    OutcomeSequence outcomes = question.sequence();
    return outcomes == null ? plots : plots.with(SequencePlot.class, () -> sequence(outcomes));
  }

  private Tally tally() {
    return question.only();
  }

  private RateSettings settings() {
    return question.settings();
  }

  private double against() {
    return settings().hypothesis().against();
  }

  private String subject(String otherwise) {
    return question.label().isEmpty() ? otherwise : question.label();
  }

  private IntervalPlot intervals() {
    List<IntervalPlot.Row> rows = IntervalRows.rows(answer.intervals(), tally().proportion());
    TestResult test = answer.test();
    return new IntervalPlot(
        say(
            "%s: %s (%s)",
            subject("Observed rate"),
            Figures.percent(tally().proportion()),
            Figures.outOf(tally().successes(), tally().trials())),
        say(
            "%s intervals for the true rate; %s test against %s, %s: %s",
            Figures.exactPercent(settings().level()),
            test.method().id(),
            Figures.exactPercent(against()),
            settings().hypothesis().alternative().id(),
            Figures.pEquals(test.log10PValue())),
        List.of(IntervalRows.proportions(rows, List.of(against()))));
  }

  private NullPlot underNull() {
    if (settings().lot() != null) {
      throw new IllegalArgumentException(
          "the picture of a p-value is drawn for trials without end; leave the lot out");
    }
    ProportionTest test =
        settings().tallyTests().stream()
            .filter(each -> each == ProportionTest.SCORE || each == ProportionTest.EXACT)
            .min(Comparator.comparing(each -> each != answer.test().method()))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value needs the score or the exact test among the"
                            + " tests"));
    boolean exact = test == ProportionTest.EXACT;
    return NullPlots.of(
        say(
            "%s to expect if the rate is %s",
            question.label().isEmpty() ? "What" : question.label() + ": what",
            Figures.exactPercent(against())),
        NullPlots.subtitle(
            answer.test(test),
            exact ? "binomial probabilities" : "normal approximation",
            settings().hypothesis().alternative(),
            settings().alpha(),
            "first count rejected"),
        NullDistribution.of(test, tally(), settings().hypothesis()).orElseThrow(),
        NullPlots.marks(
            "successes out of " + Figures.count(tally().trials()),
            tally(),
            test.criticalCounts(tally().trials(), settings().hypothesis(), settings().alpha())));
  }

  private Posterior bayes() {
    return answer.find(Posterior.class).orElseThrow();
  }

  private BetaPrior prior() {
    BayesSettings view = settings().bayes();
    return view == null ? BetaPrior.UNIFORM : view.prior();
  }

  private BeliefPlot belief() {
    Posterior bayes = bayes();
    BetaPosterior before = BetaPosterior.of(prior().a(), prior().b());
    BetaPosterior after = prior().posterior(tally());
    Credible most = after.equalTailed(BeliefSlices.NEARLY_ALL);
    BeliefPlot.Axis axis =
        BeliefSlices.axis(
            "rate, in percent",
            Math.min(most.lower(), against()),
            Math.max(most.upper(), against()),
            0,
            1);
    double times = Math.exp(after.logDensity(against()) - before.logDensity(against()));
    String counted = Figures.outOf(tally().successes(), tally().trials());
    double level = bayes.beliefs().get(0).credible().get(0).level();
    return new BeliefPlot(
        subject("The rate") + ": what to believe before and after " + counted,
        say(
            "Bayes factor%s %s, for %s",
            settings().hypothesis().alternative() == Alternative.TWO_SIDED
                ? ""
                : " of the directional alternative",
            Evidence.times(bayes.logBayesFactor()),
            bayes.favours().equals("neither") ? "neither side" : "the " + bayes.favours()),
        axis,
        new BeliefPlot.Held(against(), "held against " + Figures.exactPercent(against()), times),
        null,
        new BeliefSlices(before::equalTailed, before::inside)
            .lane(prior().toString(), level, Figures::finePercent, axis),
        new BeliefSlices(after::equalTailed, after::inside)
            .lane(counted, level, Figures::finePercent, axis));
  }

  private SequencePlot sequence(OutcomeSequence outcomes) {
    Posterior bayes = bayes();
    List<Double> logs = bayes.sequence();
    return new SequencePlot(
        say(
            "%s: the evidence after each of %s observations",
            subject("The rate"), Figures.count(logs.size())),
        say(
            "above: the chance of the alternative, had both been equally likely before the first"
                + " row, prior %s; below: the rate so far, with its %s credible interval",
            prior(), Figures.exactPercent(settings().level())),
        logs,
        bayes.alternative(),
        bayes.none(),
        rates(outcomes, logs.size()),
        against());
  }

  private List<SequencePlot.Rate> rates(OutcomeSequence outcomes, int observations) {
    List<SequencePlot.Rate> rates = new ArrayList<>();
    int every = Math.max(1, observations / MOST_INTERVALS);
    long successes = 0;
    for (int n = 1; n <= observations; n++) {
      successes += outcomes.isSuccess(n - 1) ? 1 : 0;
      if (n % every == 0 || n == observations) {
        Credible credible =
            prior().posterior(Tally.of(successes, n)).equalTailed(settings().level());
        rates.add(
            new SequencePlot.Rate(n, (double) successes / n, credible.lower(), credible.upper()));
      }
    }
    return rates;
  }
}
