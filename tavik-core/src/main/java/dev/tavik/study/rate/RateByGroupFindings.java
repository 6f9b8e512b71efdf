package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.PosteriorSummary;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Claims;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.List;

/** Puts the answer about the rates of several groups together. */
final class RateByGroupFindings {
  private final RateByGroupQuestion question;
  private final RateSettings settings;
  private final List<RateFound> groups;
  private final List<Answer> answers;

  RateByGroupFindings(RateByGroupQuestion question, List<RateFound> groups, List<Answer> answers) {
    this.question = question;
    this.settings = question.settings();
    this.groups = groups;
    this.answers = answers;
  }

  Answer answer(List<Caution> cautions, Verdict verdict) {
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.RATE, question.label())
            .add(Finding.fact("input", Observed.input(question.from())))
            .add(Finding.fact("hypothesis", RateFindings.hypothesis(settings)))
            .add(Finding.fact("adjustment", new Value.Words("holm")))
            .add(new SubAnswers("groups", groups.stream().map(RateFound::label).toList(), answers));
    Depth whole = Depth.ALWAYS;
    if (ShownMembers.needed(groups.size())) {
      whole = Depth.WHOLE;
      answer.add(byRate().at(Depth.CUT));
      Observed.source(question.from()).forEach(each -> answer.add(each.at(Depth.CUT)));
      answer.add(Finding.say(new Block.Rest("Every group, every test and interval")).at(Depth.CUT));
    }
    answer.add(observed().at(whole));
    for (Finding each : Observed.source(question.from())) {
      answer.add(each.at(whole));
    }
    answer.add(tests().at(whole)).add(intervals().at(whole));
    if (settings.bayes() != null) {
      answer.add(beliefs().at(whole));
    }
    return answer.conditions(conditions()).cautions(cautions).concluded(verdict);
  }

  /** The highest and the lowest rates, where there are too many to read. */
  private Sheet byRate() {
    int half = ShownMembers.MOST_ROWS / 2;
    Sheet sheet =
        Sheet.read(
            say(
                "The %d highest and the %d lowest rates of %s; %s",
                half,
                half,
                Figures.count(groups.size()),
                Claims.hypotheses(settings.hypothesis(), settings.alpha())),
            Column.words(),
            Column.counts("successes"),
            Column.counts("of"),
            Column.numbers("proportion"),
            Column.numbers("from"),
            Column.words(),
            Column.numbers("to"),
            Column.numbers("Holm p"));
    List<RateFound> ends = ShownMembers.ends(groups, group -> group.tally().proportion());
    ends.stream().limit(half).forEach(group -> row(sheet, group));
    sheet.row("...", "", "", "", "", "", "", "");
    ends.stream().skip(half).forEach(group -> row(sheet, group));
    return sheet;
  }

  private static void row(Sheet sheet, RateFound group) {
    Interval interval =
        group.intervals().stream()
            .filter(
                each ->
                    each.side() == Side.TWO_SIDED && each.method() == group.preference().interval())
            .findFirst()
            .orElseThrow();
    sheet.row(
        group.label(),
        new Value.Count(group.tally().successes()),
        new Value.Count(group.tally().trials()),
        Value.Share.FINE.of(group.tally().proportion()),
        Value.Share.FINE.of(interval.lower()),
        "to",
        Value.Share.FINE.of(interval.upper()),
        Holm.shown(group.preferredTest()));
  }

  private Sheet observed() {
    Sheet sheet =
        Sheet.read(
            "Observed",
            Column.words(),
            Column.counts("successes"),
            Column.counts("of"),
            Column.numbers("proportion"),
            Column.numbers("standard error"));
    for (int i = 0; i < groups.size(); i++) {
      Tally tally = groups.get(i).tally();
      Estimate estimate = answers.get(i).estimates().get(0);
      sheet.row(
          groups.get(i).label(),
          new Value.Count(tally.successes()),
          new Value.Count(tally.trials()),
          Value.Share.FINE.of(estimate.value()),
          new Value.Real(
              estimate.standardError(),
              () -> Figures.significant(100 * estimate.standardError(), 4) + " points"));
    }
    return sheet;
  }

  private Sheet tests() {
    Sheet sheet =
        Sheet.read(
            "Tests: " + Claims.hypotheses(settings.hypothesis(), settings.alpha()),
            Column.words(),
            Column.words(),
            Column.numbers("z"),
            Column.numbers("p"),
            Column.numbers("Holm p"),
            Column.words("after adjustment"));
    for (RateFound group : groups) {
      for (TestResult test : group.tests()) {
        sheet.row(
            group.label(),
            test.method().id(),
            Holm.z(test),
            Value.p(test.log10PValue()),
            Holm.shown(test),
            test.rejectsAdjusted(settings.alpha()) ? "rejects" : "does not reject");
      }
    }
    return sheet;
  }

  private Intervals intervals() {
    Intervals intervals =
        Intervals.read(
            "Intervals, level " + Figures.exactPercent(settings.level()) + ", each for itself");
    groups.forEach(
        group ->
            intervals.pairs(
                group.intervals(),
                interval -> new String[] {group.label(), interval.method().id()}));
    return intervals;
  }

  private Sheet beliefs() {
    Sheet sheet =
        Sheet.read(
            "Bayesian view, credible intervals at " + Figures.exactPercent(settings.level()),
            Column.words(),
            Column.counts("tally"),
            Column.numbers("rate"),
            Column.numbers("times"),
            Column.words("likelier under"),
            Column.words("equal-tailed"));
    for (int i = 0; i < groups.size(); i++) {
      RateFound group = groups.get(i);
      answers
          .get(i)
          .find(Posterior.class)
          .ifPresent(
              posterior -> {
                PosteriorSummary belief = posterior.beliefs().get(0);
                sheet.row(
                    group.label(),
                    group.tally().toString(),
                    Value.Share.PLAIN.of(group.tally().proportion()),
                    Priors.times(posterior.logBayesFactor()),
                    posterior.favours(),
                    say(
                        "%s to %s",
                        Figures.finePercent(belief.credible().get(0).lower()),
                        Figures.finePercent(belief.credible().get(0).upper())));
              });
    }
    return sheet;
  }

  private List<Condition> conditions() {
    List<Condition> conditions = new ArrayList<>();
    for (RateFound group : groups) {
      conditions.addAll(Assumptions.failed(group.label(), RateConditions.of(group)));
    }
    if (conditions.isEmpty()) {
      conditions.add(Assumptions.expectedOfEveryRate());
    }
    conditions.addAll(Assumptions.notTestable(RateConditions.of(groups.get(0))));
    return conditions;
  }
}
