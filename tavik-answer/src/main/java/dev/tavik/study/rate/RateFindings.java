package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Tests;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import java.util.List;

/** Puts the answer about one rate together. */
record RateFindings(RateFound found) {
  Answer answer(List<Caution> cautions) {
    RateData data = found.data();
    RateAsked asked = found.asked();
    Estimate estimate = data.estimate(found.name());
    return asked
        .begin(found.name(), data.figures())
        .addAll(data.about())
        .add(new Estimates(List.of(estimate)))
        .add(data.observed(estimate))
        .addAll(Observed.source(asked.question().from()))
        .addAll(data.context())
        .add(tests())
        .addAll(Refusals.said(found.made().refusals()))
        .add(intervals())
        .addAll(Refusals.said(found.made().without()))
        .addAll(data.beside(found))
        .add(found.basis().finding())
        .addAll(data.after(found))
        .conditions(data.conditions(found))
        .cautions(cautions)
        .concluded(found.verdict());
  }

  private Tests tests() {
    RateData data = found.data();
    Tests tests = data.tests(found.asked().tests(), found.asked().alpha());
    found.made().tests().forEach(test -> tests.made(test, data.statistic(test)));
    found.made().refusals().forEach(tests::declined);
    return tests;
  }

  private Intervals intervals() {
    Alternative alternative = found.asked().hypothesis().alternative();
    Intervals intervals =
        Intervals.of(
                say(
                    "Intervals, level %s%s",
                    Figures.exactPercent(found.asked().level()),
                    alternative == Alternative.TWO_SIDED
                        ? ""
                        : ", and the one-sided bound for '" + alternative.id() + "'"))
            .pairs(found.made().intervals(), interval -> new String[] {interval.method().id()});
    found.made().without().forEach(intervals::declined);
    return intervals;
  }
}
