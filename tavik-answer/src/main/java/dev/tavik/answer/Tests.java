package dev.tavik.answer;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Holds tests of one claim, with those that declined in their places. */
public final class Tests implements Finding {
  private final String key;
  private final String claim;
  private final double alpha;
  private final boolean degrees;
  private final List<Row> rows = new ArrayList<>();
  private List<? extends Method> order = List.of();

  private record Row(
      @Nullable TestResult result,
      Value statistic,
      @Nullable Hypothesis hypothesis,
      @Nullable NotApplicable refusal) {}

  private Tests(String key, String claim, double alpha, boolean degrees) {
    this.key = key;
    this.claim = claim;
    this.alpha = alpha;
    this.degrees = degrees;
  }

  /**
   * Begins tests of a claim.
   *
   * @param claim null, alternative and alpha in words; empty where readers see the tests elsewhere
   * @param alpha the significance level
   * @return the tests
   */
  public static Tests of(String claim, double alpha) {
    return new Tests("tests", claim, alpha, false);
  }

  /**
   * Begins tests that have degrees of freedom to show.
   *
   * @param claim null, alternative and alpha in words
   * @param alpha the significance level, strictly between 0 and 1
   * @return the tests
   */
  public static Tests ofTables(String claim, double alpha) {
    return new Tests("tests", claim, alpha, true);
  }

  /**
   * {@return tests like these, none yet, under another key}
   *
   * @param other what takes its place
   */
  public Tests keyed(String other) {
    return new Tests(other, claim, alpha, degrees);
  }

  /**
   * {@return these tests, which machines see in the order of a family, readers as they are added}
   *
   * @param family the methods, in order
   */
  public Tests inOrderOf(List<? extends Method> family) {
    order = List.copyOf(family);
    return this;
  }

  /**
   * Adds a test that was made.
   *
   * @param result the result
   * @param statistic its statistic, or what it counted in words
   * @return this builder
   */
  public Tests made(TestResult result, Value statistic) {
    rows.add(new Row(result, statistic, null, null));
    return this;
  }

  /**
   * Adds a test of one of several hypotheses.
   *
   * @param result what came of it
   * @param statistic its statistic, or what was counted
   * @param hypothesis the hypothesis that it tests
   * @return this builder
   */
  public Tests made(TestResult result, Value statistic, Hypothesis hypothesis) {
    rows.add(new Row(result, statistic, hypothesis, null));
    return this;
  }

  /**
   * Adds a test that declined.
   *
   * @param refusal why it declined
   * @return this builder
   */
  public Tests declined(NotApplicable refusal) {
    rows.add(new Row(null, Value.none(), null, refusal));
    return this;
  }

  /**
   * {@return these tests with one of them in another form, such as adjusted}
   *
   * @param other that test, in place of the one by the same method
   */
  public Tests with(TestResult other) {
    Tests changed = new Tests(key, claim, alpha, degrees);
    changed.order = order;
    for (Row row : rows) {
      boolean same = row.result() != null && row.result().method() == other.method();
      changed.rows.add(
          same ? new Row(other, row.statistic(), row.hypothesis(), row.refusal()) : row);
    }
    return changed;
  }

  /** {@return the results, without what declined} */
  public List<TestResult> results() {
    return rows.stream().map(Row::result).filter(Objects::nonNull).toList();
  }

  /** {@return what declined} */
  public List<NotApplicable> refusals() {
    return rows.stream().map(Row::refusal).filter(Objects::nonNull).toList();
  }

  /** Returns whether each row has a hypothesis of its own. */
  boolean directed() {
    return rows.stream().anyMatch(row -> row.hypothesis() != null);
  }

  /** {@return the significance level} */
  public double alpha() {
    return alpha;
  }

  @Override
  public String key() {
    return key;
  }

  @Override
  public Value figures() {
    return Value.list(
        rows.stream().sorted(Comparator.comparingInt(this::place)).toList(), this::figures);
  }

  private int place(Row row) {
    NotApplicable refusal = row.refusal();
    TestResult result = row.result();
    return order.indexOf(
        refusal != null ? refusal.method() : result == null ? null : result.method());
  }

  private Value figures(Row row) {
    TestResult result = row.result();
    NotApplicable refusal = row.refusal();
    if (result == null) {
      return refusal == null ? Value.none() : figures(refusal);
    }
    Value.Fields fields = figures(result, alpha);
    Hypothesis hypothesis = row.hypothesis();
    return hypothesis == null
        ? fields
        : fields
            .with("against", hypothesis.against())
            .with("alternative", hypothesis.alternative().id());
  }

  /** Returns what machines see of a method that declined. */
  static Value figures(NotApplicable refusal) {
    return Value.result().with("method", refusal.method().id()).with("refused", refusal.reason());
  }

  /**
   * {@return what machines see of a test}
   *
   * @param test the test
   * @param alpha the significance level
   */
  public static Value.Fields figures(TestResult test, double alpha) {
    TestResult.Statistic statistic = test.statistic();
    Value.Fields fields = Value.result().with("method", test.method().id());
    fields
        .with(
            "statistic",
            statistic == null
                ? Value.none()
                : Value.fields().with("name", statistic.name()).with("value", statistic.value()))
        .with("df", test.df())
        .with("pValue", test.pValue())
        .with("log10PValue", test.log10PValue())
        .with("rejects", test.rejects(alpha));
    if (test.nuisance() != null) {
      fields.with("nuisance", test.nuisance());
    }
    TestResult.AdjustedP adjusted = test.adjusted();
    if (adjusted != null) {
      fields
          .with("adjustedPValue", adjusted.pValue())
          .with("log10AdjustedPValue", adjusted.log10PValue())
          .with("rejectsAdjusted", test.rejectsAdjusted(alpha));
    }
    return fields;
  }

  /**
   * {@return a statistic with its name, for readers}
   *
   * @param statistic the statistic; null where there is none
   * @param digits how many significant digits
   * @param without what to say without one
   */
  public static Value shown(TestResult.@Nullable Statistic statistic, int digits, String without) {
    return statistic == null
        ? new Value.Words(without)
        : new Value.Words(
            say(
                "%s = %s",
                statistic.name(),
                statistic.value() == 0 ? "0" : Figures.significant(statistic.value(), digits)));
  }

  @Override
  public List<Block> reading() {
    if (claim.isEmpty()) {
      return List.of();
    }
    List<Column> columns = new ArrayList<>(List.of(Column.words()));
    if (directed()) {
      columns.add(Column.words("to be shown"));
    }
    columns.add(Column.words());
    if (degrees) {
      columns.add(Column.words());
    }
    columns.addAll(List.of(Column.numbers("p"), Column.words()));
    Sheet sheet = Sheet.read(claim, columns);
    for (Row row : rows) {
      TestResult result = row.result();
      if (result != null) {
        sheet.row(cells(row, result));
      }
    }
    return sheet.reading();
  }

  private List<Value> cells(Row row, TestResult result) {
    List<Value> cells = new ArrayList<>(List.of(new Value.Words(result.method().id())));
    Hypothesis hypothesis = row.hypothesis();
    if (hypothesis != null) {
      cells.add(new Value.Words(toBeShown(hypothesis)));
    }
    cells.add(row.statistic());
    if (degrees) {
      Double df = result.df();
      cells.add(new Value.Words(df == null ? "" : "df " + degrees(df)));
    }
    cells.add(Value.p(result.log10PValue(), alpha));
    cells.add(new Value.Words(result.rejects(alpha) ? "rejects" : "does not reject"));
    return cells;
  }

  /** Whole degrees of freedom are written with all digits, others are rounded. */
  private static String degrees(double df) {
    double whole = Math.rint(df);
    return Math.abs(df - whole) < 1e-9 * df ? Figures.plain(whole) : Figures.upTo(df, 4);
  }

  private static String toBeShown(Hypothesis hypothesis) {
    return switch (hypothesis.alternative()) {
          case GREATER -> "above ";
          case LESS -> "below ";
          case TWO_SIDED -> "other than ";
        }
        + Figures.shortPoints(hypothesis.against());
  }
}
