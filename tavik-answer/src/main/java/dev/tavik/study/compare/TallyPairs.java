package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.Value;
import dev.tavik.bayes.Credible;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.HomogeneityTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Tallies of two groups or more.
 *
 * @param question the question about them
 * @param sample the tallies
 */
record TallyPairs(CompareQuestion question, TallyGroups sample) implements PairsData {
  private List<NamedTally> groups() {
    return sample.tallies();
  }

  private CompareSettings settings() {
    return question.settings();
  }

  @Override
  public List<String> names() {
    return sample.names();
  }

  @Override
  public @Nullable String baseline() {
    return sample.baseline();
  }

  @Override
  public List<CompareFound> pairs() {
    if (alone()) {
      boolean enough = TallyPairMethods.enough(question);
      return List.of(new TallyPairMethods(question, enough).found(/* alone= */ true));
    }
    List<CompareQuestion> pairs =
        sample.tooManyToPair()
            ? List.of()
            : each(
                (i, j) ->
                    CompareQuestion.of(List.of(groups().get(i), groups().get(j)), settings()));
    boolean enough = pairs.stream().allMatch(TallyPairMethods::enough);
    return pairs.parallelStream()
        .map(pair -> new TallyPairMethods(pair, enough).found(/* alone= */ false))
        .toList();
  }

  private boolean alone() {
    return groups().size() == 2;
  }

  @Override
  public CompareFound believed(CompareFound found) {
    if (settings().bayes() == null) {
      return found;
    }
    int groups = groups().size();
    BayesianDetail detail =
        alone()
            ? BayesianDetail.WHOLE
            : BayesianDetail.of(baseline() == null ? groups * (groups - 1) / 2 : groups - 1);
    CompareQuestion pair = ((TallyPair) found.data()).question();
    return found.with(new TallyPair(pair, CompareBelief.of(pair, detail)));
  }

  /** The quantities of the chosen intervals; the difference if none were chosen. */
  @Override
  public Set<Estimand> quantities() {
    List<ComparisonInterval> intervals = settings().tallyIntervals();
    return intervals.equals(CompareSettings.USUAL_INTERVALS)
        ? Set.of(Estimand.DIFFERENCE)
        : intervals.stream()
            .map(ComparisonInterval::quantity)
            .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  @Override
  public Value figures() {
    return Value.list(groups(), Observed::figures);
  }

  @Override
  public Sheet observed() {
    return Observed.groups("Observed", groups());
  }

  @Override
  public Sheet ends() {
    int half = ShownMembers.MOST_ROWS / 2;
    return Observed.groups(
        say(
            "Observed, the %d highest and the %d lowest rates of %s groups",
            half, half, Figures.count(groups().size())),
        ShownMembers.ends(groups(), group -> group.tally().proportion()));
  }

  @Override
  public List<TestResult> overall() {
    List<Tally> tallies = groups().stream().map(NamedTally::tally).toList();
    return Arrays.stream(HomogeneityTest.values()).map(test -> test.of(tallies)).toList();
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
  public List<Finding> after(List<CompareFound> pairs, List<Answer> answers) {
    return settings().bayes() == null ? List.of() : List.of(beliefs(pairs, answers));
  }

  private Sheet beliefs(List<CompareFound> pairs, List<Answer> answers) {
    Sheet sheet =
        Sheet.read(
            say(
                "Bayesian view: how many times likelier; the first higher; the difference at %s, in"
                    + " points",
                Figures.exactPercent(settings().level())),
            Column.words(),
            Column.numbers("times"),
            Column.words("if"),
            Column.numbers("P(higher)"),
            Column.numbers("equal-tailed"),
            Column.words(),
            Column.numbers(""));
    for (int i = 0; i < pairs.size(); i++) {
      Posterior posterior = answers.get(i).find(Posterior.class).orElseThrow();
      Credible interval = posterior.beliefs().get(0).credible().get(0);
      sheet.row(
          pairs.get(i).order(),
          Priors.times(posterior.logBayesFactor()),
          CompareBelief.favoured(
              posterior,
              settings().claim().goal() == ComparisonGoal.DIFFERENCE
                  ? settings().hypothesis().alternative()
                  : Alternative.TWO_SIDED),
          Value.Share.PROBABILITY.of(posterior.above().orElseThrow()),
          Value.points(interval.lower()),
          "to",
          Value.points(interval.upper()));
    }
    return sheet;
  }

  @Override
  public List<Condition> conditions(List<CompareFound> pairs) {
    List<Condition> conditions = new ArrayList<>();
    for (CompareFound pair : pairs) {
      conditions.addAll(Assumptions.failed(pair.order(), pair.data().conditions()));
    }
    if (conditions.isEmpty()) {
      conditions.add(Assumptions.expectedOfEveryPair());
    }
    conditions.addAll(Assumptions.notTestable(pairs.get(0).data().conditions()));
    return conditions;
  }

  @Override
  public List<Caution> cautions(int pairs) {
    List<Caution> cautions = new ArrayList<>();
    Provenance from = question.from();
    if (from != null) {
      long used = groups().stream().mapToLong(group -> group.tally().trials()).sum();
      cautions.addAll(DataCautions.of(from, used));
    }
    cautions.addAll(DataCautions.empty(sample.empty()));
    if (!alone() && settings().bayes() != null) {
      cautions.addAll(DataCautions.brief(pairs, /* pairs= */ true));
    }
    if (sample.tooManyToPair()) {
      cautions.add(SampleCautions.pairsLeftOut(groups().size(), CompareQuestion.MOST_PAIRED));
    }
    return cautions;
  }
}
