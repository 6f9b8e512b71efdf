package dev.tavik.study.paired;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Verdict;
import dev.tavik.answer.Workings;
import dev.tavik.count.PairedTally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.phrase.PairedVerdicts;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TestCautions;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Discordance;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.TailCommands;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Puts the answer to one paired comparison together. */
final class PairedAnalysis {

  private final PairedQuestion question;
  private final PairedSettings settings;
  private final PairedTally tally;
  private final List<TestResult> tests;
  private final List<Interval> intervals = new ArrayList<>();
  private final VerdictBasis preference;
  private final TestResult test;
  private final Interval interval;

  PairedAnalysis(PairedQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.tally = question.tally();
    Alternative alternative = settings.alternative();
    this.tests = settings.tests().stream().map(each -> each.of(tally, alternative)).toList();
    for (PairedDifferenceInterval method : settings.intervals()) {
      intervals.add(method.of(tally, settings.level()));
      if (alternative != Alternative.TWO_SIDED) {
        intervals.add(method.of(tally, settings.level(), alternative.matchingSide()));
      }
    }
    this.preference = preference();
    this.test = preference.among(tests);
    this.interval = preference.among(intervals, alternative.matchingSide());
  }

  Answer answer() {
    List<Estimate> estimates =
        List.of(
            Observed.proportion(question.first(), tally.first()),
            Observed.proportion(question.second(), tally.second()),
            new Estimate(
                Estimand.DIFFERENCE,
                question.first() + " minus " + question.second(),
                tally.difference(),
                PairedDifferenceInterval.standardError(tally)));
    return new PairedFindings(question, tests, intervals)
        .begin(estimates)
        .add(preference.finding())
        .add(Decidable.of(this::mayReject))
        .add(Workings.of(() -> PairedWorking.of(tally, settings, tests)))
        .addAll(TailCommands.of(tally, tests))
        .conditions(conditions())
        .cautions(cautions())
        .concluded(preference.on(conclusion()));
  }

  /** Whether it would reject where all pairs differ the same way. */
  private boolean mayReject() {
    return !(test.method() instanceof PairedTest made)
        || Stream.of(PairedTally.of(0, tally.pairs(), 0, 0), PairedTally.of(0, 0, tally.pairs(), 0))
            .anyMatch(each -> made.of(each, settings.alternative()).rejects(settings.alpha()));
  }

  private boolean enough() {
    return !Discordance.few(List.of(tally.discordant()));
  }

  private VerdictBasis preference() {
    PairedTest wanted = enough() ? PairedTest.MCNEMAR : PairedTest.MCNEMAR_EXACT;
    PairedTest chosen = settings.tests().contains(wanted) ? wanted : settings.tests().get(0);
    PairedDifferenceInterval partner =
        settings.intervals().contains(PairedDifferenceInterval.TANGO)
            ? PairedDifferenceInterval.TANGO
            : settings.intervals().get(0);
    String reason =
        settings.tests().size() == 1 || chosen != wanted
            ? Reasons.asked(chosen, settings.tests().size() == 1)
            : Reasons.discordant(tally.discordant(), enough());
    return new VerdictBasis(chosen, partner, reason);
  }

  private List<Condition> conditions() {
    return List.of(
        Assumptions.discordant(
            question.first(),
            tally.firstOnly(),
            question.second(),
            tally.secondOnly(),
            Discordance.ENOUGH_IN_ALL,
            enough()),
        Assumptions.independentPairs());
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    Alternative alternative = settings.alternative();
    boolean opposite = alternative.isOpposite(tally.difference());
    if (opposite) {
      cautions.add(
          TestCautions.otherWay(
              TestCautions.claim(question.first(), question.second(), alternative, 0),
              alternative,
              /* support= */ false));
    }
    if (tally.discordant() == 0) {
      cautions.add(SampleCautions.allAgree());
    } else if (!enough() && settings.tests().contains(PairedTest.MCNEMAR)) {
      cautions.add(SampleCautions.fewDiscordant(tally.discordant()));
    }
    DecisionCautions decisions = new DecisionCautions(tests, settings.alpha(), test);
    if (tally.discordant() > 0) {
      cautions.addAll(decisions.disagree());
      cautions.addAll(decisions.nearAlpha());
    }
    cautions.addAll(DecisionCautions.levelAlpha(settings));
    if (settings.level() == settings.matchingLevel()
        && !opposite
        && interval.contains(0) == test.rejects(settings.alpha())) {
      cautions.add(decisions.testAndInterval("", interval.method().id(), TestCautions.close()));
    }
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, tally.pairs()));
    }
    return cautions;
  }

  private Verdict conclusion() {
    String one = question.first();
    String two = question.second();
    double first = tally.first().proportion();
    double second = tally.second().proportion();
    ComparisonVerdicts.Pair pair =
        new ComparisonVerdicts.Pair(
            one,
            two,
            say(
                "%s %s, %s %s",
                one,
                Figures.percentBeside(first, second),
                two,
                Figures.percentBeside(second, first)),
            tally.difference(),
            test,
            interval);
    return PairedVerdicts.paired(
        question.label(), pair, tally, settings.alternative(), settings.alpha());
  }
}
