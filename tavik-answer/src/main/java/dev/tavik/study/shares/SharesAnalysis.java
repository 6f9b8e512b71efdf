package dev.tavik.study.shares;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Verdict;
import dev.tavik.association.CellFigures;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.Reasons;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.ShareVerdicts;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Puts the answer to one question about shares together. */
final class SharesAnalysis {

  private final SharesQuestion question;
  private final SharesSettings settings;
  private final CategoryCounts counts;
  private final Shares claimed;
  private final List<CellFigures> cells;
  private final ExpectedCounts expected;
  private final List<AdjustedP> standingOut;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<Interval> intervals = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final @Nullable DrawnTest drawn;
  private final Method preferred;
  private final TestResult test;
  private final SharesInterval interval;

  SharesAnalysis(SharesQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.counts = question.counts();
    this.claimed = question.claimed();
    this.cells =
        IntStream.range(0, counts.size())
            .mapToObj(category -> CellFigures.of(counts, claimed, category))
            .toList();
    this.standingOut = standingOut();
    this.expected = ExpectedCounts.of(counts.levels(), cells);
    for (SharesTest method : methods()) {
      try {
        tests.add(method.of(counts, claimed));
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(NotApplicable.of(method, e));
      }
    }
    List<SharesInterval> shown = new ArrayList<>();
    for (SharesInterval method : settings.intervals()) {
      try {
        intervals.addAll(method.of(counts, settings.level()));
        shown.add(method);
      } catch (NotApplicableException | ArithmeticException e) {
        refusals.add(NotApplicable.of(method, e));
      }
    }
    boolean declined =
        refusals.stream().anyMatch(each -> each.method() == SharesTest.EXACT_MULTINOMIAL);
    this.drawn = !expected.enough() && declined ? DrawnTest.of(counts, claimed).orElse(null) : null;
    if (drawn != null) {
      tests.add(drawn.result());
    }
    if (tests.isEmpty() || shown.isEmpty()) {
      throw new IllegalArgumentException(
          say(
              "none of the methods asked for can be used: %s",
              refusals.stream()
                  .map(each -> each.method().id() + ": " + each.reason())
                  .collect(Collectors.joining("; "))));
    }
    Method wanted =
        expected.enough()
            ? SharesTest.PEARSON
            : drawn != null ? drawn.result().method() : SharesTest.EXACT_MULTINOMIAL;
    this.test =
        tests.stream().filter(each -> each.method() == wanted).findFirst().orElse(tests.get(0));
    this.preferred = test.method();
    this.interval = shown.get(0);
  }

  /**
   * Where the chi-square approximation is poor, the exact test is shown beside what was asked for.
   */
  private List<SharesTest> methods() {
    List<SharesTest> methods = new ArrayList<>(settings.tests());
    if (!expected.enough() && !methods.contains(SharesTest.EXACT_MULTINOMIAL)) {
      methods.add(SharesTest.EXACT_MULTINOMIAL);
    }
    return methods;
  }

  Answer answer() {
    VerdictBasis preference = new VerdictBasis(preferred, interval, reason());
    return new SharesFindings(question, cells, standingOut)
        .begin(tests, intervals, refusals, drawn)
        .addAll(SharesBelief.of(question))
        .add(preference.finding())
        .add(Decidable.of(this::mayReject))
        .conditions(conditions())
        .cautions(cautions())
        .concluded(preference.on(conclusion()));
  }

  /** Whether it would reject where all are of the category with the smallest claim. */
  private boolean mayReject() {
    int smallest =
        IntStream.range(0, claimed.size())
            .boxed()
            .min(Comparator.comparingDouble(claimed::share))
            .orElseThrow();
    List<Long> all =
        IntStream.range(0, claimed.size())
            .mapToObj(i -> i == smallest ? question.counts().total() : 0L)
            .toList();
    return !(preferred instanceof SharesTest made)
        || made.of(CategoryCounts.of(question.counts().levels(), all), claimed)
            .rejects(settings.alpha());
  }

  private List<AdjustedP> standingOut() {
    return Holm.ofNormal(cells.stream().map(CellFigures::adjustedResidual).toList());
  }

  private List<Condition> conditions() {
    return List.of(
        expected.condition(String.join(", ", expected.small())),
        Assumptions.independentCategories(),
        Assumptions.claimedBeforehand());
  }

  private String reason() {
    if (settings.tests().size() == 1 && settings.tests().get(0) == preferred) {
      return Reasons.asked(preferred, true);
    }
    if (drawn != null) {
      return Reasons.drawn();
    }
    return preferred == (expected.enough() ? SharesTest.PEARSON : SharesTest.EXACT_MULTINOMIAL)
        ? Reasons.chiSquare(expected.enough())
        : Reasons.made(preferred);
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>();
    if (drawn != null) {
      cautions.add(SampleCautions.smallCategoriesDrawn(expected.small(), drawn.inWords()));
    } else if (!expected.enough() && preferred != SharesTest.EXACT_MULTINOMIAL) {
      cautions.add(SampleCautions.smallCategories(expected.small()));
    }
    DecisionCautions decisions = new DecisionCautions(tests, settings.alpha(), test);
    cautions.addAll(decisions.disagree());
    cautions.addAll(decisions.nearAlpha());
    cautions.addAll(DecisionCautions.open(drawn, settings.alpha()));
    cautions.addAll(DecisionCautions.levelAlpha(settings));

    testAndIntervals(decisions, cautions);
    if (settings.intervals().stream().anyMatch(method -> !method.simultaneous())) {
      cautions.add(TestCautions.oneAtATime(/* wilson= */ true));
    }
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, counts.total()));
    }
    return cautions;
  }

  /** A caution if a chi-square test of all shares and the intervals of each disagree. */
  private void testAndIntervals(DecisionCautions decisions, List<Caution> cautions) {
    boolean rejects = test.rejects(settings.alpha());
    boolean outside = !outside().isEmpty();
    if (settings.level() == settings.matchingLevel() && rejects != outside) {
      cautions.add(
          decisions.testAndInterval(
              " the shares together",
              interval.id(),
              rejects ? TestCautions.addUp() : TestCautions.outside(outside())));
    }
  }

  /** The categories whose claimed share lies outside of its interval. */
  private List<String> outside() {
    List<Interval> shown = intervals.stream().filter(each -> each.method() == interval).toList();
    return IntStream.range(0, counts.size())
        .filter(i -> !shown.get(i).contains(claimed.share(i)))
        .mapToObj(i -> counts.levels().get(i))
        .toList();
  }

  private Verdict conclusion() {
    boolean rejects = test.rejects(settings.alpha());
    return ShareVerdicts.of(
        question.label(),
        /* weighted= */ false,
        rejects ? whatStandsOut() : widest(),
        DrawnTest.pEquals(test, counts.size()),
        test,
        settings.alpha());
  }

  private String whatStandsOut() {
    return TableVerdicts.standingOut(
        IntStream.range(0, counts.size())
            .filter(i -> standingOut.get(i).rejects(settings.alpha()))
            .mapToObj(this::departure)
            .toList(),
        departure(largest()),
        counts.size(),
        "category",
        "categories");
  }

  private String departure(int category) {
    return ShareVerdicts.departure(
        counts.levels().get(category),
        counts.tally(category).proportion(),
        claimed.share(category));
  }

  private int largest() {
    int largest = 0;
    for (int i = 1; i < cells.size(); i++) {
      if (Math.abs(cells.get(i).adjustedResidual())
          > Math.abs(cells.get(largest).adjustedResidual())) {
        largest = i;
      }
    }
    return largest;
  }

  /** Whether nothing departs except by rounding. */
  private boolean exactFit() {
    int category = largest();
    double share = (double) counts.counts().get(category) / counts.total();
    return Math.abs(share - claimed.share(category)) < 1e-12;
  }

  private String widest() {
    int category = largest();
    return exactFit()
        ? ShareVerdicts.asClaimed(/* weighted= */ false)
        : ShareVerdicts.notExcluded(
            departure(category),
            intervals.stream().filter(each -> each.method() == interval).toList().get(category));
  }
}
