package dev.tavik.study.paired;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Verdict;
import dev.tavik.answer.Workings;
import dev.tavik.count.PairedTally;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Discordance;
import dev.tavik.study.parts.LookUp;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Preference;
import dev.tavik.study.parts.Reach;
import dev.tavik.study.parts.Sentences;
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
  private final Preference preference;
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
        .addAll(LookUp.of(tally, tests))
        .conditions(conditions())
        .cautions(cautions())
        .concluded(
            preference.on(Verdict.of(conclusion()).rejecting(test.rejects(settings.alpha()))));
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

  private Preference preference() {
    PairedTest wanted = enough() ? PairedTest.MCNEMAR : PairedTest.MCNEMAR_EXACT;
    PairedTest chosen = settings.tests().contains(wanted) ? wanted : settings.tests().get(0);
    PairedDifferenceInterval partner =
        settings.intervals().contains(PairedDifferenceInterval.TANGO)
            ? PairedDifferenceInterval.TANGO
            : settings.intervals().get(0);
    String reason;
    if (settings.tests().size() == 1) {
      reason = Preference.asked(chosen, true);
    } else if (chosen != wanted) {
      reason = Preference.asked(chosen, false);
    } else {
      reason =
          enough()
              ? say(
                  "%s discordant pairs are enough for the normal approximation",
                  Figures.count(tally.discordant()))
              : say(
                  "only %s %s too few for the normal approximation; the exact test holds at any size",
                  discordant(), tally.discordant() == 1 ? "is" : "are");
    }
    return new Preference(chosen, partner, reason);
  }

  private List<Condition> conditions() {
    String found =
        say(
            "%s of them (%s only: %s, %s only: %s)",
            Figures.count(tally.discordant()),
            question.first(),
            Figures.count(tally.firstOnly()),
            question.second(),
            Figures.count(tally.secondOnly()));
    return List.of(
        enough()
            ? new Condition(
                "discordant pairs",
                Condition.State.MET,
                found + ", enough for the normal approximation")
            : new Condition(
                "discordant pairs",
                Condition.State.NOT_MET,
                found + "; the normal approximation wants at least " + Discordance.ENOUGH_IN_ALL),
        new Condition(
            "independent pairs",
            Condition.State.NOT_IN_THE_DATA,
            "both judgements are of the same unit, and one unit tells nothing about another. Counts"
                + " can't show this: you have to know how they were collected"));
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    if (opposite()) {
      cautions.add(
          new Caution(
              Code.OTHER_DIRECTION,
              say(
                  "The alternative '%s' says that %s is %s than %s, but the data point the other way."
                      + " If the order of the columns or the direction was mixed up, set it right.",
                  settings.alternative().id(),
                  question.first(),
                  settings.alternative() == Alternative.LESS ? "lower" : "higher",
                  question.second())));
    }
    if (tally.discordant() == 0) {
      cautions.add(
          new Caution(
              Code.ALL_OR_NONE,
              "Both judgements agree on every unit: nothing tells them apart, and no test can. The"
                  + " intervals say how far apart they may still be."));
    } else if (!enough() && settings.tests().contains(PairedTest.MCNEMAR)) {
      cautions.add(
          new Caution(
              Code.FEW_SUCCESSES,
              say(
                  "Only %s, too few for the normal approximation; prefer mcnemar-exact or"
                      + " mcnemar-mid-p.",
                  discordant())));
    }
    DecisionCautions decisions = new DecisionCautions(tests, settings.alpha(), test);
    if (tally.discordant() > 0) {
      cautions.addAll(decisions.disagree());
      cautions.addAll(decisions.nearAlpha());
    }
    cautions.addAll(decisions.levelAlpha(settings.level(), settings.matchingLevel(), ";"));
    if (settings.level() == settings.matchingLevel()
        && !opposite()
        && interval.contains(0) == test.rejects(settings.alpha())) {
      cautions.add(decisions.testAndInterval("", interval.method().id(), DecisionCautions.CLOSE));
    }
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, tally.pairs()));
    }
    return cautions;
  }

  private boolean opposite() {
    return switch (settings.alternative()) {
      case LESS -> tally.difference() > 0;
      case GREATER -> tally.difference() < 0;
      case TWO_SIDED -> false;
    };
  }

  private String conclusion() {
    boolean rejects = test.rejects(settings.alpha());
    String one = question.first();
    String two = question.second();
    String not = rejects ? " is " : " is not shown to be ";
    String claim =
        switch (settings.alternative()) {
          case TWO_SIDED ->
              one + " and " + two + (rejects ? " differ" : " are not shown to differ");
          case LESS -> one + not + "lower than " + two;
          case GREATER -> one + not + "higher than " + two;
        };
    String range = Reach.range(one, two, interval);
    String name = Reach.name(interval);
    return say(
        "%s%s: on the same %s %s %s, %s %s; %s only: %s, %s only: %s. %s%s (%s); %s, %s"
            + " test at alpha %s.%s",
        question.label().isEmpty() ? "" : question.label() + ": ",
        claim,
        Figures.counted(tally.pairs(), "unit", "units"),
        one,
        Figures.percentBeside(tally.first().proportion(), tally.second().proportion()),
        two,
        Figures.percentBeside(tally.second().proportion(), tally.first().proportion()),
        one,
        Figures.count(tally.firstOnly()),
        two,
        Figures.count(tally.secondOnly()),
        range.startsWith("anything ") ? Sentences.capitalised(range) : range,
        rejects && !interval.contains(0) ? "" : " can't be excluded",
        name,
        Figures.pEquals(test.log10PValue()),
        test.method().id(),
        Figures.plain(settings.alpha()),
        rejects && settings.alternative() == Alternative.TWO_SIDED
            ? say(
                " %s looks %s; the two-sided test asked only whether they differ.",
                one, tally.difference() < 0 ? "lower" : "higher")
            : "");
  }

  private String discordant() {
    return Figures.counted(tally.discordant(), "discordant pair", "discordant pairs");
  }
}
