package dev.tavik.study.shares;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.NotApplicable;
import dev.tavik.association.CellFigures;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.phrase.Reasons;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Makes tests and intervals of counts, and chooses those that the verdict rests on. */
final class TallySharesMethods {
  private final SharesQuestion question;
  private final SharesSettings settings;
  private final CategoryCounts counts;
  private final Shares claimed;
  private final List<CellFigures> cells;
  private final ExpectedCounts expected;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final List<SharesFound.Limits> limits = new ArrayList<>();

  TallySharesMethods(SharesQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.counts = question.counts().orElseThrow();
    this.claimed = question.claimed();
    this.cells =
        IntStream.range(0, counts.size())
            .mapToObj(category -> CellFigures.of(counts, claimed, category))
            .toList();
    this.expected = ExpectedCounts.of(counts.levels(), cells);
  }

  SharesFound found() {
    methods().forEach(this::test);
    settings.intervals().forEach(each -> limits((SharesInterval) each));
    DrawnTest drawn = drawn();
    if (drawn != null) {
      tests.add(drawn.result());
    }
    List<SharesFound.Limits> made = limits.stream().filter(each -> !each.each().isEmpty()).toList();
    if (tests.isEmpty() || made.isEmpty()) {
      throw new IllegalArgumentException(
          say(
              "none of the methods asked for can be used: %s",
              Stream.concat(
                      refusals.stream(), limits.stream().flatMap(each -> each.refused().stream()))
                  .map(each -> each.method().id() + ": " + each.reason())
                  .collect(Collectors.joining("; "))));
    }
    return new SharesFound(
        new SharesAsked(question),
        new TallyShares(question, cells, expected, drawn),
        tests,
        refusals,
        limits,
        Holm.ofNormal(cells.stream().map(CellFigures::adjustedResidual).toList()),
        basis(drawn, made.get(0).method()));
  }

  /**
   * Where the chi-square approximation is poor, the exact test is shown beside what was asked for.
   */
  private List<SharesTest> methods() {
    List<SharesTest> methods =
        new ArrayList<>(settings.tests().stream().map(SharesTest.class::cast).toList());
    if (!expected.enough() && !methods.contains(SharesTest.EXACT_MULTINOMIAL)) {
      methods.add(SharesTest.EXACT_MULTINOMIAL);
    }
    return methods;
  }

  private void test(SharesTest method) {
    try {
      tests.add(method.of(counts, claimed));
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(Refusals.of(method, e));
    }
  }

  private void limits(SharesInterval method) {
    List<Interval> each = new ArrayList<>();
    List<NotApplicable> refused = new ArrayList<>();
    try {
      each.addAll(method.of(counts, settings.level()));
    } catch (NotApplicableException | ArithmeticException e) {
      refused.add(Refusals.of(method, e));
    }
    limits.add(new SharesFound.Limits(method, method.simultaneous(), each, refused));
  }

  /** The test by drawing, where the exact one is wanted and too large. */
  private @Nullable DrawnTest drawn() {
    boolean declined =
        refusals.stream().anyMatch(each -> each.method() == SharesTest.EXACT_MULTINOMIAL);
    return !expected.enough() && declined ? DrawnTest.of(counts, claimed).orElse(null) : null;
  }

  private VerdictBasis basis(@Nullable DrawnTest drawn, Method interval) {
    Method wanted =
        expected.enough()
            ? SharesTest.PEARSON
            : drawn != null ? drawn.result().method() : SharesTest.EXACT_MULTINOMIAL;
    Method test =
        tests.stream()
            .map(TestResult::method)
            .filter(each -> each == wanted)
            .findFirst()
            .orElse(tests.get(0).method());
    return new VerdictBasis(test, interval, reason(test, drawn));
  }

  private String reason(Method test, @Nullable DrawnTest drawn) {
    if (settings.tests().size() == 1 && settings.tests().get(0) == test) {
      return Reasons.asked(test, true);
    }
    if (drawn != null) {
      return Reasons.drawn();
    }
    return test == (expected.enough() ? SharesTest.PEARSON : SharesTest.EXACT_MULTINOMIAL)
        ? Reasons.chiSquare(expected.enough())
        : Reasons.made(test);
  }
}
