package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.association.Agreement;
import dev.tavik.association.SquareTest;
import dev.tavik.count.SquareTable;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Discordance;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts the answer about the agreement of two classifications together. */
final class AgreementAnalysis {
  private final AgreementQuestion question;
  private final SquareTable table;
  private final double alpha;
  private final double level;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final TestResult test;

  AgreementAnalysis(AgreementQuestion question) {
    this.question = question;
    this.table = question.table();
    this.alpha = question.settings().alpha();
    this.level = question.settings().level();
    for (SquareTest each : SquareTest.values()) {
      try {
        tests.add(each.of(table));
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(Refusals.of(each, e));
      }
    }
    SquareTest wanted =
        Discordance.few(exchanged()) ? SquareTest.EXACT_SYMMETRY : SquareTest.BOWKER;
    this.test =
        tests.stream().filter(each -> each.method() == wanted).findFirst().orElse(tests.get(0));
  }

  Answer answer() {
    List<Agreement> shown =
        question.settings().ordered() == Ordered.NONE || table.levels().size() == 2
            ? List.of(Agreement.KAPPA)
            : List.of(Agreement.values());
    List<Estimate> estimates =
        new ArrayList<>(
            List.of(
                Observed.proportion("classified alike", Tally.of(table.alike(), table.total()))));
    Intervals intervals = Intervals.of("");
    Sheet strength = CrossFindings.strengths("Agreement", level);
    for (Agreement each : shown) {
      Estimate estimate = each.of(table);
      Optional<Interval> interval = each.interval(table, level);
      estimates.add(estimate);
      interval.ifPresent(limits -> intervals.row(limits, ""));
      CrossFindings.strength(strength, each.inWords(), estimate.value(), interval.orElse(null));
    }
    return new CrossAsked(question, question.label(), "symmetry")
        .begin(Value.fields())
        .add(new Estimates(estimates))
        .add(listed(Tests.of("", alpha)))
        .add(intervals)
        .add(cells())
        .addAll(Observed.source(question.from()))
        .add(
            listed(
                Tests.ofTables(
                        say(
                            "Tests: null, moves from level to level balance those back; alpha %s",
                            Figures.plain(alpha)),
                        alpha)
                    .keyed("")))
        .add(strength)
        .conditions(conditions())
        .cautions(cautions())
        .concluded(conclusion().restingOn(test.method(), null, ""));
  }

  private Tests listed(Tests to) {
    tests.forEach(each -> to.made(each, Tests.shown(each.statistic(), 4, "")));
    refusals.forEach(to::declined);
    return to;
  }

  /** How many units each pair of levels exchanged. */
  private List<Long> exchanged() {
    List<Long> exchanged = new ArrayList<>();
    for (int i = 0; i < table.levels().size(); i++) {
      for (int j = 0; j < i; j++) {
        exchanged.add(table.count(i, j) + table.count(j, i));
      }
    }
    return exchanged;
  }

  private Cells cells() {
    return Cells.of(table.levels(), table.levels())
        .layer("observed", (i, j) -> new Value.Count(table.count(i, j)))
        .withTotals(
            say("Observed: rows %s, columns %s", question.first(), question.second()),
            (i, j) -> new Value.Count(sum(i, j)));
  }

  private long sum(int row, int column) {
    int size = table.levels().size();
    long sum = 0;
    for (int i = row == size ? 0 : row; i < (row == size ? size : row + 1); i++) {
      for (int j = column == size ? 0 : column; j < (column == size ? size : column + 1); j++) {
        sum += table.count(i, j);
      }
    }
    return sum;
  }

  private long moved() {
    return table.total() - table.alike();
  }

  private List<Condition> conditions() {
    return List.of(
        Assumptions.moved(
            moved(),
            Discordance.ENOUGH_IN_ALL,
            Discordance.ENOUGH_EACH,
            !Discordance.few(exchanged())),
        Assumptions.classifiedTwice(question.first(), question.second()));
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    if (Discordance.few(exchanged()) && test.method() == SquareTest.BOWKER) {
      cautions.add(SampleCautions.fewMoved());
    }
    DecisionCautions decisions = new DecisionCautions(tests, alpha, test);
    cautions.addAll(moved() > 0 ? decisions.disagree() : List.of());
    cautions.addAll(decisions.nearAlpha());
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, table.total()));
    }
    return cautions;
  }

  private Verdict conclusion() {
    return TableVerdicts.agreement(
        question.label(),
        question.first(),
        question.second(),
        Tally.of(table.alike(), table.total()),
        Agreement.KAPPA.of(table).value(),
        Agreement.KAPPA.interval(table, level),
        test,
        alpha);
  }
}
