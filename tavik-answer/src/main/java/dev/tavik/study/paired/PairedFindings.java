package dev.tavik.study.paired;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.count.PairedTally;
import dev.tavik.phrase.Sentences;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic.Kind;
import dev.tavik.study.parts.Observed;
import java.util.List;

/** Puts what was found about two proportions of the same units together. */
final class PairedFindings {
  private final PairedQuestion question;
  private final PairedSettings settings;
  private final PairedTally tally;
  private final String one;
  private final String two;
  private final List<TestResult> tests;
  private final List<Interval> intervals;

  PairedFindings(PairedQuestion question, List<TestResult> tests, List<Interval> intervals) {
    this.question = question;
    this.settings = question.settings();
    this.tally = question.tally();
    this.one = question.first();
    this.two = question.second();
    this.tests = tests;
    this.intervals = intervals;
  }

  AnswerBuilder begin(List<Estimate> estimates) {
    return Answer.to(question, AnswerKind.COMPARE, question.label())
        .add(Finding.fact("input", input()))
        .add(Finding.fact("hypothesis", hypothesis()))
        .add(new Estimates(estimates))
        .add(observed())
        .addAll(Observed.source(question.from()))
        .add(Finding.sentence(rates()))
        .add(Finding.sentence(discordant()))
        .add(tests())
        .add(intervals());
  }

  private String order() {
    return question.order();
  }

  private Value input() {
    return Observed.input(question.from())
        .with("first", one)
        .with("second", two)
        .with("order", order())
        .with("paired", true)
        .with(
            "cells",
            Value.list(
                List.of(
                    List.of(tally.both(), tally.firstOnly()),
                    List.of(tally.secondOnly(), tally.neither())),
                Value::counts));
  }

  private Value hypothesis() {
    return Value.fields()
        .with("quantity", Estimand.DIFFERENCE.id())
        .with("against", 0.0)
        .with("alternative", settings.alternative().id())
        .with("alpha", settings.alpha());
  }

  private Sheet observed() {
    return Sheet.read(
            "Observed: " + Figures.counted(tally.pairs(), "unit", "units") + ", each judged twice",
            Column.words(),
            Column.counts(Figures.shortened(two) + " yes"),
            Column.counts("no"),
            Column.counts("all"))
        .row(
            one + " yes",
            new Value.Count(tally.both()),
            new Value.Count(tally.firstOnly()),
            new Value.Count(tally.first().successes()))
        .row(
            one + " no",
            new Value.Count(tally.secondOnly()),
            new Value.Count(tally.neither()),
            new Value.Count(tally.first().failures()))
        .row(
            "all",
            new Value.Count(tally.second().successes()),
            new Value.Count(tally.second().failures()),
            new Value.Count(tally.pairs()));
  }

  private String rates() {
    return say(
        "%s %s, %s %s; %s is %s points.",
        one,
        Figures.finePercent(tally.first().proportion()),
        two,
        Figures.finePercent(tally.second().proportion()),
        order(),
        Value.points(tally.difference()).text());
  }

  private String discordant() {
    return say(
        "Discordant pairs, which alone tell the two apart: %s (%s only %s, %s only %s).",
        Figures.count(tally.discordant()),
        one,
        Figures.count(tally.firstOnly()),
        two,
        Figures.count(tally.secondOnly()));
  }

  private Tests tests() {
    Tests made =
        Tests.of(
            say(
                "Tests: null, no difference; alternative, %s; alpha %s",
                Sentences.alternative(settings.alternative(), "they differ", one),
                Figures.plain(settings.alpha())),
            settings.alpha());
    tests.forEach(test -> made.made(test, statistic(test)));
    return made;
  }

  private Value statistic(TestResult test) {
    TestResult.Statistic statistic = test.statistic();
    return statistic == null || statistic.kind() == Kind.Z
        ? Tests.shown(statistic, 4, "no statistic")
        : new Value.Words(
            say(
                "%s of %s discordant",
                Figures.count(tally.firstOnly()), Figures.count(tally.discordant())));
  }

  private Intervals intervals() {
    return Intervals.of(
            say(
                "Intervals of %s in points, level %s",
                order(), Figures.exactPercent(settings.level())))
        .pairs(intervals, interval -> new String[] {interval.method().id()});
  }
}
