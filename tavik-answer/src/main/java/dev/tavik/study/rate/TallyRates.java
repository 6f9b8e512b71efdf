package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.PosteriorSummary;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.Value;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Claims;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.List;

/**
 * One tally, or one for each of several groups.
 *
 * @param question the question about them
 * @param sample the tallies
 */
record TallyRates(RateQuestion question, TallySample sample) implements Rates {
  private RateSettings settings() {
    return question.settings();
  }

  @Override
  public boolean alone() {
    return sample.alone();
  }

  @Override
  public List<RateFound> found() {
    List<RateMethods> methods =
        sample.groups().values().stream().map(each -> RateMethods.of(each, settings())).toList();
    SizedTest chosen = SizedTest.of(methods, settings());
    if (alone()) {
      return List.of(new TallyRateMethods(question, chosen).found());
    }
    return sample.groups().entrySet().stream()
        .map(group -> RateQuestion.of(group.getValue(), settings()).named(group.getKey()))
        .map(group -> new TallyRateMethods(group, chosen).found())
        .toList();
  }

  @Override
  public RateFound believed(RateFound found) {
    BayesianDetail detail =
        alone() ? BayesianDetail.WHOLE : BayesianDetail.of(sample.groups().size());
    return ((TallyRate) found.data()).believed(found, detail);
  }

  @Override
  public List<Caution> cautions(List<RateFound> groups) {
    List<Caution> cautions = new ArrayList<>();
    Provenance from = question.from();
    if (from != null) {
      // Where every level is a group of its own, each has all units.
      boolean everyLevel = from.success().isEmpty();
      long used =
          everyLevel
              ? tally(groups.get(0)).trials()
              : groups.stream().mapToLong(group -> tally(group).trials()).sum();
      cautions.addAll(DataCautions.of(from, used));
    }
    cautions.addAll(DataCautions.empty(sample.empty()));
    OutcomeSequence sequence = sample.sequence();
    if (sequence != null) {
      FollowedRate.sorted(sequence).ifPresent(cautions::add);
    }
    if (!alone() && settings().bayes() != null) {
      cautions.addAll(DataCautions.brief(groups.size(), /* pairs= */ false));
    }
    return cautions;
  }

  private static Tally tally(RateFound group) {
    return ((TallyRate) group.data()).tally();
  }

  @Override
  public Sheet observed(List<RateFound> groups) {
    Sheet sheet =
        Sheet.read(
            "Observed",
            Column.words(),
            Column.counts("successes"),
            Column.counts("of"),
            Column.numbers("proportion"),
            Column.numbers("standard error"));
    for (RateFound group : groups) {
      Estimate estimate = group.data().estimate(group.name());
      sheet.row(
          group.name(),
          new Value.Count(tally(group).successes()),
          new Value.Count(tally(group).trials()),
          Value.Share.FINE.of(estimate.value()),
          new Value.Real(
              estimate.standardError(),
              () -> Figures.significant(100 * estimate.standardError(), 4) + " points"));
    }
    return sheet;
  }

  @Override
  public Sheet ends(List<RateFound> groups) {
    int half = ShownMembers.MOST_ROWS / 2;
    Sheet sheet =
        Sheet.read(
            say(
                "The %d highest and the %d lowest rates of %s; %s",
                half,
                half,
                Figures.count(groups.size()),
                Claims.hypotheses(settings().hypothesis(), settings().alpha())),
            Column.words(),
            Column.counts("successes"),
            Column.counts("of"),
            Column.numbers("proportion"),
            Column.numbers("from"),
            Column.words(),
            Column.numbers("to"),
            Column.numbers("Holm p"));
    List<RateFound> ends = ShownMembers.ends(groups, group -> group.data().value());
    ends.stream().limit(half).forEach(group -> row(sheet, group));
    sheet.row("...", "", "", "", "", "", "", "");
    ends.stream().skip(half).forEach(group -> row(sheet, group));
    return sheet;
  }

  private static void row(Sheet sheet, RateFound group) {
    Interval interval = group.interval(Side.TWO_SIDED);
    sheet.row(
        group.name(),
        new Value.Count(tally(group).successes()),
        new Value.Count(tally(group).trials()),
        Value.Share.FINE.of(group.data().value()),
        Value.Share.FINE.of(interval.lower()),
        "to",
        Value.Share.FINE.of(interval.upper()),
        Holm.shown(group.test()));
  }

  @Override
  public String rest(int groups) {
    return "Every group, every test and interval";
  }

  @Override
  public Column statistic() {
    return Column.numbers("z");
  }

  @Override
  public Value statistic(TestResult test) {
    return Holm.z(test);
  }

  @Override
  public List<Finding> after(List<RateFound> groups, List<Answer> answers) {
    return settings().bayes() == null ? List.of() : List.of(beliefs(groups, answers));
  }

  private Sheet beliefs(List<RateFound> groups, List<Answer> answers) {
    Sheet sheet =
        Sheet.read(
            "Bayesian view, credible intervals at " + Figures.exactPercent(settings().level()),
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
                    group.name(),
                    tally(group).toString(),
                    Value.Share.PLAIN.of(group.data().value()),
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

  @Override
  public List<Condition> conditions(List<RateFound> groups) {
    List<Condition> conditions = new ArrayList<>();
    for (RateFound group : groups) {
      conditions.addAll(Assumptions.failed(group.name(), group.data().conditions(group)));
    }
    if (conditions.isEmpty()) {
      conditions.add(Assumptions.expectedOfEveryRate());
    }
    RateFound first = groups.get(0);
    conditions.addAll(Assumptions.notTestable(first.data().conditions(first)));
    return conditions;
  }
}
