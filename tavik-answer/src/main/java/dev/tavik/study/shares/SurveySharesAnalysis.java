package dev.tavik.study.shares;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.ShareVerdicts;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.Undecided;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyInterval;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Puts the answer about shares of a designed sample together. */
final class SurveySharesAnalysis {
  private final SurveySharesQuestion question;
  private final DesignedSample sample;
  private final DesignFindings design;
  private final List<DesignedProportion> shares;
  private final DesignTests tests;
  private final List<AdjustedP> standingOut;
  private final List<Double> residuals;

  SurveySharesAnalysis(SurveySharesQuestion question) {
    this.question = question;
    this.sample = DesignedSample.of(question.counts());
    this.design = new DesignFindings(sample);
    this.shares = sample.shares(0, question.levels());
    List<Double> claimed =
        IntStream.range(0, shares.size()).mapToObj(question.claimed()::share).toList();
    this.tests = DesignTests.of(sample.deviation(0, question.levels(), claimed), question.tests());
    this.residuals =
        IntStream.range(0, shares.size())
            .mapToObj(
                i ->
                    shares.get(i).standardError() > 0
                        ? away(i) / shares.get(i).standardError()
                        : Double.NaN)
            .toList();
    this.standingOut = Holm.ofT(residuals, tests.deviation().df());
  }

  private double away(int category) {
    return shares.get(category).value() - question.claimed().share(category);
  }

  Answer answer() {
    SurveyInterval interval = question.intervals().get(0);
    boolean rejects = tests.first().rejects(question.alpha());
    return Answer.to(question, AnswerKind.SHARES, question.label())
        .add(Finding.fact("input", input()))
        .add(Finding.fact("hypothesis", hypothesis()))
        .add(design.fact())
        .add(new Estimates(estimates()))
        .add(observed())
        .addAll(Observed.source(question.from()))
        .add(design.sentence())
        .add(
            tests.finding(
                "Tests: null, the shares are as claimed; alpha " + Figures.plain(question.alpha()),
                question.alpha()))
        .addAll(Refusals.said(tests.refusals()))
        .addAll(tests.effects())
        .add(intervals())
        .add(tests.preference(interval).finding())
        .addAll(tests.decided() ? List.of() : List.of(Undecided.finding()))
        .addAll(tests.planned("shares --categories " + shares.size()))
        .conditions(design.conditions())
        .cautions(cautions())
        .concluded(
            tests.decided()
                ? tests.preference(interval).on(conclusion(rejects))
                : TableVerdicts.undecided(question.label(), "whether the shares are as claimed"));
  }

  private Value input() {
    Value.Fields each = Value.fields();
    for (int i = 0; i < shares.size(); i++) {
      each.with(question.levels().get(i), DesignFindings.figures(shares.get(i)));
    }
    return Observed.input(question.from()).with("counts", each);
  }

  private Value hypothesis() {
    return Value.fields()
        .with("quantity", Estimand.SHARE.id())
        .with(
            "against",
            Value.numbers(
                IntStream.range(0, shares.size()).mapToObj(question.claimed()::share).toList()))
        .with("alternative", "two-sided")
        .with("alpha", question.alpha());
  }

  private List<Estimate> estimates() {
    return IntStream.range(0, shares.size())
        .mapToObj(
            i ->
                new Estimate(
                    Estimand.SHARE,
                    question.levels().get(i),
                    shares.get(i).value(),
                    shares.get(i).standardError()))
        .toList();
  }

  private Sheet observed() {
    Sheet sheet =
        Sheet.read(
            "Estimated against claimed, standard error in points, design effect",
            Column.words(),
            Column.counts("rows"),
            Column.numbers("share"),
            Column.numbers("claimed"),
            Column.numbers("error"),
            Column.numbers("effect"),
            Column.numbers("residual"),
            Column.numbers("Holm p"));
    for (int i = 0; i < shares.size(); i++) {
      DesignedProportion share = shares.get(i);
      sheet.row(
          question.levels().get(i),
          new Value.Count(share.successes()),
          Value.Share.FINE.of(share.value()),
          Value.Share.FINE.of(question.claimed().share(i)),
          Value.points(share.standardError()),
          DesignFindings.effect(share),
          Double.isNaN(residuals.get(i))
              ? Value.none("none")
              : Value.significant(residuals.get(i), 3),
          Value.p(standingOut.get(i).log10PValue()));
    }
    return sheet;
  }

  private Intervals intervals() {
    Intervals intervals =
        Intervals.of(
            "Intervals of the shares, level "
                + Figures.exactPercent(question.level())
                + ", one at a time");
    for (SurveyInterval method : question.intervals()) {
      for (int i = 0; i < shares.size(); i++) {
        row(intervals, method, i);
      }
    }
    return intervals;
  }

  private void row(Intervals to, SurveyInterval method, int category) {
    Interval limits = DesignFindings.limits(method, shares.get(category), question.level(), to);
    Interval interval =
        new Interval(
            Estimand.SHARE,
            limits.method(),
            limits.level(),
            limits.side(),
            limits.lower(),
            limits.upper());
    to.row(
        interval,
        interval.contains(question.claimed().share(category)) ? "" : "not the claimed",
        Value.fields().with("label", question.levels().get(category)),
        interval.method().id(),
        question.levels().get(category));
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    TestResult test = tests.first();
    DecisionCautions decisions = new DecisionCautions(tests.made(), question.alpha(), test);
    if (!tests.decided()) {
      cautions.add(DesignCautions.undecided("The shares"));
    }
    cautions.addAll(decisions.disagree());
    cautions.addAll(decisions.nearAlpha());
    cautions.addAll(DecisionCautions.levelAlpha(question));
    cautions.add(TestCautions.oneAtATime(/* wilson= */ false));
    int rarest =
        IntStream.range(0, shares.size())
            .reduce((a, b) -> shares.get(b).value() < shares.get(a).value() ? b : a)
            .orElseThrow();
    String level = question.levels().get(rarest);
    cautions.addAll(design.cautions(unit -> unit.get(0).equals(level), level, question.from()));
    return cautions;
  }

  private Verdict conclusion(boolean rejects) {
    List<String> found =
        IntStream.range(0, shares.size())
            .filter(i -> standingOut.get(i).rejects(question.alpha()))
            .mapToObj(this::departure)
            .toList();
    int largest =
        IntStream.range(0, shares.size()).reduce((a, b) -> size(b) > size(a) ? b : a).orElseThrow();
    String where =
        rejects && !found.isEmpty()
            ? TableVerdicts.standingOut(
                found, departure(largest), shares.size(), "category", "categories")
            : Math.abs(away(largest)) < 1e-12
                ? ShareVerdicts.asClaimed(/* weighted= */ true)
                : TableVerdicts.largest(departure(largest));
    return ShareVerdicts.of(
        question.label(),
        /* weighted= */ true,
        where,
        Figures.pEquals(tests.first().log10PValue()),
        tests.first(),
        question.alpha());
  }

  private double size(int category) {
    return Double.isNaN(residuals.get(category)) ? 0 : Math.abs(residuals.get(category));
  }

  private String departure(int category) {
    return ShareVerdicts.estimated(
        question.levels().get(category),
        shares.get(category).value(),
        question.claimed().share(category));
  }
}
