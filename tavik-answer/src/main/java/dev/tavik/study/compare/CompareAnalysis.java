package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Reasons;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes tests and intervals of tallies, and chooses those that the verdict rests on. */
final class CompareAnalysis {
  private final CompareQuestion question;
  private final CompareSettings settings;
  private final Tally first;
  private final Tally second;
  private final boolean approximationHolds;
  private final CompareMethods methods;

  private CompareAnalysis(CompareQuestion question, boolean approximationHolds) {
    this.question = question;
    this.settings = question.settings();
    this.first = question.first().tally();
    this.second = question.second().tally();
    this.approximationHolds = approximationHolds;
    this.methods =
        new CompareMethods(
            new CompareAsked(
                question, question.label(), settings.claim(), settings, question.from()));
  }

  static Answer answer(CompareQuestion question) {
    CompareFound found = new CompareAnalysis(question, enough(question)).found(/* alone= */ true);
    TallyPair believed = new TallyPair(question, CompareBelief.of(question, BayesianDetail.WHOLE));
    return Answer.to(question, AnswerKind.COMPARE, question.label())
        .worded(
            found.tests(),
            found.intervals(),
            () -> new CompareFindings(found.with(believed)).answer(cautions(question, found)));
  }

  private static boolean enough(CompareQuestion question) {
    return PooledExpectation.of(question.first().tally(), question.second().tally()).enough();
  }

  private static List<Caution> cautions(CompareQuestion question, CompareFound found) {
    List<Caution> cautions = new ArrayList<>(CompareCautions.of(found));
    Provenance from = question.from();
    if (from != null) {
      long used = question.first().tally().trials() + question.second().tally().trials();
      cautions.addAll(DataCautions.of(from, used));
    }
    return cautions;
  }

  static Answer answer(CompareGroupsQuestion question) {
    List<CompareQuestion> pairs = question.tooManyToPair() ? List.of() : pairs(question);
    boolean approximationHolds = pairs.stream().allMatch(CompareAnalysis::enough);
    BayesianDetail extent = BayesianDetail.of(pairs.size());
    List<CompareFound> found =
        pairs.parallelStream()
            .map(
                pair ->
                    new CompareAnalysis(pair, approximationHolds)
                        .found(/* alone= */ false)
                        .with(new TallyPair(pair, CompareBelief.of(pair, extent))))
            .toList();
    CompareSettings settings = question.settings();
    return new CompareGroupsAnalysis(
            new CompareAsked(
                question, question.label(), settings.claim(), settings, question.from()),
            new TallyPairs(question),
            quantities(settings))
        .answer(found);
  }

  private static List<CompareQuestion> pairs(CompareGroupsQuestion question) {
    List<NamedTally> groups = question.groups();
    List<String> names = groups.stream().map(NamedTally::name).toList();
    String baseline = question.baseline();
    return CompareGroupsAnalysis.pairs(
        names.size(),
        baseline == null ? null : names.indexOf(baseline),
        (i, j) -> CompareQuestion.of(groups.get(i), groups.get(j), question.settings()));
  }

  /** The quantities of the chosen intervals; the difference if none were chosen. */
  private static Set<Estimand> quantities(CompareSettings settings) {
    List<ComparisonInterval> intervals = settings.intervals();
    return intervals.equals(CompareSettings.usual().intervals())
        ? Set.of(Estimand.DIFFERENCE)
        : intervals.stream()
            .map(ComparisonInterval::quantity)
            .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private CompareFound found(boolean alone) {
    for (TwoProportionTest test : settings.tests()) {
      methods.test(test, hypothesis -> test.of(first, second, hypothesis));
    }
    if (methods.tests().isEmpty()) {
      throw new IllegalArgumentException(
          say(
              "none of the tests asked for can be made: %s",
              methods.refusals().stream()
                  .map(each -> each.method().id() + " " + each.reason())
                  .collect(Collectors.joining("; "))));
    }
    for (ComparisonInterval interval : settings.intervals()) {
      methods.limits(interval, side -> interval.of(first, second, settings.level(), side));
    }
    return methods.found(new TallyPair(question, List.of()), alone, preference());
  }

  private VerdictBasis preference() {
    TwoProportionTest wanted =
        !settings.plain()
            ? TwoProportionTest.SCORE
            : approximationHolds ? TwoProportionTest.Z_POOLED : TwoProportionTest.FISHER;
    TwoProportionTest test =
        settings.tests().stream()
            .filter(each -> each == wanted && methods.hasMade(each))
            .findFirst()
            .orElseGet(
                () -> settings.tests().stream().filter(methods::hasMade).findFirst().orElseThrow());
    return new VerdictBasis(test, partner(test), reason(test));
  }

  /** The interval of the difference that inverts the test, else one that holds at any size. */
  private ComparisonInterval partner(TwoProportionTest test) {
    TwoProportionTest same = test == TwoProportionTest.Z_POOLED ? TwoProportionTest.SCORE : test;
    List<ComparisonInterval> chosen = settings.intervals();
    List<ComparisonInterval> differences =
        chosen.stream().filter(each -> each.quantity() == Estimand.DIFFERENCE).toList();
    List<ComparisonInterval> candidates = differences.isEmpty() ? chosen : differences;
    return candidates.stream()
        .filter(each -> each.inverts().filter(same::equals).isPresent())
        .findFirst()
        .orElse(
            candidates.contains(ComparisonInterval.DIFFERENCE_NEWCOMBE)
                ? ComparisonInterval.DIFFERENCE_NEWCOMBE
                : candidates.get(0));
  }

  private String reason(TwoProportionTest test) {
    if (settings.tests().size() == 1) {
      return Reasons.asked(test, true);
    }
    if (!settings.plain()) {
      return test == TwoProportionTest.SCORE ? Reasons.errorFromNull() : Reasons.asked(test, false);
    }
    PooledExpectation expected = PooledExpectation.of(first, second);
    if (test == TwoProportionTest.Z_POOLED && approximationHolds) {
      return Reasons.enoughInEach(
          expected.withVerb(), settings.tests().contains(TwoProportionTest.FISHER));
    }
    if (test == TwoProportionTest.FISHER && !approximationHolds) {
      return expected.enough()
          ? Reasons.tooFewInAnotherPair()
          : Reasons.tooFewInOne(expected.withVerb());
    }
    return test.exactness() == Exactness.APPROXIMATE && !approximationHolds
        ? Reasons.askedThoughFew(test)
        : Reasons.asked(test, false);
  }
}
