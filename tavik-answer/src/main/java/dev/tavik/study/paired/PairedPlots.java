package dev.tavik.study.paired;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.plot.Scale;
import dev.tavik.proportion.NullDistribution;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.parts.IntervalRows;
import dev.tavik.study.parts.NullPlots;
import dev.tavik.study.parts.PairPlots;
import java.util.Comparator;
import java.util.List;

/**
 * Plots of an answer about pairs.
 *
 * @param question the question
 * @param answer its answer
 */
record PairedPlots(PairedQuestion question, Answer answer) {
  Plots all() {
    return Plots.of(IntervalPlot.class, this::intervals).with(NullPlot.class, this::underNull);
  }

  private PairedTally tally() {
    return question.tally();
  }

  private IntervalPlot intervals() {
    List<IntervalPlot.Row> rows = IntervalRows.rows(answer.intervals(), tally().difference());
    return new IntervalPlot(
        say(
            "%s%s against %s, the same %s units",
            question.label().isEmpty() ? "" : question.label() + ": ",
            Figures.shortened(question.first()),
            Figures.shortened(question.second()),
            Figures.count(tally().pairs())),
        say(
            "%s intervals; %d discordant pairs; %s test, %s: %s",
            Figures.exactPercent(question.settings().level()),
            tally().discordant(),
            answer.test().method().id(),
            question.settings().alternative().id(),
            Figures.pEquals(answer.test().log10PValue())),
        List.of(
            PairPlots.rates(
                List.of(
                    new NamedTally(question.first(), tally().first()),
                    new NamedTally(question.second(), tally().second())),
                question.settings().level()),
            new IntervalPlot.Panel(
                question.order() + ", in percentage points", Scale.POINTS, rows, List.of(0.0))));
  }

  private NullPlot underNull() {
    require(tally().discordant() != 0, "there is nothing to draw: no pair is discordant");
    PairedTest test =
        question.settings().tests().stream()
            .filter(each -> each == PairedTest.MCNEMAR || each == PairedTest.MCNEMAR_EXACT)
            .min(Comparator.comparing(each -> each != answer.test().method()))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of a p-value of pairs needs mcnemar or mcnemar-exact among the"
                            + " tests"));
    // Given the discordant pairs, those of the first are as many as heads of so many fair throws.
    boolean exact = test == PairedTest.MCNEMAR_EXACT;
    ProportionTest fair = exact ? ProportionTest.EXACT : ProportionTest.SCORE;
    Hypothesis half = new Hypothesis(0.5, question.settings().alternative());
    Tally first = Tally.of(tally().firstOnly(), tally().discordant());
    return NullPlots.of(
        say("What to expect if %s and %s don't differ", question.first(), question.second()),
        NullPlots.subtitle(
            answer.test(test),
            exact ? "binomial probabilities" : "normal approximation",
            half.alternative(),
            question.settings().alpha(),
            "where rejection begins"),
        NullDistribution.of(fair, first, half).orElseThrow(),
        NullPlots.marks(
            say(
                "%s only, out of %s discordant pairs",
                question.first(), Figures.count(first.trials())),
            first,
            fair.criticalCounts(first.trials(), half, question.settings().alpha())));
  }
}
