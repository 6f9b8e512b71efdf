package dev.tavik.study.shares;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.association.CellFigures;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.simulation.DrawnMethod;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Puts what was found about claimed shares together. */
final class SharesFindings {
  /** Logarithm of p below which the table would become too wide for the page. */
  private static final double LEAST = -999;

  private final SharesQuestion question;
  private final SharesSettings settings;
  private final CategoryCounts counts;
  private final Shares claimed;
  private final List<CellFigures> cells;
  private final List<AdjustedP> standingOut;

  SharesFindings(SharesQuestion question, List<CellFigures> cells, List<AdjustedP> standingOut) {
    this.question = question;
    this.settings = question.settings();
    this.counts = question.counts();
    this.claimed = question.claimed();
    this.cells = cells;
    this.standingOut = standingOut;
  }

  AnswerBuilder begin(
      List<TestResult> tests,
      List<Interval> intervals,
      List<NotApplicable> refusals,
      @Nullable DrawnTest drawn) {
    List<Estimate> estimates = estimates();
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.SHARES, question.label())
            .add(Finding.fact("input", input()))
            .add(Finding.fact("hypothesis", hypothesis()))
            .add(new Estimates(estimates))
            .add(observed(estimates))
            .add(
                Finding.sentence(
                    say(
                        "%s; residuals are adjusted, standard normal under the null. Cohen's w, sqrt(X2"
                            + " / n): %s.",
                        Figures.counted(counts.total(), "unit", "units"),
                        zeroOr(estimates.get(estimates.size() - 1).value()).text())))
            .addAll(Observed.source(question.from()))
            .add(tests(tests, refusals));
    answer.addAll(Refusals.said(refusals));
    if (drawn != null) {
      answer.add(drawn.finding());
    }
    return answer.add(intervals(intervals, refusals)).add(cells());
  }

  private Value input() {
    Value.Fields each = Value.fields();
    for (int i = 0; i < counts.size(); i++) {
      each.with(counts.levels().get(i), counts.counts().get(i).longValue());
    }
    return Observed.input(question.from()).with("counts", each);
  }

  private Value hypothesis() {
    List<Double> against = new ArrayList<>();
    for (int i = 0; i < claimed.size(); i++) {
      against.add(claimed.share(i));
    }
    return Value.fields()
        .with("quantity", Estimand.SHARE.id())
        .with("against", Value.numbers(against))
        .with("alternative", "two-sided")
        .with("alpha", settings.alpha());
  }

  private List<Estimate> estimates() {
    List<Estimate> estimates = new ArrayList<>();
    for (int i = 0; i < counts.size(); i++) {
      Estimate proportion = Observed.proportion(counts.levels().get(i), counts.tally(i));
      estimates.add(
          new Estimate(
              Estimand.SHARE, proportion.label(), proportion.value(), proportion.standardError()));
    }
    double chiSquare = cells.stream().mapToDouble(CellFigures::contribution).sum();
    estimates.add(
        new Estimate(
            Estimand.COHENS_W, "sqrt(X2 / n)", Math.sqrt(chiSquare / counts.total()), Double.NaN));
    return estimates;
  }

  private Sheet observed(List<Estimate> estimates) {
    Sheet sheet =
        Sheet.read(
            "Observed against expected",
            Column.words(),
            Column.counts("count"),
            Column.numbers("share"),
            Column.numbers("claimed"),
            Column.numbers("expected"),
            Column.numbers("X2 part").ifItFits(),
            Column.numbers("residual"),
            Column.numbers("Holm p"));
    for (int i = 0; i < cells.size(); i++) {
      CellFigures cell = cells.get(i);
      double log = standingOut.get(i).log10PValue();
      sheet.row(
          counts.levels().get(i),
          new Value.Count(cell.observed()),
          Value.Share.FINE.of(estimates.get(i).value()),
          Value.Share.FINE.of(claimed.share(i)),
          Value.significant(cell.expected(), 4),
          zeroOr(cell.contribution()),
          zeroOr(cell.adjustedResidual()),
          log < LEAST ? new Value.Words("<1e-999") : Value.p(log));
    }
    return sheet;
  }

  private static Value zeroOr(double value) {
    return Value.significant(value, 3);
  }

  /** In the order in which they were chosen, with additional ones at the end. */
  private Tests tests(List<TestResult> tests, List<NotApplicable> refusals) {
    Set<Method> methods = new LinkedHashSet<>(settings.tests());
    refusals.stream()
        .map(NotApplicable::method)
        .filter(method -> method == SharesTest.EXACT_MULTINOMIAL)
        .forEach(methods::add);
    tests.stream().map(TestResult::method).forEach(methods::add);
    Tests made =
        Tests.ofTables(
            "Tests: null, the shares are as claimed; alpha " + Figures.plain(settings.alpha()),
            settings.alpha());
    for (Method method : methods) {
      tests.stream()
          .filter(test -> test.method() == method)
          .forEach(test -> made.made(test, statistic(test)));
      refusals.stream().filter(each -> each.method() == method).forEach(made::declined);
    }
    return made;
  }

  private static Value statistic(TestResult test) {
    return Tests.shown(
        test.statistic(),
        3,
        test.method() == DrawnMethod.PEARSON
            ? "outcomes drawn, X2 as large"
            : "outcomes no more probable");
  }

  private Intervals intervals(List<Interval> all, List<NotApplicable> refusals) {
    Intervals intervals =
        Intervals.of("Intervals of the shares, level " + Figures.exactPercent(settings.level()));
    for (SharesInterval method : settings.intervals()) {
      List<Interval> each = all.stream().filter(one -> one.method() == method).toList();
      for (int i = 0; i < each.size(); i++) {
        intervals.row(
            each.get(i),
            each.get(i).contains(claimed.share(i)) ? "" : "not the claimed",
            Value.fields().with("label", counts.levels().get(i)),
            i == 0 ? method.id() + (method.simultaneous() ? ", together" : ", one at a time") : "",
            counts.levels().get(i));
      }
      refusals.stream().filter(one -> one.method() == method).forEach(intervals::declined);
    }
    return intervals;
  }

  private Cells cells() {
    return Cells.of(counts.levels(), List.of("count"))
        .flat()
        .layer("observed", (i, j) -> new Value.Count(cells.get(i).observed()))
        .layer("expected", (i, j) -> Value.number(cells.get(i).expected()))
        .layer("pearsonResiduals", (i, j) -> Value.number(cells.get(i).pearsonResidual()))
        .layer("adjustedResiduals", (i, j) -> Value.number(cells.get(i).adjustedResidual()))
        .layer("contributions", (i, j) -> Value.number(cells.get(i).contribution()))
        .layer("adjustedPValues", (i, j) -> Value.number(standingOut.get(i).pValue()))
        .layer("log10AdjustedPValues", (i, j) -> Value.number(standingOut.get(i).log10PValue()));
  }
}
