package dev.tavik.study.shares;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.association.CellFigures;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.phrase.Assumptions;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.ShareVerdicts;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.DrawnMethod;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Counts of categories.
 *
 * @param question the question about them
 * @param cells the figures of each category
 * @param expected the counts to expect
 * @param drawn the test by drawing, where the exact one is too large; null for none
 */
record TallyShares(
    SharesQuestion question,
    List<CellFigures> cells,
    ExpectedCounts expected,
    @Nullable DrawnTest drawn)
    implements SharesData {

  /** Logarithm of p below which the table would become too wide for the page. */
  private static final double LEAST = -999;

  private CategoryCounts counts() {
    return question.counts().orElseThrow();
  }

  private Shares claimed() {
    return question.claimed();
  }

  @Override
  public double share(int category) {
    return (double) counts().counts().get(category) / counts().total();
  }

  @Override
  public double residual(int category) {
    return cells.get(category).adjustedResidual();
  }

  @Override
  public Value figures(int category) {
    return new Value.Count(counts().counts().get(category));
  }

  @Override
  public List<Estimate> estimates() {
    List<Estimate> estimates = new ArrayList<>();
    for (int i = 0; i < counts().size(); i++) {
      Estimate proportion = Observed.proportion(counts().levels().get(i), counts().tally(i));
      estimates.add(
          new Estimate(
              Estimand.SHARE, proportion.label(), proportion.value(), proportion.standardError()));
    }
    estimates.add(new Estimate(Estimand.COHENS_W, "sqrt(X2 / n)", cohensW(), Double.NaN));
    return estimates;
  }

  private double cohensW() {
    double chiSquare = cells.stream().mapToDouble(CellFigures::contribution).sum();
    return Math.sqrt(chiSquare / counts().total());
  }

  @Override
  public List<Finding> observed(SharesFound found) {
    Sheet sheet =
        Sheet.read(
            "Observed against expected",
            Column.words(),
            Column.counts("count"),
            Column.numbers("share"),
            Column.numbers("claimed"),
            Column.numbers("expected"),
            Column.numbers("X2 part").ifItFits(),
            Column.numbers("residual"),
            Column.numbers("Holm p"));
    for (int i = 0; i < cells.size(); i++) {
      CellFigures cell = cells.get(i);
      double log = found.standingOut().get(i).log10PValue();
      sheet.row(
          counts().levels().get(i),
          new Value.Count(cell.observed()),
          Value.Share.FINE.of(counts().tally(i).proportion()),
          Value.Share.FINE.of(claimed().share(i)),
          Value.significant(cell.expected(), 4),
          Value.significant(cell.contribution(), 3),
          Value.significant(cell.adjustedResidual(), 3),
          log < LEAST ? new Value.Words("<1e-999") : Value.p(log));
    }
    return List.of(
        sheet,
        Finding.sentence(
            say(
                "%s; residuals are adjusted, standard normal under the null. Cohen's w, sqrt(X2 /"
                    + " n): %s.",
                Figures.counted(counts().total(), "unit", "units"),
                Value.significant(cohensW(), 3).text())));
  }

  /** In the order in which they were chosen, with additional ones at the end. */
  @Override
  public Tests tests(String heading, SharesFound found) {
    Set<Method> methods = new LinkedHashSet<>(question.settings().tests());
    found.refusals().stream().map(NotApplicable::method).forEach(methods::add);
    found.tests().stream().map(TestResult::method).forEach(methods::add);
    Tests tests = Tests.ofTables(heading, found.asked().alpha());
    for (TestResult test : found.tests()) {
      tests.made(
          test,
          Tests.shown(
              test.statistic(),
              3,
              test.method() == DrawnMethod.PEARSON
                  ? "outcomes drawn, X2 as large"
                  : "outcomes no more probable"));
    }
    found.refusals().forEach(tests::declined);
    return tests.inOrderOf(List.copyOf(methods));
  }

  @Override
  public List<Finding> beside(SharesFound found) {
    return drawn == null ? List.of() : List.of(drawn.finding());
  }

  @Override
  public List<Finding> after(SharesFound found) {
    List<Finding> findings = new ArrayList<>(List.of(figures(found)));
    findings.addAll(SharesBelief.of(question));
    return findings;
  }

  private Cells figures(SharesFound found) {
    return Cells.of(counts().levels(), List.of("count"))
        .flat()
        .layer("observed", (i, j) -> new Value.Count(cells.get(i).observed()))
        .layer("expected", (i, j) -> Value.number(cells.get(i).expected()))
        .layer("pearsonResiduals", (i, j) -> Value.number(cells.get(i).pearsonResidual()))
        .layer("adjustedResiduals", (i, j) -> Value.number(cells.get(i).adjustedResidual()))
        .layer("contributions", (i, j) -> Value.number(cells.get(i).contribution()))
        .layer("adjustedPValues", (i, j) -> Value.number(found.standingOut().get(i).pValue()))
        .layer(
            "log10AdjustedPValues",
            (i, j) -> Value.number(found.standingOut().get(i).log10PValue()));
  }

  @Override
  public List<Finding> last(SharesFound found) {
    return List.of(Decidable.of(() -> mayReject(found)));
  }

  /** Whether it would reject where all are of the category with the smallest claim. */
  private boolean mayReject(SharesFound found) {
    int smallest =
        IntStream.range(0, claimed().size())
            .boxed()
            .min(Comparator.comparingDouble(claimed()::share))
            .orElseThrow();
    List<Long> all =
        IntStream.range(0, claimed().size())
            .mapToObj(i -> i == smallest ? counts().total() : 0L)
            .toList();
    return !(found.basis().test() instanceof SharesTest made)
        || made.of(CategoryCounts.of(counts().levels(), all), claimed())
            .rejects(found.asked().alpha());
  }

  @Override
  public boolean weighted() {
    return false;
  }

  @Override
  public String departure(int category) {
    return ShareVerdicts.departure(
        counts().levels().get(category),
        counts().tally(category).proportion(),
        claimed().share(category));
  }

  @Override
  public List<Condition> conditions() {
    return List.of(
        expected.condition(String.join(", ", expected.small())),
        Assumptions.independentCategories(),
        Assumptions.claimedBeforehand());
  }

  @Override
  public List<Caution> grave(SharesFound found) {
    if (drawn != null) {
      return List.of(SampleCautions.smallCategoriesDrawn(expected.small(), drawn.inWords()));
    }
    return expected.enough() || found.basis().test() == SharesTest.EXACT_MULTINOMIAL
        ? List.of()
        : List.of(SampleCautions.smallCategories(expected.small()));
  }

  @Override
  public List<Caution> further(SharesFound found) {
    List<Caution> cautions = new ArrayList<>(DecisionCautions.open(drawn, found.asked().alpha()));
    cautions.addAll(testAndIntervals(found));
    if (question.settings().intervals().stream()
        .anyMatch(method -> !((SharesInterval) method).simultaneous())) {
      cautions.add(TestCautions.oneAtATime(/* wilson= */ true));
    }
    Provenance from = question.from();
    if (from != null) {
      cautions.addAll(DataCautions.of(from, counts().total()));
    }
    return cautions;
  }

  /** A caution if a chi-square test of all shares and the intervals of each disagree. */
  private List<Caution> testAndIntervals(SharesFound found) {
    List<String> outside =
        found
            .asked()
            .categories()
            .filter(found::isOutside)
            .mapToObj(counts().levels()::get)
            .toList();
    return !question.settings().levelMatchesAlpha() || found.rejects() != outside.isEmpty()
        ? List.of()
        : List.of(
            found
                .decisions()
                .testAndInterval(
                    " the shares together",
                    found.basis().interval().id(),
                    found.rejects() ? TestCautions.addUp() : TestCautions.outside(outside)));
  }
}
