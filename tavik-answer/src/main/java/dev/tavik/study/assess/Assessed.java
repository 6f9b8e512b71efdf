package dev.tavik.study.assess;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.simulation.Performance;
import dev.tavik.simulation.Performance.Coverage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * How methods behave, for each true rate.
 *
 * @param asked the question
 * @param lines one for each true rate, or pair of rates
 */
record Assessed(AssessQuestion asked, List<AssessedRate> lines) implements Finding {

  /** Copies the list. */
  public Assessed {
    lines = List.copyOf(lines);
  }

  /**
   * How methods behave at one truth.
   *
   * @param rates the true rate, or both
   * @param intervals the intervals
   * @param tests the tests
   * @param drawn how many pairs of outcomes were drawn; 0 where all were gone through
   */
  public record AssessedRate(
      List<Double> rates, List<Covered> intervals, List<Rejecting> tests, int drawn) {
    /** Copies the lists. */
    public AssessedRate {
      rates = List.copyOf(rates);
      intervals = List.copyOf(intervals);
      tests = List.copyOf(tests);
    }

    /**
     * Whether the null is true here, so that rejecting is an error.
     *
     * @return whether there is one rate, the null value, or two that are equal
     */
    public boolean underNull() {
      return rates.size() == 1 || rates.get(0).equals(rates.get(1));
    }
  }

  /**
   * How an interval behaves.
   *
   * @param quantity what it is of
   * @param method its id
   * @param coverage its true coverage and mean length
   */
  public record Covered(Estimand quantity, Method method, Coverage coverage) {}

  /**
   * How a test behaves.
   *
   * @param method its id
   * @param rejects the chance that it rejects
   */
  public record Rejecting(Method method, double rejects) {}

  String conclusion() {
    List<Covered> all = lines.stream().flatMap(line -> line.intervals().stream()).toList();
    String sizes = String.join(" and ", asked.sizes().stream().map(Figures::count).toList());
    String trials = Figures.counted(sizes, "trial", "trials");
    if (all.isEmpty()) {
      return PlanVerdicts.tests(trials);
    }
    Comparator<Covered> far =
        Comparator.comparingDouble(each -> Math.abs(each.coverage().coverage() - asked.level()));
    Covered nearest = all.stream().min(far).orElseThrow();
    Covered lowest =
        all.stream()
            .min(Comparator.comparingDouble(each -> each.coverage().coverage()))
            .orElseThrow();
    return PlanVerdicts.coverage(
        trials,
        asked.level(),
        nearest.method().id(),
        nearest.coverage().coverage(),
        lowest.method().id(),
        lowest.coverage().coverage());
  }

  @Override
  public String key() {
    return "lines";
  }

  @Override
  public Value figures() {
    return Value.list(
        lines,
        line ->
            Value.fields()
                .with("p", Value.numbers(line.rates()))
                .with("drawn", (long) line.drawn())
                .with("intervals", Value.list(line.intervals(), Assessed::figures))
                .with(
                    "tests",
                    Value.list(
                        line.tests(),
                        each ->
                            Value.fields()
                                .with("method", each.method().id())
                                .with("rejects", each.rejects()))));
  }

  private static Value figures(Covered each) {
    return Value.fields()
        .with("quantity", each.quantity().id())
        .with("method", each.method().id())
        .with("coverage", each.coverage().coverage())
        .with("below", each.coverage().below())
        .with("above", each.coverage().above())
        .with("length", each.coverage().length());
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>();
    if (lines.stream().anyMatch(line -> !line.intervals().isEmpty())) {
      blocks.addAll(intervals().reading());
    }
    if (lines.stream().anyMatch(line -> !line.tests().isEmpty())) {
      blocks.addAll(tests().reading());
    }
    blocks.add(
        Block.paragraph(
            say(
                "%s The coverage of intervals of counts goes up and down with the rate; look at a"
                    + " range of rates, not at one.",
                lines.stream().anyMatch(line -> line.drawn() > 0)
                    ? say(
                        "Simulated where the groups are large: %s pairs of outcomes drawn from seed 1, with a"
                            + " standard error of up to 0.16%%.",
                        Figures.count(Performance.DRAWN))
                    : "Exact: every outcome, weighted by its probability.")));
    return blocks;
  }

  private static String truth(AssessedRate line) {
    return line.rates().stream().map(Figures::exactPercent).collect(Collectors.joining(" and "));
  }

  private Sheet intervals() {
    Sheet sheet =
        Sheet.read(
            say(
                "Intervals, level %s: true coverage, misses, mean length",
                Figures.exactPercent(asked.level())),
            Column.words("true rate"),
            Column.words(),
            Column.words(),
            Column.numbers("covers"),
            Column.numbers("too low"),
            Column.numbers("too high"),
            Column.numbers("length"));
    for (AssessedRate line : lines) {
      String truth = truth(line);
      for (Covered each : line.intervals()) {
        Coverage coverage = each.coverage();
        boolean points =
            each.quantity() == Estimand.PROPORTION || each.quantity() == Estimand.DIFFERENCE;
        sheet.row(
            truth,
            points && line.rates().size() == 1 ? "" : each.quantity().id().replace('-', ' '),
            each.method().id(),
            Value.Share.FINE.of(coverage.coverage()),
            Value.Share.FINE.of(coverage.below()),
            Value.Share.FINE.of(coverage.above()),
            Double.isInfinite(coverage.length())
                ? Value.none("no end")
                : Value.significant((points ? 100 : 1) * coverage.length(), 3));
        truth = "";
      }
    }
    return sheet;
  }

  private Sheet tests() {
    Sheet sheet =
        Sheet.read(
            say(
                "Tests at alpha %s: the chance that they reject, %s",
                Figures.plain(asked.alpha()),
                lines.stream().allMatch(AssessedRate::underNull)
                    ? "their true size"
                    : "size where the rates are equal, else power"),
            Column.words(),
            Column.words(),
            Column.numbers(""));
    for (AssessedRate line : lines) {
      String truth = truth(line);
      for (Rejecting each : line.tests()) {
        sheet.row(truth, each.method().id(), Value.Share.FINE.of(each.rejects()));
        truth = "";
      }
    }
    return sheet;
  }
}
