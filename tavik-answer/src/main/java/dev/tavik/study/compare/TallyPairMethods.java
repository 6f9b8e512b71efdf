package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.phrase.Reasons;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.study.parts.VerdictBasis;
import java.util.List;
import java.util.stream.Collectors;

/** Makes tests and intervals of two tallies, and chooses those that the verdict rests on. */
final class TallyPairMethods {
  private final CompareQuestion question;
  private final CompareSettings settings;
  private final Tally first;
  private final Tally second;
  private final boolean approximationHolds;
  private final CompareMethods methods;

  TallyPairMethods(CompareQuestion question, boolean approximationHolds) {
    this.question = question;
    this.settings = question.settings();
    this.first = question.first().tally();
    this.second = question.second().tally();
    this.approximationHolds = approximationHolds;
    this.methods = new CompareMethods(new CompareAsked(question));
  }

  /** Whether the approximation holds for two groups. */
  static boolean enough(CompareQuestion question) {
    return PooledExpectation.of(question.first().tally(), question.second().tally()).enough();
  }

  CompareFound found(boolean alone) {
    for (TwoProportionTest test : settings.tallyTests()) {
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
    for (ComparisonInterval interval : settings.tallyIntervals()) {
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
        settings.tallyTests().stream()
            .filter(each -> each == wanted && methods.hasMade(each))
            .findFirst()
            .orElseGet(
                () ->
                    settings.tallyTests().stream()
                        .filter(methods::hasMade)
                        .findFirst()
                        .orElseThrow());
    return new VerdictBasis(test, partner(test), reason(test));
  }

  /** The interval of the difference that inverts the test, else one that holds at any size. */
  private ComparisonInterval partner(TwoProportionTest test) {
    TwoProportionTest same = test == TwoProportionTest.Z_POOLED ? TwoProportionTest.SCORE : test;
    List<ComparisonInterval> chosen = settings.tallyIntervals();
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
    if (settings.tallyTests().size() == 1) {
      return Reasons.asked(test, true);
    }
    if (!settings.plain()) {
      return test == TwoProportionTest.SCORE ? Reasons.errorFromNull() : Reasons.asked(test, false);
    }
    PooledExpectation expected = PooledExpectation.of(first, second);
    if (test == TwoProportionTest.Z_POOLED && approximationHolds) {
      return Reasons.enoughInEach(
          expected.withVerb(), settings.tallyTests().contains(TwoProportionTest.FISHER));
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
