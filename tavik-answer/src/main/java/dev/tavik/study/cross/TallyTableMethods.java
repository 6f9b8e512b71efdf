package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.NotApplicable;
import dev.tavik.association.CellFigures;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Makes the tests of a table of counts, and chooses the one that the verdict rests on. */
final class TallyTableMethods {
  private final CrossQuestion question;
  private final CrossSample.OfCounts sample;
  private final CrossSettings settings;
  private final CrossTable table;
  private final LevelOrder order;
  private final ExpectedCounts expected;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();

  TallyTableMethods(CrossQuestion question, CrossSample.OfCounts sample) {
    this.question = question;
    this.sample = sample;
    this.settings = question.settings();
    this.table = sample.table();
    this.order = new LevelOrder(table, settings.ordered());
    this.expected = ExpectedCounts.of(table);
  }

  CrossFound found() {
    methods().forEach(this::test);
    DrawnTest drawn = drawn();
    if (drawn != null) {
      tests.add(drawn.result());
    }
    if (tests.isEmpty()) {
      throw new IllegalArgumentException(
          say(
              "none of the tests asked for can be made: %s %s",
              refusals.get(0).method().id(), refusals.get(0).reason()));
    }
    List<List<CellFigures>> cells = cells();
    return new CrossFound(
        new CrossAsked(question, question.label(), "independence"),
        new TallyTable(question, sample, order, expected, cells, drawn),
        tests,
        refusals,
        Holm.ofNormal(
            cells.stream().flatMap(List::stream).map(CellFigures::adjustedResidual).toList()),
        preferred(drawn));
  }

  private List<List<CellFigures>> cells() {
    return IntStream.range(0, table.rows().size())
        .mapToObj(
            i ->
                IntStream.range(0, table.columns().size())
                    .mapToObj(j -> CellFigures.of(table, i, j))
                    .toList())
        .toList();
  }

  private void test(TableTest method) {
    try {
      if (method.ofOrder() && !order.allows(method)) {
        throw new NotApplicableException(NotApplicableReason.UNORDERED, order.reason(method));
      }
      tests.add(method.of(table, settings.options()));
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(Refusals.of(method, e));
    }
  }

  /** Fisher's test by drawing, where the exact one is wanted and too large. */
  private @Nullable DrawnTest drawn() {
    boolean declined = refusals.stream().anyMatch(each -> each.method() == TableTest.FISHER);
    return !expected.enough() && declined ? DrawnTest.of(table).orElse(null) : null;
  }

  /** The test that the verdict rests on: the best that was made, else the first. */
  private Method preferred(@Nullable DrawnTest drawn) {
    List<Method> best = new ArrayList<>();
    if (expected.enough()) {
      order.test().ifPresent(best::add);
      best.add(TableTest.PEARSON);
    } else {
      best.add(TableTest.FISHER);
    }
    if (drawn != null) {
      best.add(drawn.result().method());
    }
    List<Method> made = tests.stream().map(TestResult::method).toList();
    return best.stream().filter(made::contains).findFirst().orElse(made.get(0));
  }

  /**
   * Where the chi-square approximation is poor, the exact test is shown beside what was asked for.
   */
  private List<TableTest> methods() {
    List<TableTest> methods =
        new ArrayList<>(settings.tests().stream().map(TableTest.class::cast).toList());
    if (methods.isEmpty()) {
      order.test().ifPresent(methods::add);
      methods.addAll(List.of(TableTest.PEARSON, TableTest.LIKELIHOOD_RATIO));
    }
    if (!expected.enough() && !methods.contains(TableTest.FISHER)) {
      methods.add(TableTest.FISHER);
    }
    return methods;
  }
}
